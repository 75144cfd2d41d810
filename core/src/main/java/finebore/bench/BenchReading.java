package finebore.bench;

import finebore.quantity.Quantity;
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
      Quantity.READING_PERCENT.check(value);
    } else {
      Quantity.READING_FLOW.check(value);
    }
    Quantity.READING_DEPRESSION.check(depressionPa);
    Quantity.READING_TEMPERATURE.check(temperatureC);
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
