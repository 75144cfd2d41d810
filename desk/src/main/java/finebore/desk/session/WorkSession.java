package finebore.desk.session;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.machine.Alike;
import finebore.machine.PortSeal;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.machine.StepOutward;
import finebore.machine.StepState;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkIndex;
import finebore.work.WorkLog;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * The work at the machine: which step is next, and what is said and read of it. What was done is in
 * the job's log, so that leaving, coming back or a crash ends at the same step.
 */
public final class WorkSession {

  private final JobSession session;
  private final InstantSource clock;
  private final DeskFolder folder;
  private final Runnable settled;
  private Optional<RunSheet> sheet = Optional.empty();
  private Job of;
  private Job seen;
  private Job indexed;
  private WorkIndex index = WorkIndex.of(WorkLog.EMPTY);
  private Optional<String> picked = Optional.empty();
  private int pickedIn = -1;
  private String who = "";

  /**
   * Follows a job.
   *
   * @param folder remembers the step over a restart
   * @param settled called when a line was added: it must be on disk when this comes back
   */
  public WorkSession(JobSession session, InstantSource clock, DeskFolder folder, Runnable settled) {
    this.session = session;
    this.clock = clock;
    this.folder = folder;
    this.settled = settled;
  }

  /** The whole work; worked out anew only when the job has changed by more than its history. */
  public RunSheet sheet() {
    Job job = session.job();
    if (sheet.isPresent() && job == seen) {
      return sheet.get();
    }
    seen = job;
    // The bore of a guide and a lapped ring are read at the machine and set figures of later steps.
    Job bare = job.withLog(setting(job.log()));
    if (sheet.isEmpty() || !bare.equals(of)) {
      sheet = Optional.of(sheetOf(job, bare));
      of = bare;
    }
    return sheet.get();
  }

  private RunSheet sheetOf(Job job, Job bare) {
    boolean samePlans =
        sheet.isPresent()
            && of != null
            && of.withLog(WorkLog.EMPTY)
                .withShop(ShopSettings.USUAL)
                .equals(bare.withLog(WorkLog.EMPTY).withShop(ShopSettings.USUAL));
    return samePlans ? RunSheet.of(job, sheet.get().groups()) : RunSheet.of(job);
  }

  /** What of the history sets figures of other steps. */
  private static WorkLog setting(WorkLog log) {
    return new WorkLog(
        log.entries().stream()
            .filter(
                e ->
                    e.taken()
                        .filter(
                            t ->
                                t.what() == ReadBack.GUIDE_BORE || t.what() == ReadBack.RING_INSIDE)
                        .isPresent())
            .toList());
  }

  /** The step that is looked at: the one picked, otherwise the first that is not past. */
  public Optional<RunStep> current() {
    return picked().flatMap(id -> sheet().step(id)).or(this::firstOpen);
  }

  /** What was picked in this job; in one opened anew, what was picked in it before. */
  private Optional<String> picked() {
    if (pickedIn != session.generation()) {
      pickedIn = session.generation();
      picked = isSaved() ? folder.step(session.jobMark()) : Optional.empty();
    }
    return picked;
  }

  /** A job without a file has no mark of its own to be known by. */
  private boolean isSaved() {
    return session.file().get().isPresent();
  }

  private void keepPicked(Optional<String> id) {
    pickedIn = session.generation();
    picked = id;
    if (isSaved()) {
      folder.keepStep(session.jobMark(), id);
    }
  }

  /** The first step that the work cannot go past yet. */
  public Optional<RunStep> firstOpen() {
    return sheet().steps().stream().filter(s -> !state(s).isPast()).findFirst();
  }

  public StepState state(RunStep step) {
    if (session.job() != indexed) {
      indexed = session.job();
      index = WorkIndex.of(indexed.log());
    }
    return StepState.of(index, step);
  }

  /** Place of a step in the whole work, from 1. */
  public int number(RunStep step) {
    return sheet().steps().indexOf(step) + 1;
  }

  public long past() {
    return sheet().steps().stream().filter(s -> state(s).isPast()).count();
  }

  /** Looks at another step. */
  public void pick(RunStep step) {
    keepPicked(Optional.of(step.id()));
  }

  /** Goes back by one; whether there is one. */
  public boolean back() {
    List<RunStep> steps = sheet().steps();
    int at = current().map(steps::indexOf).orElse(steps.size());
    if (at > 0) {
      pick(steps.get(at - 1));
    }
    return at > 0;
  }

  /** The steps after the one looked at that are not past. */
  public List<RunStep> next(int count) {
    List<RunStep> steps = sheet().steps();
    int at = current().map(steps::indexOf).orElse(steps.size());
    return steps.subList(Math.min(at + 1, steps.size()), steps.size()).stream()
        .filter(s -> !state(s).isPast())
        .limit(count)
        .toList();
  }

  public String who() {
    return who;
  }

  public void setWho(String name) {
    who = name.strip();
  }

  private WorkLog.Hand hand() {
    return new WorkLog.Hand(clock.instant(), who);
  }

  /** Says something of a step. */
  public void say(RunStep step, Kind kind, String reason) {
    session.log(log -> log.with(hand(), step.seat().label(), step.id(), kind, reason));
    settled.run();
    if (kind == Kind.DONE && state(step).isPast() || kind == Kind.ACCEPTED) {
      keepPicked(Optional.empty());
    } else if (kind == Kind.REOPENED) {
      pick(step);
    }
  }

  /** Keeps a reading of a step. */
  public void read(RunStep step, ReadBack what, double value, String gauge, String reason) {
    // A reading that puts a step in order must not take it out of sight.
    pick(step);
    read(step.seat(), step.id(), what, value, gauge, reason);
  }

  /** Keeps a reading of a seat that belongs to no step. */
  public void read(
      SeatPlace seat, String step, ReadBack what, double value, String gauge, String reason) {
    session.log(log -> log.with(hand(), seat.label(), step, new Taken(what, value, gauge), reason));
    settled.run();
  }

  /** What was read of a step's seat last. */
  public OptionalDouble value(RunStep step, ReadBack what) {
    return session.job().log().value(step.seat().label(), what);
  }

  /** The next pointer and plunge after a trial cut; empty until ring and pointer were read. */
  public Optional<StepOutward> outward(RunStep step) {
    OptionalInt place = step.operation();
    OptionalDouble ring = value(step, ReadBack.RING_OUTSIDE);
    OptionalDouble pointer = value(step, ReadBack.POINTER);
    if (place.isEmpty() || ring.isEmpty() || pointer.isEmpty()) {
      return Optional.empty();
    }
    return sheet()
        .outcome(step.seat())
        .flatMap(
            seat -> {
              double depth =
                  value(step, ReadBack.SEAT_DEPTH)
                      .orElse(
                          seat.cut().cutting().steps().get(place.getAsInt()).depthMm().orElse(0));
              return StepOutward.of(
                  session.job(),
                  seat,
                  place.getAsInt(),
                  new StepOutward.Trial(pointer.getAsDouble(), depth, ring.getAsDouble()),
                  session.job().shop().value(ShopFigure.START_INSIDE) / 2,
                  session.practice());
            });
  }

  /** One reading of all seats of a kind against each other. */
  public Alike alike(Port port, ReadBack what) {
    return Alike.of(session.job(), port, what);
  }

  public List<PortSeal> seals() {
    return PortSeal.all(session.job(), sheet());
  }
}
