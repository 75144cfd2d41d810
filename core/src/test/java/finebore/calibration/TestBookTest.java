package finebore.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.Noise;
import finebore.bench.SetUp.TestedState;
import finebore.flow.Bands.Band;
import finebore.flow.Calibration;
import finebore.flow.CamLift;
import finebore.flow.Direction;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.job.TestPlan;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** The tests of a job brought to standard, kept from edit to edit, and held against each other. */
class TestBookTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace PLACE = JOB.engine().seats().getFirst();

  /** A test of the head as found that reads what the model gives with no port, times a share. */
  private static FlowTest test(Job job, int id, double share, double... scatter) {
    FlowTest test =
        NextTest.of(
                job,
                PLACE,
                TestedState.AS_FOUND,
                "t" + id,
                PredictionConfidence.of(job, Port.INTAKE))
            .withId(id);
    test = test.withSetUp(test.setUp().withLeakageM3s(OptionalDouble.of(0)));
    var curve =
        TestedSeat.study(job, test.setUp(), job.test().liftsMm(), Calibration.UNCALIBRATED)
            .orElseThrow()
            .curve()
            .orElseThrow();
    for (var point : curve.points()) {
      LiftReadings lift = LiftReadings.of(point.liftMm(), List.of());
      for (double s : scatter.length == 0 ? new double[] {0} : scatter) {
        lift = lift.withReading(BenchReading.flow(point.flowM3s() * share * (1 + s)));
      }
      test = test.with(lift);
    }
    return test;
  }

  private static Job with(FlowTest... tests) {
    return JOB.withBench(new BenchBook(List.of(), List.of(tests)));
  }

  /** The plan's own valve, or a back cut on the found one, is what was changed: it is ranked. */
  @Test
  void whatThePlanDoesToTheValveIsTheChange() {
    var found = JOB.foundValve(PLACE);
    var backCut =
        found
            .withFaceWidthMm(found.faceWidthMm() * 0.8)
            .withBackCuts(List.of(new finebore.seat.Cut(30, 1)));
    for (var valve : List.of(found.withHeadDiameterMm(found.headDiameterMm() + 1), backCut)) {
      Job job = JOB.withIntake(JOB.intake().withPlanned(JOB.intake().planned().withValve(valve)));
      FlowTest before = test(job, 1, 1);
      FlowTest after =
          before
              .withId(2)
              .withSetUp(
                  before
                      .setUp()
                      .withState(new TestedState(TestedState.Kind.FINISHED, 0))
                      .withValve(finebore.bench.SetUp.TestedValve.of(valve, "planned")));
      TestBook book = TestBook.of(job.withBench(new BenchBook(List.of(), List.of(before, after))));
      assertThat(book.compare(before, after).isRanked()).isTrue();
      assertThat(book.compare(before, after).differences())
          .extracting(d -> d.message().code())
          .contains("difference.tried");
      // Another valve than the plan's is no such change.
      FlowTest other =
          after.withSetUp(
              after
                  .setUp()
                  .withValve(
                      finebore.bench.SetUp.TestedValve.of(
                          valve.withHeadDiameterMm(valve.headDiameterMm() + 0.5), "")));
      TestBook odd = TestBook.of(job.withBench(new BenchBook(List.of(), List.of(before, other))));
      assertThat(odd.compare(before, other).isRanked()).isFalse();
    }
  }

  @Test
  void whatDidNotChangeIsNotReducedAgain() {
    FlowTest first = test(JOB, 1, 1);
    FlowTest second = test(JOB, 2, 1.1);
    Job job = with(first, second);
    TestBook book = TestBook.of(job);
    TestBook renamed = TestBook.of(job.withNotes("more"), Optional.of(book));
    assertThat(renamed.reduced()).isSameAs(book.reduced());
    assertThat(renamed.job().notes()).isEqualTo("more");
    Job changed = job.withBench(job.bench().with(second.withName("other")));
    TestBook after = TestBook.of(changed, Optional.of(book));
    assertThat(after.reduced(first)).isSameAs(book.reduced(first));
    assertThat(after.reduced(second)).isNotSameAs(book.reduced(second));
    assertThat(after.reduced(second).test().name()).isEqualTo("other");
    // Another depression changes every figure.
    TestPlan lower =
        new TestPlan(job.test().liftsMm(), job.test().depressionPa() / 4, job.test().bands());
    TestBook slow = TestBook.of(job.withTest(lower), Optional.of(book));
    assertThat(slow.reduced(first).lifts().getFirst().meanM3s())
        .isCloseTo(book.reduced(first).lifts().getFirst().meanM3s() / 2, within(1e-12));
    assertThatThrownBy(() -> book.reduced(first.withId(7)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void everyBenchHasItsOwnNoise() {
    FlowTest quiet = test(JOB, 1, 1, 0.002, -0.002);
    FlowTest loud = test(JOB, 2, 1, 0.01, -0.01);
    FlowTest elsewhere = loud.withSetUp(loud.setUp().withBench("other"));
    TestBook book = TestBook.of(with(quiet, elsewhere));
    assertThat(book.noise(quiet).share()).isCloseTo(0.002 * Math.sqrt(2), within(1e-9));
    assertThat(book.noise(elsewhere).share()).isCloseTo(0.01 * Math.sqrt(2), within(1e-9));
    FlowTest unknown = loud.withSetUp(loud.setUp().withBench("nobody's"));
    assertThat(book.noise(unknown)).isEqualTo(Noise.UNKNOWN);
  }

  /** Intakes are weighed by the intake's cam, exhausts by theirs. */
  @Test
  void testsAreComparedByTheirOwnPortsCam() {
    FlowTest first = test(JOB, 1, 1);
    FlowTest second = test(JOB, 2, 1.05).withStep(Optional.of(1), "step", false);
    Job job = with(first, second);
    TestBook book = TestBook.of(job);
    assertThat(book.compare(first, second).camShare().orElseThrow()).isCloseTo(0.05, within(1e-9));
    assertThat(book.ladder(second).rungs()).hasSize(2);
    assertThat(
            book.ladder(second)
                .rungs()
                .getLast()
                .alone()
                .orElseThrow()
                .bands()
                .get(Band.LOW)
                .share())
        .isCloseTo(0.05, within(1e-9));
    CamLift high = new CamLift(14, 270);
    Job intake = job.withIntake(job.intake().withCam(high));
    assertThat(TestBook.of(intake).compare(first, second).camShare()).isEmpty();
    Job exhaust = job.withExhaust(job.exhaust().withCam(high));
    assertThat(TestBook.of(exhaust).compare(first, second).camShare()).isPresent();
  }

  @Test
  void aWrongUnitIsAskedAboutAgainstATestOfTheSameSeatOrTheModel() {
    double cfm = 1 / 0.47194745;
    FlowTest right = test(JOB, 1, 1);
    FlowTest wrong = test(JOB, 2, cfm);
    assertThat(TestBook.of(with(wrong)).unitMixUp(wrong)).isPresent();
    assertThat(TestBook.of(with(right)).unitMixUp(right)).isEmpty();
    assertThat(TestBook.of(with(right, wrong)).unitMixUp(wrong)).isPresent();
    // A test of the same seat counts before the model: both may be right about a strange port.
    FlowTest alike = test(JOB, 3, cfm);
    assertThat(TestBook.of(with(alike, wrong)).unitMixUp(wrong)).isEmpty();
    // One without readings, and one of another seat, say nothing.
    FlowTest empty = alike.withLifts(List.of());
    assertThat(TestBook.of(with(empty, wrong)).unitMixUp(wrong)).isPresent();
    FlowTest other = alike.withSetUp(alike.setUp().withSeat("E1", Direction.EXHAUST));
    assertThat(TestBook.of(with(other, wrong)).unitMixUp(wrong)).isPresent();
  }

  @Test
  void aDoubtfulReadingIsFoundWithTheModelsOpinion() {
    FlowTest test = test(JOB, 1, 1);
    double third = test.lifts().get(2).readings().getFirst().value();
    FlowTest odd =
        test.with(
            LiftReadings.of(test.lifts().get(2).liftMm(), List.of(BenchReading.flow(third * 1.4))));
    TestBook book = TestBook.of(with(odd));
    assertThat(book.suspects(odd, Calibration.UNCALIBRATED))
        .singleElement()
        .satisfies(
            s -> {
              assertThat(s.liftMm()).isEqualTo(test.lifts().get(2).liftMm());
              assertThat(s.modelM3s().orElseThrow()).isCloseTo(third, within(0.02 * third));
            });
    assertThat(book.suspects(odd)).hasSize(1);
    FlowTest empty = test.withLifts(List.of());
    assertThat(TestBook.of(with(empty)).suspects(empty)).isEmpty();
  }

  /** A narrower fixture shrouds a valve whose place was measured, and more so at high lift. */
  @Test
  void anotherFixturesBoreIsWorthWhatTheWallsTake() {
    FlowTest wide = test(JOB, 1, 1);
    wide = wide.withSetUp(wide.setUp().withBoreMm(OptionalDouble.of(110)));
    FlowTest narrow = wide.withId(2).withSetUp(wide.setUp().withBoreMm(OptionalDouble.of(84)));
    assertThat(FixtureEffect.of(JOB, wide, narrow)).isEmpty();
    Job placed =
        JOB.withHead(
            JOB.head()
                .withReading("I1", Measure.AXIS_ALONG, OptionalDouble.of(-20))
                .withReading("I1", Measure.AXIS_ACROSS, OptionalDouble.of(2)));
    FixtureEffect effect = FixtureEffect.of(placed, wide, narrow).orElseThrow();
    assertThat(effect.lowLiftMm()).isEqualTo(1);
    assertThat(effect.highLiftMm()).isEqualTo(11);
    assertThat(effect.highShare()).isBetween(-0.4, -0.005);
    assertThat(effect.lowShare()).isGreaterThan(effect.highShare()).isLessThanOrEqualTo(0);
    FixtureEffect back = FixtureEffect.of(placed, narrow, wide).orElseThrow();
    assertThat((1 + back.highShare()) * (1 + effect.highShare())).isCloseTo(1, within(1e-9));
    assertThat(FixtureEffect.of(placed, wide, wide.withId(3))).isEmpty();
    assertThat(FixtureEffect.of(placed, wide, narrow.withLifts(narrow.lifts().subList(0, 1))))
        .isEmpty();
    assertThat(FixtureEffect.of(placed, wide, narrow.withLifts(narrow.lifts().subList(0, 2))))
        .isPresent();
  }

  /** Bias and spread of what was predicted, by hand: +2 % and -1 % have a bias of +0.5 %. */
  @Test
  void aScoreIsBiasAndSpreadOfWhatWasPredicted() {
    FlowTest base = test(JOB, 1, 1);
    double at1 = base.lifts().getFirst().readings().getFirst().value();
    double at2 = base.lifts().get(1).readings().getFirst().value();
    FlowTest said =
        base.withPredicted(
            List.of(
                new FlowTest.Predicted(1, at1 / 1.02, 0.01),
                new FlowTest.Predicted(2, at2 / 0.99, 0.01),
                new FlowTest.Predicted(9.5, 1, 0.01)));
    Score score = Score.of(TestBook.of(with(said)), Port.INTAKE, Optional.empty());
    assertThat(score.misses()).hasSize(2);
    Score.Figures low = score.bands().get(Band.LOW);
    assertThat(low.lifts()).isEqualTo(2);
    assertThat(low.bias()).isCloseTo(0.005, within(1e-9));
    assertThat(low.spread()).isCloseTo(0.015 * Math.sqrt(2), within(1e-9));
    assertThat(score.bands()).containsOnlyKeys(Band.LOW);
    assertThat(Score.of(TestBook.of(with(said)), Port.EXHAUST, Optional.empty()))
        .isEqualTo(Score.NONE);
    assertThat(
            Score.of(
                    TestBook.of(with(base.withPredicted(List.of()))), Port.INTAKE, Optional.empty())
                .misses())
        .isEmpty();
    // What was calibrated on it cannot be judged by it.
    ModelFit fit = ModelFit.of(with(said), Port.INTAKE).orElseThrow();
    assertThat(Score.of(TestBook.of(with(said)), Port.INTAKE, Optional.of(fit)))
        .isEqualTo(Score.NONE);
  }
}
