package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.CutUnder;
import finebore.cutting.Cutter;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.SeatOutcome;
import finebore.practice.Practice;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What ships passes the practices that ship: cutters by what they are for, and usual operations.
 */
class RackAgainstPracticesTest {

  private static final List<ReadingKind> OF_THE_STACK =
      List.of(ReadingKind.LAST_CUT, ReadingKind.ANGLE_STEP);

  static List<Cutter> rack() {
    return RackFile.shipped();
  }

  private static SeatOutcome outcome(Port port, Cutter cutter, List<CutUnder> under) {
    Job job = JobFile.demo();
    SeatPlace place = job.seats(port).getFirst();
    Seat seat = job.planOf(place).wanted().seat();
    Plan plan =
        Plan.usual(
            job.planOf(place)
                .wanted()
                .withSeat(seat.withCuts(cutter.elements(), cutter.sealing())));
    for (CutUnder cut : under) {
      plan = plan.withOperation(plan.steps().size(), cut);
    }
    return SeatOutcome.of(job, place, plan);
  }

  /** Steps and last cut of every stack lie within what every practice wants. */
  @ParameterizedTest
  @MethodSource("rack")
  void everyCutterPasses(Cutter cutter) {
    Port port = cutter.use().contains("exhaust") ? Port.EXHAUST : Port.INTAKE;
    SeatOutcome outcome = outcome(port, cutter, List.of());
    if (outcome.cut().fit().seat().shown().stream().anyMatch(c -> c.shownMm() <= 0)) {
      // The demo's throat has taken its lower cuts, which is another matter.
      return;
    }
    for (Practice practice : PracticeFiles.all()) {
      for (ReadingKind kind : OF_THE_STACK) {
        outcome
            .reading(kind)
            .ifPresent(
                value ->
                    assertThat(practice.wanted(port, kind).orElseThrow().holds(value))
                        .as(cutter.name() + " " + practice.id() + " " + kind + " " + value)
                        .isTrue());
      }
    }
  }

  /** The recommended undercut is judged by its lean and is no last cut of 77.5. */
  @Test
  void theUsualUndercutPasses() {
    for (Cutter cutter : rack()) {
      SeatOutcome without = outcome(Port.INTAKE, cutter, List.of());
      SeatOutcome with = outcome(Port.INTAKE, cutter, List.of(CutUnder.USUAL));
      for (ReadingKind kind : OF_THE_STACK) {
        with.reading(kind)
            .ifPresent(v -> assertThat(v).isLessThanOrEqualTo(without.reading(kind).orElse(v)));
      }
    }
  }
}
