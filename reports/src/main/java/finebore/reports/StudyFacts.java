package finebore.reports;

import finebore.calibration.PredictionConfidence;
import finebore.flow.FlowChange;
import finebore.flow.LiftPoint;
import finebore.flow.field.AirChange;
import finebore.flow.field.KnownAir;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.CureStudy;
import finebore.rules.FlowFindings;
import finebore.rules.PlanFindings;
import finebore.rules.SeatFindings;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Everything that a study of seats of one kind says, each seat for itself.
 *
 * @param job whose
 * @param port kind of the seats
 * @param state as found or as planned
 * @param practice whose ranges count
 * @param confidence how far the model may be trusted for this kind of seat
 * @param seats one or more, in the order of the head
 */
public record StudyFacts(
    Job job,
    Port port,
    State state,
    Practice practice,
    PredictionConfidence confidence,
    List<OfSeat> seats) {

  /** Which state of the seats. */
  public enum State {
    FOUND,
    PLANNED
  }

  /**
   * One seat.
   *
   * @param study of the state asked for
   * @param plan the whole plan worked out, where it was asked for
   * @param solved what solved air says of it
   */
  public record OfSeat(
      SeatPlace place,
      SeatStudy study,
      Optional<PlanStudy> plan,
      SolvedChange solved,
      List<Finding> findings) {

    /** The change against found in which what is solved counts. */
    public Optional<FlowChange> change() {
      return plan.flatMap(p -> p.counted(solved));
    }

    /** What of the change at a lift comes of the walls alone. */
    AirChange.WallPart wallPart(double liftMm) {
      return solved
          .at(liftMm)
          .map(AirChange::walls)
          .or(() -> plan.map(p -> p.wallPart(liftMm)))
          .orElse(AirChange.WallPart.NONE);
    }

    /**
     * Whether there is a figure for a lift of the curve, by its place: none where its section is
     * unlike anything the estimate was made from and it is not solved.
     */
    boolean isKnown(int lift) {
      return change()
          .map(c -> c.steps().get(lift).isKnown())
          .orElseGet(() -> study.curve().orElseThrow().points().get(lift).isKnown());
    }

    /** Effective area at a lift of the curve, by its place: the one the flow told there needs. */
    double areaMm2(int lift) {
      LiftPoint point = study.curve().orElseThrow().points().get(lift);
      return point.effectiveAreaMm2() * flowM3s(lift) / point.flowM3s();
    }

    /** Flow at a lift of the curve, by its place; solved where the plan is. */
    double flowM3s(int lift) {
      return change()
          .map(c -> c.steps().get(lift).newM3s())
          .orElseGet(() -> study.curve().orElseThrow().points().get(lift).flowM3s());
    }
  }

  public StudyFacts {
    seats = List.copyOf(seats);
  }

  /**
   * Studies every seat of a kind.
   *
   * @param here the practices that are here
   * @param air what has been solved of its air
   */
  public static StudyFacts of(Job job, Port port, State state, List<Practice> here, KnownAir air) {
    return of(job, job.seats(port), state, here, air);
  }

  /** Studies one seat. */
  public static StudyFacts of(
      Job job, SeatPlace seat, State state, List<Practice> here, KnownAir air) {
    return of(job, List.of(seat), state, here, air);
  }

  private static StudyFacts of(
      Job job, List<SeatPlace> seats, State state, List<Practice> here, KnownAir air) {
    Port port = seats.getFirst().port();
    Practice practice = PracticeFiles.named(job.practice(), here);
    PredictionConfidence confidence = PredictionConfidence.of(job, port);
    return new StudyFacts(
        job,
        port,
        state,
        practice,
        confidence,
        seats.stream().map(s -> of(job, s, state, practice, confidence, air)).toList());
  }

  private static OfSeat of(
      Job job,
      SeatPlace seat,
      State state,
      Practice practice,
      PredictionConfidence confidence,
      KnownAir air) {
    SeatStudy found = PlanStudy.asFound(job, seat, confidence.calibration());
    if (state == State.FOUND) {
      return new OfSeat(
          seat,
          found,
          Optional.empty(),
          SolvedChange.NONE,
          SeatFindings.of(seat.label(), seat.port(), found.fit(), found.readings(), practice));
    }
    PlanStudy plan = PlanStudy.of(job, seat, job.planOf(seat), found);
    List<Finding> findings =
        new ArrayList<>(
            CureStudy.studied(PlanFindings.of(plan.outcome(), practice), plan.outcome(), practice));
    findings.addAll(FlowFindings.of(plan));
    return new OfSeat(seat, plan.finished(), Optional.of(plan), plan.solved(air), findings);
  }
}
