package finebore.flow;

/**
 * One lift of a flow curve.
 *
 * @param liftMm lift, mm
 * @param losses gate, effective area and loss budget
 * @param curtainMm2 pi D L, mm2
 * @param flowM3s volume flow at the test's conditions, m3/s
 */
public record LiftPoint(double liftMm, Losses losses, double curtainMm2, double flowM3s) {

  /** Discharge coefficient on the curtain area. */
  public double curtainCoefficient() {
    return losses.effectiveAreaMm2() / curtainMm2;
  }
}
