package finebore.flow;

import java.util.List;

/**
 * Flow at rising lifts.
 *
 * @param points in order of lift, at least one
 */
public record FlowCurve(List<LiftPoint> points) {

  public FlowCurve {
    points = List.copyOf(points);
    if (points.isEmpty()) {
      throw new IllegalArgumentException("points: 0");
    }
  }

  /** Flow at any lift by straight lines between the points, from nothing at no lift, m3/s. */
  public double flowAt(double liftMm) {
    return between(lifts(), flows(), liftMm);
  }

  private double[] lifts() {
    return points.stream().mapToDouble(LiftPoint::liftMm).toArray();
  }

  private double[] flows() {
    return points.stream().mapToDouble(LiftPoint::flowM3s).toArray();
  }

  /**
   * Flow at any lift by straight lines between rising lifts, from nothing at no lift; past the last
   * it stays level.
   */
  public static double between(double[] liftsMm, double[] flowsM3s, double liftMm) {
    double lift = 0;
    double flow = 0;
    for (int k = 0; k < liftsMm.length; k++) {
      if (liftMm <= liftsMm[k]) {
        return flow + (liftMm - lift) / (liftsMm[k] - lift) * (flowsM3s[k] - flow);
      }
      lift = liftsMm[k];
      flow = flowsM3s[k];
    }
    return flow;
  }

  /** Mean flow over the cam's opening, each crank degree counting the same, m3/s. */
  public double camMean(CamLift cam) {
    double[] lifts = lifts();
    double[] flows = flows();
    return cam.meanOf(lift -> between(lifts, flows, lift));
  }
}
