package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.found.Ring;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The metal round a seat in section: what lies outside a wall, out to where the wall begins and
 * down to where it ends.
 *
 * @param wall from the chamber to the port
 * @param madeBy for each stretch of the wall the step that made it; 0 is as found
 * @param ring the insert ring that is in it
 */
public record Metal(Profile wall, List<Integer> madeBy, Optional<Ring> ring) {

  /** Places nearer than this to a tool's edge lie on it, mm. */
  private static final double ON_EDGE_MM = 1e-6;

  /** Steps shorter than this are left by rounding, mm. */
  private static final double BURR_MM = 1e-5;

  public Metal {
    madeBy = List.copyOf(madeBy);
    if (madeBy.size() != wall.segmentCount()) {
      throw new IllegalArgumentException("madeBy: " + madeBy.size());
    }
  }

  /** Metal as found, its port drawn on down to a height. */
  public static Metal found(Profile wall, Optional<Ring> ring, double bottomZ) {
    Point last = wall.points().getLast();
    Profile drawnOn = wall;
    if (last.z() > bottomZ) {
      List<Point> points = new ArrayList<>(wall.points());
      points.set(points.size() - 1, new Point(last.r(), bottomZ));
      drawnOn = new Profile(points, wall.surfaces());
    }
    return new Metal(drawnOn, drawnOn.surfaces().stream().map(s -> 0).toList(), ring);
  }

  /** Its area in section. */
  public Region region() {
    List<Point> outline = new ArrayList<>(wall.points());
    outline.add(corner());
    return Region.inside(outline);
  }

  private Point corner() {
    return new Point(wall.points().getFirst().r(), wall.points().getLast().z());
  }

  /** What is left of the ring; nothing when there is none. */
  public Region ringRegion() {
    return ring.map(r -> r.blank().and(region())).orElse(Region.EMPTY);
  }

  /** Without what a tool takes. */
  Metal cutBy(Tool tool, int step) {
    return rebuilt(region().minus(tool.area()), tool.edge(), step, ring);
  }

  /** With another area, of which new walls lie on an edge or else are called by its first name. */
  Metal rebuilt(Region area, Profile edge, int step, Optional<Ring> newRing) {
    List<Point> chain = chain(bodyOf(area));
    List<Surface> surfaces = new ArrayList<>();
    List<Integer> made = new ArrayList<>();
    List<Point> points = new ArrayList<>(List.of(chain.getFirst()));
    for (int k = 1; k < chain.size(); k++) {
      Point a = points.getLast();
      Point b = chain.get(k);
      if (a.distanceTo(b) <= BURR_MM) {
        continue;
      }
      Point middle = a.toward(b, 0.5);
      int old = nearest(wall, middle);
      int fresh = nearest(edge, middle);
      boolean isOld = wall.distance(old, middle) <= ON_EDGE_MM;
      boolean isFresh = edge.distance(fresh, middle) <= ON_EDGE_MM || !isOld;
      Surface surface = isFresh ? edge.surfaces().get(fresh) : wall.surfaces().get(old);
      int by = isFresh ? step : madeBy.get(old);
      boolean goesOn =
          !surfaces.isEmpty()
              && surfaces.getLast().equals(surface)
              && made.getLast() == by
              && inLine(points.get(points.size() - 2), a, b);
      if (goesOn) {
        points.set(points.size() - 1, b);
      } else {
        points.add(b);
        surfaces.add(surface);
        made.add(by);
      }
    }
    return new Metal(new Profile(points, surfaces), made, newRing);
  }

  /** Outline of the piece that hangs together with the head; what has come loose falls away. */
  private List<Point> bodyOf(Region area) {
    Point corner = corner();
    return area.outlines().stream()
        .filter(o -> o.stream().anyMatch(p -> p.distanceTo(corner) <= ON_EDGE_MM))
        .findFirst()
        .orElseThrow(() -> RuleViolation.of("metalLeft"));
  }

  /** The outline of the metal from the chamber to the port, without its far sides. */
  private List<Point> chain(List<Point> outline) {
    Point corner = corner();
    int at = 0;
    for (int k = 1; k < outline.size(); k++) {
      if (outline.get(k).distanceTo(corner) < outline.get(at).distanceTo(corner)) {
        at = k;
      }
    }
    int n = outline.size();
    double next = outline.get((at + 1) % n).r();
    double before = outline.get((at + n - 1) % n).r();
    int way = next >= before ? 1 : -1;
    List<Point> chain = new ArrayList<>();
    for (int k = 1; k < n; k++) {
      chain.add(outline.get(Math.floorMod(at + way * k, n)));
    }
    return chain;
  }

  private static boolean inLine(Point a, Point b, Point c) {
    double cross = (b.r() - a.r()) * (c.z() - b.z()) - (b.z() - a.z()) * (c.r() - b.r());
    return Math.abs(cross) <= 1e-9 * a.distanceTo(b) * b.distanceTo(c);
  }

  private static int nearest(Profile profile, Point point) {
    int best = 0;
    for (int k = 1; k < profile.segmentCount(); k++) {
      if (profile.distance(k, point) < profile.distance(best, point)) {
        best = k;
      }
    }
    return best;
  }
}
