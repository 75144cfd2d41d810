package finebore.desk.session;

import finebore.bench.BenchBook;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.PlateCheck;
import finebore.code.RuleViolation;
import finebore.instruments.BenchLink;
import finebore.instruments.BenchLink.LinkLost;
import finebore.instruments.BenchRun;
import finebore.instruments.FlowBench;
import finebore.instruments.RunJournal;
import finebore.instruments.Sample;
import finebore.instruments.SeatAlone;
import finebore.instruments.SerialLink;
import finebore.instruments.SimulatedBench;
import finebore.instruments.SimulatedHead;
import finebore.instruments.SimulatedLink;
import finebore.instruments.Taken;
import finebore.instruments.Takings;
import finebore.job.Job;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The bench at work: a run on a thread of its own, whose readings go into the job as they are
 * taken.
 */
public final class BenchSession {

  private static final Logger LOG = Logger.getLogger(BenchSession.class.getName());
  private static final Duration PATIENCE = Duration.ofSeconds(1);

  /** What is being done. */
  public enum Phase {
    IDLE,
    CHECKING,
    RUNNING
  }

  /**
   * What the bench shows.
   *
   * @param sample the last look at its needles
   * @param settled how near to rest they are, 0 to 1
   * @param words what is going on, or how it ended
   * @param trouble whether that is something to be seen to
   * @param taken readings taken in this run
   */
  public record Status(
      Phase phase,
      Optional<Sample> sample,
      double settled,
      String words,
      boolean trouble,
      int taken) {

    static final Status IDLE = new Status(Phase.IDLE, Optional.empty(), 0, "", false, 0);

    Status saying(String changed, boolean isTrouble) {
      return new Status(phase, sample, settled, changed, isTrouble, taken);
    }

    Status in(Phase changed) {
      return new Status(
          changed, sample, changed == Phase.IDLE ? 0 : settled, words, trouble, taken);
    }
  }

  private final JobSession session;
  private final Path folder;
  private ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>(Status.IDLE);
  private BenchRun.Pace pace = wait -> Thread.sleep(wait);
  private SeatAlone alone = SeatAlone.SOLVED;
  private Optional<BenchRun> running = Optional.empty();
  private Optional<SimulatedBench> simulated = Optional.empty();
  private String port = "";
  private int generation;

  public BenchSession(JobSession session, DeskFolder desk) {
    this.session = session;
    this.folder = desk.file("runs");
  }

  /** Whoever showed the bench is no longer told of anything: it is to be built anew. */
  public void forgetViews() {
    status = new ReadOnlyObjectWrapper<>(status.get());
  }

  public ReadOnlyObjectProperty<Status> status() {
    return status.getReadOnlyProperty();
  }

  /** Lets a bench that is not there hurry. */
  public void setPace(BenchRun.Pace changed) {
    pace = changed;
  }

  /** How the simulated head's seats are worked out. */
  public void setSeatAlone(SeatAlone changed) {
    alone = changed;
  }

  /** The serial port of the bench; empty for the simulated one. */
  public void setPort(String changed) {
    port = changed;
  }

  public boolean isRunning() {
    return running.isPresent();
  }

  /** The simulated bench, once it has been used. */
  public Optional<SimulatedBench> simulated() {
    return simulated;
  }

  private Path journal(FlowTest test) {
    String job = session.job().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    return folder.resolve(job + "-" + session.jobMark() + "-" + test.id() + RunJournal.EXTENSION);
  }

  /** What an earlier run for a test has kept and not finished, if anything. */
  public Optional<RunJournal.Contents> unfinished(FlowTest test) {
    try {
      return RunJournal.read(journal(test)).filter(c -> !c.finished() && !c.taken().isEmpty());
    } catch (IOException e) {
      LOG.log(Level.WARNING, "a bench run's journal cannot be read", e);
      return Optional.empty();
    }
  }

  /** Reads the check plates into the job's ranges. */
  public void checkPlates(FlowTest test) {
    begin(test, 1, Phase.CHECKING);
  }

  /** Runs a test from the beginning; what an earlier run has kept is put aside, not thrown away. */
  public void run(FlowTest test, int repeats) {
    if (!isRunning()) {
      putAside(journal(test));
      begin(test, repeats, Phase.RUNNING);
    }
  }

  /** A test just made: what was once kept for another that had its id is not its own. */
  public void begins(FlowTest test) {
    putAside(journal(test));
  }

  /** Goes on with what an earlier run has kept. */
  public void resume(FlowTest test) {
    unfinished(test)
        .ifPresent(
            kept -> {
              if (!isRunning()) {
                guarded(() -> kept.taken().forEach(taken -> keep(test.id(), taken)));
                begin(test, kept.plan().repeats(), Phase.RUNNING);
              }
            });
  }

  private static void putAside(Path journal) {
    try {
      if (Files.exists(journal)) {
        Files.move(
            journal,
            journal.resolveSibling(
                journal.getFileName() + "." + Files.getLastModifiedTime(journal).toMillis()));
      }
    } catch (IOException e) {
      LOG.log(Level.WARNING, "an older journal could not be put aside", e);
    }
  }

  private void begin(FlowTest test, int repeats, Phase phase) {
    if (isRunning()) {
      return;
    }
    int mine = ++generation;
    int jobMark = session.generation();
    try {
      Files.createDirectories(folder);
      Path journal = journal(test);
      RunJournal.Plan plan =
          new RunJournal.Plan(
              test.id(),
              session.job().test().liftsMm(),
              repeats,
              test.setUp().depressionPa().orElse(session.job().test().depressionPa()));
      FlowBench bench = new FlowBench(link(test), PATIENCE);
      boolean platesFirst = phase == Phase.RUNNING && session.job().bench().ranges().isEmpty();
      BenchRun run = new BenchRun(bench, plan, journal, pace, new ToDesk(test.id(), mine, jobMark));
      running = Optional.of(run);
      status.set(
          new Status(
              phase,
              Optional.empty(),
              0,
              platesFirst || phase == Phase.CHECKING
                  ? session.say("bench.readingPlates")
                  : session.say("bench.throughLifts"),
              false,
              0));
      Thread.ofPlatform()
          .daemon()
          .name("bench")
          .start(
              () -> {
                BenchRun.Outcome outcome =
                    platesFirst || phase == Phase.CHECKING
                        ? run.checkPlates()
                        : BenchRun.Outcome.DONE;
                if (outcome.done() && phase == Phase.RUNNING) {
                  tell(mine, jobMark, () -> say(session.say("bench.throughLifts"), false));
                  outcome = run.run();
                }
                bench.close();
                BenchRun.Outcome end = outcome;
                tell(mine, jobMark, () -> ended(end, phase));
              });
    } catch (LinkLost e) {
      cannotBegin(session.words().say(e.loss()));
    } catch (RuleViolation e) {
      cannotBegin(session.words().say(e));
    } catch (IOException e) {
      cannotBegin(session.say("bench.journal", "cause", String.valueOf(e.getMessage())));
    }
  }

  private void cannotBegin(String why) {
    running = Optional.empty();
    status.set(Status.IDLE.saying(why, true));
  }

  private BenchLink link(FlowTest test) throws LinkLost {
    if (!port.isEmpty()) {
      return SerialLink.open(port);
    }
    Job job = session.job();
    long seed = job.name().hashCode();
    SimulatedHead truth = SimulatedHead.of(job, test.setUp(), seed, alone);
    SimulatedBench bench = simulated.orElseGet(() -> new SimulatedBench(truth, seed));
    bench.headOn(truth);
    simulated = Optional.of(bench);
    return new SimulatedLink(bench);
  }

  private void ended(BenchRun.Outcome outcome, Phase phase) {
    running = Optional.empty();
    int taken = status.get().taken();
    String words =
        outcome
            .trouble()
            .map(t -> session.words().say(t))
            .orElse(
                outcome.done()
                    ? phase == Phase.CHECKING
                        ? session.say("bench.checked")
                        : session.say("bench.done", "count", taken)
                    : session.say("bench.stopped"));
    status.set(status.get().in(Phase.IDLE).saying(words, outcome.trouble().isPresent()));
  }

  private void say(String words, boolean trouble) {
    status.set(status.get().saying(words, trouble));
  }

  /** Stops after the next look at the needles. */
  public void stop() {
    running.ifPresent(BenchRun::stop);
  }

  /** Ends a run whose job is being left, and tells nothing of it any more. */
  public void leave() {
    stop();
    generation++;
    running = Optional.empty();
    simulated = Optional.empty();
    status.set(Status.IDLE);
  }

  /** Lets something go wrong with the simulated bench. */
  public void fault(SimulatedBench.Fault fault) {
    simulated.ifPresent(b -> b.plan(fault, 3));
  }

  private void tell(int mine, int jobMark, Runnable what) {
    Platform.runLater(
        () -> {
          if (mine == generation && jobMark == session.generation()) {
            guarded(what);
          }
        });
  }

  /** What a bench says and the job cannot take ends the run, and the journal has it. */
  private void guarded(Runnable what) {
    try {
      what.run();
    } catch (RuleViolation e) {
      stop();
      say(session.words().say(e), true);
    }
  }

  private void keep(int id, Taken taken) {
    session.edit(
        "bench run " + id,
        job -> {
          BenchBook book = job.bench();
          return book.test(id)
              .map(
                  t ->
                      job.withBench(
                          book.with(
                              Takings.into(
                                  t.date().isEmpty() ? t.withDate(Optional.of(LocalDate.now())) : t,
                                  taken,
                                  book))))
              .orElse(job);
        });
  }

  /** Carries what the run tells to the desk's thread. */
  private final class ToDesk implements BenchRun.Listener {
    private final int test;
    private final int mine;
    private final int jobMark;

    ToDesk(int test, int mine, int jobMark) {
      this.test = test;
      this.mine = mine;
      this.jobMark = jobMark;
    }

    @Override
    public void sample(Sample sample, double settled) {
      tell(
          mine,
          jobMark,
          () -> {
            Status s = status.get();
            status.set(
                new Status(
                    s.phase(), Optional.of(sample), settled, s.words(), s.trouble(), s.taken()));
          });
    }

    @Override
    public void taken(Taken taken) {
      tell(
          mine,
          jobMark,
          () -> {
            Status s = status.get();
            status.set(
                new Status(
                    s.phase(), s.sample(), s.settled(), s.words(), s.trouble(), s.taken() + 1));
            keep(test, taken);
          });
    }

    @Override
    public void plate(String range, CheckPlate plate, Sample reading) {
      tell(
          mine,
          jobMark,
          () ->
              session.edit(
                  "bench run " + test,
                  job ->
                      job.withBench(
                          job.bench()
                              .withCheck(
                                  range,
                                  new PlateCheck(
                                      LocalDate.now(),
                                      plate,
                                      reading.percent(),
                                      reading.depressionPa(),
                                      Optional.of(reading.air()))))));
    }
  }

  /** Flow that a sample comes to at the job's ranges, m3/s. */
  public OptionalDouble flowOf(Sample sample) {
    return session.job().bench().flowM3s(sample.range(), sample.percent(), Optional.empty());
  }
}
