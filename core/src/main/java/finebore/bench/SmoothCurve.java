package finebore.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A smooth curve through a test's own points: at any lift the cubic through the two points on
 * either side (Lagrange's form), with no flow at no lift as a point of its own. Nearer the ends it
 * leans on the points that are there.
 *
 * @param points rising lifts, mm, with their flows, m3/s
 */
record SmoothCurve(List<At> points) {

  /** One point. */
  record At(double liftMm, double flowM3s) {}

  /**
   * A flow off the curve.
   *
   * @param bendM3s by how much it lies off the straight line between its neighbours: what a curve
   *     that bends can at most be wrong by
   * @param inside whether there are readings on both sides; that nothing flows through a closed
   *     valve is none
   */
  record Value(double flowM3s, double bendM3s, boolean inside) {}

  private static final int EACH_SIDE = 2;

  SmoothCurve {
    points = points.stream().sorted(Comparator.comparingDouble(At::liftMm)).toList();
  }

  static SmoothCurve of(ReducedTest test) {
    List<At> points = new ArrayList<>(List.of(new At(0, 0)));
    test.lifts().forEach(l -> points.add(new At(l.liftMm(), l.meanM3s())));
    return new SmoothCurve(points);
  }

  /** What was read below a lift. */
  SmoothCurve before(double liftMm) {
    return new SmoothCurve(points.stream().filter(p -> p.liftMm() < liftMm).toList());
  }

  SmoothCurve without(double liftMm) {
    return new SmoothCurve(points.stream().filter(p -> p.liftMm() != liftMm).toList());
  }

  /** Flow at a lift; empty past the last point, or with too few points. */
  Optional<Value> at(double liftMm) {
    List<At> below = points.stream().filter(p -> p.liftMm() <= liftMm).toList();
    List<At> above = points.stream().filter(p -> p.liftMm() > liftMm).toList();
    if (below.isEmpty() || points.size() < 2 * EACH_SIDE) {
      return Optional.empty();
    }
    List<At> near =
        new ArrayList<>(below.subList(Math.max(0, below.size() - EACH_SIDE), below.size()));
    near.addAll(above.subList(0, Math.min(EACH_SIDE, above.size())));
    if (near.size() == EACH_SIDE) {
      near.addFirst(below.get(below.size() - EACH_SIDE - 1));
    }
    double smooth = cubic(near, liftMm);
    boolean inside = !above.isEmpty() && below.getLast().liftMm() > 0;
    double straight =
        !above.isEmpty()
            ? cubic(List.of(below.getLast(), above.getFirst()), liftMm)
            : cubic(below.subList(below.size() - 2, below.size()), liftMm);
    return Optional.of(new Value(smooth, Math.abs(smooth - straight), inside));
  }

  /** Lagrange's polynomial through the points. */
  private static double cubic(List<At> through, double lift) {
    double sum = 0;
    for (At own : through) {
      double weight = 1;
      for (At other : through) {
        if (other != own) {
          weight *= (lift - other.liftMm()) / (own.liftMm() - other.liftMm());
        }
      }
      sum += weight * own.flowM3s();
    }
    return sum;
  }
}
