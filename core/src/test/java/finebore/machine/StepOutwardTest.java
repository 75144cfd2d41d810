package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import finebore.Samples;
import finebore.cutting.CutForm;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.machine.StepOutward.Trial;
import finebore.planning.SeatOutcome;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** From a trial cut to the wanted ring, never past the metal. */
class StepOutwardTest {

  private static final double SHORT_BY = 0.2;

  private static final Job JOB = job();

  private static Job job() {
    Job job = MachineJob.job();
    Plan plan =
        Plan.of(
            job.intake().planned(),
            List.of(
                OpenThroat.AS_WANTED,
                new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(0, false))));
    return job.withIntake(job.intake().withPlan(plan));
  }

  private static SeatOutcome seat(Job job) {
    var place = job.engine().seats().getFirst();
    return SeatOutcome.of(job, place, job.planOf(place));
  }

  private static StepOutward next(Job job, Trial trial) {
    return StepOutward.of(job, seat(job), 1, trial, SHORT_BY, Samples.practice()).orElseThrow();
  }

  private static double wanted(Job job) {
    return seat(job).cut().fit().seated().orElseThrow().contact().outsideDiameterMm();
  }

  /** Far away, a step stops short; near by, it goes all the way; there, nothing is cut. */
  @Test
  void stepsOutwardAndStops() {
    double wanted = wanted(JOB);
    // The pointer says 40.00 and the ring is 0.06 larger: that comes off the next setting.
    StepOutward far = next(JOB, new Trial(40, 9.7, 40.06));
    assertThat(far.pointerOffMm()).isCloseTo(0.06, offset(1e-9));
    assertThat(far.pointerMm()).isCloseTo(wanted - 0.2 - 0.06, offset(1e-9));
    assertThat(far.leftMm()).isCloseTo(0.2, offset(1e-9));
    assertThat(far.heldBy()).isEmpty();
    assertThat(far.isThere()).isFalse();
    StepOutward near = next(JOB, new Trial(wanted - 0.36, 9.7, wanted - 0.3));
    assertThat(near.pointerMm()).isCloseTo(wanted - 0.06, offset(1e-9));
    assertThat(near.leftMm()).isCloseTo(0, offset(1e-9));
    assertThat(near.isThere()).isFalse();
    // Up to twice the allowance away there is no use in stopping short.
    assertThat(next(JOB, new Trial(40, 9.7, wanted - 2 * SHORT_BY + 1e-6)).leftMm())
        .isCloseTo(0, offset(1e-9));
    assertThat(next(JOB, new Trial(40, 9.7, wanted - 2 * SHORT_BY - 1e-6)).leftMm())
        .isCloseTo(SHORT_BY, offset(1e-9));
    StepOutward there = next(JOB, new Trial(wanted - 0.06, 9.8, wanted - 0.019));
    assertThat(there.isThere()).isTrue();
    assertThat(there.pointerMm()).isEqualTo(wanted - 0.06);
    assertThat(next(JOB, new Trial(wanted - 0.06, 9.8, wanted - 0.021)).isThere()).isFalse();
  }

  /** It goes at least as deep as the trial stood, and deeper where it does not clean up there. */
  @Test
  void goesDeepEnoughToCleanUp() {
    assertThat(next(JOB, new Trial(40, 12, 40)).depthMm()).isEqualTo(12);
    double clean = next(JOB, new Trial(40, 1, 40)).depthMm();
    assertThat(clean).isGreaterThan(9).isLessThan(11);
  }

  /** Thin wall to water holds the step back where there is no more, and says so. */
  @Test
  void neverGoesPastTheMetal() {
    Job thin =
        JOB.withHead(JOB.head().withReading("I1", Measure.WALL_SEAT, OptionalDouble.of(0.2)));
    StepOutward held = next(thin, new Trial(39, 10.1, 39));
    assertThat(held.heldBy()).contains(FindingCode.THROUGH_TO_WATER);
    assertThat(held.leftMm()).isGreaterThan(SHORT_BY);
    // Where it stops, nothing is through; a little further, it is.
    assertThat(next(thin, new Trial(held.pointerMm(), 10.1, held.pointerMm())).pointerMm())
        .isCloseTo(held.pointerMm(), offset(0.01));
    assertThat(next(thin, new Trial(39, 9.7, 39)).heldBy()).isEmpty();
  }

  @Test
  void whatIsNoFormCutHasNoNextStep() {
    assertThat(
            StepOutward.of(JOB, seat(JOB), 0, new Trial(40, 9.7, 40), SHORT_BY, Samples.practice()))
        .isEmpty();
  }
}
