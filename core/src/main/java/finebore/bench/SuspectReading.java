package finebore.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A reading that lies far from the curve its neighbours lead to. It is questioned, never dropped.
 *
 * <p>What was read over what the model has there changes little from lift to lift, though the flow
 * itself does: where one lift's ratio leaves its neighbours', it is that reading that is odd.
 *
 * @param liftMm where
 * @param flowM3s as read, brought to standard
 * @param expectedM3s by its neighbours
 */
public record SuspectReading(double liftMm, double flowM3s, double expectedM3s) {

  /** The model itself bends by this between neighbouring lifts. */
  private static final double LEAST_SHARE = 0.05;

  private static final double TIMES_NOISE = 5;
  private static final int NEIGHBOURS = 4;

  private record At(double lift, double flow, double ratio) {}

  public double share() {
    return flowM3s / expectedM3s - 1;
  }

  /**
   * Readings of a test to be looked at again, the worst first.
   *
   * @param shape the model's flow by lift, mm to m3/s; its size does not matter
   */
  public static List<SuspectReading> of(ReducedTest test, DoubleUnaryOperator shape, Noise noise) {
    List<At> left = new ArrayList<>();
    for (ReducedTest.Lift lift : test.lifts()) {
      double model = shape.applyAsDouble(lift.liftMm());
      if (model > 0) {
        left.add(new At(lift.liftMm(), lift.meanM3s(), lift.meanM3s() / model));
      }
    }
    double limit = Math.max(LEAST_SHARE, TIMES_NOISE * noise.share());
    List<SuspectReading> doubts = new ArrayList<>();
    // One bad reading spoils its neighbours' expectation, so the worst goes first.
    while (left.size() > NEIGHBOURS) {
      Optional<SuspectReading> worst =
          left.stream()
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

  /** The middle of the neighbours' ratios leads to what is expected. */
  private static SuspectReading of(At at, List<At> all) {
    double[] near =
        all.stream()
            .filter(o -> o != at)
            .sorted(Comparator.comparingDouble(o -> Math.abs(o.lift() - at.lift())))
            .limit(NEIGHBOURS)
            .mapToDouble(At::ratio)
            .sorted()
            .toArray();
    double middle = (near[(near.length - 1) / 2] + near[near.length / 2]) / 2;
    return new SuspectReading(at.lift(), at.flow(), at.flow() / at.ratio() * middle);
  }
}
