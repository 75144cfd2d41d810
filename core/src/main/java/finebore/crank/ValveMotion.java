package finebore.crank;

import finebore.flow.CamLift;

/**
 * A valve's lift over the crank's turn.
 *
 * @param cam lift without lash
 * @param peakDeg crank degrees of the greatest lift, from top dead centre in the overlap; below 0
 *     before it
 * @param lashMm what of the lift is lost
 */
public record ValveMotion(CamLift cam, double peakDeg, double lashMm) {

  private static final double CYCLE_DEG = 720;

  /** Lift, mm; 0 while it is shut. */
  public double liftMm(double crankDeg) {
    double opens = peakDeg - cam.peakPart() * cam.durationDeg();
    double since = (crankDeg - opens) % CYCLE_DEG;
    double part = (since < 0 ? since + CYCLE_DEG : since) / cam.durationDeg();
    return part > 1 ? 0 : Math.max(0, cam.liftAt(part) - lashMm);
  }
}
