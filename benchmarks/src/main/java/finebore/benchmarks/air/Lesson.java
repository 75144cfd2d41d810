package finebore.benchmarks.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a {@link NetworkFit} is shown.
 *
 * @param x rows of numbers, mean 0 and spread 1
 * @param y what each is to give, of about spread 1
 * @param rises pairs that may not fall; gains in units of y
 * @param changes pairs of rows whose difference counts by itself
 */
record Lesson(double[][] x, double[] y, List<Rise> rises, List<Change> changes) {

  /** Two lifts of one section, close together, of which the higher may not flow less. */
  record Rise(double[] lower, double[] higher, double gateGain) {

    private Rise marked(double mark) {
      return new Rise(Lesson.marked(lower, mark), Lesson.marked(higher, mark), gateGain);
    }
  }

  /** Two rows, by their places, that differ by a change of the section alone. */
  record Change(int before, int after) {

    private Change movedBy(int rows) {
      return new Change(before + rows, after + rows);
    }
  }

  /** Rows of one direction, their logarithms less their own mean. */
  static Lesson of(List<AirFit.Row> rows, Scale scale) {
    double mean = Scale.mean(rows);
    return new Lesson(
        rows.stream().map(r -> scale.normal(r.x())).toArray(double[][]::new),
        rows.stream().mapToDouble(r -> (r.target() - mean) / scale.size()).toArray(),
        rows.stream()
            .map(
                r ->
                    new Rise(
                        scale.normal(r.x()),
                        scale.normal(r.xAbove()),
                        Math.log(r.gateAboveMm2() / r.gateMm2()) / scale.size()))
            .toList(),
        changes(rows));
  }

  /** Every two seats of a family at the same lift. */
  private static List<Change> changes(List<AirFit.Row> rows) {
    Map<String, List<Integer>> alike = new TreeMap<>();
    for (int k = 0; k < rows.size(); k++) {
      String at = rows.get(k).family() + " " + rows.get(k).lift();
      alike.computeIfAbsent(at, f -> new ArrayList<>()).add(k);
    }
    List<Change> changes = new ArrayList<>();
    for (List<Integer> group : alike.values()) {
      for (int a = 0; a < group.size(); a++) {
        for (int b = a + 1; b < group.size(); b++) {
          changes.add(new Change(group.get(a), group.get(b)));
        }
      }
    }
    return changes;
  }

  /** The same with one number more in every row. */
  Lesson marked(double mark) {
    return new Lesson(
        Arrays.stream(x).map(row -> marked(row, mark)).toArray(double[][]::new),
        y,
        rises.stream().map(r -> r.marked(mark)).toList(),
        changes);
  }

  private static double[] marked(double[] row, double mark) {
    double[] with = Arrays.copyOf(row, row.length + 1);
    with[row.length] = mark;
    return with;
  }

  /** This lesson and another. */
  Lesson and(Lesson other) {
    double[][] bothX = Arrays.copyOf(x, x.length + other.x.length);
    System.arraycopy(other.x, 0, bothX, x.length, other.x.length);
    double[] bothY = Arrays.copyOf(y, y.length + other.y.length);
    System.arraycopy(other.y, 0, bothY, y.length, other.y.length);
    List<Rise> bothRises = new ArrayList<>(rises);
    bothRises.addAll(other.rises);
    List<Change> bothChanges = new ArrayList<>(changes);
    other.changes.forEach(c -> bothChanges.add(c.movedBy(x.length)));
    return new Lesson(bothX, bothY, bothRises, bothChanges);
  }
}
