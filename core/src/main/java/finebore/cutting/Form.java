package finebore.cutting;

import finebore.seat.Cut;
import finebore.section.Point;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.TreeSet;

/**
 * A stack of cuts set to a seat diameter: the shape a form cutter leaves, with the seat's outside
 * edge at height 0.
 *
 * @param cuts from the chamber to the port
 * @param sealing index of the sealing cut
 * @param points corners from the outside in, one more than cuts
 */
public record Form(List<Cut> cuts, int sealing, List<Point> points) {

  private static final double BESIDE_MM = 1e-7;

  /** A lip thinner than this breaks away under a cutter, mm; assumed. */
  static final double LIP_MM = 0.06;

  /** Chains cuts about the outside edge of the sealing one. */
  public static Form of(List<Cut> cuts, int sealing, double seatDiameterMm) {
    List<Point> points = new ArrayList<>(List.of(new Point(seatDiameterMm / 2, 0)));
    for (int k = sealing - 1; k >= 0; k--) {
      Point at = points.getFirst();
      points.addFirst(at.plus(cuts.get(k).projectedMm(), cuts.get(k).heightMm()));
    }
    for (int k = sealing; k < cuts.size(); k++) {
      Point at = points.getLast();
      double r = Math.max(0, at.r() - cuts.get(k).projectedMm());
      points.add(new Point(r, at.z() - cuts.get(k).heightMm()));
    }
    return new Form(List.copyOf(cuts), sealing, List.copyOf(points));
  }

  /** Its corners when the outside edge lies that deep below the head face. */
  List<Point> at(double depthMm) {
    return points.stream().map(p -> p.plus(0, -depthMm)).toList();
  }

  /** Radius of its inner end, mm. */
  double innerR() {
    return points.getLast().r();
  }

  /**
   * The depth at which a cut shows over its whole width: nothing of the wall lies under it there.
   * Both are straight between their corners, so the largest lack lies at a corner and is exact.
   *
   * @return empty when no metal lies over any of the cut, so that it never touches
   */
  OptionalDouble cleanDepth(int cut, Profile wall) {
    return lack(cut, wall, true);
  }

  /** The depth at which a cut first touches. */
  OptionalDouble touchDepth(int cut, Profile wall) {
    return lack(cut, wall, false);
  }

  private OptionalDouble lack(int cut, Profile wall, boolean most) {
    Point outer = points.get(cut);
    Point inner = points.get(cut + 1);
    double from = throatWithin(wall, Math.max(inner.r(), wall.narrowestR()));
    if (outer.r() - from <= BESIDE_MM) {
      return OptionalDouble.empty();
    }
    TreeSet<Double> radii = new TreeSet<>();
    radii.add(from + BESIDE_MM);
    radii.add(outer.r() - BESIDE_MM);
    for (Point p : wall.points()) {
      if (p.r() > from && p.r() < outer.r()) {
        radii.add(p.r() - BESIDE_MM);
        radii.add(p.r() + BESIDE_MM);
      }
    }
    double extreme = Double.NaN;
    for (double r : radii) {
      double top = wall.topAt(r);
      if (Double.isNaN(top)) {
        continue;
      }
      double shape =
          outer.z() - (outer.r() - r) / (outer.r() - inner.r()) * (outer.z() - inner.z());
      double depth = shape - top;
      if (Double.isNaN(extreme) || (most ? depth > extreme : depth < extreme)) {
        extreme = depth;
      }
    }
    return Double.isNaN(extreme) ? OptionalDouble.empty() : OptionalDouble.of(extreme);
  }

  /** A radius, or that of an upright throat just outside it: the lip between them breaks away. */
  private static double throatWithin(Profile wall, double radius) {
    double throat = radius;
    for (int k = 0; k < wall.segmentCount(); k++) {
      double r = wall.end(k).r();
      boolean upright = Math.abs(wall.start(k).r() - r) < BESIDE_MM && wall.length(k) > LIP_MM;
      if (upright && r > radius && r < radius + LIP_MM) {
        throat = Math.max(throat, r);
      }
    }
    return throat;
  }
}
