package finebore.crank;

/**
 * Crank, rod and piston in line: the pin's offset is left out.
 *
 * @param strokeMm above 0
 * @param rodMm centre to centre, longer than half the stroke
 */
public record SliderCrank(double strokeMm, double rodMm) {

  public SliderCrank {
    if (!(strokeMm > 0 && rodMm > strokeMm / 2)) {
      throw new IllegalArgumentException("stroke " + strokeMm + ", rod " + rodMm);
    }
  }

  /** How far the piston is below its top, mm, so many degrees of the crank from there. */
  public double belowTopMm(double crankDeg) {
    double throwMm = strokeMm / 2;
    double angle = Math.toRadians(crankDeg);
    double aside = throwMm * Math.sin(angle);
    return throwMm * (1 - Math.cos(angle)) + rodMm - Math.sqrt(rodMm * rodMm - aside * aside);
  }
}
