package finebore.instruments;

import finebore.bench.SetUp;
import finebore.calibration.TestedSeat;
import finebore.code.RuleViolation;
import finebore.flow.Calibration;
import finebore.flow.FlowCurve;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/**
 * What a simulated head really flows: the model with a port of its own and a smooth error of a few
 * per cent, both out of a seed, so that the program cannot know them but can find them out.
 *
 * @param liftsMm rising
 * @param areasMm2 effective area at each
 */
public record SimulatedHead(double[] liftsMm, double[] areasMm2) implements DoubleUnaryOperator {

  private static final int POINTS = 40;
  private static final double PAST_CAM = 1.35;

  /** A pipe on the exhaust port takes some of its loss away. */
  private static final double PIPE_SAVES = 0.25;

  /** A sharp-edged port entry costs some. */
  private static final double BARE_INLET_COSTS = 0.12;

  /**
   * The truth of a head on a bench.
   *
   * @param seed of the head: the same for all its states
   */
  public static SimulatedHead of(Job job, SetUp setUp, long seed) {
    double most = PAST_CAM * job.group(Port.of(setUp.direction())).cam().maxLiftMm();
    List<Double> lifts = new ArrayList<>();
    for (int k = 1; k <= POINTS; k++) {
      lifts.add(most * k / POINTS);
    }
    Random head = new Random(seed * 31 + setUp.direction().ordinal());
    double port = 0.45 + 0.35 * head.nextDouble();
    double factor = 0.95 + 0.04 * head.nextDouble();
    double[] phases = {head.nextDouble(), head.nextDouble()};
    // Each state has a little of its own that no model knows of.
    SetUp.TestedState tested = setUp.state();
    Random state =
        new Random(
            seed * 131
                + tested.kind().ordinal() * 41L
                + tested.operations()
                + setUp.seat().hashCode() * 7L);
    state.nextDouble();
    double own = 0.008 * (2 * state.nextDouble() - 1);
    double tilt = 0.01 * (2 * state.nextDouble() - 1);
    boolean bare = setUp.inlet().kind() == SetUp.Inlet.Kind.BARE;
    double losses =
        Math.max(
            0.05,
            port
                - (setUp.pipe().isPresent() ? PIPE_SAVES : 0)
                + (bare && setUp.direction() == finebore.flow.Direction.INTAKE
                    ? BARE_INLET_COSTS
                    : 0));
    Calibration hidden = new Calibration(losses, factor, OptionalInt.empty());
    double[] areas = new double[POINTS];
    double[] heights = new double[POINTS];
    FlowCurve curve =
        TestedSeat.study(job, setUp, lifts, hidden)
            .flatMap(SeatStudy::curve)
            .orElseThrow(() -> RuleViolation.of("valveDoesNotSeat"));
    for (int k = 0; k < POINTS; k++) {
      double part = (k + 1.0) / POINTS;
      double wave =
          1
              + 0.012 * Math.sin(2 * Math.PI * (part + phases[0]))
              + 0.006 * Math.sin(4 * Math.PI * (part + phases[1]))
              + own
              + tilt * (part - 0.5);
      heights[k] = lifts.get(k);
      areas[k] = curve.points().get(k).losses().effectiveAreaMm2() * wave;
    }
    return new SimulatedHead(heights, areas);
  }

  /** Effective area at a lift, mm2. */
  @Override
  public double applyAsDouble(double liftMm) {
    return liftMm <= 0 ? 0 : FlowCurve.between(liftsMm, areasMm2, liftMm);
  }
}
