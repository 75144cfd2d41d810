package finebore.flow.field;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * The last of a row of areas, as waves.
 *
 * @param mean over as many whole waves as there are; over all where there is none
 * @param swing half of how far they lie apart, over their middle; 1 where there are too few
 * @param drift how far the mean of the waves' first half lies from that of their last, over it
 */
record Waves(double mean, double swing, double drift) {

  private static final Waves NONE = new Waves(Double.NaN, 1, 1);

  /**
   * Looks at the last of them.
   *
   * @param count how many of the areas there are
   * @param window how many of the last are looked at
   */
  static Waves of(double[] areas, int count, int window) {
    if (count < window) {
      return NONE;
    }
    double[] last = Arrays.copyOfRange(areas, count - window, count);
    double least = Arrays.stream(last).min().orElseThrow();
    double most = Arrays.stream(last).max().orElseThrow();
    if (!(most + least > 0)) {
      return NONE;
    }
    // Whole waves go from one rise through the mean to another.
    int[] rises = rises(last, mean(last, 0, window));
    int from = rises.length > 1 ? rises[0] : 0;
    int to = rises.length > 1 ? rises[rises.length - 1] : 0;
    if (to - from < window / 3) {
      // No wave, or one that a creep carries on.
      from = 0;
      to = window;
      rises = new int[0];
    }
    int half = rises.length > 2 ? rises[rises.length / 2] : (from + to) / 2;
    double mean = mean(last, from, to);
    double drift =
        rises.length == 2
            ? Math.abs(mean(last, 0, window) / mean - 1)
            : Math.abs(mean(last, from, half) - mean(last, half, to)) / mean;
    return new Waves(mean, (most - least) / (most + least), drift);
  }

  private static double mean(double[] areas, int from, int to) {
    return Arrays.stream(areas, from, to).average().orElse(Double.NaN);
  }

  /** Where they rise through a level. */
  private static int[] rises(double[] areas, double level) {
    return IntStream.range(1, areas.length)
        .filter(k -> areas[k - 1] < level && areas[k] >= level)
        .toArray();
  }
}
