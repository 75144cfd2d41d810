package finebore.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.planning.PortRatio;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class RunnerTestsTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace I1 = JOB.engine().seats().get(0);
  private static final SeatPlace E1 = JOB.engine().seats().get(1);

  private static final Inlet MANIFOLD = new Inlet(Inlet.Kind.MANIFOLD, OptionalDouble.empty());

  /** With another test: flows at 3 and 8 mm, m3/s. */
  private static Job with(
      Job job, SeatPlace seat, double low, double high, UnaryOperator<SetUp> changed) {
    FlowTest test =
        NextTest.of(
            job,
            seat,
            TestedState.AS_FOUND,
            "test " + job.bench().nextId(),
            PredictionConfidence.of(job, seat.port()));
    SetUp plain =
        test.setUp()
            .withBench("bench")
            .withState(TestedState.AS_FOUND)
            .withValve(new SetUp.TestedValve(42, "found"))
            .withLeakageM3s(OptionalDouble.of(0))
            .withInlet(Inlet.radius(12))
            .withPipe(Optional.empty())
            .withBoreMm(OptionalDouble.of(86))
            .withDepressionPa(OptionalDouble.of(job.test().depressionPa()));
    return job.withBench(
        job.bench()
            .with(
                test.withSetUp(changed.apply(plain))
                    .with(LiftReadings.of(3, List.of(BenchReading.flow(low))))
                    .with(LiftReadings.of(8, List.of(BenchReading.flow(high))))));
  }

  private static Optional<RunnerTests> of(Job job, SeatPlace seat) {
    return RunnerTests.of(TestBook.of(job), seat);
  }

  @Test
  void aManifoldIsToldByTheHighestLiftBothHave() {
    Job job = with(JOB, I1, 0.03, 0.06, s -> s);
    job = with(job, I1, 0.029, 0.048, s -> s.withInlet(MANIFOLD));
    RunnerTests tests = of(job, I1).orElseThrow();
    assertThat(tests.liftMm()).isEqualTo(8);
    double air = tests.aloneM3s() / 0.06;
    assertThat(tests.togetherM3s()).isCloseTo(0.048 * air, within(1e-9));
    // 0.06 and 0.08 in series are 0.048.
    assertThat(tests.partM3s().orElseThrow()).isCloseTo(0.08 * air, within(1e-6));
    assertThat(of(job, E1)).isEmpty();
  }

  /** What else was changed between the two would be laid to the runner. */
  @Test
  void testsThatDifferByMoreAreNotHeldAgainstEachOther() {
    Job plain = with(JOB, I1, 0.03, 0.06, s -> s);
    assertThat(of(plain, I1)).isEmpty();
    List<UnaryOperator<SetUp>> others =
        List.of(
            s -> s.withState(TestedState.FINISHED),
            s -> s.withBoreMm(OptionalDouble.of(90)),
            s -> s.withBench("another"),
            s -> s.withValve(new SetUp.TestedValve(43, "other")));
    for (UnaryOperator<SetUp> other : others) {
      Job job = with(plain, I1, 0.029, 0.05, s -> other.apply(s.withInlet(MANIFOLD)));
      assertThat(of(job, I1)).isEmpty();
      // With one that has the same besides, that one is taken though another is newer.
      Job again = with(job, I1, 0.03, 0.055, other);
      assertThat(of(with(again, I1, 0.04, 0.07, s -> s), I1).orElseThrow().aloneM3s())
          .isLessThan(0.057);
    }
  }

  @Test
  void aPipeCanGivePressureBack() {
    Job job = with(JOB, E1, 0.03, 0.05, s -> s);
    job = with(job, E1, 0.032, 0.054, s -> s.withPipe(Optional.of(new Pipe(40, 300))));
    assertThat(of(job, E1).orElseThrow().partM3s()).isEmpty();
  }

  @Test
  void ratiosAreOfTheExhaustsWhicheverSeatIsLookedAt() {
    TestBook book = TestBook.of(JOB);
    List<PortRatio> in = PlannedRatios.of(book, planned(I1, book));
    List<PortRatio> out = PlannedRatios.of(book, planned(E1, book));
    assertThat(in).isNotEmpty().isEqualTo(out);
    var intake = planned(I1, book).finished().curve().orElseThrow();
    var exhaust = planned(E1, book).finished().curve().orElseThrow();
    assertThat(in.getLast().share())
        .isCloseTo(exhaust.flowAt(11) / intake.flowAt(11), within(1e-9));
  }

  private static PlanStudy planned(SeatPlace place, TestBook book) {
    Port port = place.port();
    var calibration = PredictionConfidence.of(book, port, Optional.empty()).calibration();
    return PlanStudy.of(JOB, place, JOB.planOf(place), PlanStudy.asFound(JOB, place, calibration));
  }
}
