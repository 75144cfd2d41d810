package finebore.crank;

import finebore.space.Nearest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.function.DoubleUnaryOperator;

/**
 * A distance over the crank's turn.
 *
 * @param points by rising crank degree; one at least
 * @param least the smallest there is, found more finely than the points lie
 */
public record ClearanceCurve(List<Point> points, Point least) {

  /**
   * A distance at a place of the crank.
   *
   * @param crankDeg from top dead centre in the overlap
   * @param mm below 0 where one stands in the other
   */
  public record Point(double crankDeg, double mm) {}

  /** A stroke to either side of top dead centre. */
  private static final int REACH_DEG = 180;

  private static final double FINE_DEG = 0.05;

  public ClearanceCurve {
    points = List.copyOf(points);
  }

  /**
   * Looks over the turn, where there is anything to look at.
   *
   * @param stepDeg between the points
   * @param counts at which degrees there is
   * @param distance by crank degree, mm
   */
  public static Optional<ClearanceCurve> of(
      int stepDeg, DoublePredicate counts, DoubleUnaryOperator distance) {
    List<Point> points = new ArrayList<>();
    for (int deg = -REACH_DEG; deg <= REACH_DEG; deg += stepDeg) {
      if (counts.test(deg)) {
        points.add(new Point(deg, distance.applyAsDouble(deg)));
      }
    }
    return points.stream()
        .min(Comparator.comparingDouble(Point::mm))
        .map(rough -> new ClearanceCurve(points, finer(rough, stepDeg, counts, distance)));
  }

  private static Point finer(
      Point rough, double stepDeg, DoublePredicate counts, DoubleUnaryOperator distance) {
    double at =
        Nearest.between(rough.crankDeg() - stepDeg, rough.crankDeg() + stepDeg, FINE_DEG, distance);
    double mm = distance.applyAsDouble(at);
    return counts.test(at) && mm < rough.mm() ? new Point(at, mm) : rough;
  }
}
