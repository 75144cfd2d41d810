package finebore.bench;

import finebore.units.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A whole test that lies off what is expected of its seat by about the factor between cfm and l/s:
 * most likely its flows were taken in the wrong unit. It is asked about, never put right silently.
 *
 * @param ratio middle of what was read over what was expected
 * @param read the unit that the factor looks as if the flows had been taken in, whatever they were
 * @param meant the unit that they would then have been written in
 */
public record UnitMixUp(double ratio, Unit read, Unit meant) {

  /** How many l/s make a cfm's worth the other way round. */
  private static final double FACTOR = Unit.LITRE_PER_SECOND.toBase(1) / Unit.CFM.toBase(1);

  /** Seats differ from what is expected of them by less than this factor; chosen. */
  private static final double SLACK = 1.35;

  private static final int FEWEST = 2;

  /**
   * Whether flows look as if they were taken in the wrong unit.
   *
   * @param lifts where they were read, mm, with the flows, m3/s
   * @param expected flow by lift of the same seat, tested or modelled
   */
  public static Optional<UnitMixUp> of(List<ReducedTest.Lift> lifts, DoubleUnaryOperator expected) {
    List<Double> ratios =
        lifts.stream()
            .filter(l -> expected.applyAsDouble(l.liftMm()) > 0 && l.meanM3s() > 0)
            .map(l -> l.meanM3s() / expected.applyAsDouble(l.liftMm()))
            .sorted()
            .toList();
    if (ratios.size() < FEWEST) {
      return Optional.empty();
    }
    double middle = ratios.get(ratios.size() / 2);
    if (isAbout(middle, FACTOR)) {
      return Optional.of(new UnitMixUp(middle, Unit.LITRE_PER_SECOND, Unit.CFM));
    }
    if (isAbout(middle, 1 / FACTOR)) {
      return Optional.of(new UnitMixUp(middle, Unit.CFM, Unit.LITRE_PER_SECOND));
    }
    return Optional.empty();
  }

  /** Whether a test has readings that {@link #putRight} would change. */
  public static boolean isReadAsFlow(FlowTest test) {
    return test.lifts().stream()
        .flatMap(l -> l.readings().stream())
        .anyMatch(r -> r.range().isEmpty());
  }

  /** The test with each flow taken in the unit that was meant; per cents of a range stay. */
  public FlowTest putRight(FlowTest test) {
    return test.withLifts(
        test.lifts().stream()
            .map(l -> l.withReadings(l.readings().stream().map(this::putRight).toList()))
            .toList());
  }

  private BenchReading putRight(BenchReading reading) {
    return reading.range().isPresent()
        ? reading
        : new BenchReading(
            meant.toBase(read.fromBase(reading.value())),
            reading.range(),
            reading.depressionPa(),
            reading.temperatureC());
  }

  private static boolean isAbout(double ratio, double factor) {
    return ratio > factor / SLACK && ratio < factor * SLACK;
  }
}
