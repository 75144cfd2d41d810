package finebore.room;

import java.util.Collections;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * The chamber's wall round a valve, between the hours at which it was measured in a straight line
 * of distance, and of depth, over the clock.
 *
 * @param fromAxisMm distance from the valve's axis by hour, 0 to below 12, four or more
 * @param depthsMm height of the wall by hour, from the roof beside the seat up to the head face;
 *     one or more
 */
public record ChamberWall(
    NavigableMap<Double, Double> fromAxisMm, NavigableMap<Double, Double> depthsMm) {

  /** Fewer say nothing of what lies between them. */
  public static final int FEWEST = 4;

  public ChamberWall {
    fromAxisMm = Collections.unmodifiableNavigableMap(new TreeMap<>(fromAxisMm));
    depthsMm = Collections.unmodifiableNavigableMap(new TreeMap<>(depthsMm));
    if (fromAxisMm.size() < FEWEST || depthsMm.isEmpty()) {
      throw new IllegalArgumentException(fromAxisMm.size() + ", " + depthsMm.size());
    }
  }

  /** As deep all round. */
  public ChamberWall(NavigableMap<Double, Double> fromAxisMm, double depthMm) {
    this(fromAxisMm, new TreeMap<>(Map.of(0.0, depthMm)));
  }

  /** Where enough was measured. */
  public static Optional<ChamberWall> of(
      Map<Double, Double> fromAxisMm, Map<Double, Double> depthsMm) {
    return fromAxisMm.size() < FEWEST
        ? Optional.empty()
        : Optional.of(new ChamberWall(new TreeMap<>(fromAxisMm), new TreeMap<>(depthsMm)));
  }

  /** As deep all round, where enough was measured. */
  public static Optional<ChamberWall> of(Map<Double, Double> fromAxisMm, double depthMm) {
    return of(fromAxisMm, Map.of(0.0, depthMm));
  }

  /** Its distance from the valve's axis in a direction, mm. */
  public double atMm(int direction) {
    return between(fromAxisMm, Around.hour(direction));
  }

  /**
   * From a place beside the axis to the wall in a direction, mm: where a ray meets it. From outside
   * the wall, how far it lies outside, below 0.
   *
   * @param along of the place from the axis
   * @param across the same across
   * @param angleRad of the direction, as the clock goes
   */
  public double fromMm(double along, double across, double angleRad) {
    if (along == 0 && across == 0) {
      return between(fromAxisMm, hourOf(angleRad));
    }
    double ux = Math.sin(angleRad);
    double uy = Math.cos(angleRad);
    double outside = outsideMm(along, across);
    if (outside > 0) {
      return -outside;
    }
    double low = 0;
    double high = FAR_MM;
    double at = between(fromAxisMm, hourOf(angleRad)) - along * ux - across * uy;
    for (int k = 0; k < MOST_STEPS; k++) {
      if (!(at > low && at < high)) {
        at = (low + high) / 2;
      }
      double out = outsideMm(along + at * ux, across + at * uy);
      if (Math.abs(out) < SAME_MM) {
        return at;
      }
      if (out < 0) {
        low = at;
      } else {
        high = at;
      }
      // Off a wall about the axis by as much as the ray is slanted to it.
      double slant =
          (at + along * ux + across * uy)
              / Math.max(SAME_MM, Math.hypot(along + at * ux, across + at * uy));
      at -= out / Math.max(LEAST_SLANT, slant);
    }
    return (low + high) / 2;
  }

  private static final double FAR_MM = 500;
  private static final double SAME_MM = 1e-9;
  private static final double LEAST_SLANT = 0.3;
  private static final int MOST_STEPS = 80;

  /** How far a place lies outside the wall, seen from the axis, mm. */
  private double outsideMm(double along, double across) {
    return Math.hypot(along, across) - between(fromAxisMm, hourOf(Math.atan2(along, across)));
  }

  /** The hour of an angle of the clock, 0 to below 12. */
  static double hourOf(double angleRad) {
    double hour = 6 * angleRad / Math.PI % 12;
    return hour < 0 ? hour + 12 : hour;
  }

  /** Its height in a direction, mm. */
  public double depthAtMm(int direction) {
    return between(depthsMm, Around.hour(direction));
  }

  /** Its distance from the valve's axis at an hour, 0 to below 12, mm. */
  public double atHourMm(double hour) {
    return between(fromAxisMm, hour);
  }

  /** Its height at an hour, mm. */
  public double depthAtHourMm(double hour) {
    return between(depthsMm, hour);
  }

  /** Its height in the mean of all directions, mm. */
  public double meanDepthMm() {
    return IntStream.range(0, Around.DIRECTIONS)
        .mapToDouble(this::depthAtMm)
        .average()
        .orElseThrow();
  }

  private static double between(NavigableMap<Double, Double> byHour, double hour) {
    Map.Entry<Double, Double> before = byHour.floorEntry(hour);
    Map.Entry<Double, Double> after = byHour.ceilingEntry(hour);
    double from = before == null ? byHour.lastKey() - 12 : before.getKey();
    double to = after == null ? byHour.firstKey() + 12 : after.getKey();
    double first = before == null ? byHour.lastEntry().getValue() : before.getValue();
    double second = after == null ? byHour.firstEntry().getValue() : after.getValue();
    return to == from ? first : first + (second - first) * (hour - from) / (to - from);
  }

  /** With other distances from the axis. */
  public ChamberWall withFromAxis(NavigableMap<Double, Double> changed) {
    return new ChamberWall(changed, depthsMm);
  }

  /** The same all round further back. */
  public ChamberWall takenBack(double mm) {
    NavigableMap<Double, Double> back = new TreeMap<>(fromAxisMm);
    back.replaceAll((hour, at) -> at + mm);
    return withFromAxis(back);
  }
}
