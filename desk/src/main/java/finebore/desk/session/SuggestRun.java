package finebore.desk.session;

import finebore.suggest.Search;
import finebore.suggest.Search.Slice;
import finebore.suggest.SolvedSuggestion;
import finebore.suggest.Suggestion;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiConsumer;
import java.util.function.DoubleConsumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;

/**
 * A search on two threads of its own, so that the desk stays free. Slices may come back in any
 * order: together they always give the same.
 */
public final class SuggestRun {

  private static final Logger LOG = Logger.getLogger(SuggestRun.class.getName());
  private static final int THREADS = 2;
  private static final int SLICE = 1600;

  /** So many of the best are solved, and so many of those shown. */
  private static final int SOLVED = 10;

  private static final int SHOWN = 5;

  private final Search search;
  private final AtomicInteger next = new AtomicInteger();
  private final AtomicInteger done = new AtomicInteger();
  private final AtomicInteger running = new AtomicInteger(THREADS);
  private final DoubleConsumer progress;
  private final Runnable solving;
  private final BiConsumer<Slice, List<SolvedSuggestion>> finished;
  private final List<Thread> threads = new ArrayList<>();
  private Slice found = Slice.NONE;
  private volatile boolean cancelled;

  /**
   * A search that has not begun.
   *
   * @param progress told the share that is done, on the desk's thread
   * @param solving told when the best are being solved, on the desk's thread
   * @param finished told what was found, on the desk's thread; not when it was cancelled
   */
  public SuggestRun(
      Search search,
      DoubleConsumer progress,
      Runnable solving,
      BiConsumer<Slice, List<SolvedSuggestion>> finished) {
    this.search = search;
    this.progress = progress;
    this.solving = solving;
    this.finished = finished;
  }

  public void start() {
    for (int k = 0; k < THREADS; k++) {
      threads.add(Thread.ofPlatform().daemon().name("suggest-" + k).start(this::work));
    }
  }

  /** Waits until it is over; what it tells may still be on its way. */
  void await() throws InterruptedException {
    for (Thread thread : threads) {
      thread.join();
    }
  }

  /** Stops it soon; nothing is told any more. */
  public void cancel() {
    cancelled = true;
  }

  /** How many candidates have been looked at. */
  public int looked() {
    return Math.min(done.get(), search.size());
  }

  private void work() {
    try {
      while (!cancelled) {
        int from = next.getAndAdd(SLICE);
        if (from >= search.size()) {
          break;
        }
        Slice slice = search.look(from, from + SLICE);
        synchronized (this) {
          found = found.and(slice);
        }
        double share = (double) done.addAndGet(SLICE) / search.size();
        tell(() -> progress.accept(Math.min(1, share)));
      }
    } catch (RuntimeException e) {
      LOG.log(Level.WARNING, "the search stopped", e);
    }
    if (running.decrementAndGet() == 0 && !cancelled) {
      Slice all;
      synchronized (this) {
        all = found;
      }
      List<Suggestion> suggestions = search.suggestions(all.best(), SOLVED);
      tell(solving);
      List<SolvedSuggestion> solved =
          SolvedSuggestion.of(suggestions, search.goal(), () -> cancelled);
      List<SolvedSuggestion> shown = solved.subList(0, Math.min(SHOWN, solved.size()));
      tell(() -> finished.accept(all, shown));
    }
  }

  private void tell(Runnable what) {
    Platform.runLater(
        () -> {
          if (!cancelled) {
            what.run();
          }
        });
  }
}
