package finebore.study;

import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.TestedState;
import finebore.cutting.Cutting;
import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.found.FoundSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.seat.SeatSection;
import finebore.valve.Valve;
import java.util.List;
import java.util.OptionalDouble;

/** What the model makes of the seat that a flow test was made on. */
public final class TestedSeat {

  /** A tested valve this close to one of the job's is that valve, mm. */
  private static final double SAME_VALVE_MM = 0.05;

  private TestedSeat() {}

  public static Port port(Direction direction) {
    return direction == Direction.INTAKE ? Port.INTAKE : Port.EXHAUST;
  }

  /** The seat of a test, or the first of its kind where the head has no seat of that label. */
  public static SeatPlace place(Job job, SetUp setUp) {
    Port port = port(setUp.direction());
    List<SeatPlace> kind = job.engine().seats().stream().filter(s -> s.port() == port).toList();
    return kind.stream()
        .filter(s -> s.label().equals(setUp.seat()))
        .findFirst()
        .orElse(kind.getFirst());
  }

  /** Whether the test was made with the valve that was found. */
  static boolean hasFoundValve(Job job, SetUp setUp) {
    double found = job.group(port(setUp.direction())).found().valve().headDiameterMm();
    return Math.abs(setUp.valve().headDiameterMm() - found) <= SAME_VALVE_MM;
  }

  /**
   * Studies the seat in the state it was tested in.
   *
   * @param liftsMm rising lifts at which flow is worked out
   */
  public static SeatStudy study(
      Job job, SetUp setUp, List<Double> liftsMm, Calibration calibration) {
    SeatPlace place = place(job, setUp);
    Group group = job.group(place.port());
    Plan plan = job.planOf(place);
    FoundSeat metal = PlanStudy.foundSeat(job, place);
    TestPlan test = job.test().withLifts(liftsMm);
    SeatSection section = metal.section();
    Valve valve = hasFoundValve(job, setUp) ? group.found().valve() : plan.wanted().valve();
    if (setUp.state().kind() != TestedState.Kind.FOUND) {
      Cutting cutting = Cutting.of(metal, plan.wanted().seat(), plan.operations());
      int all = cutting.steps().size();
      boolean partly = setUp.state().kind() == TestedState.Kind.PARTLY;
      section =
          partly ? cutting.after(Math.min(setUp.state().operations(), all)) : cutting.finished();
      valve = partly ? valve : plan.wanted().valve();
    }
    return SeatStudy.of(
        section,
        valve,
        new SeatStudy.Frame(place.port(), test, calibration, OptionalDouble.empty()));
  }

  /** What the model says of a set-up at the standard depression, for a test that is to be run. */
  public static List<FlowTest.Predicted> predict(
      Job job, SetUp setUp, List<Double> liftsMm, PredictionConfidence outlook) {
    return study(job, setUp, liftsMm, outlook.calibration())
        .curve()
        .map(
            curve ->
                curve.points().stream()
                    .map(
                        p ->
                            new FlowTest.Predicted(
                                p.liftMm(),
                                p.flowM3s(),
                                outlook.spreadOfFlow(
                                    job.test()
                                        .bands()
                                        .of(p.liftMm(), setUp.valve().headDiameterMm()))))
                    .toList())
        .orElse(List.of());
  }
}
