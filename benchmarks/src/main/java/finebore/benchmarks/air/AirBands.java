package finebore.benchmarks.air;

import finebore.benchmarks.air.AirFit.Row;
import finebore.flow.Bands;
import finebore.flow.Bands.Band;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * The band round a change, by what is changed: what two thirds of the errors lie within, on seats
 * that the estimate was not fitted to. Two changes at once are held against both bands in
 * quadrature.
 */
final class AirBands {

  private final Map<String, Map<Band, Double>> largest = new LinkedHashMap<>();

  /** An error of a change between two seats of a family, or of any two, points. */
  private record Miss(Band band, List<String> changes, double points) {}

  /**
   * Prints the bands of a direction. Where another was printed before, two changes are held against
   * the larger of both.
   */
  void print(List<Row> unseen, ToDoubleFunction<Row> estimate) {
    List<Miss> all = misses(unseen, estimate);
    for (String change : RandomSeat.CHANGES) {
      print(change, all, List.of(change));
    }
    print("any two", strangers(unseen, estimate), List.of());
    for (Band band : Band.values()) {
      List<Miss> two =
          all.stream().filter(m -> m.band() == band && m.changes().size() == 2).toList();
      List<Double> times = two.stream().map(m -> m.points() / both(m.changes(), band)).toList();
      System.out.printf(
          Locale.ROOT,
          "  two changes, %s: two thirds of %d within %.2f times both bands in quadrature%n",
          band,
          two.size(),
          within(times));
    }
  }

  private double both(List<String> changes, Band band) {
    return Math.hypot(
        largest.get(changes.getFirst()).get(band), largest.get(changes.getLast()).get(band));
  }

  private void print(String name, List<Miss> all, List<String> changes) {
    Map<Band, Double> of = largest.computeIfAbsent(name, k -> new EnumMap<>(Band.class));
    StringBuilder line = new StringBuilder();
    for (Band band : Band.values()) {
      List<Double> points =
          all.stream()
              .filter(m -> m.band() == band && m.changes().equals(changes))
              .map(Miss::points)
              .toList();
      of.merge(band, within(points), Math::max);
      line.append(String.format(Locale.ROOT, "  %.2f (%d)", within(points), points.size()));
    }
    System.out.printf(Locale.ROOT, "  band %-13s%s%n", name, line);
  }

  /** Seats of unlike families, each on its own gate. */
  private static List<Miss> strangers(List<Row> rows, ToDoubleFunction<Row> estimate) {
    List<Miss> misses = new ArrayList<>();
    for (int a = 0; a < rows.size(); a++) {
      Row first = rows.get(a);
      for (int b = a + 1; b < rows.size(); b++) {
        Row second = rows.get(b);
        if (first.lift() == second.lift() && first.family() != second.family()) {
          double gates = first.gateMm2() / second.gateMm2();
          misses.add(miss(first, second, estimate, gates, List.of()));
        }
      }
    }
    return misses;
  }

  private static Miss miss(
      Row first, Row second, ToDoubleFunction<Row> estimate, double gates, List<String> changes) {
    double solved = second.even() / first.even() * gates;
    double said = estimate.applyAsDouble(second) / estimate.applyAsDouble(first) * gates;
    return new Miss(Bands.USUAL.of(first.lift(), 1), changes, 100 * Math.abs(said - solved));
  }

  private static List<Miss> misses(List<Row> rows, ToDoubleFunction<Row> estimate) {
    List<Miss> misses = new ArrayList<>();
    List<Row> sorted =
        rows.stream()
            .sorted(Comparator.comparingInt(Row::family).thenComparingInt(Row::shape))
            .toList();
    for (int a = 0; a < sorted.size(); a++) {
      Row first = sorted.get(a);
      for (int b = a + 1; b < sorted.size() && sorted.get(b).family() == first.family(); b++) {
        Row second = sorted.get(b);
        if (first.lift() == second.lift()) {
          misses.add(
              miss(
                  first,
                  second,
                  estimate,
                  1,
                  Stream.of(first.change(), second.change()).filter(c -> !c.isEmpty()).toList()));
        }
      }
    }
    return misses;
  }

  private static double within(List<Double> points) {
    double[] sorted = points.stream().mapToDouble(v -> v).sorted().toArray();
    return sorted.length == 0 ? Double.NaN : sorted[(int) (2.0 / 3 * (sorted.length - 1))];
  }
}
