package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUpDifference;
import finebore.bench.SetUpDifference.Item;
import finebore.flow.Direction;
import finebore.flow.InSeries;
import finebore.job.Engine.SeatPlace;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Two tests of a seat that differ by its runner alone: with the engine's manifold, throttle or
 * pipe, and without. Flows are at the job's depression.
 *
 * @param with the newest test with it that has such another
 * @param without the newest that differs by nothing else that counts
 * @param liftMm the highest lift both have
 * @param togetherM3s what flowed there with it
 * @param aloneM3s what flowed there without
 */
public record RunnerTests(
    FlowTest with, FlowTest without, double liftMm, double togetherM3s, double aloneM3s) {

  /** What the part flows alone by these; empty where it gives pressure back. */
  public OptionalDouble partM3s() {
    return InSeries.between(aloneM3s, togetherM3s);
  }

  /** Of a seat; empty where no two tests of it can be held against each other so. */
  public static Optional<RunnerTests> of(TestBook book, SeatPlace place) {
    List<FlowTest> newest =
        book.job().bench().tests().reversed().stream()
            .filter(t -> t.setUp().seat().equals(place.label()))
            .filter(t -> t.setUp().direction() == place.port().direction())
            .toList();
    return newest.stream()
        .filter(RunnerTests::hasRunner)
        .flatMap(
            with ->
                newest.stream()
                    .filter(without -> differByRunnerAlone(without, with))
                    .flatMap(without -> of(book, with, without).stream()))
        .findFirst();
  }

  private static Optional<RunnerTests> of(TestBook book, FlowTest with, FlowTest without) {
    ReducedTest bare = book.reduced(without);
    Optional<RunnerTests> highest = Optional.empty();
    for (ReducedTest.Lift lift : book.reduced(with).lifts()) {
      Optional<ReducedTest.Lift> same =
          bare.lifts().stream().filter(l -> l.liftMm() == lift.liftMm()).findFirst();
      if (same.isPresent()) {
        highest =
            Optional.of(
                new RunnerTests(
                    with, without, lift.liftMm(), lift.meanM3s(), same.get().meanM3s()));
      }
    }
    return highest;
  }

  private static boolean hasRunner(FlowTest test) {
    Inlet.Kind inlet = test.setUp().inlet().kind();
    return test.setUp().direction() == Direction.INTAKE
        ? inlet == Inlet.Kind.MANIFOLD || inlet == Inlet.Kind.THROTTLE
        : test.setUp().pipe().isPresent();
  }

  private static boolean differByRunnerAlone(FlowTest without, FlowTest with) {
    Item runner = with.setUp().direction() == Direction.INTAKE ? Item.INLET : Item.PIPE;
    return !hasRunner(without)
        && without.setUp().state().equals(with.setUp().state())
        && without.setUp().valve().isSameAs(with.setUp().valve())
        && SetUpDifference.between(without, with).stream()
            .filter(SetUpDifference::spoils)
            .allMatch(d -> d.item() == runner);
  }
}
