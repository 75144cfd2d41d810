package finebore.instruments;

import finebore.bench.CheckPlate;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.units.Dimension;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/**
 * A test taken from a bench: leakage first, then lift by lift, each read when its needle has come
 * to rest. It can be stopped and taken up again; what was read stays read.
 */
public final class BenchRun {

  /** Waits between two looks at the needles. */
  @FunctionalInterface
  public interface Pace {
    /** Goes on at once, for benches whose time is not ours. */
    Pace NONE = wait -> {};

    void pause(Duration wait) throws InterruptedException;
  }

  /** Told of what happens, on the run's thread. */
  public interface Listener {
    /** A look at the needles, and how near to rest they are. */
    void sample(Sample sample, double settled);

    /** A reading that is on disk. */
    void taken(Taken taken);

    /** What a range read with its check plate on. */
    void plate(String range, CheckPlate plate, Sample reading);
  }

  /** How a run ended: done, stopped, or why it could not go on. */
  public record Outcome(boolean done, Optional<Message> trouble) {
    public static final Outcome DONE = new Outcome(true, Optional.empty());
    public static final Outcome STOPPED = new Outcome(false, Optional.empty());
  }

  private static final Duration BETWEEN_LOOKS = Duration.ofMillis(100);

  /** A needle that does not rest in so many looks will not. */
  private static final int MOST_LOOKS = 240;

  /** Readings are best between these, % of a range. */
  private static final double LOW_PERCENT = 22;

  private static final double HIGH_PERCENT = 97;

  /** The fixture must stand this near to the lift asked for, mm. */
  private static final double LIFT_TOLERANCE_MM = 0.01;

  private static final int LIFT_TRIES = 3;

  private final FlowBench bench;
  private final RunJournal.Plan plan;
  private final Path journal;
  private final Pace pace;
  private final Listener listener;
  private volatile boolean stopped;
  private String range = "";

  /**
   * A run that has not begun.
   *
   * @param journal where it writes down what it reads; one that stands there is gone on with
   */
  public BenchRun(
      FlowBench bench, RunJournal.Plan plan, Path journal, Pace pace, Listener listener) {
    this.bench = bench;
    this.plan = plan;
    this.journal = journal;
    this.pace = pace;
    this.listener = listener;
  }

  /** Stops after the next look. */
  public void stop() {
    stopped = true;
  }

  /** Reads every range with its check plate on; nothing of it is kept in the journal. */
  public Outcome checkPlates() {
    return guarded(
        () -> {
          bench.hello();
          bench.depression(plan.depressionPa());
          for (String each : bench.ranges()) {
            CheckPlate plate = bench.plate(each);
            bench.range(each);
            Settling settling = settle(Optional.empty(), false);
            if (stopped) {
              return Outcome.STOPPED;
            }
            Taken reading = Taken.of(0, 1, settling.samples());
            listener.plate(
                each,
                plate,
                new Sample(0, each, reading.percent(), reading.depressionPa(), reading.air()));
          }
          bench.off();
          return Outcome.DONE;
        });
  }

  /** Runs until all is read, it is stopped, or the bench cannot go on. */
  public Outcome run() {
    return guarded(
        () -> {
          Optional<RunJournal.Contents> before = RunJournal.read(journal);
          try (RunJournal book = RunJournal.open(journal, plan)) {
            bench.hello();
            bench.head();
            bench.depression(plan.depressionPa());
            range = bench.ranges().getFirst();
            bench.range(range);
            take(0, 1, before, book);
            for (double lift : plan.liftsMm()) {
              for (int repeat = 1; repeat <= plan.repeats(); repeat++) {
                take(lift, repeat, before, book);
              }
            }
            bench.lift(0);
            bench.off();
            if (stopped) {
              return Outcome.STOPPED;
            }
            book.finish();
            return Outcome.DONE;
          }
        });
  }

  /** What a bench is asked to do. */
  private interface Task {
    Outcome go() throws BenchTrouble, IOException, InterruptedException;
  }

  private Outcome guarded(Task work) {
    try {
      return work.go();
    } catch (BenchTrouble e) {
      return new Outcome(false, Optional.of(e.trouble()));
    } catch (IOException e) {
      return new Outcome(
          false,
          Optional.of(
              Message.of("bench.journal")
                  .with("cause", Term.quote(String.valueOf(e.getMessage())))));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Outcome.STOPPED;
    } catch (RuleViolation e) {
      return new Outcome(false, Optional.of(e.violated()));
    }
  }

  private void take(double lift, int repeat, Optional<RunJournal.Contents> before, RunJournal book)
      throws BenchTrouble, IOException, InterruptedException {
    if (stopped || before.filter(b -> b.has(lift, repeat)).isPresent()) {
      return;
    }
    if (repeat > 1) {
      // A repeat that does not move the valve only repeats the meter.
      move(Math.max(0, lift - 0.5));
    }
    move(lift);
    Settling settling = settle(Optional.of(book), true);
    if (!stopped) {
      Taken taken = Taken.of(lift, repeat, settling.samples());
      book.taken(taken);
      listener.taken(taken);
    }
  }

  private void move(double lift) throws BenchTrouble, InterruptedException {
    double stands = bench.lift(lift);
    for (int k = 1; k < LIFT_TRIES && Math.abs(stands - lift) > LIFT_TOLERANCE_MM; k++) {
      pace.pause(BETWEEN_LOOKS);
      stands = bench.lift(lift);
    }
    if (Math.abs(stands - lift) > LIFT_TOLERANCE_MM) {
      throw new BenchTrouble(
          Message.of("bench.fixture")
              .with("stands", Term.length(stands))
              .with("wanted", Term.length(lift)));
    }
  }

  private Settling settle(Optional<RunJournal> book, boolean mayChangeRange)
      throws BenchTrouble, IOException, InterruptedException {
    Settling settling = new Settling();
    boolean mayGoDown = true;
    for (int k = 0; k < MOST_LOOKS && !stopped; k++) {
      Sample sample = bench.read();
      settling.add(sample);
      if (book.isPresent()) {
        book.get().sample(sample);
      }
      listener.sample(sample, settling.share());
      int to = mayChangeRange ? wanted(settling, mayGoDown) : at();
      if (to != at()) {
        // Where ranges lie far apart, one would send it up and the next down again for ever.
        mayGoDown &= to < at();
        range = bench.ranges().get(to);
        bench.range(range);
        settling.clear();
        k = 0;
      } else if (settling.isSettled()) {
        return settling;
      }
      pace.pause(BETWEEN_LOOKS);
    }
    if (stopped) {
      return settling;
    }
    throw new BenchTrouble(
        Message.of("bench.restless")
            .with("percent", new Term.Figure(Dimension.PERCENT, settling.mean())));
  }

  private int at() {
    return bench.ranges().indexOf(range);
  }

  /**
   * The range that suits a needle: at once the next one up when it is off its end, the next one
   * down when it rests too low.
   */
  private int wanted(Settling settling, boolean mayGoDown) {
    double percent = settling.samples().getLast().percent();
    if (percent > HIGH_PERCENT && at() + 1 < bench.ranges().size()) {
      return at() + 1;
    }
    boolean low = settling.isSettled() && settling.mean() < LOW_PERCENT;
    return low && mayGoDown && at() > 0 ? at() - 1 : at();
  }
}
