package finebore.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A reading that lies far from the curve through its neighbours. It is questioned, never dropped.
 *
 * @param liftMm where
 * @param flowM3s as read, brought to standard
 * @param expectedM3s by its neighbours
 */
public record Doubt(double liftMm, double flowM3s, double expectedM3s) {

  /** Flow curves bend: closer than this to the neighbours' parabola a reading may well be right. */
  private static final double LEAST_SHARE = 0.04;

  private static final double TIMES_NOISE = 5;
  private static final int NEIGHBOURS = 4;

  private record At(double lift, double flow) {}

  public double share() {
    return flowM3s / expectedM3s - 1;
  }

  /**
   * Readings of a test to be looked at again, the worst first. The last lift has neighbours on one
   * side only and is never questioned.
   */
  public static List<Doubt> of(ReducedTest test, Noise noise) {
    List<At> left = new ArrayList<>();
    left.add(new At(0, 0));
    test.lifts().forEach(l -> left.add(new At(l.liftMm(), l.meanM3s())));
    double limit = Math.max(LEAST_SHARE, TIMES_NOISE * noise.share());
    List<Doubt> doubts = new ArrayList<>();
    // One bad reading spoils its neighbours' expectation, so the worst goes first.
    while (left.size() > NEIGHBOURS + 1) {
      Optional<Doubt> worst =
          left.subList(1, left.size() - 1).stream()
              .map(at -> of(at, left))
              .filter(d -> Math.abs(d.share()) > limit)
              .max(Comparator.comparingDouble(d -> Math.abs(d.share())));
      if (worst.isEmpty()) {
        break;
      }
      doubts.add(worst.get());
      left.removeIf(at -> at.lift() == worst.get().liftMm());
    }
    return doubts;
  }

  private static Doubt of(At at, List<At> all) {
    List<At> near =
        all.stream()
            .filter(o -> o != at)
            .sorted(Comparator.comparingDouble(o -> Math.abs(o.lift() - at.lift())))
            .limit(NEIGHBOURS)
            .toList();
    return new Doubt(at.lift(), at.flow(), parabola(near, at.lift()));
  }

  /** Value of the least-squares parabola through points, the height taken from the middle. */
  private static double parabola(List<At> points, double lift) {
    var fitter = org.hipparchus.fitting.PolynomialCurveFitter.create(2);
    var observed = new org.hipparchus.fitting.WeightedObservedPoints();
    // The nearer a neighbour, the more it knows.
    points.forEach(p -> observed.add(Math.pow(p.lift() - lift, -2), p.lift() - lift, p.flow()));
    return fitter.fit(observed.toList())[0];
  }
}
