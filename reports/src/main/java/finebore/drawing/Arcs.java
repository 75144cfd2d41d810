package finebore.drawing;

import finebore.drawing.Drawing.Vertex;
import finebore.section.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds the arcs again in a wall of chords: a run of short chords that all turn the same way and
 * whose ends lie on one circle.
 */
public final class Arcs {

  /** Ends this near a circle lie on it, mm. */
  private static final double ON_CIRCLE_MM = 2e-4;

  /** Chords of an arc turn by less at each corner, rad. */
  private static final double MOST_TURN = Math.toRadians(15);

  /** Fewer chords are no arc. */
  private static final int FEWEST = 4;

  private Arcs() {}

  /** The same line with its arcs found. */
  public static List<Vertex> of(List<Point> points) {
    List<Vertex> vertices = new ArrayList<>();
    int at = 0;
    while (at < points.size()) {
      int end = runFrom(points, at);
      Point p = points.get(at);
      if (end - at >= FEWEST) {
        vertices.add(new Vertex(p.r(), p.z(), bulge(points, at, end)));
        at = end;
      } else {
        vertices.add(new Vertex(p.r(), p.z(), 0));
        at++;
      }
    }
    return vertices;
  }

  /** How far a run of chords on one circle goes on from a point. */
  private static int runFrom(List<Point> points, int from) {
    if (from + FEWEST >= points.size()) {
      return from;
    }
    // The circle through the ends of two chords; each further end must lie on it.
    double[] circle = circle(points.get(from), points.get(from + 1), points.get(from + 2));
    double first = turn(points, from + 1);
    if (circle == null || Math.abs(first) > MOST_TURN) {
      return from;
    }
    int end = from + 2;
    double all = first;
    while (end + 1 < points.size()
        && isOn(circle, points.get(end + 1))
        && Math.signum(turn(points, end)) == Math.signum(first)
        && Math.abs(turn(points, end)) < MOST_TURN
        && Math.abs(all) < Math.PI * 0.9) {
      all += turn(points, end);
      end++;
    }
    return end;
  }

  private static boolean isOn(double[] circle, Point p) {
    return Math.abs(Math.hypot(p.r() - circle[0], p.z() - circle[1]) - circle[2]) < ON_CIRCLE_MM;
  }

  private static double turn(List<Point> points, int at) {
    Point a = points.get(at - 1);
    Point b = points.get(at);
    Point c = points.get(at + 1);
    double ux = b.r() - a.r();
    double uz = b.z() - a.z();
    double vx = c.r() - b.r();
    double vz = c.z() - b.z();
    return Math.atan2(ux * vz - uz * vx, ux * vx + uz * vz);
  }

  private static double[] circle(Point a, Point b, Point c) {
    double d = 2 * (a.r() * (b.z() - c.z()) + b.r() * (c.z() - a.z()) + c.r() * (a.z() - b.z()));
    if (Math.abs(d) < 1e-12) {
      return null;
    }
    double aa = a.r() * a.r() + a.z() * a.z();
    double bb = b.r() * b.r() + b.z() * b.z();
    double cc = c.r() * c.r() + c.z() * c.z();
    double x = (aa * (b.z() - c.z()) + bb * (c.z() - a.z()) + cc * (a.z() - b.z())) / d;
    double y = (aa * (c.r() - b.r()) + bb * (a.r() - c.r()) + cc * (b.r() - a.r())) / d;
    return new double[] {x, y, Math.hypot(a.r() - x, a.z() - y)};
  }

  /** From the run's own ends and middle, so that the arc ends where the chords did. */
  private static double bulge(List<Point> points, int from, int end) {
    Point a = points.get(from);
    Point c = points.get(end);
    double[] circle = circle(a, points.get((from + end) / 2), c);
    double start = Math.atan2(a.z() - circle[1], a.r() - circle[0]);
    double stop = Math.atan2(c.z() - circle[1], c.r() - circle[0]);
    double sign = Math.signum(turn(points, from + 1));
    double turn = stop - start;
    while (sign > 0 && turn < 0) {
      turn += 2 * Math.PI;
    }
    while (sign < 0 && turn > 0) {
      turn -= 2 * Math.PI;
    }
    return Math.tan(turn / 4);
  }
}
