package finebore.flow;

import java.util.List;

/**
 * Flow at rising lifts.
 *
 * @param points in order of lift, at least one
 */
public record FlowCurve(List<LiftPoint> points) {

  private static final int CAM_STEPS = 120;

  public FlowCurve {
    points = List.copyOf(points);
    if (points.isEmpty()) {
      throw new IllegalArgumentException("a flow curve needs at least one lift");
    }
  }

  /** Flow at any lift by straight lines between the points, from nothing at no lift, m3/s. */
  public double flowAt(double liftMm) {
    double lift = 0;
    double flow = 0;
    for (LiftPoint point : points) {
      if (liftMm <= point.liftMm()) {
        return flow + (liftMm - lift) / (point.liftMm() - lift) * (point.flowM3s() - flow);
      }
      lift = point.liftMm();
      flow = point.flowM3s();
    }
    return flow;
  }

  /** Mean flow over the cam's opening, each crank degree counting the same, m3/s. */
  public double camMean(CamLift cam) {
    double sum = 0;
    for (int k = 0; k < CAM_STEPS; k++) {
      sum += flowAt(cam.liftAt((k + 0.5) / CAM_STEPS));
    }
    return sum / CAM_STEPS;
  }
}
