package finebore.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.flow.Calibration;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FlowFindingsTest {

  private static final Pairing NARROW = Samples.pairing().withSeat(Samples.fourAngles(0.82));

  /** A plan that opens the throat from 0.82 to 0.90 of the valve, behind some port. */
  private static PlanStudy behind(double portLoss, boolean tested) {
    Job base = Samples.job();
    Job job = base.withIntake(base.intake().withFound(NARROW));
    SeatPlace place = job.engine().seats().getFirst();
    Calibration port =
        new Calibration(portLoss, 1, tested ? OptionalInt.of(1) : OptionalInt.empty());
    SeatStudy found = PlanStudy.asFound(job, place, port);
    Pairing wanted = NARROW.withSeat(Samples.fourAngles(0.90));
    return PlanStudy.of(job, place, Plan.of(wanted, job.planOf(place).operations()), found);
  }

  private static List<Finding> of(PlanStudy plan, FindingCode code) {
    return FlowFindings.of(plan).stream().filter(f -> f.code() == code).toList();
  }

  private static double share(Finding finding, String term) {
    return ((Term.Figure) finding.terms().get(term)).value();
  }

  @ParameterizedTest
  @CsvSource({"0.2, true, 0", "6, true, 1", "6, false, 0"})
  void saysThatATestedPortHoldsTheRestBack(double loss, boolean tested, int findings) {
    PlanStudy plan = behind(loss, tested);
    List<Finding> found = of(plan, FindingCode.PORT_HOLDS_BACK);
    assertThat(found).hasSize(findings);
    if (findings == 1) {
      double alone = share(found.getFirst(), "alone");
      double whole = share(found.getFirst(), "whole");
      assertThat(alone).isGreaterThan(0.03);
      assertThat(whole).isLessThan(0.5 * alone);
      // Without a port the whole gain is that of seat and valve.
      PlanStudy free = behind(0, true);
      double without =
          free.finished().curve().orElseThrow().atCamLift().effectiveAreaMm2()
              / free.found().curve().orElseThrow().atCamLift().effectiveAreaMm2();
      assertThat(without - 1).isCloseTo(alone, within(1e-6));
    }
  }

  /** Lifts far below any that was solved, 0.02 of the valve: from the least to the most of them. */
  @Test
  void saysWhichLiftsAreUnlikeAnySolved() {
    Job base = Samples.job();
    TestPlan test = base.test();
    Job job =
        base.withSettings(
            base.settings()
                .withTest(
                    new TestPlan(List.of(0.01, 0.02, 5.0), test.depressionPa(), test.bands())));
    List<Finding> found = of(Samples.planned(job), FindingCode.UNLIKE_SOLVED);
    assertThat(found).hasSize(1);
    assertThat(share(found.getFirst(), "from")).isEqualTo(0.01);
    assertThat(share(found.getFirst(), "to")).isEqualTo(0.02);
  }

  @Test
  void aSeatOfOrdinaryWorkIsKnown() {
    assertThat(of(behind(0.5, false), FindingCode.UNLIKE_SOLVED)).isEmpty();
  }
}
