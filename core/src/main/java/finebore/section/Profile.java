package finebore.section;

import java.util.ArrayList;
import java.util.List;

/**
 * A wall in section: a chain of straight stretches, each with the name of the surface it belongs
 * to.
 *
 * <p>Walls of the head run from the chamber to the port; valves from the chamber edge of the margin
 * to the stem. Neighbouring points are distinct: {@link Builder} drops what is shorter than the
 * tolerance.
 *
 * @param points at least two points, mm
 * @param surfaces one fewer than the points: surface k lies between points k and k + 1
 */
public record Profile(List<Point> points, List<Surface> surfaces) {

  public Profile {
    points = List.copyOf(points);
    surfaces = List.copyOf(surfaces);
    if (points.size() < 2 || surfaces.size() != points.size() - 1) {
      throw new IllegalArgumentException(
          "points: " + points.size() + ", surfaces: " + surfaces.size());
    }
  }

  public int segmentCount() {
    return surfaces.size();
  }

  public Point start(int segment) {
    return points.get(segment);
  }

  public Point end(int segment) {
    return points.get(segment + 1);
  }

  /** Length of a stretch, mm. */
  public double length(int segment) {
    return start(segment).distanceTo(end(segment));
  }

  /** Distance of a point from a stretch, mm. */
  public double distance(int segment, Point p) {
    Point a = start(segment);
    Point b = end(segment);
    double dr = b.r() - a.r();
    double dz = b.z() - a.z();
    double square = dr * dr + dz * dz;
    if (square == 0) {
      return p.distanceTo(a);
    }
    double t = ((p.r() - a.r()) * dr + (p.z() - a.z()) * dz) / square;
    return p.distanceTo(a.toward(b, Math.clamp(t, 0, 1)));
  }

  /** Radius of its narrowest place, mm. */
  public double narrowestR() {
    return points.stream().mapToDouble(Point::r).min().orElseThrow();
  }

  /** The whole wall moved up by dz mm. */
  public Profile raised(double dz) {
    return new Profile(points.stream().map(p -> p.plus(0, dz)).toList(), surfaces);
  }

  /** Highest z of the wall at radius r, mm; NaN where the wall does not reach. */
  public double topAt(double r) {
    return extremeAt(r, 1);
  }

  /** Lowest z of the wall at radius r, mm; NaN where the wall does not reach. */
  public double undersideAt(double r) {
    return extremeAt(r, -1);
  }

  /**
   * The part of this wall up to where it first comes inside a radius; stretches keep their places.
   */
  public Profile outside(double radiusMm) {
    List<Point> kept = new ArrayList<>(List.of(points.getFirst()));
    for (int k = 0; k < segmentCount(); k++) {
      Point a = start(k);
      Point b = end(k);
      if (b.r() < radiusMm) {
        kept.add(a.r() <= radiusMm ? b : a.toward(b, (a.r() - radiusMm) / (a.r() - b.r())));
        break;
      }
      kept.add(b);
    }
    return new Profile(kept, surfaces.subList(0, kept.size() - 1));
  }

  private double extremeAt(double r, int sign) {
    double best = Double.NaN;
    for (int k = 0; k < segmentCount(); k++) {
      Point a = start(k);
      Point b = end(k);
      if (r < Math.min(a.r(), b.r()) || r > Math.max(a.r(), b.r())) {
        continue;
      }
      double span = b.r() - a.r();
      double z =
          span == 0
              ? sign * Math.max(sign * a.z(), sign * b.z())
              : a.z() + (r - a.r()) / span * (b.z() - a.z());
      if (Double.isNaN(best) || sign * z > sign * best) {
        best = z;
      }
    }
    return best;
  }

  /** Collects a profile point by point. */
  public static final class Builder {
    private final List<Point> points = new ArrayList<>();
    private final List<Surface> surfaces = new ArrayList<>();
    private final Tolerance tolerance;

    public Builder(Point start, Tolerance tolerance) {
      points.add(start);
      this.tolerance = tolerance;
    }

    /** Continues to a point along a surface; a stretch shorter than the tolerance is left out. */
    public Builder to(Point next, Surface surface) {
      if (!tolerance.isZero(last().distanceTo(next))) {
        points.add(next);
        surfaces.add(surface);
      }
      return this;
    }

    public Point last() {
      return points.getLast();
    }

    public Profile build() {
      return new Profile(points, surfaces);
    }
  }
}
