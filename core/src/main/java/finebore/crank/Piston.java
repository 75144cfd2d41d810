package finebore.crank;

import finebore.space.ValveHead;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A piston of a flat crown, with a pocket for a valve.
 *
 * @param crank what moves it
 * @param topMm from the head face down to the crown at top dead centre
 * @param pocket empty where the valve meets the crown itself
 */
public record Piston(SliderCrank crank, double topMm, Optional<Pocket> pocket) {

  /**
   * A round pocket with a flat floor, its middle where the valve's axis meets the crown at top dead
   * centre.
   *
   * @param depthMm from the crown to the floor in the middle
   * @param radiusMm of the pocket; infinite where nobody measured it
   * @param angleDeg lean of its floor, the way the valve leans
   * @param wallDeg lean of its wall from upright, the way the valve leans; empty along the valve
   */
  public record Pocket(double depthMm, double radiusMm, double angleDeg, OptionalDouble wallDeg) {}

  /**
   * Further from the crown than this a pocket in it is not looked at: nothing of it is nearer, and
   * the crown alone tells how far.
   */
  private static final double FAR_MM = 25;

  /** From the head face to the crown, mm. */
  public double crownMm(double crankDeg) {
    return topMm + crank.belowTopMm(crankDeg);
  }

  /** The same with the head so much nearer. */
  public Piston nearer(double mm) {
    return new Piston(crank, topMm - mm, pocket);
  }

  /**
   * The shortest way from a valve's head to the piston, mm; below 0 by how much one would stand in
   * the other.
   */
  public double clearanceMm(ValveHead valve, double liftMm, double crankDeg) {
    double lean = valve.leanRad();
    double out = valve.restMm() + valve.marginMm() + liftMm;
    double crown = crownMm(crankDeg);
    double toCrown = crown - out * Math.cos(lean) - valve.radiusMm() * Math.sin(lean);
    if (pocket.isEmpty()) {
      return toCrown;
    }
    Pocket in = pocket.get();
    double middle = topMm * Math.tan(lean);
    if (Double.isInfinite(in.radiusMm())) {
      double floor = Math.toRadians(in.angleDeg());
      return (middle - out * Math.sin(lean)) * Math.sin(floor)
          + (crown + in.depthMm() - out * Math.cos(lean)) * Math.cos(floor)
          - valve.radiusMm() * Math.abs(Math.sin(lean - floor));
    }
    if (toCrown > FAR_MM) {
      return toCrown;
    }
    double wall = in.wallDeg().isPresent() ? Math.toRadians(in.wallDeg().getAsDouble()) : lean;
    return new PocketedPiston(crown, middle, in, wall).clearanceMm(valve, liftMm);
  }
}
