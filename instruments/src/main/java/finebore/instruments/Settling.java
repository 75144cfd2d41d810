package finebore.instruments;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Tells when a needle has come to rest: over the last samples it neither swings by more than a
 * share of what it shows nor goes one way.
 */
public final class Settling {

  /** Samples looked at. */
  public static final int WINDOW = 12;

  /** Most they may scatter, as a share; common practice, no source. */
  public static final double SWING = 0.006;

  /** Most the second half may lie off the first, as a share. */
  public static final double TREND = 0.0035;

  /** A needle near the bottom of its range shows little: scatter below this, %, is rest. */
  private static final double LEAST = 0.05;

  private final Deque<Sample> last = new ArrayDeque<>();

  /** A needle nobody has looked at yet. */
  public Settling() {}

  public void add(Sample sample) {
    last.addLast(sample);
    if (last.size() > WINDOW) {
      last.removeFirst();
    }
  }

  public void clear() {
    last.clear();
  }

  /** How near to rest it is, 0 to 1; 1 is settled. */
  public double share() {
    double full = (double) last.size() / WINDOW;
    double limit = Math.max(SWING * mean(), LEAST);
    double swing = Math.min(1, limit / Math.max(scatter(), 1e-9));
    double trend = Math.min(1, Math.max(TREND * mean(), LEAST) / Math.max(Math.abs(trend()), 1e-9));
    return last.isEmpty() ? 0 : full * Math.min(swing, trend);
  }

  public boolean isSettled() {
    return share() >= 1;
  }

  /** Mean of the samples looked at, %. */
  public double mean() {
    return last.stream().mapToDouble(Sample::percent).average().orElse(0);
  }

  private double scatter() {
    double mean = mean();
    return Math.sqrt(
        last.stream().mapToDouble(s -> Math.pow(s.percent() - mean, 2)).average().orElse(0));
  }

  private double trend() {
    List<Sample> all = new ArrayList<>(last);
    int half = all.size() / 2;
    return mean(all.subList(half, all.size())) - mean(all.subList(0, half));
  }

  private static double mean(List<Sample> samples) {
    return samples.stream().mapToDouble(Sample::percent).average().orElse(0);
  }

  /** The samples looked at, oldest first. */
  public List<Sample> samples() {
    return List.copyOf(last);
  }
}
