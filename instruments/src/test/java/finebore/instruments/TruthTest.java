package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchBook;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.PlateCheck;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.ModelFit;
import finebore.calibration.NextTest;
import finebore.calibration.PredictionConfidence;
import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.JobIdentity;
import finebore.job.JobSettings;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.Unit;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a simulated head flows, and whether a whole run finds it out. */
class TruthTest {

  private static final double PA = Unit.INCH_OF_WATER.toBase(28);

  @TempDir private Path folder;

  /** A made-up single. */
  static Job job() {
    Seat seat =
        Seat.of(
            List.of(new Cut(30, 1), new Cut(45, 1.5), new Cut(60, 1.2)),
            1,
            39.4,
            8,
            34.8,
            2.5,
            36,
            14,
            12);
    Valve valve = new Valve(40, 1.5, 45, 2.2, List.of(), new Underhead(15, 9), 7, 0);
    Pairing pairing = new Pairing(seat, valve);
    Group group =
        Group.of(
            pairing,
            pairing,
            new CamLift(9.5, 260),
            OptionalDouble.empty(),
            OptionalDouble.empty());
    Engine engine =
        new Engine(1, 1, 1, 86, 86, 6500, OptionalDouble.empty(), OptionalDouble.empty());
    return new Job(
        new JobIdentity("Basalt 500", "bench", ""),
        new JobSettings(
            Units.MM,
            "road",
            new TestPlan(List.of(0.5, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0), PA, Bands.USUAL)),
        engine,
        Head.UNKNOWN,
        group,
        group,
        Map.of(),
        BenchBook.EMPTY,
        WorkLog.EMPTY,
        ShopSettings.USUAL);
  }

  static FlowTest test() {
    Job job = job();
    return NextTest.of(
        job,
        job.engine().seats().getFirst(),
        TestedState.AS_FOUND,
        "as found",
        PredictionConfidence.UNCALIBRATED);
  }

  @Test
  void theSeedMakesTheHead() {
    SetUp setUp = test().setUp();
    SimulatedHead truth = SimulatedHead.of(job(), setUp, 5, SeatAlone.ESTIMATED);
    assertThat(areas(setUp, 5)).isEqualTo(areas(setUp, 5));
    assertThat(areas(setUp, 6)).isNotEqualTo(areas(setUp, 5));
    assertThat(areas(setUp.withState(TestedState.FINISHED), 5)).isNotEqualTo(areas(setUp, 5));
    assertThat(truth.applyAsDouble(0)).isZero();
    for (double lift = 1; lift < 10; lift++) {
      assertThat(truth.applyAsDouble(lift + 1)).isGreaterThan(truth.applyAsDouble(lift) * 0.97);
    }
    // The model without calibration is within what docs/model.md says of its absolute values.
    double[] model =
        finebore.calibration.TestedSeat.study(
                job(), setUp, List.of(2.0, 5.0, 9.0), finebore.flow.Calibration.UNCALIBRATED)
            .orElseThrow()
            .curve()
            .orElseThrow()
            .points()
            .stream()
            .mapToDouble(p -> p.effectiveAreaMm2())
            .toArray();
    assertThat(truth.applyAsDouble(2) / model[0]).isBetween(0.85, 1.15);
    assertThat(truth.applyAsDouble(9) / model[2]).isBetween(0.85, 1.15);
  }

  private static double[] areas(SetUp setUp, long seed) {
    SimulatedHead head = SimulatedHead.of(job(), setUp, seed, SeatAlone.ESTIMATED);
    return DoubleStream.of(0.5, 2, 5, 9, 12).map(head).toArray();
  }

  /** The head flows what is said of its seat, scaled at every height, and each is asked once. */
  @Test
  void theSeatIsNotTheEstimates() {
    SetUp setUp = test().setUp();
    int[] asked = {0};
    SimulatedHead other =
        SimulatedHead.of(
            job(),
            setUp,
            5,
            (question, estimated) -> {
              asked[0]++;
              assertThat(question.direction()).isEqualTo(setUp.direction());
              return 0.9 * estimated;
            });
    double low =
        other.applyAsDouble(1)
            / SimulatedHead.of(job(), setUp, 5, SeatAlone.ESTIMATED).applyAsDouble(1);
    double high =
        other.applyAsDouble(10)
            / SimulatedHead.of(job(), setUp, 5, SeatAlone.ESTIMATED).applyAsDouble(10);
    assertThat(low).isCloseTo(0.9, within(0.005));
    // The port has its share of what holds the air up at high lift.
    assertThat(high).isBetween(0.91, 0.97);
    assertThat(asked[0]).isEqualTo(7);
    other.applyAsDouble(1.01);
    assertThat(asked[0]).isEqualTo(7);
  }

  @Test
  void aPipeHelpsAndABareInletHurts() {
    SetUp setUp = test().setUp();
    double usual = SimulatedHead.of(job(), setUp, 5, SeatAlone.ESTIMATED).applyAsDouble(9);
    assertThat(
            SimulatedHead.of(job(), setUp.withInlet(Inlet.BARE), 5, SeatAlone.ESTIMATED)
                .applyAsDouble(9))
        .isLessThan(usual);
    assertThat(
            SimulatedHead.of(
                    job(), setUp.withPipe(Optional.of(new Pipe(36, 200))), 5, SeatAlone.ESTIMATED)
                .applyAsDouble(9))
        .isGreaterThan(usual);
  }

  /** From the needles to the calibrated model: the flow found is the flow that was there. */
  @Test
  void aWholeRunFindsTheHiddenPort() throws IOException {
    Job[] job = {job()};
    FlowTest test = test();
    SimulatedHead truth = SimulatedHead.of(job[0], test.setUp(), 21, SeatAlone.ESTIMATED);
    SimulatedBench bench = new SimulatedBench(truth, 21);
    job[0] = job[0].withBench(job[0].bench().with(test));
    BenchRun run =
        new BenchRun(
            new FlowBench(new SimulatedLink(bench), Duration.ofMillis(50)),
            new RunJournal.Plan(test.id(), job[0].test().liftsMm(), 2, PA),
            folder.resolve("truth.run"),
            BenchRun.Pace.NONE,
            new BenchRun.Listener() {
              @Override
              public void sample(Sample sample, double settled) {
                assertThat(settled).isBetween(0.0, 1.0);
              }

              @Override
              public void taken(Taken taken) {
                BenchBook book = job[0].bench();
                job[0] =
                    job[0].withBench(
                        book.with(Takings.into(book.test(test.id()).orElseThrow(), taken, book)));
              }

              @Override
              public void plate(String range, CheckPlate plate, Sample reading) {
                job[0] =
                    job[0].withBench(
                        job[0]
                            .bench()
                            .withCheck(
                                range,
                                new PlateCheck(
                                    LocalDate.EPOCH,
                                    plate,
                                    reading.percent(),
                                    reading.depressionPa(),
                                    Optional.of(reading.air()))));
              }
            });
    assertThat(run.checkPlates().done()).isTrue();
    assertThat(run.run().done()).isTrue();
    var book = finebore.calibration.TestBook.of(job[0]);
    var reduced = book.reduced(job[0].bench().tests().getFirst());
    for (var lift : reduced.lifts()) {
      assertThat(lift.meanM3s())
          .isCloseTo(bench.truth(lift.liftMm(), PA), within(0.02 * bench.truth(lift.liftMm(), PA)));
    }
    assertThat(book.noise(reduced.test()).share()).isBetween(0.0005, 0.006);
    ModelFit fit = ModelFit.of(job[0], Port.INTAKE).orElseThrow();
    assertThat(fit.fit().calibration().portLoss()).isBetween(0.25, 1.1);
    assertThat(fit.fit().calibration().factor()).isBetween(0.92, 1.03);
    assertThat(fit.fit().spread()).isLessThan(0.025);
  }
}
