package finebore.flow.field;

import java.util.List;

/**
 * What a change of section is worth at one lift, by both closures, the found port in series.
 *
 * @param even change of flow by {@link Turbulence#EVEN}, as a share
 * @param transport the same by {@link Turbulence#TRANSPORT}; NaN while that is not solved
 * @param jetTurnDeg how far the jet turns by the change, as the even closure has it, degrees
 */
public record AirChange(double even, double transport, double jetTurnDeg) {

  /** A change below this share says nothing: grids and jets that lie otherwise move as much. */
  public static final double LEAST = 0.02;

  /** A jet that turns by more than this has changed its state: it left the roof, or lay down. */
  private static final double OTHER_STATE_DEG = 18;

  /**
   * Compares areas, found and planned.
   *
   * @param found by both closures, even first; {@link SolvedArea#NONE} where not solved yet
   * @param planned the same
   * @param portPerMm4 resistance of the port that was found, 1/mm4: it stays what it is
   */
  public static AirChange of(List<SolvedArea> found, List<SolvedArea> planned, double portPerMm4) {
    double turn = planned.getFirst().jetDeg() - found.getFirst().jetDeg();
    return new AirChange(
        share(found.get(0).areaMm2(), planned.get(0).areaMm2(), portPerMm4),
        share(found.get(1).areaMm2(), planned.get(1).areaMm2(), portPerMm4),
        Double.isNaN(turn) ? 0 : turn);
  }

  /**
   * Change of flow by one closure, as a share.
   *
   * @param foundMm2 effective area of seat and valve as found, mm2
   * @param plannedMm2 the same as planned, mm2
   * @param portPerMm4 resistance of the port behind both, 1/mm4
   */
  public static double share(double foundMm2, double plannedMm2, double portPerMm4) {
    return Math.sqrt(
            (1 / (foundMm2 * foundMm2) + portPerMm4) / (1 / (plannedMm2 * plannedMm2) + portPerMm4))
        - 1;
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

  /** Whether the jet has another state after the change: on a bench it may still have the first. */
  public boolean jetLiesOtherwise() {
    return Math.abs(jetTurnDeg) > OTHER_STATE_DEG;
  }

  /** Whether both say the same, and more than they may be wrong by, of a jet of one state. */
  public boolean isClear() {
    return !jetLiesOtherwise()
        && even * transport > 0
        && Math.abs(even) >= LEAST
        && Math.abs(even) >= spread();
  }
}
