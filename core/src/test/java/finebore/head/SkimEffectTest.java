package finebore.head;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.TakeWallBack;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SkimEffectTest {

  private static final SeatPlace I1 = Samples.job().engine().seats().getFirst();

  /** A chamber of 60 by 50, 10 deep, whose wall goes back by an operation. */
  private static Job job() {
    Job job = Samples.job();
    Head head =
        job.head()
            .withReading("I1", Measure.AXIS_ALONG, OptionalDouble.of(0))
            .withReading("I1", Measure.AXIS_ACROSS, OptionalDouble.of(0))
            .withReading("I1", Measure.CHAMBER_DEPTH, OptionalDouble.of(10))
            .withCompressionRatio(OptionalDouble.of(10.5))
            .withChamber(
                1,
                Optional.of(
                    new ChamberOutline(
                        1,
                        List.of(
                            new Corner(-30, -25),
                            new Corner(30, -25),
                            new Corner(30, 25),
                            new Corner(-30, 25)))));
    return job.withHead(head)
        .withPlan(I1, job.planOf(I1).withOperations(List.of(new TakeWallBack(0, 12, 30))));
  }

  private static SkimEffect of(Job job) {
    return SkimEffect.of(SeatOutcome.of(job, I1, job.planOf(I1))).orElseThrow();
  }

  /** A prism: what the plan adds to the chamber, over the chamber's mouth. */
  @Test
  void theSkimIsThePrismOfWhatWasAdded() {
    Job job = job();
    SkimEffect skim = of(job);
    SeatOutcome outcome = SeatOutcome.of(job, I1, job.planOf(I1));
    double swept = Math.PI / 4 * 86 * 86 * 86;
    double ratio = outcome.reading(ReadingKind.COMPRESSION).orElseThrow();
    double added = swept / (ratio - 1) - swept / 9.5;
    assertThat(added).isPositive();
    assertThat(skim.skimMm()).isCloseTo(added / (60 * 50), within(1e-9));
    assertThat(skim.ratioFound()).isEqualTo(10.5);
    assertThat(skim.seatDepthMm())
        .isCloseTo(outcome.cut().fit().seat().seat().depthMm() - skim.skimMm(), within(1e-12));
    assertThat(skim.thicknessLeftMm()).isEmpty();
    assertThat(skim.intakeFaceMm()).isEmpty();
  }

  @Test
  void whatTheHeadHasLeftIsSaid() {
    Job job =
        job()
            .withHead(
                job()
                    .head()
                    .withThicknessMm(OptionalDouble.of(120))
                    .withLeastThicknessMm(OptionalDouble.of(119.9)));
    SkimEffect skim = of(job);
    assertThat(skim.thicknessLeftMm().orElseThrow())
        .isCloseTo(0.1 - skim.skimMm(), within(1e-9))
        .isNegative();
  }

  /** What is quoted for V engines, for each unit of skim; common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "90, 0, 1.000, 1.414",
    "90, 5, 1.100, 1.550",
    "90, 10, 1.23, 1.71",
    "60, 0, 0.577, 1.155"
  })
  void theManifoldOfAVeeSinks(double bank, double face, double intake, double rails) {
    Job job =
        job()
            .withHead(
                job()
                    .head()
                    .withBankDeg(OptionalDouble.of(bank))
                    .withIntakeFaceDeg(OptionalDouble.of(face)));
    SkimEffect skim = of(job);
    assertThat(skim.intakeFaceMm().orElseThrow() / skim.skimMm()).isCloseTo(intake, within(0.005));
    assertThat(skim.endRailMm().orElseThrow() / skim.skimMm()).isCloseTo(rails, within(0.01));
  }

  @Test
  void nothingIsToldWhereNothingIsLostOrKnown() {
    Job none = job().withPlan(I1, job().planOf(I1).withOperations(List.of()));
    assertThat(SkimEffect.of(SeatOutcome.of(none, I1, none.planOf(I1)))).isEmpty();
    Job noRatio = job().withHead(job().head().withCompressionRatio(OptionalDouble.empty()));
    assertThat(SkimEffect.of(SeatOutcome.of(noRatio, I1, noRatio.planOf(I1)))).isEmpty();
    Job noMouth = job().withHead(job().head().withChamber(1, Optional.empty()));
    assertThat(SkimEffect.of(SeatOutcome.of(noMouth, I1, noMouth.planOf(I1)))).isEmpty();
    // A single in line has no bank.
    Job line = job().withHead(job().head().withBankDeg(OptionalDouble.of(0)));
    assertThat(of(line).intakeFaceMm()).isEmpty();
  }
}
