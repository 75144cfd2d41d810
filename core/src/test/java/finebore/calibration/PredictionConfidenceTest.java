package finebore.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SetUp.TestedState;
import finebore.flow.Bands.Band;
import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.FlowCurve;
import finebore.flow.Spread;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The model calibrated on a test whose truth is known, its predictions, and what is learnt. */
class PredictionConfidenceTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace PLACE = JOB.engine().seats().getFirst();
  private static final Calibration TRUTH = new Calibration(0.9, 0.94, OptionalInt.empty());

  /** A test that reads what the model would give with a port, times a share. */
  private static FlowTest test(Job job, TestedState state, double share) {
    FlowTest test =
        NextTest.of(job, PLACE, state, "a test", PredictionConfidence.of(job, Port.INTAKE));
    test = test.withSetUp(test.setUp().withLeakageM3s(OptionalDouble.of(0)));
    FlowCurve curve =
        TestedSeat.study(job, test.setUp(), job.test().liftsMm(), TRUTH)
            .orElseThrow()
            .curve()
            .orElseThrow();
    for (var point : curve.points()) {
      test =
          test.with(
              LiftReadings.of(point.liftMm(), List.of(BenchReading.flow(point.flowM3s() * share))));
    }
    return test;
  }

  private static Job with(Job job, FlowTest test) {
    return job.withBench(job.bench().with(test));
  }

  private static final Job TESTED = with(JOB, test(JOB, TestedState.AS_FOUND, 1));

  @Test
  void thePortIsFoundInTheTestOfTheHeadAsFound() {
    ModelFit fit = ModelFit.of(TESTED, Port.INTAKE).orElseThrow();
    assertThat(fit.fit().calibration().portLoss()).isCloseTo(0.9, within(1e-6));
    assertThat(fit.fit().calibration().factor()).isCloseTo(0.94, within(1e-7));
    assertThat(fit.fit().spread()).isLessThan(1e-7);
    assertThat(PredictionConfidence.of(TESTED, Port.INTAKE).calibration().source()).hasValue(1);
    assertThat(PredictionConfidence.of(TESTED, Port.EXHAUST).isCalibrated()).isFalse();
    SeatStudy study =
        PlanStudy.asFound(
            TESTED, PLACE, PredictionConfidence.of(TESTED, Port.INTAKE).calibration());
    assertThat(study.curve().orElseThrow().flowAt(5))
        .isCloseTo(
            TESTED.bench().tests().getFirst().at(5).orElseThrow().readings().getFirst().value(),
            within(1e-9));
    assertThat(study.lossesAt(5).effectiveAreaMm2())
        .isCloseTo(study.curve().orElseThrow().points().get(3).effectiveAreaMm2(), within(1e-9));
  }

  @Test
  void aTestThatCannotTellIsPassedOver() {
    FlowTest good = TESTED.bench().tests().getFirst();
    for (FlowTest useless :
        List.of(
            good.withSetUp(good.setUp().withDepressionPa(OptionalDouble.empty())),
            good.withSetUp(good.setUp().withState(TestedState.FINISHED)),
            good.withLifts(good.lifts().subList(0, 3)),
            good.withSetUp(
                good.setUp().withValve(new finebore.bench.SetUp.TestedValve(50, "another"))))) {
      Job job = JOB.withBench(new BenchBook(List.of(), List.of(useless)));
      assertThat(ModelFit.of(job, Port.INTAKE)).isEmpty();
      assertThat(ModelFit.calibrationOf(job, Port.INTAKE)).isEqualTo(Calibration.UNCALIBRATED);
    }
  }

  @Test
  void predictionsAreFrozenWithTheTestThatFollows() {
    FlowTest next =
        NextTest.of(
            TESTED,
            PLACE,
            TestedState.FINISHED,
            "next",
            PredictionConfidence.of(TESTED, Port.INTAKE));
    assertThat(next.after()).contains(1);
    assertThat(next.predicted()).hasSize(6);
    assertThat(next.predicted())
        .allSatisfy(
            p ->
                assertThat(p.spread())
                    .isCloseTo(
                        Spread.UNLEARNT.of(
                            TESTED
                                .test()
                                .bands()
                                .of(p.liftMm(), next.setUp().valve().headDiameterMm())),
                        within(1e-6)));
    FlowCurve truth =
        TestedSeat.study(TESTED, next.setUp(), JOB.test().liftsMm(), TRUTH)
            .orElseThrow()
            .curve()
            .orElseThrow();
    assertThat(next.predicted().getLast().flowM3s())
        .isCloseTo(truth.points().getLast().flowM3s(), within(1e-7));
  }

  @Test
  void aPredictionIsAsSureAsItsKindOfChange() {
    Pairing planned = JOB.intake().planned();
    Valve margin = planned.valve().withMarginMm(planned.valve().marginMm() + 0.2);
    Job job =
        TESTED.withPlan(
            PLACE, TESTED.planOf(PLACE).withWanted(new Pairing(planned.seat(), margin)));
    FlowTest next =
        NextTest.of(
            job, PLACE, TestedState.FINISHED, "next", PredictionConfidence.of(job, Port.INTAKE));
    assertThat(next.predicted().getFirst().spread())
        .isCloseTo(
            ChangeKind.spread(Set.of(ChangeKind.MARGIN), Direction.INTAKE).low(), within(1e-6));
  }

  @Test
  void theBandLearnsFromTheJobsOwnMisses() {
    Job hit = with(TESTED, test(TESTED, TestedState.FINISHED, 1));
    PredictionConfidence good = PredictionConfidence.of(hit, Port.INTAKE);
    assertThat(good.score().misses()).hasSize(6);
    assertThat(good.score().bands().get(Band.LOW).bias()).isCloseTo(0, within(1e-6));
    assertThat(good.spread().low()).isLessThan(Spread.UNLEARNT.low());
    Job missed = with(TESTED, test(TESTED, TestedState.FINISHED, 0.92));
    PredictionConfidence bad = PredictionConfidence.of(missed, Port.INTAKE);
    Score.Figures low = bad.score().bands().get(Band.LOW);
    assertThat(low.bias()).isCloseTo(-0.08, within(1e-6));
    assertThat(low.spread()).isLessThan(1e-6);
    // Five of what was assumed and the lifts missed by 8 %.
    double assumed = Spread.UNLEARNT.low();
    double expected =
        Math.sqrt((5 * assumed * assumed + low.lifts() * 0.08 * 0.08) / (5 + low.lifts()));
    assertThat(bad.spread().low()).isCloseTo(expected, within(1e-6));
    assertThat(bad.spreadOfFlow(Band.LOW, Spread.UNLEARNT)).isEqualTo(bad.spread().low());
    FlowTest piped = missed.bench().tests().getLast();
    Job elsewhere =
        missed.withBench(
            missed.bench().with(piped.withSetUp(piped.setUp().withBoreMm(OptionalDouble.of(120)))));
    assertThat(PredictionConfidence.of(elsewhere, Port.INTAKE).score().misses()).isEmpty();
    assertThat(PredictionConfidence.of(JOB, Port.INTAKE).spread()).isEqualTo(Spread.UNLEARNT);
    assertThat(PredictionConfidence.of(JOB, Port.INTAKE).spreadOfFlow(Band.LOW, Spread.UNLEARNT))
        .isEqualTo(0.15);
  }

  @Test
  void theNextTestIsSetUpLikeTheLast() {
    FlowTest first = TESTED.bench().tests().getFirst();
    Job other =
        TESTED.withBench(
            TESTED
                .bench()
                .with(
                    first.withSetUp(
                        first.setUp().withBench("big bench").withBoreMm(OptionalDouble.of(90)))));
    FlowTest next =
        NextTest.of(
            other, PLACE, TestedState.AS_FOUND, "a test", PredictionConfidence.UNCALIBRATED);
    assertThat(next.id()).isEqualTo(2);
    assertThat(next.name()).isEqualTo("a test 2");
    assertThat(next.setUp().bench()).isEqualTo("big bench");
    assertThat(next.setUp().boreMm()).hasValue(90);
    assertThat(next.setUp().leakageM3s()).isEmpty();
    assertThat(next.lifts()).isEmpty();
  }

  @Test
  void aTestOfASeatThatIsGoneIsTakenForNoOther() {
    FlowTest test = TESTED.bench().tests().getFirst();
    assertThat(TestedSeat.place(JOB, test.setUp().withSeat("I9", Port.INTAKE.direction())))
        .isEmpty();
    TestBook book = TestBook.of(TESTED);
    assertThat(book.suspects(test)).isEmpty();
  }

  @Test
  void coefficientsAreOnTheAreaTheyName() {
    FlowTest test = TESTED.bench().tests().getFirst();
    Optional<SeatStudy> study =
        TestedSeat.study(TESTED, test.setUp(), JOB.test().liftsMm(), Calibration.UNCALIBRATED);
    double head = test.setUp().valve().headDiameterMm();
    assertThat(FlowArea.CURTAIN.mm2(test, 5, study).orElseThrow())
        .isCloseTo(Math.PI * head * 5, within(1e-9));
    assertThat(FlowArea.VALVE.mm2(test, 5, Optional.empty()).orElseThrow())
        .isCloseTo(Math.PI / 4 * head * head, within(1e-9));
    double gate = FlowArea.GATE.mm2(test, 5, study).orElseThrow();
    assertThat(gate).isLessThan(FlowArea.CURTAIN.mm2(test, 5, study).orElseThrow());
    assertThat(FlowArea.GATE.mm2(test, 4.5, study)).isEmpty();
    assertThat(FlowArea.THROAT.mm2(test, 5, study).orElseThrow())
        .isCloseTo(study.orElseThrow().fit().throatAreaMm2(), within(1e-9));
    assertThat(FlowArea.THROAT.mm2(test, 5, Optional.empty())).isEmpty();
  }
}
