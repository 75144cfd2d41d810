package finebore.flow;

import finebore.flow.Loss.Cause;

/**
 * Walls before the gate that turn away from the stream narrow the jet. Past the gate it is lost as
 * far as the stream does not fill the passage again.
 */
final class JetNarrowing implements Mechanism {

  @Override
  public void addTo(Passage p) {
    LossCoefficients k = p.k();
    double window = k.window() * p.gap();
    Turning seat = turning(p, true, window);
    Turning valve = turning(p, false, window);
    double seatLoss = k.seatWeight() * narrowing(p, seat, window);
    double valveLoss = k.valveWeight() * narrowing(p, valve, window);
    double c = 1 - seatLoss - valveLoss;
    double narrowed = notFilled(c, p.filled()) - (1 - p.filled());
    if (seatLoss + valveLoss > 0) {
      double seatShare = seatLoss / (seatLoss + valveLoss);
      p.spread(
          Cause.SEAT_CORNER,
          seat,
          p.metal(),
          p.upstreamStep(),
          window,
          narrowed * seatShare * p.perGate());
      p.spread(
          Cause.VALVE_CORNER,
          valve,
          p.valve(),
          p.upstreamStep(),
          window,
          narrowed * (1 - seatShare) * p.perGate());
    }
    p.contractsTo(c);
  }

  private static Turning turning(Passage p, boolean seatSide, double window) {
    return Turning.taut(p.walk(seatSide, p.upstreamStep()), p.streamOn(seatSide, true), window);
  }

  private static double narrowing(Passage p, Turning turning, double window) {
    double d = Math.min(turning.mean(window), Math.PI);
    double radius = turning.radius(window, p.k().cornerScale() * p.gap());
    return (1 - Contraction.coefficient(d)) * RoundedInlet.left(p.k().relief() * radius / p.gap());
  }

  /**
   * Velocity heads lost past a contraction, the jet's own included as far as the passage is not
   * filled.
   */
  static double notFilled(double c, double filled) {
    return (1 - filled) / (c * c) + filled * (1 / c - 1) * (1 / c - 1);
  }
}
