package finebore.machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts the steps of many seats in one order: each seat's own order holds, and a tool that is fitted
 * does all it can before the next one is. Which tool comes next is decided by how many seats wait
 * for it and need it no more afterwards; a greedy choice, which is the best there is where all
 * seats go through the same operations.
 */
final class ToolOrder {

  private ToolOrder() {}

  /**
   * Orders them.
   *
   * @param seats the steps of each seat in the order in which they must happen; seats that come
   *     first are cut first
   */
  static List<RunStep> of(List<List<RunStep>> seats) {
    int[] next = new int[seats.size()];
    List<RunStep> order = new ArrayList<>();
    long all = seats.stream().mapToLong(List::size).sum();
    while (order.size() < all) {
      String tool = nextTool(seats, next);
      for (int k = 0; k < seats.size(); k++) {
        while (next[k] < seats.get(k).size() && seats.get(k).get(next[k]).tool().equals(tool)) {
          order.add(seats.get(k).get(next[k]));
          next[k]++;
        }
      }
    }
    return order;
  }

  private static String nextTool(List<List<RunStep>> seats, int[] next) {
    List<RunStep> waiting = new ArrayList<>();
    for (int k = 0; k < seats.size(); k++) {
      if (next[k] < seats.get(k).size()) {
        waiting.add(seats.get(k).get(next[k]));
      }
    }
    Map<String, Boolean> again = new HashMap<>();
    waiting.forEach(s -> again.computeIfAbsent(s.tool(), tool -> comesBack(tool, seats, next)));
    // The earliest kind of work first: a valve's face is nothing to do while throats are open.
    return waiting.stream()
        .min(
            Comparator.comparing((RunStep s) -> again.get(s.tool()))
                .thenComparing(RunStep::kind)
                // Of rings that stand near each other the exhaust's is fitted last and stays whole.
                .thenComparing(s -> s.seat().port())
                .thenComparing(s -> -waitingFor(s.tool(), waiting)))
        .orElseThrow()
        .tool();
  }

  /** Whether a seat will need the tool again that does not wait for it now. */
  private static boolean comesBack(String tool, List<List<RunStep>> seats, int[] next) {
    for (int k = 0; k < seats.size(); k++) {
      List<RunStep> all = seats.get(k);
      int at = next[k];
      while (at < all.size() && all.get(at).tool().equals(tool)) {
        at++;
      }
      for (; at < all.size(); at++) {
        if (all.get(at).tool().equals(tool)) {
          return true;
        }
      }
    }
    return false;
  }

  private static int waitingFor(String tool, List<RunStep> waiting) {
    return (int) waiting.stream().filter(s -> s.tool().equals(tool)).count();
  }
}
