package finebore.desk;

import finebore.instruments.BenchRun;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import java.util.function.IntSupplier;
import javafx.application.Platform;

/** Lets a bench run until the window shows so many readings, and on only when it is let go. */
final class Hold implements BenchRun.Pace {

  private final IntSupplier taken;
  private final int[] after;
  private final Semaphore go = new Semaphore(0);
  private volatile Thread runner;
  private int held;

  /**
   * Holds a run.
   *
   * @param taken how many readings the window shows
   * @param after at how many it is held, once for each
   */
  Hold(IntSupplier taken, int... after) {
    this.taken = taken;
    this.after = after;
  }

  @Override
  public void pause(Duration wait) throws InterruptedException {
    runner = Thread.currentThread();
    if (held == after.length) {
      return;
    }
    // What was told to the window has been shown by then.
    CountDownLatch shown = new CountDownLatch(1);
    Platform.runLater(shown::countDown);
    shown.await();
    if (taken.getAsInt() >= after[held]) {
      go.acquire();
      held++;
    }
  }

  void letGo() {
    go.release();
  }

  /** Waits until the run is over. */
  void awaitEnd() throws InterruptedException {
    runner.join(10_000);
  }
}
