package finebore.seat;

import finebore.quantity.Quantity;

/**
 * The straight bore below the cuts.
 *
 * @param diameterMm its diameter
 * @param lengthMm how long it is before the bowl begins
 */
public record Throat(double diameterMm, double lengthMm) {
  public Throat {
    Quantity.THROAT.check(diameterMm);
    Quantity.THROAT_LENGTH.check(lengthMm);
  }
}
