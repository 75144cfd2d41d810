package finebore.instruments;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
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
  public static FlowTest into(FlowTest test, Taken taken, BenchBook book) {
    FlowTest aired = test.air().isEmpty() ? test.withAir(Optional.of(taken.air())) : test;
    if (taken.liftMm() <= 0) {
      OptionalDouble leak = book.flowM3s(taken.range(), taken.percent(), test.date());
      return leak.isPresent() ? aired.withSetUp(aired.setUp().withLeakageM3s(leak)) : aired;
    }
    BenchReading reading = taken.reading();
    LiftReadings lift = aired.noted(taken.liftMm());
    return lift.readings().contains(reading) ? aired : aired.with(lift.withReading(reading));
  }
}
