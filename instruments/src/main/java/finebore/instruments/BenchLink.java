package finebore.instruments;

import java.time.Duration;
import java.util.Optional;

/** Lines to and from a bench, whatever they travel over. */
public interface BenchLink extends AutoCloseable {

  /** The line is gone: a cable pulled, a port closed. */
  final class LinkLost extends Exception {
    private static final long serialVersionUID = 1L;

    public LinkLost(String message) {
      super(message);
    }
  }

  /** Sends one line; the end of the line is added. */
  void send(String line) throws LinkLost;

  /** The next line without its end; empty when none came in time. */
  Optional<String> receive(Duration timeout) throws LinkLost;

  /** Tries to take up a line that was lost. */
  void reopen() throws LinkLost;

  @Override
  void close();
}
