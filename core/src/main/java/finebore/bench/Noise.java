package finebore.bench;

import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What a bench can tell.
 *
 * @param share standard deviation of one reading, as a share of the flow
 * @param freedom degrees of freedom behind it; none where it is assumed
 * @param assumed whether it is assumed, for want of repeats
 * @param students Student's t that a difference must pass, two-sided at 95 %
 */
public record Noise(double share, int freedom, boolean assumed, double students) {

  /** Taken when no lift was read twice; common practice, no source. */
  public static final double ASSUMED = 0.01;

  /** Normal distribution, two-sided at 95 %. */
  private static final double NORMAL = 1.959963985;

  /**
   * A whole test is off by about 0.2 % from the next (a plate of 300 that reads 300.6 is a good
   * bench; common practice, no source). It is the same at all lifts, so no mean makes it smaller.
   */
  private static final double BETWEEN = NORMAL * Math.sqrt(2) * 0.002;

  private static final double CONFIDENCE = 0.975;

  /** No bench is better than this; a few repeats that happen to agree do not prove it. */
  private static final double FLOOR = 0.0005;

  /** Nothing known. */
  public static final Noise UNKNOWN = new Noise(ASSUMED, 0, true, NORMAL);

  /**
   * The standard deviation of repeats, pooled over all lifts of tests that were read more than
   * once: s2 = sum (n - 1) s2 / sum (n - 1), each relative to its lift's mean.
   */
  public static Noise of(List<ReducedTest> tests) {
    double squares = 0;
    int freedom = 0;
    for (ReducedTest test : tests) {
      for (ReducedTest.Lift lift : test.lifts()) {
        double mean = lift.meanM3s();
        if (lift.flowsM3s().size() > 1 && mean > 0) {
          for (double flow : lift.flowsM3s()) {
            squares += (flow / mean - 1) * (flow / mean - 1);
          }
          freedom += lift.flowsM3s().size() - 1;
        }
      }
    }
    if (freedom == 0) {
      return UNKNOWN;
    }
    return new Noise(
        Math.max(Math.sqrt(squares / freedom), FLOOR), freedom, false, quantile(freedom));
  }

  /** Student's t at 97.5 %. */
  static double quantile(int freedom) {
    return new TDistribution(freedom).inverseCumulativeProbability(CONFIDENCE);
  }

  /** The least share by which means of so many readings must differ to mean anything. */
  public double limit(int readings, int others) {
    return Math.hypot(scatter(readings, others), BETWEEN);
  }

  /** The part of the limit that comes from readings that scatter; it averages out over lifts. */
  double scatter(int readings, int others) {
    return students * share * Math.sqrt(1.0 / readings + 1.0 / others);
  }

  /** The limit of the mean of several lifts, from the scatter of each. */
  static double ofMean(java.util.List<Double> scatters) {
    double squares = scatters.stream().mapToDouble(s -> s * s).sum();
    return Math.hypot(Math.sqrt(squares) / scatters.size(), BETWEEN);
  }
}
