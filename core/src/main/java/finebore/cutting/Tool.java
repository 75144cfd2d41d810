package finebore.cutting;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.util.ArrayList;
import java.util.List;

/**
 * What a tool takes away in section: an area, and the edge that names the walls it leaves.
 *
 * @param area what it sweeps
 * @param edge the part of its outline that cuts
 */
record Tool(Region area, Profile edge) {

  /** Above everything there is to cut, mm. */
  private static final double HIGH = 200;

  private static final Surface SIDE = Surface.of(Trace.STEP_BESIDE_CUTTER);
  private static final Surface NOSE = Surface.of(Trace.STEP_UNDER_CUTTER);

  /**
   * A tool that comes down from above: everything over its edge goes, and everything over its flat
   * nose within.
   *
   * @param points its edge, from the outside in
   * @param surfaces one for each stretch between the points
   */
  static Tool plunged(List<Point> points, List<Surface> surfaces) {
    List<Point> outline = new ArrayList<>(points);
    List<Surface> names = new ArrayList<>(surfaces);
    outline.addFirst(new Point(points.getFirst().r(), HIGH));
    names.addFirst(SIDE);
    outline.add(new Point(0, points.getLast().z()));
    names.add(NOSE);
    return closed(outline, names, new Point(0, HIGH));
  }

  /** A tapered cutter: its side and its flat end. */
  static Tool tapered(double diameterMm, double taperDeg, double endZ, Surface side) {
    double spread = (HIGH - endZ) * Math.tan(Math.toRadians(taperDeg));
    List<Point> outline =
        List.of(
            new Point(diameterMm / 2 + spread, HIGH),
            new Point(diameterMm / 2, endZ),
            new Point(0, endZ));
    return closed(outline, List.of(side, NOSE), new Point(0, HIGH));
  }

  /** An area that lies within an edge and a last point that closes it. */
  static Tool closed(List<Point> edge, List<Surface> surfaces, Point last) {
    List<Point> outline = new ArrayList<>(edge);
    outline.add(last);
    return new Tool(Region.inside(outline), new Profile(edge, surfaces));
  }
}
