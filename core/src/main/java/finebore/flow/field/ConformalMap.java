package finebore.flow.field;

import finebore.section.Point;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * How an air space unrolls into a rectangle: the potential of a plane frictionless stream through
 * it runs along, its stream function across.
 *
 * <p>Grid lines laid along both are square to each other, close where the stream is fast and wide
 * where it is slow, for every shape and lift alike. The potential on the sides is found by boundary
 * elements of constant strength, collocated at their middles (Brebbia, The Boundary Element Method
 * for Engineers, from memory). It serves to place grid lines; no flow is taken from it. One matrix
 * of as many rows as elements, usually 200 to 400, is solved densely.
 */
final class ConformalMap {

  /** An element's length over its distance from the other side. */
  private static final double TO_OTHER_SIDE = 0.4;

  /** An element's length over its distance from the next corner, and the least of it. */
  private static final double TO_CORNER = 0.5;

  private static final double AT_CORNER = 0.12;

  /** The same beside a corner that stands out into the air: the stream is fast there. */
  private static final double AT_EDGE = 0.02;

  private final Trace inner;
  private final Trace outer;
  private final Trace port;
  private final Trace far;
  private final double modulus;

  /**
   * One edge of the rectangle: how the potential, or on the ends the stream function, grows along
   * it, both from 0 to 1.
   *
   * @param points its corners
   * @param lengths length up to rising places
   * @param values what it has come to there
   * @param corners what it has come to at each of its corners
   */
  record Trace(List<Point> points, double[] lengths, double[] values, double[] corners) {

    /** The point at a value from 0 to 1. */
    Point at(double value) {
      return along(lengthAt(value));
    }

    double lengthAt(double value) {
      return interpolate(values, lengths, value);
    }

    Point along(double length) {
      double left = length;
      for (int k = 0; k < points.size() - 1; k++) {
        double piece = points.get(k).distanceTo(points.get(k + 1));
        if (left <= piece || k == points.size() - 2) {
          return points.get(k).toward(points.get(k + 1), Math.min(1, left / piece));
        }
        left -= piece;
      }
      throw new IllegalStateException("points: 0");
    }
  }

  private ConformalMap(Trace inner, Trace outer, Trace port, Trace far, double modulus) {
    this.inner = inner;
    this.outer = outer;
    this.port = port;
    this.far = far;
    this.modulus = modulus;
  }

  Trace inner() {
    return inner;
  }

  Trace outer() {
    return outer;
  }

  /** The end in the port, from the inner side to the outer. */
  Trace port() {
    return port;
  }

  /** The end in the open, from the inner side to the outer. */
  Trace far() {
    return far;
  }

  /** The rectangle's length over its width. */
  double modulus() {
    return modulus;
  }

  static ConformalMap of(AirSpace space) {
    List<Point> farEnd = new ArrayList<>();
    farEnd.add(space.inner().points().getLast());
    farEnd.addAll(space.far());
    farEnd.add(space.outer().points().getLast());
    List<Point> portEnd =
        List.of(space.inner().points().getFirst(), space.outer().points().getFirst());
    // Counter-clockwise round the air: out along the head, home along the valve.
    List<List<Point>> edges =
        List.of(
            space.outer().points(), farEnd.reversed(), space.inner().points().reversed(), portEnd);
    List<Element> elements = new ArrayList<>();
    int[] first = new int[5];
    for (int e = 0; e < 4; e++) {
      first[e] = elements.size();
      List<Point> other =
          e % 2 == 0 ? (e == 0 ? space.inner() : space.outer()).points() : List.of();
      split(edges.get(e), other, elements);
    }
    first[4] = elements.size();
    double[] known = new double[elements.size()];
    boolean[] potentialKnown = new boolean[elements.size()];
    for (int k = first[1]; k < first[2]; k++) {
      known[k] = 1;
      potentialKnown[k] = true;
    }
    for (int k = first[3]; k < first[4]; k++) {
      potentialKnown[k] = true;
    }
    double[] found = solve(elements, known, potentialKnown);
    Trace outer = side(space.outer(), elements, found, first[0], first[1], false);
    Trace inner = side(space.inner(), elements, found, first[2], first[3], true);
    double[] flux = new double[1];
    Trace far = end(farEnd, elements, found, first[1], first[2], true, flux);
    double outwards = flux[0];
    Trace port = end(portEnd, elements, found, first[3], first[4], false, flux);
    return new ConformalMap(inner, outer, port, far, 2 / (outwards - flux[0]));
  }

  private record Element(Point a, Point b) {
    double length() {
      return a.distanceTo(b);
    }

    Point middle() {
      return a.toward(b, 0.5);
    }
  }

  /** Cuts an edge into elements, short at corners and where the other side is near. */
  private static void split(List<Point> edge, List<Point> other, List<Element> into) {
    for (int k = 0; k < edge.size() - 1; k++) {
      Point a = edge.get(k);
      Point b = edge.get(k + 1);
      double whole = a.distanceTo(b);
      List<Double> places = new ArrayList<>(List.of(0.0));
      double at = 0;
      while (at < whole) {
        Point here = a.toward(b, at / whole);
        double clear = other.isEmpty() ? whole : distance(here, other);
        double step = TO_OTHER_SIDE * clear;
        double room = Math.min(whole, clear);
        double before = (standsOut(edge, k) ? AT_EDGE : AT_CORNER) * room + TO_CORNER * at;
        double after =
            (standsOut(edge, k + 1) ? AT_EDGE : AT_CORNER) * room
                + TO_CORNER / (1 + TO_CORNER) * (whole - at);
        step = Math.max(Math.min(step, Math.min(before, after)), whole / 80);
        at += step;
        places.add(at);
      }
      double scale = 1 / at;
      for (int p = 0; p < places.size() - 1; p++) {
        into.add(
            new Element(
                a.toward(b, places.get(p) * scale), a.toward(b, places.get(p + 1) * scale)));
      }
    }
  }

  /** Whether metal stands out into the air at a corner; the air lies on the left of the edge. */
  private static boolean standsOut(List<Point> edge, int k) {
    if (k == 0 || k == edge.size() - 1) {
      return false;
    }
    Point a = edge.get(k - 1);
    Point b = edge.get(k);
    Point c = edge.get(k + 1);
    double cross = (b.r() - a.r()) * (c.z() - b.z()) - (b.z() - a.z()) * (c.r() - b.r());
    return cross < -SHARP * a.distanceTo(b) * b.distanceTo(c);
  }

  /** Sine of a turn that makes a corner stand out. */
  private static final double SHARP = 0.3;

  private static double distance(Point p, List<Point> line) {
    double least = Double.MAX_VALUE;
    for (int k = 0; k < line.size() - 1; k++) {
      Point a = line.get(k);
      Point b = line.get(k + 1);
      double dr = b.r() - a.r();
      double dz = b.z() - a.z();
      double t = ((p.r() - a.r()) * dr + (p.z() - a.z()) * dz) / (dr * dr + dz * dz);
      least = Math.min(least, p.distanceTo(a.toward(b, Math.clamp(t, 0, 1))));
    }
    return least;
  }

  /** What is not known of each element: its potential, or the slope of it outward. */
  private static double[] solve(List<Element> elements, double[] known, boolean[] potentialKnown) {
    int n = elements.size();
    double[][] matrix = new double[n][n];
    double[] right = new double[n];
    for (int p = 0; p < n; p++) {
      Point at = elements.get(p).middle();
      for (int q = 0; q < n; q++) {
        Element e = elements.get(q);
        double length = e.length();
        double slope;
        double log;
        if (p == q) {
          slope = -Math.PI;
          log = length * (Math.log(length / 2) - 1);
        } else {
          double tr = (e.b().r() - e.a().r()) / length;
          double tz = (e.b().z() - e.a().z()) / length;
          double ar = e.a().r() - at.r();
          double az = e.a().z() - at.z();
          double x1 = ar * tr + az * tz;
          double x2 = x1 + length;
          double y = ar * tz - az * tr;
          slope = Math.atan2(y * (x2 - x1), y * y + x1 * x2);
          log =
              0.5 * x2 * Math.log(x2 * x2 + y * y)
                  - 0.5 * x1 * Math.log(x1 * x1 + y * y)
                  - length
                  + y * slope;
        }
        if (potentialKnown[q]) {
          matrix[p][q] = -log;
          right[p] -= slope * known[q];
        } else {
          matrix[p][q] = slope;
        }
      }
    }
    RealVector x =
        new LUDecomposition(new Array2DRowRealMatrix(matrix, false))
            .getSolver()
            .solve(new ArrayRealVector(right, false));
    return x.toArray();
  }

  /**
   * How the potential grows along a side. Beside a corner of angle a in the air it goes with the
   * distance to the power of pi / a; elements are too few there to show it.
   */
  private static Trace side(
      AirSpace.Side side, List<Element> elements, double[] found, int from, int to, boolean back) {
    int n = to - from;
    double[] middles = new double[n];
    double[] potentials = new double[n];
    double at = 0;
    for (int k = 0; k < n; k++) {
      int e = back ? to - 1 - k : from + k;
      double length = elements.get(e).length();
      middles[k] = at + length / 2;
      potentials[k] = found[e];
      at += length;
    }
    double[] corners = side.lengths();
    List<double[]> samples = new ArrayList<>();
    samples.add(new double[] {0, 0});
    int k = 0;
    for (int c = 1; c < corners.length; c++) {
      double end = c == corners.length - 1 ? Double.MAX_VALUE : corners[c];
      for (; k < n && middles[k] < end; k++) {
        samples.add(new double[] {middles[k], potentials[k]});
      }
      if (c < corners.length - 1 && k >= 2 && k < n - 1) {
        double angle = Math.PI + (back ? 1 : -1) * side.turnAt(c);
        double power = Math.PI / Math.clamp(angle, 0.2 * Math.PI, 2 * Math.PI);
        double[] s = {
          corners[c] - middles[k - 2],
          corners[c] - middles[k - 1],
          middles[k] - corners[c],
          middles[k + 1] - corners[c]
        };
        double before = atCorner(s[1], potentials[k - 1], s[0], potentials[k - 2], power);
        double after = atCorner(s[2], potentials[k], s[3], potentials[k + 1], power);
        double corner =
            Math.clamp(
                (before + after) / 2,
                potentials[k - 1],
                Math.max(potentials[k - 1], potentials[k]));
        for (double t : TOWARD_CORNER) {
          samples.add(
              new double[] {
                corners[c] - t * s[1], corner + (potentials[k - 1] - corner) * Math.pow(t, power)
              });
        }
        samples.add(new double[] {corners[c], corner});
        for (int q = TOWARD_CORNER.length - 1; q >= 0; q--) {
          double t = TOWARD_CORNER[q];
          samples.add(
              new double[] {
                corners[c] + t * s[2], corner + (potentials[k] - corner) * Math.pow(t, power)
              });
        }
      }
    }
    samples.add(new double[] {at, 1});
    double[] lengths = new double[samples.size()];
    double[] values = new double[samples.size()];
    for (int q = 1; q < lengths.length; q++) {
      lengths[q] = samples.get(q)[0];
      values[q] = Math.max(samples.get(q)[1], values[q - 1] + LEAST);
    }
    double last = values[lengths.length - 1];
    for (int q = 1; q < lengths.length; q++) {
      values[q] /= last;
    }
    return trace(side.points(), lengths, values);
  }

  /** Where the potential is told on the way from an element to a corner, as shares of that way. */
  private static final double[] TOWARD_CORNER = {0.7, 0.45, 0.25, 0.1, 0.03};

  /** Least growth of the potential from place to place. */
  private static final double LEAST = 1e-10;

  private static double atCorner(double s1, double v1, double s2, double v2, double power) {
    double p1 = Math.pow(s1, power);
    double p2 = Math.pow(s2, power);
    return (v1 * p2 - v2 * p1) / (p2 - p1);
  }

  private static Trace end(
      List<Point> points,
      List<Element> elements,
      double[] found,
      int from,
      int to,
      boolean back,
      double[] flux) {
    int n = to - from;
    double[] lengths = new double[n + 1];
    double[] values = new double[n + 1];
    double sum = 0;
    for (int k = 0; k < n; k++) {
      int e = back ? to - 1 - k : from + k;
      double length = elements.get(e).length();
      lengths[k + 1] = lengths[k] + length;
      sum += found[e] * length;
      values[k + 1] = sum;
    }
    flux[0] = sum;
    for (int k = 1; k <= n; k++) {
      values[k] = Math.max(values[k] / sum, values[k - 1] + 1e-9);
    }
    values[n] = Math.max(1, values[n]);
    return trace(points, lengths, values);
  }

  private static Trace trace(List<Point> points, double[] lengths, double[] values) {
    double[] corners = new double[points.size()];
    double s = 0;
    for (int k = 1; k < corners.length; k++) {
      s += points.get(k - 1).distanceTo(points.get(k));
      corners[k] = interpolate(lengths, values, s);
    }
    corners[corners.length - 1] = values[values.length - 1];
    return new Trace(points, lengths, values, corners);
  }

  /** By straight lines between rising places. */
  static double interpolate(double[] places, double[] values, double place) {
    int high = java.util.Arrays.binarySearch(places, place);
    if (high >= 0) {
      return values[high];
    }
    high = Math.clamp(-high - 1, 1, places.length - 1);
    double share = (place - places[high - 1]) / (places[high] - places[high - 1]);
    return values[high - 1] + share * (values[high] - values[high - 1]);
  }
}
