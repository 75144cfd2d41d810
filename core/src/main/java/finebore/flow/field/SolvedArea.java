package finebore.flow.field;

/**
 * What is kept of solved air.
 *
 * @param areaMm2 effective area, mm2; NaN where it could not be solved
 * @param jetDeg how the jet leaves, as {@link AirFlow#jetAngleDeg} has it; NaN where not known
 * @param swing half of how far a waving area swings, over its mean; 0 for one that stands
 */
public record SolvedArea(double areaMm2, double jetDeg, double swing) {

  /** One that stands. */
  public SolvedArea(double areaMm2, double jetDeg) {
    this(areaMm2, jetDeg, 0);
  }

  /** Not solved yet, or not to be solved. */
  public static final SolvedArea NONE = new SolvedArea(Double.NaN, Double.NaN);

  public static SolvedArea of(AirFlow flow) {
    return new SolvedArea(flow.effectiveAreaMm2(), flow.jetAngleDeg(), flow.settled().swing());
  }

  public boolean isSolved() {
    return !Double.isNaN(areaMm2);
  }
}
