package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.job.Engine;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.room.AxisPlace;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/**
 * Places worked by hand from a triangle: the bore's axis 18 mm from the intake's and 25 from the
 * exhaust's, these 40 apart. Along the line of valves the intake then lies (25^2 - 18^2 - 40^2) /
 * 80 = -16.2375 off the bore, and 7.7682 beside it.
 */
class UsualPlaceTest {

  private static final double ALONG = -16.2375;
  private static final double BESIDE = Math.sqrt(18 * 18 - ALONG * ALONG);

  private static Job job(int each, OptionalDouble spacing, OptionalDouble i, OptionalDouble e) {
    Job job = Samples.job();
    return job.withEngine(new Engine(1, each, each, 86, 86, 6500, OptionalDouble.empty(), spacing))
        .withIntake(job.intake().withAxisFromBoreMm(i))
        .withExhaust(job.exhaust().withAxisFromBoreMm(e));
  }

  private static final Job TOLD =
      job(1, OptionalDouble.of(40), OptionalDouble.of(18), OptionalDouble.of(25));

  private static Job layout(Job job, double lineDeg, double plugX, double plugY) {
    return job.withHead(
        job.head()
            .withLayout(Optional.of(new HeadLayout(1, 95, 90, lineDeg, plugX, plugY, 14, 0, 0))));
  }

  private static void assertAt(Job job, int seat, double along, double across) {
    AxisPlace at = UsualPlace.of(job, job.engine().seats().get(seat));
    assertThat(at.alongMm()).isCloseTo(along, within(1e-9));
    assertThat(at.acrossMm()).isCloseTo(across, within(1e-9));
  }

  @Test
  void onTheSideAwayFromThePlug() {
    Job across = layout(TOLD, 90, 14, 0);
    assertAt(across, 0, -BESIDE, ALONG);
    assertAt(across, 1, -BESIDE, ALONG + 40);
    assertAt(layout(TOLD, 90, -14, 0), 0, BESIDE, ALONG);
    assertAt(layout(TOLD, 0, 0, 14), 0, ALONG, -BESIDE);
    assertAt(layout(TOLD, 0, 0, -14), 1, ALONG + 40, BESIDE);
    // A plug on the line itself says nothing.
    assertAt(layout(TOLD, 0, 14, 0), 0, ALONG, BESIDE);
  }

  @Test
  void theLineOfValvesIsTurned() {
    double c = Math.sqrt(3) / 2;
    assertAt(layout(TOLD, 30, 14, 0), 0, ALONG * c - BESIDE / 2, ALONG / 2 + BESIDE * c);
    assertAt(layout(TOLD, 30, 0, 14), 0, ALONG * c + BESIDE / 2, ALONG / 2 - BESIDE * c);
  }

  @Test
  void fromTheValvesWhereNothingIsSaid() {
    // Both valves are 42 mm, 2 between them.
    Job job =
        layout(
            job(1, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
            90,
            14,
            0);
    assertAt(job, 0, 0, -22);
    assertAt(job, 1, 0, 22);
  }

  @Test
  void axesTooNearForATriangleLieInLine() {
    Job job =
        layout(
            job(1, OptionalDouble.of(40), OptionalDouble.of(10), OptionalDouble.of(10)), 90, 14, 0);
    assertAt(job, 0, 0, -20);
    assertAt(job, 1, 0, 20);
  }

  @Test
  void twoOfAKindLieBesideEachOther() {
    Job job =
        layout(
            job(2, OptionalDouble.of(40), OptionalDouble.empty(), OptionalDouble.empty()),
            0,
            0,
            14);
    assertAt(job, 0, -20, -22);
    assertAt(job, 1, -20, 22);
    assertAt(job, 2, 20, -22);
    assertAt(job, 3, 20, 22);
  }
}
