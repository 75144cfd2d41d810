package finebore.benchmarks.air;

import finebore.flow.field.AirChange;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How far the solver can be trusted on seats nobody chose: {@code FILE [FROM TO]}, seats 0 to 300
 * otherwise. Each is solved at four lifts by the even closure: on the coarse grid, once more a
 * thousandth higher, and on the full grid; and so is one change of it, on both grids.
 *
 * <p>The file (CSV) gets a row for each solution. What is there already is not done again, so a run
 * can be stopped and go on. What is told at the end is of the seats asked for.
 */
public final class AirCampaign {

  private static final String HEADING = "seat,lift_over_head,asked,area_mm2,jet_deg,why_not";

  /** Lifts over head diameter. */
  private static final List<Double> LIFTS = List.of(0.03, 0.08, 0.15, 0.28);

  private static final double HIGHER = 1.001;

  /** Changes this far apart on the two grids, as a share, are named one by one. */
  private static final double FAR_APART = 0.02;

  /** What each seat is asked at each lift. */
  private enum Asked {
    COARSE,
    HIGHER,
    FULL,
    CHANGED_COARSE,
    CHANGED_FULL;

    private String row(int seat, double liftOverHead) {
      RandomSeat shape =
          RandomSeat.of(
              seat * RandomSeat.FAMILY + (this == CHANGED_COARSE || this == CHANGED_FULL ? 1 : 0));
      double lift = this == HIGHER ? liftOverHead * AirCampaign.HIGHER : liftOverHead;
      Fineness fineness = this == FULL || this == CHANGED_FULL ? Fineness.FULL : Fineness.COARSE;
      try {
        AirFlow flow = AirSolver.solve(shape.question(lift, Turbulence.EVEN, fineness));
        return String.format(
            Locale.ROOT, "%.4f,%.1f,", flow.effectiveAreaMm2(), flow.jetAngleDeg());
      } catch (AirNotSolved notSolved) {
        return ",," + notSolved.getMessage();
      }
    }
  }

  private final Path file;
  private final Map<String, String> rows = new HashMap<>();

  private AirCampaign(Path file) throws IOException {
    this.file = file;
    if (Files.exists(file)) {
      Files.readAllLines(file).stream().skip(1).forEach(this::keep);
    } else {
      Files.writeString(file, HEADING + "\n");
    }
  }

  /** Runs. */
  public static void main(String[] arguments) throws IOException {
    int from = arguments.length > 2 ? Integer.parseInt(arguments[1]) : 0;
    int to = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 300;
    AirCampaign campaign = new AirCampaign(Path.of(arguments[0]));
    IntStream.range(from, to).parallel().forEach(campaign::solve);
    List<Point> points =
        IntStream.range(from, to)
            .boxed()
            .flatMap(seat -> LIFTS.stream().map(lift -> campaign.point(seat, lift)))
            .toList();
    for (double lift : LIFTS) {
      report(
          String.format(Locale.ROOT, "L/D %.2f", lift),
          points.stream().filter(p -> p.liftOverHead() == lift).toList());
    }
    report("all", points);
    points.stream()
        .filter(p -> p.isChangeSettled() && p.changeError() > FAR_APART)
        .sorted(Comparator.comparingDouble(Point::changeError).reversed())
        .forEach(
            p ->
                System.out.printf(
                    Locale.ROOT,
                    "seat %d, L/D %.2f: a change differs by %.2f points%n",
                    p.seat(),
                    p.liftOverHead(),
                    100 * p.changeError()));
  }

  private void solve(int seat) {
    for (double lift : LIFTS) {
      for (Asked asked : Asked.values()) {
        String key = key(seat, lift, asked);
        if (!isKept(key)) {
          append(key + "," + asked.row(seat, lift));
        }
      }
    }
  }

  private synchronized boolean isKept(String key) {
    return rows.containsKey(key);
  }

  private synchronized void append(String row) {
    try {
      Files.writeString(file, row + "\n", StandardOpenOption.APPEND);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    keep(row);
  }

  private void keep(String row) {
    String[] cells = row.split(",", 4);
    rows.put(cells[0] + "," + cells[1] + "," + cells[2], cells[3]);
  }

  private static String key(int seat, double liftOverHead, Asked asked) {
    return String.format(Locale.ROOT, "%d,%.2f,%s", seat, liftOverHead, asked);
  }

  private Point point(int seat, double liftOverHead) {
    List<SolvedArea> areas =
        Arrays.stream(Asked.values())
            .map(asked -> solved(rows.get(key(seat, liftOverHead, asked))))
            .toList();
    return new Point(
        seat, liftOverHead, areas.get(0), areas.get(1), areas.get(2), areas.get(3), areas.get(4));
  }

  private static SolvedArea solved(String cells) {
    String[] each = cells.split(",");
    return each[0].isEmpty()
        ? SolvedArea.NONE
        : new SolvedArea(Double.parseDouble(each[0]), Double.parseDouble(each[1]));
  }

  private record Point(
      int seat,
      double liftOverHead,
      SolvedArea coarse,
      SolvedArea higher,
      SolvedArea full,
      SolvedArea changedCoarse,
      SolvedArea changedFull) {

    private boolean isSettled() {
      return Stream.of(coarse, higher, full).allMatch(SolvedArea::isSolved);
    }

    private boolean isChangeSettled() {
      return isSettled() && Stream.of(changedCoarse, changedFull).allMatch(SolvedArea::isSolved);
    }

    /** Change for a thousandth of lift, as a share. */
    private double jump() {
      return Math.abs(higher.areaMm2() / coarse.areaMm2() - 1);
    }

    /** Coarse against full, as a share. */
    private double gridError() {
      return Math.abs(coarse.areaMm2() / full.areaMm2() - 1);
    }

    private double coarseChange() {
      return changedCoarse.areaMm2() / coarse.areaMm2() - 1;
    }

    /** What the change is worth on the coarse grid against the full one, as a share. */
    private double changeError() {
      return Math.abs(coarseChange() - (changedFull.areaMm2() / full.areaMm2() - 1));
    }

    /**
     * Whether the coarse grid alone would call the change clear, were both closures of one mind.
     */
    private boolean isCalledClear() {
      double turn = changedCoarse.jetDeg() - coarse.jetDeg();
      return new AirChange(
              coarseChange(), coarseChange(), Double.NaN, false, AirChange.WallPart.NONE, turn, 0)
          .isClear();
    }

    /** Whether the full grid has a change of another sign or size. */
    private boolean isOtherwiseOnFull() {
      return changeError() > Math.max(AirChange.LEAST, Math.abs(coarseChange()) / 2);
    }
  }

  private static void report(String name, List<Point> points) {
    List<Point> settled = points.stream().filter(Point::isSettled).toList();
    List<Point> changes = points.stream().filter(Point::isChangeSettled).toList();
    System.out.printf(
        Locale.ROOT,
        "%s: coarse %d, a little higher %d, full %d of %d settled;"
            + " a thousandth of lift changes %s %%; coarse off full by %s %%;"
            + " %d changes by %s points, %d of %d called clear are otherwise on the full grid%n",
        name,
        points.stream().filter(p -> p.coarse().isSolved()).count(),
        points.stream().filter(p -> p.higher().isSolved()).count(),
        points.stream().filter(p -> p.full().isSolved()).count(),
        points.size(),
        shares(settled.stream().mapToDouble(Point::jump)),
        shares(settled.stream().mapToDouble(Point::gridError)),
        changes.size(),
        shares(changes.stream().mapToDouble(Point::changeError)),
        changes.stream().filter(p -> p.isCalledClear() && p.isOtherwiseOnFull()).count(),
        changes.stream().filter(Point::isCalledClear).count());
  }

  /** Half, nine tenths, 99 in 100 and all lie within. */
  private static String shares(DoubleStream unsorted) {
    double[] values = unsorted.sorted().toArray();
    if (values.length == 0) {
      return "-";
    }
    StringBuilder said = new StringBuilder();
    for (double share : new double[] {0.5, 0.9, 0.99, 1}) {
      int at = (int) Math.ceil(share * values.length) - 1;
      said.append(said.isEmpty() ? "" : ", ")
          .append(String.format(Locale.ROOT, "%.2f", 100 * values[at]));
    }
    return said.toString();
  }
}
