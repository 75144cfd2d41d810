package finebore.found;

import finebore.section.Point;
import java.util.List;

/**
 * Where the water jacket is known to lie: a sonic reading carried square into the wall.
 *
 * <p>Around the point the jacket is taken to run along the wall for {@link #REACH_MM} to each side.
 *
 * @param measure the reading
 * @param thicknessMm wall thickness read
 * @param at the place on the found wall
 * @param line the jacket's wall, mm
 */
public record WaterReading(Measure measure, double thicknessMm, Point at, List<Point> line) {

  /** How far to each side of a reading the jacket is taken to follow the wall, mm; assumed. */
  public static final double REACH_MM = 1;

  public WaterReading {
    line = List.copyOf(line);
  }

  /** Carries a reading at the middle of a stretch that runs from a to b into the metal. */
  static WaterReading behind(Measure measure, double thicknessMm, Point a, Point b) {
    double length = a.distanceTo(b);
    double ur = (b.r() - a.r()) / length;
    double uz = (b.z() - a.z()) / length;
    Point at = a.toward(b, 0.5);
    // The wall runs from the chamber to the port, so the metal lies to the left of it.
    Point water = at.plus(-uz * thicknessMm, ur * thicknessMm);
    if (water.r() < at.r()) {
      water = at.plus(uz * thicknessMm, -ur * thicknessMm);
    }
    Point one = water.plus(-ur * REACH_MM, -uz * REACH_MM);
    Point other = water.plus(ur * REACH_MM, uz * REACH_MM);
    return new WaterReading(measure, thicknessMm, at, List.of(one, water, other));
  }
}
