package finebore.flow;

import finebore.quantity.Quantity;
import java.util.function.DoubleUnaryOperator;

/**
 * Lift at the valve over crank angle.
 *
 * @param maxLiftMm greatest lift at the valve, mm
 * @param durationDeg crank degrees the valve is open
 */
public record CamLift(double maxLiftMm, double durationDeg) {

  private static final int STEPS = 120;

  public CamLift {
    Quantity.CAM_LIFT.check(maxLiftMm);
    Quantity.CAM_DURATION.check(durationDeg);
  }

  /**
   * Lift at a part of the duration, mm: a 3-4-5 polynomial up and the same down (R. L. Norton, Cam
   * Design and Manufacturing Handbook, from memory), standing in for the real cam.
   *
   * @param part 0 when the valve opens, 1 when it closes
   */
  public double liftAt(double part) {
    double x = Math.clamp(1 - Math.abs(2 * part - 1), 0, 1);
    return maxLiftMm * x * x * x * (10 - 15 * x + 6 * x * x);
  }

  /** Mean over the opening of what hangs on the lift, each crank degree counting the same. */
  public double meanOf(DoubleUnaryOperator ofLiftMm) {
    double sum = 0;
    for (int k = 0; k < STEPS; k++) {
      sum += ofLiftMm.applyAsDouble(liftAt((k + 0.5) / STEPS));
    }
    return sum / STEPS;
  }
}
