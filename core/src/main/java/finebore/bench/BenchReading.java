package finebore.bench;

import finebore.code.Message;
import finebore.quantity.Quantity;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * One reading as the bench gave it. It is kept whatever it says; one that is out of all bounds is
 * marked, and nothing is worked out from it.
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
    kind(range).checkRead(value);
    depressionPa.ifPresent(Quantity.READING_DEPRESSION::checkRead);
    temperatureC.ifPresent(Quantity.READING_TEMPERATURE::checkRead);
  }

  private static Quantity kind(Optional<String> range) {
    return range.isPresent() ? Quantity.READING_PERCENT : Quantity.READING_FLOW;
  }

  /** What is out of bounds about it, the first thing where several are. */
  public Optional<Message> oddity() {
    return Stream.of(
            kind(range).oddity(value),
            oddity(Quantity.READING_DEPRESSION, depressionPa),
            oddity(Quantity.READING_TEMPERATURE, temperatureC))
        .flatMap(Optional::stream)
        .findFirst();
  }

  private static Optional<Message> oddity(Quantity quantity, OptionalDouble value) {
    return value.isPresent() ? quantity.oddity(value.getAsDouble()) : Optional.empty();
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
