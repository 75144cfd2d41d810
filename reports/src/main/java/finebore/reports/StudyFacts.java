package finebore.reports;

import finebore.calibration.PredictionConfidence;
import finebore.flow.FlowChange;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.practice.Practice;
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
   */
  public record OfSeat(
      SeatPlace place, SeatStudy study, Optional<PlanStudy> plan, List<Finding> findings) {

    public Optional<FlowChange> change() {
      return plan.flatMap(PlanStudy::change);
    }
  }

  public StudyFacts {
    seats = List.copyOf(seats);
  }

  /**
   * Studies every seat of a kind.
   *
   * @param here the practices that are here
   */
  public static StudyFacts of(Job job, Port port, State state, List<Practice> here) {
    return of(job, job.seats(port), state, here);
  }

  /** Studies one seat. */
  public static StudyFacts of(Job job, SeatPlace seat, State state, List<Practice> here) {
    return of(job, List.of(seat), state, here);
  }

  private static StudyFacts of(Job job, List<SeatPlace> seats, State state, List<Practice> here) {
    Port port = seats.getFirst().port();
    Practice practice = PracticeFiles.named(job.practice(), here);
    PredictionConfidence confidence = PredictionConfidence.of(job, port);
    return new StudyFacts(
        job,
        port,
        state,
        practice,
        confidence,
        seats.stream().map(s -> of(job, s, state, practice, confidence)).toList());
  }

  private static OfSeat of(
      Job job, SeatPlace seat, State state, Practice practice, PredictionConfidence confidence) {
    SeatStudy found = PlanStudy.asFound(job, seat, confidence.calibration());
    if (state == State.FOUND) {
      return new OfSeat(
          seat,
          found,
          Optional.empty(),
          SeatFindings.of(seat.label(), seat.port(), found.fit(), found.readings(), practice));
    }
    PlanStudy plan = PlanStudy.of(job, seat, job.planOf(seat), found);
    List<Finding> findings = new ArrayList<>(PlanFindings.of(plan.outcome(), practice));
    findings.addAll(FlowFindings.of(plan));
    return new OfSeat(seat, plan.finished(), Optional.of(plan), findings);
  }
}
