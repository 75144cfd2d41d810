package finebore.flow.field;

/**
 * What a change of section is worth at one lift, by both closures, the found port in series.
 *
 * @param even change of flow by {@link Turbulence#EVEN}, as a share
 * @param transport the same by {@link Turbulence#TRANSPORT}; NaN while that is not solved
 */
public record AirChange(double even, double transport) {

  /** A change below this share says nothing: grids and jets that lie otherwise move as much. */
  public static final double LEAST = 0.02;

  /**
   * Compares areas, found and planned.
   *
   * @param found by both closures, even first, mm2; NaN where not solved yet
   * @param planned the same, mm2
   * @param portPerMm4 resistance of the port that was found, 1/mm4: it stays what it is
   */
  public static AirChange of(double[] found, double[] planned, double portPerMm4) {
    return new AirChange(
        share(found[0], planned[0], portPerMm4), share(found[1], planned[1], portPerMm4));
  }

  private static double share(double found, double planned, double port) {
    return Double.isNaN(found + planned)
        ? Double.NaN
        : Math.sqrt((1 / (found * found) + port) / (1 / (planned * planned) + port)) - 1;
  }

  /** The figure to go by: that of the even closure, which hangs least on grid and start. */
  public double share() {
    return even;
  }

  /** Whether both closures have been solved. */
  public boolean isComplete() {
    return !Double.isNaN(transport);
  }

  /** How far the closures are apart. */
  public double spread() {
    return Math.abs(even - transport);
  }

  /** Whether both say the same, and more than they may be wrong by. */
  public boolean isClear() {
    return even * transport > 0 && Math.abs(even) >= LEAST && Math.abs(even) >= spread();
  }
}
