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
 * higher, and on the full grid; and so is one change of it, on both grids.
 */
public final class AirCampaign {

  /** Lifts over head diameter. */
  private static final List<Double> LIFTS = List.of(0.03, 0.08, 0.15, 0.28);

  private static final double HIGHER = 1.001;

  private AirCampaign() {}

  private record Point(
      OptionalDouble coarse,
      OptionalDouble higher,
      OptionalDouble full,
      OptionalDouble changedCoarse,
      OptionalDouble changedFull) {

    private boolean isSettled() {
      return coarse.isPresent() && higher.isPresent() && full.isPresent();
    }

    private boolean isChangeSettled() {
      return isSettled() && changedCoarse.isPresent() && changedFull.isPresent();
    }

    /** Change for a thousandth of lift, as a share. */
    private double jump() {
      return Math.abs(higher.getAsDouble() / coarse.getAsDouble() - 1);
    }

    /** Coarse against full, as a share. */
    private double gridError() {
      return Math.abs(coarse.getAsDouble() / full.getAsDouble() - 1);
    }

    /** What the change is worth on the coarse grid against the full one, as a share. */
    private double changeError() {
      return Math.abs(
          changedCoarse.getAsDouble() / coarse.getAsDouble()
              - changedFull.getAsDouble() / full.getAsDouble());
    }
  }

  /** Runs. */
  public static void main(String[] arguments) {
    int from = arguments.length > 1 ? Integer.parseInt(arguments[0]) : 0;
    int to = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 300;
    List<List<Point>> seats =
        IntStream.range(from, to)
            .parallel()
            .mapToObj(family -> LIFTS.stream().map(lift -> point(family, lift)).toList())
            .toList();
    for (int k = 0; k < LIFTS.size(); k++) {
      int at = k;
      report(
          String.format(Locale.ROOT, "L/D %.2f", LIFTS.get(k)),
          seats.stream().map(s -> s.get(at)).toList());
    }
    report("all", seats.stream().flatMap(List::stream).toList());
  }

  private static Point point(int family, double liftOverHead) {
    RandomSeat seat = RandomSeat.of(family * RandomSeat.FAMILY);
    RandomSeat changed = RandomSeat.of(family * RandomSeat.FAMILY + 1);
    return new Point(
        areaMm2(seat, liftOverHead, Fineness.COARSE),
        areaMm2(seat, liftOverHead * HIGHER, Fineness.COARSE),
        areaMm2(seat, liftOverHead, Fineness.FULL),
        areaMm2(changed, liftOverHead, Fineness.COARSE),
        areaMm2(changed, liftOverHead, Fineness.FULL));
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
            + " a thousandth of lift changes %s %%; coarse off full by %s %%;"
            + " %d changes by %s points%n",
        name,
        points.stream().filter(p -> p.coarse().isPresent()).count(),
        points.stream().filter(p -> p.higher().isPresent()).count(),
        points.stream().filter(p -> p.full().isPresent()).count(),
        points.size(),
        shares(settled.stream().mapToDouble(Point::jump).toArray()),
        shares(settled.stream().mapToDouble(Point::gridError).toArray()),
        points.stream().filter(Point::isChangeSettled).count(),
        shares(
            points.stream()
                .filter(Point::isChangeSettled)
                .mapToDouble(Point::changeError)
                .toArray()));
  }

  /** Half, nine tenths, 99 in 100 and all lie within. */
  private static String shares(double[] values) {
    if (values.length == 0) {
      return "-";
    }
    Arrays.sort(values);
    StringBuilder said = new StringBuilder();
    for (double share : new double[] {0.5, 0.9, 0.99, 1}) {
      int at = (int) Math.ceil(share * values.length) - 1;
      said.append(said.isEmpty() ? "" : ", ")
          .append(String.format(Locale.ROOT, "%.2f", 100 * values[at]));
    }
    return said.toString();
  }
}
