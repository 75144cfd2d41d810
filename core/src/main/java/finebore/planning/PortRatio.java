package finebore.planning;

import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.job.Engine;
import java.util.List;

/**
 * What a cylinder's exhausts flow against its intakes at the same lift. Some watch it, others do
 * not; it is shown and never scored.
 *
 * @param liftMm lift of both
 * @param share all exhausts over all intakes
 */
public record PortRatio(double liftMm, double share) {

  /** What is often quoted; common practice, no source. */
  public static final double QUOTED_FROM = 0.75;

  public static final double QUOTED_TO = 0.80;

  /** At the lifts of the intake's curve. */
  public static List<PortRatio> of(Engine engine, FlowCurve intake, FlowCurve exhaust) {
    double counts = (double) engine.exhaustsPerCylinder() / engine.intakesPerCylinder();
    return intake.points().stream()
        .map(
            (LiftPoint p) ->
                new PortRatio(p.liftMm(), counts * exhaust.flowAt(p.liftMm()) / p.flowM3s()))
        .toList();
  }
}
