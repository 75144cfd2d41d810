package finebore.desk.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Places a column of labels beside a drawing so that none overlaps another and no leader crosses
 * another.
 *
 * <p>Labels keep the order of their anchors. Each wants the height of its anchor; those that crowd
 * are moved together as a block, so that the sum of squared moves is smallest (pool adjacent
 * violators).
 */
final class Leaders {

  /** A label to place: where its anchor is, and any payload. */
  record Wanted<T>(double anchorX, double anchorY, T label) {}

  /** A label placed at a height of its middle. */
  record Placed<T>(Wanted<T> wanted, double y) {}

  private Leaders() {}

  /**
   * Places labels.
   *
   * @param gap distance between the middles of neighbours, at least
   * @param top least height of a middle
   * @param bottom greatest height of a middle
   */
  static <T> List<Placed<T>> place(List<Wanted<T>> wanted, double gap, double top, double bottom) {
    List<Wanted<T>> sorted = new ArrayList<>(wanted);
    sorted.sort(Comparator.comparingDouble(Wanted::anchorY));
    int n = sorted.size();
    // With u = y - k gap, the rule "at least a gap apart" becomes "never falls", which pooling
    // solves.
    List<double[]> blocks = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      blocks.add(new double[] {sorted.get(k).anchorY() - k * gap, 1});
      while (blocks.size() > 1 && blocks.get(blocks.size() - 2)[0] > blocks.getLast()[0]) {
        double[] last = blocks.removeLast();
        double[] before = blocks.getLast();
        before[0] = (before[0] * before[1] + last[0] * last[1]) / (before[1] + last[1]);
        before[1] += last[1];
      }
    }
    double highest = Math.max(top, bottom - (n - 1) * gap);
    List<Placed<T>> placed = new ArrayList<>();
    for (double[] block : blocks) {
      double u = Math.clamp(block[0], top, highest);
      for (int k = 0; k < block[1]; k++) {
        int at = placed.size();
        placed.add(new Placed<>(sorted.get(at), u + at * gap));
      }
    }
    return placed;
  }
}
