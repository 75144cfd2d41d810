package finebore.desk;

import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.FileProblem;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import javafx.application.Platform;

/** The start of the window system, in the background so that the job is read meanwhile. */
final class Toolkit {

  private static final CompletableFuture<Void> READY = new CompletableFuture<>();

  private Toolkit() {}

  /** Begins to start it; once in a program. */
  static void begin() {
    Thread.ofPlatform().name("toolkit").start(Toolkit::start);
  }

  private static void start() {
    try {
      Platform.startup(() -> READY.complete(null));
    } catch (RuntimeException | Error e) {
      READY.completeExceptionally(e);
    }
  }

  /**
   * Waits until it has started.
   *
   * @throws FileProblem saying why no window can open
   */
  static void await() throws FileProblem {
    try {
      READY.get();
    } catch (ExecutionException e) {
      throw new FileProblem(
          Message.of("cli.noWindow")
              .with("cause", Term.quote(String.valueOf(e.getCause().getMessage()))));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
