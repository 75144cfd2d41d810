package finebore.flow;

/**
 * How much of a sharp edge's loss is left when the edge is rounded.
 *
 * <p>Loss of a pipe inlet against the radius of its edge: K = 0.5, 0.28, 0.24, 0.15, 0.09, 0.04 at
 * r/d = 0, 0.02, 0.04, 0.06, 0.10, 0.15 and more (Crane Technical Paper 410, Flow of Fluids, from
 * memory), with straight lines between.
 */
public final class RoundedInlet {

  private static final double[] RADIUS = {0, 0.02, 0.04, 0.06, 0.10, 0.15};
  private static final double[] LOSS = {0.5, 0.28, 0.24, 0.15, 0.09, 0.04};

  private RoundedInlet() {}

  /**
   * Loss coefficient of the inlet on its own velocity head, for a radius over the opening of 0 or
   * more.
   */
  public static double loss(double radiusOverOpening) {
    if (!(radiusOverOpening >= 0)) {
      throw new IllegalArgumentException("radiusOverOpening: " + radiusOverOpening);
    }
    for (int k = 1; k < RADIUS.length; k++) {
      if (radiusOverOpening < RADIUS[k]) {
        double t = (radiusOverOpening - RADIUS[k - 1]) / (RADIUS[k] - RADIUS[k - 1]);
        return LOSS[k - 1] + t * (LOSS[k] - LOSS[k - 1]);
      }
    }
    return LOSS[LOSS.length - 1];
  }

  /**
   * Share of the sharp edge's loss that is left: 1 for a sharp edge, 0.08 for a well rounded one.
   */
  public static double left(double radiusOverOpening) {
    return loss(radiusOverOpening) / LOSS[0];
  }
}
