package finebore.bench;

import finebore.section.Bounds;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One reading as the bench gave it.
 *
 * @param value m3/s as it flowed, or % of a range where one is named
 * @param range name of the range; empty for a flow
 * @param depressionPa across the head at that moment; the test's own where it is empty
 * @param temperatureC of the air at that moment; the test's own where it is empty
 */
public record BenchReading(
    double value,
    Optional<String> range,
    OptionalDouble depressionPa,
    OptionalDouble temperatureC) {

  public BenchReading {
    if (range.isPresent()) {
      Bounds.check("reading", value, 0, 130, "%");
    } else {
      Bounds.check("reading", value, 0, 5, "m3/s");
    }
    depressionPa.ifPresent(pa -> Bounds.check("depression of the reading", pa, 100, 60_000, "Pa"));
    temperatureC.ifPresent(c -> Bounds.check("temperature of the reading", c, -20, 60, "C"));
  }

  /** A flow in m3/s. */
  public static BenchReading flow(double m3s) {
    return new BenchReading(m3s, Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty());
  }

  /** Per cent of a range. */
  public static BenchReading percent(double percent, String range) {
    return new BenchReading(
        percent, Optional.of(range), OptionalDouble.empty(), OptionalDouble.empty());
  }
}
