package finebore.seat;

import finebore.quantity.Quantity;

/**
 * The port where it has widened below the throat.
 *
 * @param diameterMm its diameter
 * @param depthMm from the seat's outside edge down to where it is measured
 */
public record Bowl(double diameterMm, double depthMm) {
  public Bowl {
    Quantity.BOWL.check(diameterMm);
    Quantity.BOWL_DEPTH.check(depthMm);
  }
}
