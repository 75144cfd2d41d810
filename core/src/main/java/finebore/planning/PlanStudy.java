package finebore.planning;

import finebore.cutting.Cutting;
import finebore.cutting.SectionDifference;
import finebore.flow.Calibration;
import finebore.flow.FlowChange;
import finebore.flow.Loss;
import finebore.flow.field.AirChange;
import finebore.flow.field.KnownAir;
import finebore.found.FoundSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.room.Room;
import finebore.study.FlowSetting;
import finebore.study.SeatFit;
import finebore.study.SeatStudy;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything that follows from one plan for one seat, flow included.
 *
 * @param outcome the plan carried out
 * @param found study of the seat as found
 * @param finished study of what the operations leave
 * @param change of flow against found, by the estimate; empty when a valve falls through
 */
public record PlanStudy(
    SeatOutcome outcome, SeatStudy found, SeatStudy finished, Optional<FlowChange> change) {

  /**
   * Works a seat's plan out.
   *
   * @param found study of the seat as found, whose calibration is used
   */
  public static PlanStudy of(Job job, SeatPlace place, Plan plan, SeatStudy found) {
    return of(SeatOutcome.of(job, place, plan), found);
  }

  /** Works the flow of a plan out that is already carried out. */
  public static PlanStudy of(SeatOutcome outcome, SeatStudy found) {
    Job job = outcome.cut().job();
    SeatFit fit = outcome.cut().fit();
    FlowSetting setting =
        found
            .setting()
            .withRoom(
                found
                    .setting()
                    .room()
                    .flatMap(r -> SeatRoom.planned(job, outcome.place(), outcome.plan())));
    SeatStudy finished = new SeatStudy(fit, outcome.readings(), setting, fit.curve(setting));
    Group group = job.group(outcome.place().port());
    Optional<FlowChange> change =
        found.curve().isEmpty() || finished.curve().isEmpty()
            ? Optional.empty()
            : Optional.of(
                FlowChange.between(
                    found.curve().get(),
                    finished.curve().get(),
                    job.test().bands(),
                    outcome.plan().wanted().valve().headDiameterMm(),
                    group.cam()));
    return new PlanStudy(outcome, found, finished, change);
  }

  /** Studies a seat of a job as found. */
  public static SeatStudy asFound(Job job, SeatPlace place, Calibration calibration) {
    return OfSeat.working(place, () -> found(job, place, calibration));
  }

  private static SeatStudy found(Job job, SeatPlace place, Calibration calibration) {
    SeatFit fit = SeatFit.of(job.foundSeat(place).section(), job.foundValve(place));
    return SeatStudy.of(fit, flow(job, place, calibration))
        .with(ValveRoom.of(job, place).readings(fit.pairing().valve().headDiameterMm()));
  }

  /** What flow of a job's seats is worked out with. */
  public static FlowSetting flow(Job job, SeatPlace place, Calibration calibration) {
    return flow(job, place, calibration, SeatRoom.found(job, place));
  }

  private static FlowSetting flow(
      Job job, SeatPlace place, Calibration calibration, Optional<Room> room) {
    return new FlowSetting(
        place.port().direction(),
        job.test().liftsMm(),
        Optional.of(job.group(place.port()).cam()),
        job.test().depressionPa(),
        calibration,
        portAreaMm2(job, place),
        room);
  }

  /** Throat less stem of a seat as found: its port was fitted, or is assumed, with that. */
  public static OptionalDouble portAreaMm2(Job job, SeatPlace place) {
    return OptionalDouble.of(
        SeatFit.throatAreaMm2(
            job.foundSeat(place).seat().throatDiameterMm(),
            job.foundValve(place).stemDiameterMm()));
  }

  /** What solved air says of it. */
  public SolvedChange solved(KnownAir air) {
    return SolvedChange.of(found, finished, cut().job().test().liftsMm(), air);
  }

  /**
   * What of its change at a lift comes of the walls alone, by the estimate: how they cost is a
   * choice, held against no bench.
   */
  public AirChange.WallPart wallPart(double liftMm) {
    if (found.seated().isEmpty() || finished.seated().isEmpty()) {
      return AirChange.WallPart.NONE;
    }
    AirChange.Walls walls = SolvedChange.walls(found, finished, liftMm);
    return walls.change()
        ? AirChange.part(
            seatMm2(found, liftMm), seatMm2(finished, liftMm), found.portPerMm4(), walls)
        : AirChange.WallPart.NONE;
  }

  /** Seat and valve alone, as the losses have it. */
  private static double seatMm2(SeatStudy study, double liftMm) {
    return study.lossesAt(liftMm).parts().stream()
        .filter(l -> l.cause() == Loss.Cause.SEAT)
        .mapToDouble(l -> 1 / Math.sqrt(l.resistancePerMm4()))
        .findFirst()
        .orElseThrow();
  }

  /** The change against found in which what is solved counts. */
  public Optional<FlowChange> counted(SolvedChange solved) {
    return change.map(solved::counted);
  }

  public SeatPlace place() {
    return outcome.place();
  }

  public Plan plan() {
    return outcome.plan();
  }

  public CutStudy cut() {
    return outcome.cut();
  }

  /** The seat as found. */
  public FoundSeat metal() {
    return cut().metal();
  }

  public Cutting cutting() {
    return cut().cutting();
  }

  /**
   * Metal that went, and metal that a ring put in.
   *
   * @param step which operation's, from 1, or 0 for none; less than 0 for all of them
   */
  public SectionDifference difference(int step) {
    int to = step < 0 ? cutting().steps().size() : step;
    int from = step < 0 ? 0 : Math.max(0, step - 1);
    return SectionDifference.between(
        cutting().metalAfter(from).wall(), cutting().metalAfter(to).wall());
  }

  /** The study of the planned valve on what the first operations leave. */
  public SeatStudy after(int count) {
    SeatFit fit = SeatFit.of(cutting().after(count), plan().wanted().valve());
    return SeatStudy.of(fit, found.setting());
  }
}
