package finebore.instruments;

import finebore.bench.Air;
import finebore.bench.BenchReading;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

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
        mean(samples, Sample::percent),
        mean(samples, Sample::depressionPa),
        new Air(
            mean(samples, s -> s.air().temperatureC()),
            mean(samples, s -> s.air().pressurePa()),
            mean(samples, s -> s.air().humidity())));
  }

  private static double mean(
      List<Sample> samples, java.util.function.ToDoubleFunction<Sample> figure) {
    return samples.stream().mapToDouble(figure).average().orElseThrow();
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
