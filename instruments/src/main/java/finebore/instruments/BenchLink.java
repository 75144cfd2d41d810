package finebore.instruments;

import finebore.code.Message;
import java.time.Duration;
import java.util.Optional;

/** Lines to and from a bench, whatever they travel over. */
public interface BenchLink extends AutoCloseable {

  /** The line is gone: a cable pulled, a port closed. */
  final class LinkLost extends Exception {
    private static final long serialVersionUID = 1L;

    private final transient Message loss;

    public LinkLost(Message loss) {
      super(loss.code() + loss.terms());
      this.loss = loss;
    }

    public Message loss() {
      return loss;
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
