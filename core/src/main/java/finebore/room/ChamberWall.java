package finebore.room;

import java.util.Collections;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The chamber's wall round a valve, between the hours at which it was measured in a straight line
 * of distance over the clock.
 *
 * @param fromAxisMm distance from the valve's axis by hour, 0 to below 12, four or more
 * @param depthMm height of the wall, from the roof beside the seat up to the head face
 */
public record ChamberWall(NavigableMap<Double, Double> fromAxisMm, double depthMm) {

  /** Fewer say nothing of what lies between them. */
  public static final int FEWEST = 4;

  public ChamberWall {
    fromAxisMm = Collections.unmodifiableNavigableMap(new TreeMap<>(fromAxisMm));
    if (fromAxisMm.size() < FEWEST) {
      throw new IllegalArgumentException("hours: " + fromAxisMm.size());
    }
  }

  /** Where enough was measured. */
  public static Optional<ChamberWall> of(Map<Double, Double> fromAxisMm, double depthMm) {
    return fromAxisMm.size() < FEWEST
        ? Optional.empty()
        : Optional.of(new ChamberWall(new TreeMap<>(fromAxisMm), depthMm));
  }

  /** Its distance from the valve's axis in a direction, mm. */
  public double atMm(int direction) {
    double hour = Around.hour(direction);
    Map.Entry<Double, Double> before = fromAxisMm.floorEntry(hour);
    Map.Entry<Double, Double> after = fromAxisMm.ceilingEntry(hour);
    double from = before == null ? fromAxisMm.lastKey() - 12 : before.getKey();
    double to = after == null ? fromAxisMm.firstKey() + 12 : after.getKey();
    double first = before == null ? fromAxisMm.lastEntry().getValue() : before.getValue();
    double second = after == null ? fromAxisMm.firstEntry().getValue() : after.getValue();
    return to == from ? first : first + (second - first) * (hour - from) / (to - from);
  }

  /** The same all round further back. */
  public ChamberWall takenBack(double mm) {
    NavigableMap<Double, Double> back = new TreeMap<>(fromAxisMm);
    back.replaceAll((hour, at) -> at + mm);
    return new ChamberWall(back, depthMm);
  }
}
