package finebore.flow.field;

import java.util.List;
import java.util.stream.DoubleStream;

/**
 * What a change of section is worth at one lift, the walls beside the valve taken off and the found
 * port in series: by both closures on the coarse grid, and by {@link Turbulence#EVEN} on the full
 * one where the coarse one alone does not do.
 *
 * @param even change of flow by the even closure, as a share
 * @param transport the same by {@link Turbulence#TRANSPORT}; NaN while that is not solved
 * @param full the same by the even closure on the full grid; NaN while that is not solved, and
 *     where it is not asked for
 * @param isFullAsked whether the coarse grid alone does not do
 * @param walls what is reckoned of the walls and not solved
 * @param jetTurnDeg how far the jet turns by the change, as the even closure has it, the more of
 *     both grids, degrees; 0 for air that goes out
 * @param swing how far the figure to go by may be off because the air waves, found or planned, as a
 *     share; 0 where both stand
 */
public record AirChange(
    double even,
    double transport,
    double full,
    boolean isFullAsked,
    WallPart walls,
    double jetTurnDeg,
    double swing) {

  /**
   * The walls' part of a change.
   *
   * @param share of the flow that the change would lack were the walls as they were found
   * @param off how far the whole change would be off by another choice of how walls cost
   */
  public record WallPart(double share, double off) {
    /** Walls that stay as they are, or that nobody has measured. */
    public static final WallPart NONE = new WallPart(0, 0);
  }

  /**
   * What walls leave of the seat's flow, as found and as planned, each by the choice to go by and
   * by the extremes of it.
   */
  public record Walls(double found, double planned, List<double[]> extremes) {
    public static final Walls NONE = new Walls(1, 1, List.of());

    /** Whether any part of a change comes of them. */
    public boolean change() {
      return found != planned;
    }
  }

  /** A change below this share says nothing: grids and jets that lie otherwise move as much. */
  public static final double LEAST = 0.02;

  /** A jet that turns by more than this has changed its state: it left the roof, or lay down. */
  private static final double OTHER_STATE_DEG = 18;

  /**
   * Compares areas, found and planned.
   *
   * @param found by both closures, even first, then on the full grid where that is asked for;
   *     {@link SolvedArea#NONE} where not solved yet
   * @param planned the same
   * @param portPerMm4 resistance of the port that was found, 1/mm4: it stays what it is
   */
  public static AirChange of(List<SolvedArea> found, List<SolvedArea> planned, double portPerMm4) {
    return of(found, planned, portPerMm4, Walls.NONE);
  }

  /**
   * The same beside walls, which take their share of either.
   *
   * @param walls as found and as planned
   */
  public static AirChange of(
      List<SolvedArea> found, List<SolvedArea> planned, double portPerMm4, Walls walls) {
    double[] shares = new double[] {Double.NaN, Double.NaN, Double.NaN};
    for (int k = 0; k < found.size(); k++) {
      shares[k] =
          share(
              found.get(k).areaMm2() * walls.found(),
              planned.get(k).areaMm2() * walls.planned(),
              portPerMm4);
    }
    boolean fullAsked = found.size() > 2;
    double coarse = turn(found.get(0), planned.get(0));
    double full = fullAsked ? turn(found.get(2), planned.get(2)) : 0;
    return new AirChange(
        shares[0],
        shares[1],
        shares[2],
        fullAsked,
        part(found.get(0).areaMm2(), planned.get(0).areaMm2(), portPerMm4, walls),
        Math.abs(full) > Math.abs(coarse) ? full : coarse,
        swing(found, planned));
  }

  /** Of the figure to go by: on the finest grid that is solved. */
  private static double swing(List<SolvedArea> found, List<SolvedArea> planned) {
    boolean full = found.size() > 2 && found.get(2).isSolved() && planned.get(2).isSolved();
    int k = full ? 2 : 0;
    return Math.hypot(found.get(k).swing(), planned.get(k).swing());
  }

  /** The walls' part of a change between two areas of seat and valve alone. */
  public static WallPart part(double foundMm2, double plannedMm2, double portPerMm4, Walls walls) {
    double whole = share(foundMm2 * walls.found(), plannedMm2 * walls.planned(), portPerMm4);
    double still = share(foundMm2 * walls.found(), plannedMm2 * walls.found(), portPerMm4);
    double off =
        walls.extremes().stream()
            .mapToDouble(
                e -> Math.abs(share(foundMm2 * e[0], plannedMm2 * e[1], portPerMm4) - whole))
            .max()
            .orElse(0);
    return Double.isNaN(whole) ? WallPart.NONE : new WallPart(whole - still, off);
  }

  private static double turn(SolvedArea found, SolvedArea planned) {
    double turn = planned.jetDeg() - found.jetDeg();
    return Double.isNaN(turn) ? 0 : turn;
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

  /**
   * The figure to go by: that of the even closure, which hangs least on grid and start, on the
   * finest grid that is solved.
   */
  public double share() {
    return Double.isNaN(full) ? even : full;
  }

  /** Whether both closures have been solved. */
  public boolean isComplete() {
    return !Double.isNaN(transport);
  }

  /**
   * How far the figure to go by may be off: by what the others that are solved are off it, at most,
   * by what another choice of how walls cost would make of it, and by the air's waving.
   */
  public double spread() {
    double closures = others().map(s -> Math.abs(s - share())).max().orElse(Double.NaN);
    return walls.off() == 0 && swing == 0
        ? closures
        : Math.sqrt(closures * closures + walls.off() * walls.off() + swing * swing);
  }

  /** Whether its figure is the mean of air that waves, as found or as planned. */
  public boolean waves() {
    return swing > 0;
  }

  private DoubleStream others() {
    return DoubleStream.of(even, transport).filter(s -> !Double.isNaN(s));
  }

  /** Whether the jet has another state after the change: on a bench it may still have the first. */
  public boolean jetLiesOtherwise() {
    return Math.abs(jetTurnDeg) > OTHER_STATE_DEG;
  }

  /**
   * Whether all that is asked for is solved and says the same, and more than it may be wrong by, of
   * a jet of one state.
   */
  public boolean isClear() {
    return isComplete()
        && isFullAsked == !Double.isNaN(full)
        && !jetLiesOtherwise()
        && others().allMatch(s -> s * share() > 0)
        && Math.abs(share()) >= LEAST
        && Math.abs(share()) >= spread();
  }
}
