package finebore.instruments;

import finebore.code.RuleViolation;
import finebore.code.Term;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The book a bench run keeps while it runs: every sample, and every reading taken, one line each
 * with a checksum. A reading is on disk before anyone is told of it, so that whatever ends the
 * program loses at most the reading being taken.
 */
public final class RunJournal implements AutoCloseable {

  /** The ending of a journal's name. */
  public static final String EXTENSION = ".run";

  private final FileChannel channel;

  private RunJournal(FileChannel channel) {
    this.channel = channel;
  }

  /**
   * What a run is to do.
   *
   * @param test id of the test it is for
   * @param liftsMm rising
   * @param repeats how often each is read
   * @param depressionPa at which
   */
  public record Plan(int test, List<Double> liftsMm, int repeats, double depressionPa) {

    public Plan {
      liftsMm = List.copyOf(liftsMm);
      if (liftsMm.isEmpty() || repeats < 1 || repeats > 10) {
        throw RuleViolation.of("run.plan")
            .with("lifts", Term.count(liftsMm.size()))
            .with("repeats", Term.count(repeats));
      }
    }

    String words() {
      return String.format(
              Locale.ROOT, "test=%d repeats=%d depression=%.1f", test, repeats, depressionPa)
          + " lifts="
          + liftsMm.stream()
              .map(l -> String.format(Locale.ROOT, "%.4f", l))
              .collect(Collectors.joining(","));
    }

    static Plan of(Frame frame) {
      return new Plan(
          (int) frame.number("test"),
          Arrays.stream(frame.values().getOrDefault("lifts", "").split(","))
              .map(Double::valueOf)
              .toList(),
          (int) frame.number("repeats"),
          frame.number("depression"));
    }
  }

  /**
   * What a journal holds.
   *
   * @param plan what was to be done
   * @param taken readings in order
   * @param samples how many raw samples
   * @param finished whether the run came to its end
   * @param damaged lines that make no sense: the one being written when the program was ended
   */
  public record Contents(Plan plan, List<Taken> taken, int samples, boolean finished, int damaged) {

    public boolean has(double liftMm, int repeat) {
      return taken.stream()
          .anyMatch(t -> Math.abs(t.liftMm() - liftMm) < 0.001 && t.repeat() == repeat);
    }
  }

  /** Begins a journal; one that stands there is taken up where it ends. */
  public static RunJournal open(Path file, Plan plan) throws IOException {
    boolean begun = read(file).isPresent();
    FileChannel channel =
        FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    RunJournal journal = new RunJournal(channel);
    // A line cut off by a kill must not swallow the next one.
    journal.write("\n" + (begun ? "" : new Frame("RUN " + plan.words()).line() + "\n"));
    channel.force(true);
    return journal;
  }

  public void sample(Sample sample) throws IOException {
    write(new Frame("SAMPLE " + sample.words()).line() + "\n");
  }

  /** Writes a reading down; when this returns it is on disk. */
  public void taken(Taken taken) throws IOException {
    write(new Frame("TAKEN " + taken.words()).line() + "\n");
    channel.force(false);
  }

  public void finish() throws IOException {
    write(new Frame("DONE").line() + "\n");
    channel.force(true);
  }

  private void write(String text) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.US_ASCII));
    while (bytes.hasRemaining()) {
      channel.write(bytes);
    }
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }

  /** What a journal holds; empty when there is none, or not even its plan can be read. */
  public static Optional<Contents> read(Path file) throws IOException {
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    Optional<Plan> plan = Optional.empty();
    List<Taken> taken = new ArrayList<>();
    int samples = 0;
    int damaged = 0;
    boolean finished = false;
    for (String line : Files.readString(file, StandardCharsets.ISO_8859_1).split("\n")) {
      if (line.isEmpty()) {
        continue;
      }
      Optional<Frame> frame = Frame.of(line);
      if (frame.isEmpty()) {
        damaged++;
        continue;
      }
      try {
        switch (frame.get().command()) {
          case "RUN" -> plan = plan.or(() -> Optional.of(Plan.of(frame.get())));
          case "TAKEN" -> taken.add(Taken.of(frame.get()));
          case "SAMPLE" -> samples++;
          case "DONE" -> finished = true;
          default -> damaged++;
        }
      } catch (RuleViolation | NumberFormatException e) {
        // Whole, and yet no line of a journal: another program's.
        damaged++;
      }
    }
    int raw = samples;
    int spoilt = damaged;
    boolean done = finished;
    return plan.map(p -> new Contents(p, List.copyOf(taken), raw, done, spoilt));
  }
}
