package finebore.room;

import finebore.flow.Sectors;

/**
 * How a bent port lies round its valve: the air keeps to the side away from the port, the long one,
 * half the circle, and turns sharply on the other.
 *
 * @param fromClock hour that the port comes from, seen from the chamber
 * @param isRead whether somebody read it; otherwise it is the usual one of its kind, assumed
 * @param longSide discharge coefficient of the gate on the long side
 * @param shortSide the same on the short side
 */
public record PortSide(double fromClock, boolean isRead, double longSide, double shortSide) {

  /** An intake port comes from the side away from the exhausts; assumed. */
  public static final double INTAKE_CLOCK = 6;

  /** An exhaust port leaves to the side away from the intakes; assumed. */
  public static final double EXHAUST_CLOCK = 12;

  /** Of an intake of which nobody has read anything. */
  public static final PortSide INTAKE =
      new PortSide(INTAKE_CLOCK, false, Sectors.LONG_SIDE, Sectors.SHORT_SIDE);

  /** Of an exhaust likewise. */
  public static final PortSide EXHAUST =
      new PortSide(EXHAUST_CLOCK, false, Sectors.LONG_SIDE, Sectors.SHORT_SIDE);

  /** The hour that the long side lies at, 0 to below 12. */
  public double longClock() {
    return (fromClock + 6) % 12;
  }

  /** Discharge toward an angle of the clock; half way between where the sides meet. */
  public double discharge(double angleRad) {
    double toward = Math.cos(angleRad - longClock() * Math.PI / 6);
    return Math.abs(toward) < 1e-9 ? (longSide + shortSide) / 2 : toward > 0 ? longSide : shortSide;
  }
}
