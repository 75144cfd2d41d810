package finebore.instruments;

import finebore.bench.Air;
import finebore.bench.BenchReading;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * A reading that was taken when the needle had come to rest.
 *
 * @param liftMm lift; 0 for the leakage
 * @param repeat which repeat, from 1
 * @param range the bench's range
 * @param percent mean of the samples it was taken from
 * @param depressionPa mean of theirs
 * @param air mean of theirs
 */
public record Taken(
    double liftMm, int repeat, String range, double percent, double depressionPa, Air air) {

  static Taken of(double liftMm, int repeat, List<Sample> samples) {
    Sample last = samples.getLast();
    return new Taken(
        liftMm,
        repeat,
        last.range(),
        mean(samples, Sample::percent, 3),
        mean(samples, Sample::depressionPa, 1),
        new Air(
            mean(samples, s -> s.air().temperatureC(), 2),
            mean(samples, s -> s.air().pressurePa(), 0),
            mean(samples, s -> s.air().humidity(), 3)));
  }

  /** To the digits that the journal keeps, so that a reading comes back from it as it was. */
  private static double mean(List<Sample> samples, ToDoubleFunction<Sample> figure, int digits) {
    double mean = samples.stream().mapToDouble(figure).average().orElseThrow();
    return BigDecimal.valueOf(mean).setScale(digits, RoundingMode.HALF_EVEN).doubleValue();
  }

  /** As a reading of a test. */
  public BenchReading reading() {
    return new BenchReading(
        percent,
        Optional.of(range),
        OptionalDouble.of(depressionPa),
        OptionalDouble.of(air.temperatureC()));
  }

  String words() {
    return String.format(Locale.ROOT, "repeat=%d ", repeat)
        + new Sample(liftMm, range, percent, depressionPa, air).words();
  }

  static Taken of(Frame frame) {
    Sample sample = Sample.of(frame);
    return new Taken(
        sample.liftMm(),
        (int) frame.number("repeat"),
        sample.range(),
        sample.percent(),
        sample.depressionPa(),
        sample.air());
  }
}
