package finebore.desk.session;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Works out off the window's thread what was asked for last; what was asked for before and has not
 * begun is dropped, and so is what comes too late.
 */
public final class Latest {

  private final ExecutorService worker;
  private final AtomicLong asked = new AtomicLong();
  private long taken;

  /** Works on a thread of this name. */
  public Latest(String name) {
    worker = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name(name).factory());
  }

  /**
   * Asks for something. Called from the window's thread.
   *
   * @param work what is to be worked out, of values that do not change
   * @param take takes it, on the window's thread
   */
  public <T> void ask(Supplier<T> work, Consumer<T> take) {
    long mine = asked.incrementAndGet();
    worker.execute(
        () -> {
          if (mine == asked.get()) {
            work(mine, work, take);
          }
        });
  }

  private <T> void work(long mine, Supplier<T> work, Consumer<T> take) {
    try {
      T made = work.get();
      Platform.runLater(
          () -> {
            if (mine == asked.get()) {
              taken = mine;
              take.accept(made);
            }
          });
    } catch (RuntimeException e) {
      // Where every failure of the window is told.
      Platform.runLater(
          () -> {
            taken = mine;
            throw e;
          });
    }
  }

  /** Whether something that was asked for has not been taken yet; on the window's thread. */
  public boolean isBusy() {
    return taken < asked.get();
  }
}
