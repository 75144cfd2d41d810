package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.Comparison.Line;
import finebore.bench.Comparison.Verdict;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.flow.Direction;
import finebore.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** What must hold for any test, any air and any plate. */
class BenchPropertiesTest {

  private static final double STANDARD = Unit.INCH_OF_WATER.toBase(28);
  private static final CamLift CAM = new CamLift(9, 270);

  private static FlowTest test(int id, long seed, double share, double leak, double depression) {
    SetUp setUp =
        new SetUp(
            "bench",
            "I1",
            Direction.INTAKE,
            TestedState.AS_FOUND,
            new TestedValve(40, "found"),
            OptionalDouble.empty(),
            Inlet.BARE,
            Optional.empty(),
            OptionalDouble.of(depression),
            OptionalDouble.of(leak));
    Random random = new Random(seed);
    FlowTest test = FlowTest.empty(id, "test " + id, setUp);
    for (int k = 1; k <= 10; k++) {
      double flow = 0.07 * (1 - Math.exp(-k / 4.0)) * share * (0.97 + 0.06 * random.nextDouble());
      List<BenchReading> readings = new ArrayList<>();
      for (int r = 0; r < 2; r++) {
        double scattered = flow * (1 + 0.003 * random.nextGaussian());
        readings.add(BenchReading.flow(scattered * Math.sqrt(depression / STANDARD) + leak));
      }
      test = test.with(LiftReadings.of(k, readings));
    }
    return test;
  }

  private static ReducedTest reduced(FlowTest test) {
    return ReducedTest.of(test, BenchBook.EMPTY, STANDARD);
  }

  private static Comparison compare(FlowTest a, FlowTest b) {
    Noise noise = Noise.of(List.of(reduced(a), reduced(b)));
    return Comparison.of(reduced(a), reduced(b), noise, Bands.USUAL, CAM, (x, y) -> false);
  }

  @Property(tries = 100)
  void turnedRoundAComparisonSaysTheOpposite(
      @ForAll long seed, @ForAll @DoubleRange(min = 0.8, max = 1.25) double share) {
    FlowTest a = test(1, seed, 1, 0, STANDARD);
    FlowTest b = test(2, seed + 1, share, 0, STANDARD);
    List<Line> there = compare(a, b).lines();
    List<Line> back = compare(b, a).lines();
    for (int k = 0; k < there.size(); k++) {
      assertThat((1 + there.get(k).share()) * (1 + back.get(k).share()))
          .isCloseTo(1, within(1e-12));
      if (Math.abs(there.get(k).share()) > 0.03) {
        boolean gain = there.get(k).verdict() == Verdict.GAIN;
        assertThat(back.get(k).verdict()).isEqualTo(gain ? Verdict.LOSS : Verdict.GAIN);
      }
    }
  }

  @Property(tries = 60)
  void depressionAndLeakageMakeNoDifferenceOnceTheyAreAllowedFor(
      @ForAll long seed,
      @ForAll @DoubleRange(min = 1500, max = 9000) double depression,
      @ForAll @IntRange(min = 0, max = 2000) int leakMl) {
    double leak = leakMl * 1e-6;
    ReducedTest plain = reduced(test(1, seed, 1, 0, STANDARD));
    ReducedTest other = reduced(test(1, seed, 1, leak, depression));
    for (int k = 0; k < plain.lifts().size(); k++) {
      assertThat(other.lifts().get(k).meanM3s())
          .isCloseTo(plain.lifts().get(k).meanM3s(), within(1e-12));
    }
    assertThat(Noise.of(List.of(other)).share())
        .isCloseTo(Noise.of(List.of(plain)).share(), within(1e-9));
    Comparison same = Comparison.of(plain, other, Noise.UNKNOWN, Bands.USUAL, CAM, (x, y) -> false);
    assertThat(same.lines()).allMatch(l -> l.verdict() == Verdict.WITHIN);
  }

  @Property(tries = 40)
  void stepsOfALadderMultiplyToTheirSum(
      @ForAll long seed, @ForAll @IntRange(min = 2, max = 8) int steps) {
    List<FlowTest> tests = new ArrayList<>();
    for (int id = 1; id <= steps; id++) {
      FlowTest test = test(id, seed + id, 1 + 0.02 * id, 0, STANDARD);
      tests.add(
          test.withStep(id == 1 ? Optional.empty() : Optional.of(id - 1), "step " + id, false));
    }
    BenchBook book = new BenchBook(List.of(), tests);
    Ladder ladder =
        Ladder.to(
            tests.getLast(),
            book,
            BenchPropertiesTest::reduced,
            Noise.UNKNOWN,
            Bands.USUAL,
            CAM,
            book::valveTried);
    assertThat(ladder.rungs()).hasSize(steps);
    for (int lift = 0; lift < 10; lift++) {
      double product = 1;
      for (Ladder.Rung rung : ladder.rungs().subList(1, steps)) {
        product *= 1 + rung.alone().orElseThrow().lines().get(lift).share();
      }
      Ladder.Rung last = ladder.rungs().getLast();
      assertThat(last.inSum().orElseThrow().lines().get(lift).share())
          .isCloseTo(product - 1, within(1e-12));
    }
  }

  @Property(tries = 200)
  void warmAndMoistAirIsThin(
      @ForAll @DoubleRange(min = 0, max = 45) double celsius,
      @ForAll @DoubleRange(min = 70_000, max = 105_000) double pressure,
      @ForAll @DoubleRange(min = 0, max = 0.95) double humidity) {
    double density = new Air(celsius, pressure, humidity).densityKgM3();
    assertThat(new Air(celsius + 1, pressure, humidity).densityKgM3()).isLessThan(density);
    assertThat(new Air(celsius, pressure, humidity + 0.05).densityKgM3()).isLessThan(density);
    assertThat(new Air(celsius, pressure + 500, humidity).densityKgM3()).isGreaterThan(density);
    // The gas law for dry air bounds it from above, within what compressibility does.
    assertThat(density).isLessThan(pressure / (287.05 * (celsius + 273.15)) * 1.001);
  }

  @Property(tries = 100)
  void aLargerPlateFlowsMoreAndFollowsTheRootOfDepression(
      @ForAll @DoubleRange(min = 8, max = 80) double bore,
      @ForAll @DoubleRange(min = 1000, max = 7000) double depression) {
    double flow = new CheckPlate.Measured(bore).flowM3s(depression);
    assertThat(new CheckPlate.Measured(bore * 1.05).flowM3s(depression)).isGreaterThan(flow);
    assertThat(new CheckPlate.Measured(bore).flowM3s(depression * 1.2) / flow)
        .isCloseTo(Math.sqrt(1.2), within(0.01));
    double ideal = Math.PI / 4 * bore * bore * 1e-6 * Math.sqrt(2 * depression / 1.2041);
    assertThat(flow / ideal).isBetween(0.57, 0.63);
  }

  @Property(tries = 100)
  void theFitRecoversAnyPort(
      @ForAll @DoubleRange(min = 0.05, max = 5) double portLoss,
      @ForAll @DoubleRange(min = 0.6, max = 1.4) double factor) {
    PortFit fit = PortFit.to(samples(portLoss, factor, 0, 1), 1).orElseThrow();
    assertThat(fit.calibration().portLoss()).isCloseTo(portLoss, within(1e-4 * portLoss + 1e-5));
    assertThat(fit.calibration().factor()).isCloseTo(factor, within(1e-5));
  }

  /** With noise the truth lies within a few standard errors, as it should. */
  @Property(tries = 60)
  void standardErrorsTellHowFarTheFitMayBeOff(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
    PortFit fit = PortFit.to(samples(0.8, 0.95, 0.01, seed), 1).orElseThrow();
    assertThat(Math.abs(fit.calibration().portLoss() - 0.8)).isLessThan(6 * fit.portLossError());
    assertThat(Math.abs(fit.calibration().factor() - 0.95)).isLessThan(6 * fit.factorError());
    assertThat(fit.spread()).isBetween(0.003, 0.02);
  }

  private static List<PortFit.Sample> samples(
      double portLoss, double factor, double scatter, int seed) {
    Random random = new Random(seed);
    List<PortFit.Sample> samples = new ArrayList<>();
    for (int k = 1; k <= 12; k++) {
      double alone = 850 * (1 - Math.exp(-k / 6.0));
      double measured = factor / Math.sqrt(1 / (alone * alone) + portLoss / (950.0 * 950.0));
      samples.add(
          new PortFit.Sample(
              alone, 1 / (950.0 * 950.0), measured * (1 + scatter * random.nextGaussian())));
    }
    return samples;
  }
}
