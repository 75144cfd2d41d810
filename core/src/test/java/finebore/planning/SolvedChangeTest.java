package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.Calibration;
import finebore.flow.FlowChange;
import finebore.flow.field.AirChange;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.KnownAir;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SolvedChange.Questions;
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
    Questions asked = Questions.of(PLAN.found(), PLAN.finished(), lift);
    return (found ? asked.found() : asked.planned()).get(even ? 0 : 1);
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

  /** Below a twentieth of the found head the full grid is asked for as well, of both the same. */
  @Test
  void theLowestLiftsAreAskedOfTheFullGridToo() {
    double limit = 0.05 * PLAN.found().pairing().valve().headDiameterMm();
    Questions low = Questions.of(PLAN.found(), PLAN.finished(), limit - 0.001);
    assertThat(low.found()).hasSize(3);
    assertThat(low.planned()).hasSize(3);
    assertThat(low.planned().getLast())
        .isEqualTo(low.planned().getFirst().with(Fineness.FULL))
        .isNotEqualTo(low.planned().getFirst());
    assertThat(low.planned().getLast().turbulence()).isEqualTo(Turbulence.EVEN);
    assertThat(Questions.of(PLAN.found(), PLAN.finished(), limit + 0.001).planned()).hasSize(2);
  }

  @Test
  void aLowLiftCountsAtOnceAndIsClearOnceTheFullGridAgrees() {
    double lowest = LIFTS.getFirst();
    KnownAir coarse = q -> q.fineness() == Fineness.FULL ? SolvedArea.NONE : air(lowest).of(q);
    AirChange early = PLAN.solved(coarse).at(lowest).orElseThrow();
    assertThat(early.isFullAsked()).isTrue();
    assertThat(early.isClear()).isFalse();
    AirQuestion found = Questions.of(PLAN.found(), PLAN.finished(), lowest).found().getLast();
    KnownAir both =
        q ->
            q.fineness() == Fineness.FULL
                ? new SolvedArea(q.equals(found) ? 100 : 115, 40)
                : air(lowest).of(q);
    AirChange late = PLAN.solved(both).at(lowest).orElseThrow();
    assertThat(late.isClear()).isTrue();
    assertThat(late.share())
        .isCloseTo(AirChange.share(100, 115, PLAN.found().portPerMm4()), within(1e-12));
    assertThat(early.share()).isGreaterThan(late.share());
  }

  @Test
  void nothingSolvedIsTheEstimate() {
    assertThat(PLAN.solved(KnownAir.NONE)).isEqualTo(SolvedChange.NONE);
    assertThat(PLAN.counted(SolvedChange.NONE)).isEqualTo(PLAN.change());
  }
}
