package finebore.flow;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Flow at rising lifts.
 *
 * @param points in order of lift, at least one
 * @param overCam the same at the {@link CamLift#lifts()} of a cam, whatever lifts are listed; empty
 *     where no cam was asked for
 */
public record FlowCurve(List<LiftPoint> points, List<LiftPoint> overCam) {

  public FlowCurve {
    points = List.copyOf(points);
    overCam = List.copyOf(overCam);
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

  /** What flows at the cam's greatest lift. */
  public LiftPoint atCamLift() {
    return overCam.getLast();
  }

  /** Mean flow over the opening of the cam it was worked out for, m3/s. */
  public double camMean(CamLift cam) {
    return camMean(cam, LiftPoint::flowM3s);
  }

  /**
   * Mean over the opening of the cam it was worked out for, each crank degree counting the same;
   * lifts whose section is unlike anything solved say nothing: what is known goes straight past
   * them, and past the last that is known the opening is left out.
   */
  public double camMean(CamLift cam, ToDoubleFunction<LiftPoint> of) {
    List<LiftPoint> known = overCam.stream().filter(LiftPoint::isKnown).toList();
    return cam.mean(
        known.stream().mapToDouble(LiftPoint::liftMm).toArray(),
        known.stream().mapToDouble(of).toArray());
  }
}
