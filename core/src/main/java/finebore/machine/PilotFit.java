package finebore.machine;

import finebore.work.ShopFigure;
import finebore.work.ShopSettings;

/**
 * A pilot in a guide, and what its play does to the seat. A pilot rocks within its clearance: it
 * lies against the guide at both ends, so its axis is off by half the clearance at the guide's end
 * and leans by clearance over guided length beyond it. Geometry; a pilot that is clamped or tapered
 * does better.
 *
 * @param guideBoreMm bore of the guide, mm
 * @param pilotMm diameter of the pilot, mm
 * @param guidedMm length over which the guide holds it, mm
 * @param overhangMm from the guide's end to the seat, mm
 */
public record PilotFit(double guideBoreMm, double pilotMm, double guidedMm, double overhangMm) {

  /** The largest pilot of the shop's set that goes in with the least clearance it wants. */
  public static PilotFit largest(double guideBoreMm, ShopSettings shop) {
    double step = shop.value(ShopFigure.PILOT_STEP);
    double least = shop.value(ShopFigure.PILOT_LEAST_CLEARANCE);
    // A bore that is a whole number of steps must not lose one to rounding.
    double pilot = Math.floor((guideBoreMm - least) / step + 1e-6) * step;
    return new PilotFit(
        guideBoreMm,
        pilot,
        shop.value(ShopFigure.PILOT_LENGTH),
        shop.value(ShopFigure.PILOT_OVERHANG));
  }

  public double clearanceMm() {
    return guideBoreMm - pilotMm;
  }

  /** How far the pilot's axis may stand off the guide's at the seat, mm. */
  public double offsetMm() {
    return clearanceMm() / 2 + clearanceMm() / guidedMm * overhangMm;
  }

  /** What a dial in the guide would swing on a seat cut that far off, mm. */
  public double seatRunoutMm() {
    return 2 * offsetMm();
  }
}
