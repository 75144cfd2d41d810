package finebore.flow;

import java.util.List;

/**
 * The parts of the circle round a valve, which do not all flow the same.
 *
 * <p>Each counts with its share of the circle and its discharge relative to the freest one. What
 * walls close by take is told by direction elsewhere.
 *
 * @param sectors shares add up to 1
 */
public record Sectors(List<Sector> sectors) {

  /** The same all round, as in a calculation without a port bend. */
  public static final Sectors EVEN = new Sectors(List.of(new Sector("allRound", 1, 1)));

  /** Discharge round a good seat on the long side of a port; common practice, no source. */
  public static final double LONG_SIDE = 0.72;

  /** The same on the short side; common practice, no source. */
  public static final double SHORT_SIDE = 0.65;

  /**
   * A bent port: the long side discharges 0.72 where the short side does 0.65; half the circle
   * each. Common practice, no source.
   */
  public static final Sectors BENT_PORT =
      new Sectors(
          List.of(
              new Sector("longSide", 0.5, 1),
              new Sector("shortSide", 0.5, SHORT_SIDE / LONG_SIDE)));

  /** One part of the circle: its name, its share, and its discharge relative to the freest. */
  public record Sector(String name, double share, double relative) {
    public Sector {
      if (!(share > 0 && share <= 1)) {
        throw new IllegalArgumentException("share: " + share);
      }
      if (!(relative >= 0 && relative <= 1)) {
        throw new IllegalArgumentException("relative: " + relative);
      }
    }
  }

  public Sectors {
    sectors = List.copyOf(sectors);
    double sum = sectors.stream().mapToDouble(Sector::share).sum();
    if (Math.abs(sum - 1) > 1e-9) {
      throw new IllegalArgumentException("shares: " + sum);
    }
  }

  /** Discharge of the whole circle relative to the freest sector. */
  public double mean() {
    return sectors.stream().mapToDouble(s -> s.share() * s.relative()).sum();
  }
}
