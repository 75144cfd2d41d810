package finebore.benchmarks.air;

import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * How far the solver can be trusted on seats nobody chose: {@code [FROM TO]}, 0 to 300 otherwise.
 * Each is solved at four lifts by the even closure: on the coarse grid, once more a thousandth
 * higher, and on the full grid.
 */
public final class AirCampaign {

  /** Lifts over head diameter. */
  private static final List<Double> LIFTS = List.of(0.03, 0.08, 0.15, 0.28);

  private static final double HIGHER = 1.001;

  private AirCampaign() {}

  private record Point(OptionalDouble coarse, OptionalDouble higher, OptionalDouble full) {

    private boolean isSettled() {
      return coarse.isPresent() && higher.isPresent() && full.isPresent();
    }

    /** Change for a thousandth of lift, as a share. */
    private double jump() {
      return Math.abs(higher.getAsDouble() / coarse.getAsDouble() - 1);
    }

    /** Coarse against full, as a share. */
    private double gridError() {
      return Math.abs(coarse.getAsDouble() / full.getAsDouble() - 1);
    }
  }

  /** Runs. */
  public static void main(String[] arguments) {
    int from = arguments.length > 1 ? Integer.parseInt(arguments[0]) : 0;
    int to = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 300;
    List<List<Point>> seats =
        IntStream.range(from, to)
            .parallel()
            .mapToObj(family -> RandomSeat.of(family * RandomSeat.FAMILY))
            .map(seat -> LIFTS.stream().map(lift -> point(seat, lift)).toList())
            .toList();
    for (int k = 0; k < LIFTS.size(); k++) {
      int at = k;
      report(
          String.format(Locale.ROOT, "L/D %.2f", LIFTS.get(k)),
          seats.stream().map(s -> s.get(at)).toList());
    }
    report("all", seats.stream().flatMap(List::stream).toList());
  }

  private static Point point(RandomSeat seat, double liftOverHead) {
    return new Point(
        areaMm2(seat, liftOverHead, Fineness.COARSE),
        areaMm2(seat, liftOverHead * HIGHER, Fineness.COARSE),
        areaMm2(seat, liftOverHead, Fineness.FULL));
  }

  private static OptionalDouble areaMm2(RandomSeat seat, double liftOverHead, Fineness fineness) {
    try {
      return OptionalDouble.of(
          AirSolver.solve(seat.question(liftOverHead, Turbulence.EVEN, fineness))
              .effectiveAreaMm2());
    } catch (AirNotSolved e) {
      return OptionalDouble.empty();
    }
  }

  private static void report(String name, List<Point> points) {
    List<Point> settled = points.stream().filter(Point::isSettled).toList();
    System.out.printf(
        Locale.ROOT,
        "%s: coarse %d, a little higher %d, full %d of %d settled;"
            + " a thousandth of lift changes %s %%; coarse off full by %s %%%n",
        name,
        points.stream().filter(p -> p.coarse().isPresent()).count(),
        points.stream().filter(p -> p.higher().isPresent()).count(),
        points.stream().filter(p -> p.full().isPresent()).count(),
        points.size(),
        shares(settled.stream().mapToDouble(Point::jump).toArray()),
        shares(settled.stream().mapToDouble(Point::gridError).toArray()));
  }

  /** Half, nine tenths, 99 in 100 and all lie within. */
  private static String shares(double[] values) {
    Arrays.sort(values);
    StringBuilder said = new StringBuilder();
    for (double share : new double[] {0.5, 0.9, 0.99, 1}) {
      int at = (int) Math.ceil(share * values.length) - 1;
      said.append(said.isEmpty() ? "" : ", ")
          .append(String.format(Locale.ROOT, "%.2f", 100 * values[Math.max(0, at)]));
    }
    return said.toString();
  }
}
