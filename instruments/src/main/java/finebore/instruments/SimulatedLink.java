package finebore.instruments;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** A simulated instrument in this process, or behind a stream. */
public final class SimulatedLink implements BenchLink {

  /** An instrument that answers lines. */
  @FunctionalInterface
  public interface Answering {
    /** Its answer; empty when nothing comes back. */
    Optional<String> answer(String line);
  }

  private final Answering instrument;
  private final Deque<String> answers = new ArrayDeque<>();

  public SimulatedLink(Answering instrument) {
    this.instrument = instrument;
  }

  @Override
  public void send(String line) {
    instrument.answer(line).ifPresent(answers::add);
  }

  @Override
  public Optional<String> receive(Duration timeout) {
    return Optional.ofNullable(answers.poll());
  }

  @Override
  public void reopen() {
    answers.clear();
  }

  @Override
  public void close() {
    answers.clear();
  }

  /** Lets an instrument answer what comes in on a stream, until the stream ends. */
  public static void serve(Answering instrument, InputStream in, OutputStream out)
      throws IOException {
    BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.US_ASCII));
    String line = lines.readLine();
    while (line != null) {
      Optional<String> answer = instrument.answer(line);
      if (answer.isPresent()) {
        out.write((answer.get() + "\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
      }
      line = lines.readLine();
    }
  }
}
