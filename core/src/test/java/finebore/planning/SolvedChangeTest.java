package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.Calibration;
import finebore.flow.FlowChange;
import finebore.flow.field.AirChange;
import finebore.flow.field.KnownAir;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is solved takes the place of the estimate, lift by lift, on made-up areas. */
class SolvedChangeTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace PLACE = JOB.engine().seats().getFirst();
  private static final PlanStudy PLAN =
      PlanStudy.of(
          JOB, PLACE, JOB.planOf(PLACE), PlanStudy.asFound(JOB, PLACE, Calibration.UNCALIBRATED));
  private static final List<Double> LIFTS = JOB.test().liftsMm();

  /** Found 100 by one closure and 110 by the other; planned 120 and 121; the rest unknown. */
  private static KnownAir air(double... solvedLifts) {
    return question -> {
      for (double lift : solvedLifts) {
        boolean even = question.turbulence() == Turbulence.EVEN;
        if (question.equals(at(true, lift, even))) {
          return new SolvedArea(even ? 100 : 110, 40);
        }
        if (question.equals(at(false, lift, even))) {
          return new SolvedArea(even ? 120 : 121, 40);
        }
      }
      return SolvedArea.NONE;
    };
  }

  private static Object at(boolean found, double lift, boolean even) {
    return SolvedChange.questions(found ? PLAN.found() : PLAN.finished(), lift).get(even ? 0 : 1);
  }

  private static KnownAir withoutTransport(KnownAir air) {
    return q -> q.turbulence() == Turbulence.EVEN ? air.of(q) : SolvedArea.NONE;
  }

  @Test
  void countsWhereBothClosuresAreSolved() {
    double second = LIFTS.get(1);
    SolvedChange solved = PLAN.solved(air(second));
    assertThat(solved.count()).isEqualTo(1);
    assertThat(solved.at(LIFTS.get(0))).isEmpty();
    double port = PLAN.found().portPerMm4();
    double share = AirChange.share(100, 120, port);
    AirChange there = solved.at(second).orElseThrow();
    assertThat(there.share()).isCloseTo(share, within(1e-12));
    assertThat(there.transport()).isCloseTo(AirChange.share(110, 121, port), within(1e-12));
    FlowChange estimated = PLAN.change().orElseThrow();
    FlowChange counted = PLAN.counted(solved).orElseThrow();
    for (int k = 0; k < LIFTS.size(); k++) {
      assertThat(counted.steps().get(k).share())
          .isCloseTo(k == 1 ? share : estimated.steps().get(k).share(), within(1e-12));
    }
    assertThat(counted.camMeanShare()).isNotEqualTo(estimated.camMeanShare());
  }

  @Test
  void oneClosureAloneChangesNothing() {
    SolvedChange half = PLAN.solved(withoutTransport(air(LIFTS.get(2))));
    assertThat(half.byLiftMm()).containsOnlyKeys(LIFTS.get(2));
    assertThat(half.count()).isZero();
    assertThat(half.at(LIFTS.get(2))).isEmpty();
    assertThat(PLAN.counted(half)).isEqualTo(PLAN.change());
  }

  @Test
  void nothingSolvedIsTheEstimate() {
    assertThat(PLAN.solved(KnownAir.NONE)).isEqualTo(SolvedChange.NONE);
    assertThat(PLAN.counted(SolvedChange.NONE)).isEqualTo(PLAN.change());
  }
}
