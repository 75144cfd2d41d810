package finebore.study;

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

  /** A test of a seat in a state, as a step from the last test of its kind. */
  public static FlowTest of(
      Job job, SeatPlace place, TestedState state, PredictionConfidence outlook) {
    Optional<FlowTest> last = job.bench().last(place.port().direction());
    SetUp setUp =
        last.map(FlowTest::setUp)
            .orElseGet(() -> first(job, place))
            .withSeat(place.label(), place.port().direction())
            .withState(state)
            .withValve(valve(job, place, state, last))
            .withLeakage(OptionalDouble.empty());
    FlowTest test =
        FlowTest.empty(job.bench().nextId(), name(job, place, state), setUp)
            .withStep(last.map(FlowTest::id), "", false);
    return withPrediction(job, test, outlook);
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
    double found = job.group(place.port()).found().valve().headDiameterMm();
    double planned = job.planOf(place).wanted().valve().headDiameterMm();
    return switch (state.kind()) {
      case FOUND -> new TestedValve(found, "found");
      case PARTLY -> last.map(t -> t.setUp().valve()).orElse(new TestedValve(found, "found"));
      case FINISHED, BLENDED -> new TestedValve(planned, "planned");
    };
  }

  private static String name(Job job, SeatPlace place, TestedState state) {
    String plain = place.label() + " " + state.words();
    String name = plain;
    for (int k = 2; taken(job, name); k++) {
      name = plain + " " + k;
    }
    return name;
  }

  private static boolean taken(Job job, String name) {
    return job.bench().tests().stream().anyMatch(t -> t.name().equals(name));
  }
}
