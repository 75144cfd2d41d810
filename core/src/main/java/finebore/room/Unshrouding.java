package finebore.room;

import finebore.quantity.Quantity;

/** How far a chamber wall must stand off a valve to leave it free. */
public final class Unshrouding {

  private Unshrouding() {}

  /**
   * Radius from the valve's centre: valve radius + chamber depth x local discharge coefficient;
   * common practice, no source. In any one unit of length.
   *
   * @param chamberDepth depth of the chamber beside the valve
   * @param coefficient local discharge coefficient, 0 to 1
   */
  public static double radius(double valveRadius, double chamberDepth, double coefficient) {
    Quantity.DISCHARGE.check(coefficient);
    return valveRadius + chamberDepth * coefficient;
  }

  /**
   * Diameter out to which a chamber is swept to free a valve: as far as the radius above, but not
   * past the fire ring.
   *
   * @param coefficient discharge of the side that asks for most
   * @param leastMm what it reaches at least
   * @param toFireRingMm from the valve's centre to the fire ring, on the side of the bore
   */
  public static double sweepDiameterMm(
      double valveMm,
      double chamberDepthMm,
      double coefficient,
      double leastMm,
      double toFireRingMm) {
    double free = radius(valveMm / 2, chamberDepthMm, coefficient);
    return Math.max(leastMm, 2 * Math.min(free, toFireRingMm));
  }
}
