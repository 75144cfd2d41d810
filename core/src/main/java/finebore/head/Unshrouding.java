package finebore.head;

import finebore.section.Bounds;

/** How far a chamber wall must stand off a valve to leave it free. */
public final class Unshrouding {

  /** Discharge coefficient round a good seat, long side of the port; common practice, no source. */
  public static final double LONG_SIDE = 0.75;

  private Unshrouding() {}

  /**
   * Radius from the valve's centre: valve radius + chamber depth x local discharge coefficient;
   * common practice, no source. In any one unit of length.
   *
   * @param chamberDepth depth of the chamber beside the valve
   * @param coefficient local discharge coefficient, 0 to 1
   */
  public static double radius(double valveRadius, double chamberDepth, double coefficient) {
    Bounds.check("discharge coefficient", coefficient, 0, 1, "");
    return valveRadius + chamberDepth * coefficient;
  }
}
