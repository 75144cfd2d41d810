package finebore.flow;

/**
 * One lift of a flow curve.
 *
 * @param liftMm lift, mm
 * @param area gate and effective area
 * @param curtainMm2 pi D L, mm2
 * @param flowM3s volume flow at the test's conditions, m3/s
 */
public record LiftPoint(double liftMm, EffectiveArea area, double curtainMm2, double flowM3s) {

  public Gate gate() {
    return area.gate();
  }

  /** Whether its section is like those that the estimate knows. */
  public boolean isKnown() {
    return area.isKnown();
  }

  public double effectiveAreaMm2() {
    return area.mm2();
  }

  /** Discharge coefficient on the curtain area. */
  public double curtainCoefficient() {
    return effectiveAreaMm2() / curtainMm2;
  }
}
