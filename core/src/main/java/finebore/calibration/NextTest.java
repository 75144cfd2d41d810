package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.Optional;
import java.util.OptionalDouble;

/** A test about to be made: set up like the last one, with its prediction frozen. */
public final class NextTest {

  private static final double USUAL_INLET_MM = 12;

  private NextTest() {}

  /**
   * A test of a seat in a state, as a step from the last test of its kind.
   *
   * @param name what it is to be called; a number is put behind it where a test is called so
   */
  public static FlowTest of(
      Job job, SeatPlace place, TestedState state, String name, PredictionConfidence confidence) {
    Optional<FlowTest> last = job.bench().last(place.port().direction());
    SetUp setUp =
        last.map(FlowTest::setUp)
            .orElseGet(() -> first(job, place))
            .withSeat(place.label(), place.port().direction())
            .withState(state)
            .withValve(valve(job, place, state, last))
            .withLeakageM3s(OptionalDouble.empty());
    FlowTest test =
        FlowTest.empty(job.bench().nextId(), free(job, name), setUp)
            .withStep(last.map(FlowTest::id), "", false);
    return withPrediction(job, test, confidence);
  }

  /** With what the model says of its set-up now. */
  public static FlowTest withPrediction(Job job, FlowTest test, PredictionConfidence outlook) {
    return test.withPredicted(TestedSeat.predict(job, test.setUp(), job.test().liftsMm(), outlook));
  }

  private static SetUp first(Job job, SeatPlace place) {
    return new SetUp(
        "",
        place.label(),
        place.port().direction(),
        TestedState.AS_FOUND,
        new TestedValve(10, ""),
        OptionalDouble.of(job.engine().boreMm()),
        place.port() == finebore.job.Port.INTAKE ? Inlet.radius(USUAL_INLET_MM) : Inlet.BARE,
        Optional.empty(),
        OptionalDouble.of(job.test().depressionPa()),
        OptionalDouble.empty());
  }

  /** The valve that goes with a state: part of the way it is the one of the last test. */
  private static TestedValve valve(
      Job job, SeatPlace place, TestedState state, Optional<FlowTest> last) {
    TestedValve found = TestedValve.of(job.foundValve(place), "");
    return switch (state.kind()) {
      case FOUND -> found;
      case PARTLY -> last.map(t -> t.setUp().valve()).orElse(found);
      case FINISHED, BLENDED -> TestedValve.of(job.planOf(place).wanted().valve(), "");
    };
  }

  private static String free(Job job, String name) {
    String free = name;
    for (int k = 2; taken(job, free); k++) {
      free = name + " " + k;
    }
    return free;
  }

  private static boolean taken(Job job, String name) {
    return job.bench().tests().stream().anyMatch(t -> t.name().equals(name));
  }
}
