package finebore.instruments;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.BenchTest;
import finebore.bench.LiftReadings;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a run has taken, put into its test. */
public final class Takings {

  private Takings() {}

  /**
   * A test with a reading more; one it has already is not taken twice.
   *
   * @param book with the ranges' check plates, for the leakage
   */
  public static BenchTest into(BenchTest test, Taken taken, BenchBook book) {
    BenchTest aired = test.air().isEmpty() ? test.withAir(Optional.of(taken.air())) : test;
    if (taken.liftMm() <= 0) {
      OptionalDouble full =
          book.range(taken.range())
              .map(r -> r.fullFlowM3s(test.date()))
              .orElse(OptionalDouble.empty());
      return full.isPresent()
          ? aired.withSetUp(
              aired
                  .setUp()
                  .withLeakage(OptionalDouble.of(taken.percent() / 100 * full.getAsDouble())))
          : aired;
    }
    BenchReading reading = taken.reading();
    LiftReadings lift =
        aired
            .at(taken.liftMm())
            .orElseGet(() -> LiftReadings.of(taken.liftMm(), java.util.List.of()));
    return lift.readings().contains(reading) ? aired : aired.with(lift.withReading(reading));
  }
}
