package finebore.planning;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a plan makes of one seat, with everything that can be read off it but flow.
 *
 * @param cut the plan carried out
 * @param readings what can be read off, in the order of {@link ReadingKind}
 */
public record SeatOutcome(CutStudy cut, List<Reading> readings) {

  public SeatOutcome {
    readings = readings.stream().sorted(Comparator.comparing(Reading::kind)).toList();
  }

  public static SeatOutcome of(Job job, SeatPlace place, Plan plan) {
    return OfSeat.working(place, () -> of(CutStudy.of(job, place, plan)));
  }

  /** Reads off what a plan made of a seat. */
  static SeatOutcome of(CutStudy cut) {
    List<Reading> readings = new ArrayList<>(SeatStudy.readingsOf(cut.fit()));
    readings.addAll(AllPlanReadings.of(cut));
    return new SeatOutcome(cut, readings);
  }

  /** Reads off again what may differ, where it was carried out in another job or plan. */
  SeatOutcome read(CutStudy again) {
    if (again.fit() != cut.fit()) {
      return of(again);
    }
    List<Reading> all =
        new ArrayList<>(
            readings.stream().filter(r -> !AllPlanReadings.isOfWalls(r.kind())).toList());
    all.addAll(AllPlanReadings.ofWalls(again));
    return new SeatOutcome(again, all);
  }

  /** What another plan makes of the same seat, in a job that differs by nothing else. */
  public SeatOutcome with(Job job, Plan plan) {
    return read(cut.with(job, plan));
  }

  /** The same in a job that differs by its flow tests alone. */
  SeatOutcome in(Job job) {
    return new SeatOutcome(cut.in(job), readings);
  }

  public SeatPlace place() {
    return cut.place();
  }

  public Plan plan() {
    return cut.plan();
  }

  public OptionalDouble reading(ReadingKind kind) {
    return Reading.of(readings, kind);
  }
}
