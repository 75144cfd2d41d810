package finebore.flow;

import finebore.code.Message;
import finebore.section.Place;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;

/**
 * The gate: the smallest conical frustum between the metal of the head and the lifted valve.
 *
 * <p>A frustum between a point P of the metal and a point Q of the valve has the area pi (rP + rQ)
 * |PQ|. The search is exact. Between two straight stretches that do not cross, the smallest frustum
 * always has P or Q at a corner: with d = PQ and S = rP + rQ, S is a linear function of d when the
 * stretches are not parallel, so a stationary point needs d along the gradient of S, and along that
 * ray S |d| is a parabola that opens downward: a saddle, never a minimum. For parallel stretches S
 * is linear where |d| is constant. It is therefore enough to try every corner against every stretch
 * of the other wall, and there the stationary places solve a quadratic.
 *
 * @param areaMm2 area of the frustum, mm2
 * @param onMetal its edge on the head
 * @param onValve its edge on the lifted valve
 * @param metalSegment stretch of the metal profile that holds the edge
 * @param valveSegment stretch of the valve profile that holds the edge
 * @param metalPlace where that is: on the 45, or on the edge between the 30 and the 45
 * @param valvePlace the same for the valve
 */
public record Gate(
    double areaMm2,
    Point onMetal,
    Point onValve,
    int metalSegment,
    int valveSegment,
    Place metalPlace,
    Place valvePlace) {

  /** Distance between its edges, mm. */
  public double gapMm() {
    return onMetal.distanceTo(onValve);
  }

  /** Where it sits, for example between the 45 and the back cut. */
  public Message message() {
    return Message.of("place.gap")
        .with("first", metalPlace.message())
        .with("second", valvePlace.message());
  }

  /** The surfaces it sits between. */
  public Place place() {
    return new Place(Place.Kind.GAP, metalPlace.first(), valvePlace.first());
  }

  /**
   * Finds the gate.
   *
   * @param metal wall of the head
   * @param valve wall of the valve at its lifted height
   */
  public static Gate between(Profile metal, Profile valve) {
    Search search = new Search(metal, valve);
    for (int m = 0; m < metal.segmentCount(); m++) {
      for (int v = 0; v < valve.segmentCount(); v++) {
        search.pair(m, v);
      }
    }
    return search.best();
  }

  /** Area of the frustum between two points, mm2. */
  public static double frustum(Point p, Point q) {
    return Math.PI * (p.r() + q.r()) * p.distanceTo(q);
  }

  private static final class Search {
    private final Profile metal;
    private final Profile valve;
    private double bestArea = Double.POSITIVE_INFINITY;
    private Point bestP;
    private Point bestQ;
    private int bestMetal;
    private int bestValve;

    Search(Profile metal, Profile valve) {
      this.metal = metal;
      this.valve = valve;
    }

    void pair(int m, int v) {
      Point a = metal.start(m);
      Point b = metal.end(m);
      Point c = valve.start(v);
      Point d = valve.end(v);
      if (leastBetween(a, b, c, d) >= bestArea) {
        return;
      }
      pointToStretch(a, c, d, m, v, true);
      pointToStretch(b, c, d, m, v, true);
      pointToStretch(c, a, b, m, v, false);
      pointToStretch(d, a, b, m, v, false);
    }

    /** No frustum between two stretches is smaller than one between the boxes round them. */
    private static double leastBetween(Point a, Point b, Point c, Point d) {
      double dr =
          Math.max(
              Math.min(a.r(), b.r()) - Math.max(c.r(), d.r()),
              Math.min(c.r(), d.r()) - Math.max(a.r(), b.r()));
      double dz =
          Math.max(
              Math.min(a.z(), b.z()) - Math.max(c.z(), d.z()),
              Math.min(c.z(), d.z()) - Math.max(a.z(), b.z()));
      double apart = Math.sqrt(square(Math.max(0, dr)) + square(Math.max(0, dz)));
      return Math.PI * (Math.min(a.r(), b.r()) + Math.min(c.r(), d.r())) * apart;
    }

    private static double square(double v) {
      return v * v;
    }

    /**
     * Smallest frustum from a fixed point to a stretch: its ends and the stationary places between.
     */
    private void pointToStretch(Point p, Point from, Point to, int m, int v, boolean pointOnMetal) {
      offer(p, from, m, v, pointOnMetal);
      offer(p, to, m, v, pointOnMetal);
      // S = s0 + s1 t, |d|^2 = q0 + q1 t + q2 t^2; 2 s1 |d|^2 + S (|d|^2)' = 0 is a quadratic in t.
      double dr = to.r() - from.r();
      double dz = to.z() - from.z();
      double er = from.r() - p.r();
      double ez = from.z() - p.z();
      double s0 = p.r() + from.r();
      double s1 = dr;
      double q0 = er * er + ez * ez;
      double q1 = 2 * (er * dr + ez * dz);
      double q2 = dr * dr + dz * dz;
      double a2 = 4 * s1 * q2;
      double a1 = 3 * s1 * q1 + 2 * s0 * q2;
      double a0 = 2 * s1 * q0 + s0 * q1;
      if (Math.abs(a2) <= 1e-14 * Math.abs(a1)) {
        offerAt(p, from, to, -a0 / a1, m, v, pointOnMetal);
        return;
      }
      double disc = a1 * a1 - 4 * a2 * a0;
      if (disc < 0) {
        return;
      }
      // Citardauq for one root keeps both accurate.
      double w = -0.5 * (a1 + Math.copySign(Math.sqrt(disc), a1));
      offerAt(p, from, to, w / a2, m, v, pointOnMetal);
      if (w != 0) {
        offerAt(p, from, to, a0 / w, m, v, pointOnMetal);
      }
    }

    private void offerAt(
        Point p, Point from, Point to, double t, int m, int v, boolean pointOnMetal) {
      if (t > 0 && t < 1) {
        offer(p, from.toward(to, t), m, v, pointOnMetal);
      }
    }

    private void offer(Point fixed, Point other, int m, int v, boolean pointOnMetal) {
      double area = frustum(fixed, other);
      if (area < bestArea) {
        bestArea = area;
        bestP = pointOnMetal ? fixed : other;
        bestQ = pointOnMetal ? other : fixed;
        bestMetal = m;
        bestValve = v;
      }
    }

    Gate best() {
      return new Gate(
          bestArea,
          bestP,
          bestQ,
          bestMetal,
          bestValve,
          placeOn(metal, bestMetal, bestP),
          placeOn(valve, bestValve, bestQ));
    }

    /** Along an upright throat every height is the same, so its edge is not worth a word. */
    private static Place placeOn(Profile wall, int segment, Point at) {
      Surface here = wall.surfaces().get(segment);
      int beside =
          at.equals(wall.start(segment))
              ? segment - 1
              : at.equals(wall.end(segment)) ? segment + 1 : segment;
      if (beside == segment || beside < 0 || beside >= wall.segmentCount()) {
        return Place.on(here);
      }
      Surface there = wall.surfaces().get(beside);
      if (here.part() == Part.THROAT) {
        return Place.on(here);
      }
      if (there.part() == Part.THROAT) {
        return Place.on(there);
      }
      return Place.edge(beside < segment ? there : here, beside < segment ? here : there);
    }
  }
}
