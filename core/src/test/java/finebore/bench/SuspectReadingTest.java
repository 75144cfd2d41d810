package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.flow.Direction;
import finebore.units.Unit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings far from the curve through the others, and whole tests in the wrong unit. */
class SuspectReadingTest {

  private static final double STANDARD = Unit.INCH_OF_WATER.toBase(28);

  /** A cubic with no flow at no lift: the smooth curve follows it exactly. */
  private static final DoubleUnaryOperator CURVE =
      lift -> 0.012 * lift - 0.0006 * lift * lift + 0.00001 * lift * lift * lift;

  /** A test at every millimetre to a lift, one of its readings off by a share. */
  static ReducedTest test(int lifts, double oddLift, double share) {
    FlowTest test =
        FlowTest.empty(
            1,
            "bench",
            new SetUp(
                "bench",
                "I1",
                Direction.INTAKE,
                TestedState.AS_FOUND,
                new TestedValve(40, ""),
                OptionalDouble.empty(),
                Inlet.BARE,
                Optional.empty(),
                OptionalDouble.of(STANDARD),
                OptionalDouble.of(0)));
    for (int lift = 1; lift <= lifts; lift++) {
      double flow = CURVE.applyAsDouble(lift) * (lift == oddLift ? 1 + share : 1);
      test = test.with(LiftReadings.of(lift, List.of(BenchReading.flow(flow))));
    }
    return ReducedTest.of(test, BenchBook.EMPTY, STANDARD);
  }

  private static List<SuspectReading> suspects(ReducedTest test, double noise) {
    return SuspectReading.of(test, Optional.empty(), new Noise(noise, 5, false, 2.57));
  }

  /**
   * Just inside and just outside: 5 %, or five times what a reading scatters; at the end thrice.
   */
  @ParameterizedTest
  @CsvSource({
    "10, 5, 0.049, 0.001, 0",
    "10, 5, 0.051, 0.001, 1",
    "10, 5, -0.049, 0.001, 0",
    "10, 5, -0.051, 0.001, 1",
    "10, 5, 0.099, 0.02, 0",
    "10, 5, 0.101, 0.02, 1",
    "10, 10, 0.147, 0.001, 0",
    "10, 10, 0.153, 0.001, 1",
    "10, 1, 0.147, 0.001, 0",
    "10, 1, 0.153, 0.001, 1",
    "5, 3, 0.051, 0.001, 1",
    "4, 3, 0.3, 0.001, 0"
  })
  void aReadingIsDoubtfulOnlyPastItsLimit(
      int lifts, int odd, double share, double noise, int found) {
    List<SuspectReading> suspects = suspects(test(lifts, odd, share), noise);
    assertThat(suspects).hasSize(found);
    if (found == 1) {
      SuspectReading suspect = suspects.getFirst();
      assertThat(suspect.liftMm()).isEqualTo(odd);
      // At an end there are three points to go by, which a cubic is not quite.
      double by = odd > 1 && odd < lifts ? 1e-9 : 0.004;
      assertThat(suspect.expectedM3s() / CURVE.applyAsDouble(odd)).isCloseTo(1, within(by));
      assertThat(suspect.share()).isCloseTo(share, within(1.2 * by));
      assertThat(suspect.modelM3s()).isEmpty();
    }
  }

  private static ReducedTest with(double... flows) {
    FlowTest test = test(1, 0, 0).test();
    for (int k = 0; k < flows.length; k++) {
      test = test.with(LiftReadings.of(k + 1, List.of(BenchReading.flow(flows[k]))));
    }
    return ReducedTest.of(test, BenchBook.EMPTY, STANDARD);
  }

  /** A head that stalls is not misread: neither the drop, nor the peak, nor what comes after. */
  @Test
  void aStallIsNoMisreading() {
    double[] up = {0.0114, 0.0217, 0.0309, 0.0390, 0.0463, 0.0527, 0.0583};
    assertThat(suspects(with(0.0114, 0.0217, 0.0309, 0.0390, 0.0463, 0.0527, 0.0500), 0.005))
        .as("a first drop at the last lift")
        .isEmpty();
    assertThat(
            suspects(
                with(
                    up[0], up[1], up[2], up[3], up[4], up[5], up[6], 0.0530, 0.0525, 0.0528,
                    0.0526),
                0.005))
        .as("confirmed by the next")
        .isEmpty();
    // A dip that the next lift makes good, and one reading high above the rest, are misread.
    assertThat(suspects(with(up[0], up[1], up[2], up[3] * 0.7, up[4], up[5], up[6]), 0.005))
        .extracting(SuspectReading::liftMm)
        .containsExactly(4.0);
    assertThat(suspects(with(up[0], up[1], up[2], up[3] * 1.6, up[4], up[5], up[6]), 0.005))
        .extracting(SuspectReading::liftMm)
        .containsExactly(4.0);
    ReducedTest once = with(0.0114, 0.0217, 0.0309, 0.0290);
    assertThat(once.isReadTwiceAt(4)).isFalse();
    FlowTest again =
        once.test()
            .with(
                LiftReadings.of(4, List.of(BenchReading.flow(0.0290), BenchReading.flow(0.0291))));
    assertThat(ReducedTest.of(again, BenchBook.EMPTY, STANDARD).isReadTwiceAt(4)).isTrue();
  }

  /** Where all of them scatter, a reading must lie off by four times that. */
  @Test
  void aTestThatScattersExcusesMore() {
    FlowTest rough = test(12, 0, 0).test();
    for (int lift = 1; lift <= 12; lift++) {
      double flow = CURVE.applyAsDouble(lift) * (1 + (lift % 2 == 0 ? 0.02 : -0.02));
      rough = rough.with(LiftReadings.of(lift, List.of(BenchReading.flow(flow))));
    }
    ReducedTest scatters = ReducedTest.of(rough, BenchBook.EMPTY, STANDARD);
    assertThat(suspects(scatters, 0.001)).isEmpty();
    // Off by a tenth either way it would be questioned in a test that is smooth.
    FlowTest odd =
        rough.with(LiftReadings.of(6, List.of(BenchReading.flow(CURVE.applyAsDouble(6) * 1.10))));
    assertThat(suspects(ReducedTest.of(odd, BenchBook.EMPTY, STANDARD), 0.001)).isEmpty();
    FlowTest far =
        rough.with(LiftReadings.of(6, List.of(BenchReading.flow(CURVE.applyAsDouble(6) * 1.5))));
    assertThat(suspects(ReducedTest.of(far, BenchBook.EMPTY, STANDARD), 0.001))
        .extracting(SuspectReading::liftMm)
        .containsExactly(6.0);
  }

  @Test
  void theWorstComesFirstAndDoesNotTakeItsNeighboursAlong() {
    FlowTest two = test(12, 4, 0.3).test();
    two = two.with(LiftReadings.of(9, List.of(BenchReading.flow(CURVE.applyAsDouble(9) * 0.85))));
    assertThat(suspects(ReducedTest.of(two, BenchBook.EMPTY, STANDARD), 0.001))
        .extracting(SuspectReading::liftMm)
        .containsExactly(4.0, 9.0);
  }

  /** The model is brought to the level of the readings that are sound; its size is its own. */
  @Test
  void theModelIsHeardAsASecondOpinion() {
    SuspectReading suspect =
        SuspectReading.of(
                test(10, 5, 0.2),
                Optional.of(lift -> 7 * CURVE.applyAsDouble(lift)),
                new Noise(0.001, 5, false, 2.57))
            .getFirst();
    assertThat(suspect.modelM3s().orElseThrow()).isCloseTo(CURVE.applyAsDouble(5), within(1e-12));
    SuspectReading dumb =
        SuspectReading.of(test(10, 5, 0.2), Optional.of(lift -> lift == 5 ? 3 : 0), Noise.UNKNOWN)
            .getFirst();
    assertThat(dumb.modelM3s()).hasValue(3);
  }

  @Test
  void theSmoothCurveIsTheCubicThroughTwoPointsOnEitherSide() {
    SmoothCurve curve = SmoothCurve.of(test(6, 0, 0));
    for (double lift : new double[] {0.4, 1, 2.5, 3, 5.9}) {
      SmoothCurve.Value value = curve.at(lift).orElseThrow();
      double by = lift < 1 || lift > 5 ? 2e-4 : 1e-12;
      assertThat(value.flowM3s()).isCloseTo(CURVE.applyAsDouble(lift), within(by));
      assertThat(value.inside()).as("at %s", lift).isEqualTo(lift >= 1);
    }
    // Halfway between two readings the straight line lies below a curve that bends down.
    double straight = (CURVE.applyAsDouble(2) + CURVE.applyAsDouble(3)) / 2;
    assertThat(curve.at(2.5).orElseThrow().bendM3s())
        .isCloseTo(CURVE.applyAsDouble(2.5) - straight, within(1e-12));
    SmoothCurve.Value past = curve.at(7).orElseThrow();
    assertThat(past.inside()).isFalse();
    assertThat(past.bendM3s())
        .isCloseTo(
            Math.abs(past.flowM3s() - (2 * CURVE.applyAsDouble(6) - CURVE.applyAsDouble(5))),
            within(1e-12));
    assertThat(SmoothCurve.of(test(2, 0, 0)).at(1.5)).isEmpty();
    assertThat(SmoothCurve.of(test(3, 0, 0)).at(1.5)).isPresent();
    assertThat(curve.at(-0.1)).isEmpty();
  }

  private static final double FACTOR = 1 / 0.47194745;

  /** Cfm is 0.47194745 l/s; what seats differ by is a factor of 1.35. */
  @ParameterizedTest
  @CsvSource({
    "1.56, ''",
    "1.58, cfm",
    "2.119, cfm",
    "2.85, cfm",
    "2.87, ''",
    "1, ''",
    "0.34, ''",
    "0.36, l/s",
    "0.472, l/s",
    "0.63, l/s",
    "0.64, ''"
  })
  void aWholeTestInTheWrongUnitIsAskedAbout(double ratio, String meant) {
    Optional<UnitMixUp> mixUp =
        UnitMixUp.of(test(6, 0, 0).lifts(), lift -> CURVE.applyAsDouble(lift) / ratio);
    assertThat(mixUp.map(m -> m.meant().symbol()).orElse("")).isEqualTo(meant);
    mixUp.ifPresent(
        m -> {
          assertThat(m.ratio()).isCloseTo(ratio, within(1e-9));
          assertThat(m.read()).isNotEqualTo(m.meant());
        });
  }

  @Test
  void oneLiftOrNothingExpectedIsNotEnoughToAsk() {
    assertThat(UnitMixUp.of(test(1, 0, 0).lifts(), lift -> CURVE.applyAsDouble(lift) / FACTOR))
        .isEmpty();
    assertThat(UnitMixUp.of(test(2, 0, 0).lifts(), lift -> CURVE.applyAsDouble(lift) / FACTOR))
        .isPresent();
    assertThat(UnitMixUp.of(test(6, 0, 0).lifts(), lift -> 0)).isEmpty();
    // One odd lift does not decide: the middle does.
    assertThat(
            UnitMixUp.of(test(6, 3, 8).lifts(), lift -> CURVE.applyAsDouble(lift) / FACTOR)
                .orElseThrow()
                .ratio())
        .isCloseTo(FACTOR, within(1e-9));
  }

  @Test
  void putRightAWholeTestIsInTheUnitThatWasMeantAndPerCentsStay() {
    LiftReadings at =
        LiftReadings.of(
            3,
            List.of(
                new BenchReading(
                    0.05, Optional.empty(), OptionalDouble.of(6900), OptionalDouble.of(21)),
                BenchReading.percent(61.5, "3")));
    FlowTest written = test(1, 0, 0).test().withLifts(List.of(at)).withRemarks("windy");
    UnitMixUp mixUp = new UnitMixUp(2.1, Unit.LITRE_PER_SECOND, Unit.CFM);
    FlowTest right = mixUp.putRight(written);
    // 50 cfm of 0.3048 m cubed a minute.
    assertThat(right.at(3).orElseThrow().readings())
        .first()
        .satisfies(
            r -> {
              assertThat(r.value()).isCloseTo(50 * Math.pow(0.3048, 3) / 60, within(1e-12));
              assertThat(r.depressionPa()).hasValue(6900);
              assertThat(r.temperatureC()).hasValue(21);
            });
    assertThat(right.at(3).orElseThrow().readings().getLast())
        .isEqualTo(BenchReading.percent(61.5, "3"));
    assertThat(right.withLifts(written.lifts())).isEqualTo(written);
    assertThat(UnitMixUp.isReadAsFlow(written)).isTrue();
    assertThat(
            UnitMixUp.isReadAsFlow(
                written.with(at.withReadings(List.of(BenchReading.percent(61.5, "3"))))))
        .isFalse();
  }
}
