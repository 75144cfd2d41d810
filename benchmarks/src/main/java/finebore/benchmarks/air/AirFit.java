package finebore.benchmarks.air;

import finebore.flow.Direction;
import finebore.flow.Gate;
import finebore.flow.estimate.Estimate;
import finebore.flow.estimate.Network;
import finebore.flow.estimate.SectionShape;
import finebore.section.Profile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Fits the instant estimate to solved air and judges it on families of seats it never saw: {@code
 * FOLDER [PACKAGE [DIRECTION]]}, the folder as {@link AirData} left it. With the folder of the
 * estimate's Java package its numbers are written there; with a direction, of that one alone.
 *
 * <p>What is fitted is log(effective area / gate area) over {@link SectionShape}. Every third
 * family is kept out of the fit, and what is written is what was judged. Without a package today's
 * estimate is judged.
 *
 * <p>Half of the networks learn from their own direction alone, half from both: what a section does
 * to air that goes in tells something of air that goes out. The directions are told apart by one
 * number more, which is then part of the constants; seats that are kept out are kept out of both.
 */
public final class AirFit {

  private static final double CLEAR = 0.03;
  private static final double STIRRED = 0.02;

  /** Networks of a direction, and the rounds each learns: exhausts ask for more. */
  private static final Map<Direction, Effort> EFFORT =
      Map.of(Direction.INTAKE, new Effort(8, 24_000), Direction.EXHAUST, new Effort(12, 36_000));

  private static final int KEPT_OUT = 3;

  /** How small weights are kept. */
  private static final double SMALL = 1e-3;

  /** What tells a network's own direction from the other, in spreads. */
  private static final double MARK = 0.5;

  /** How much more its own direction counts than the other, less what whole turns leave over. */
  private static final int OWN = 2;

  private AirFit() {}

  private record Effort(int networks, int rounds) {}

  /** One solved lift of one shape; the transport closure's area is NaN where not solved. */
  record Row(
      int shape,
      Direction direction,
      boolean ordinary,
      String change,
      double lift,
      double gateMm2,
      double even,
      double transport,
      double[] x,
      double[] xAbove,
      double gateAboveMm2) {

    int family() {
      return shape / RandomSeat.FAMILY;
    }

    boolean isKeptOut() {
      return family() % KEPT_OUT == KEPT_OUT - 1;
    }

    double target() {
      return Math.log(even / gateMm2);
    }
  }

  /** Runs. */
  public static void main(String[] arguments) throws IOException {
    List<Row> rows = read(Path.of(arguments[0]).resolve("solved.csv"));
    AirBands bands = new AirBands();
    for (Direction direction : Direction.values()) {
      List<Row> all = rows.stream().filter(r -> r.direction() == direction).toList();
      List<Row> fitted = all.stream().filter(r -> !r.isKeptOut()).toList();
      List<Row> unseen = all.stream().filter(Row::isKeptOut).toList();
      System.out.printf(
          Locale.ROOT,
          "%s: %d rows of %d families fitted, %d of %d unseen%n",
          direction,
          fitted.size(),
          fitted.stream().map(Row::family).distinct().count(),
          unseen.size(),
          unseen.stream().map(Row::family).distinct().count());
      Estimate estimate =
          direction == Direction.INTAKE ? Estimate.ofIntake() : Estimate.ofExhaust();
      if (arguments.length > 1
          && (arguments.length < 3 || direction == Direction.valueOf(arguments[2]))) {
        Fitted made =
            fit(
                EFFORT.get(direction),
                fitted,
                rows.stream().filter(r -> r.direction() != direction && !r.isKeptOut()).toList());
        estimate = made.estimate();
        write(Path.of(arguments[1]), direction, made);
      }
      Estimate judged = estimate;
      Map<Row, Double> said = new HashMap<>();
      all.forEach(r -> said.put(r, judged.at(r.x(), r.gateMm2()).areaMm2()));
      System.out.printf(
          Locale.ROOT,
          "  known %d of %d unseen%n",
          unseen.stream().filter(r -> judged.at(r.x(), r.gateMm2()).isKnown()).count(),
          unseen.size());
      unlike(unseen, judged);
      judge("estimate, fitted", fitted, said::get);
      judge("estimate", unseen, said::get);
      judge("low and mid lift", unseen.stream().filter(r -> r.lift() <= 0.25).toList(), said::get);
      judge("ordinary seats", unseen.stream().filter(r -> r.ordinary()).toList(), said::get);
      for (double[] range : new double[][] {{0, 0.04}, {0.04, 0.1}, {0.1, 0.2}, {0.2, 0.4}}) {
        judge(
            String.format(Locale.ROOT, "L/D %.2f-%.2f", range[0], range[1]),
            unseen.stream().filter(r -> r.lift() > range[0] && r.lift() <= range[1]).toList(),
            said::get);
      }
      for (String change : RandomSeat.CHANGES) {
        List<Row> of =
            unseen.stream()
                .filter(
                    r ->
                        r.change().equals(change)
                            || r.change().isEmpty()
                                && unseen.stream()
                                    .anyMatch(
                                        o -> o.family() == r.family() && o.change().equals(change)))
                .toList();
        judge(change, of, said::get);
      }
      bands.print(unseen, said::get);
      judge("gate alone", unseen, Row::gateMm2);
      judge(
          "both solved",
          unseen.stream().filter(r -> !Double.isNaN(r.transport())).toList(),
          said::get);
      judge(
          "other closure",
          unseen.stream().filter(r -> !Double.isNaN(r.transport())).toList(),
          Row::transport);
    }
  }

  /** How far past, and how far apart, and how far off by that, of seats never seen. */
  private static void unlike(List<Row> rows, Estimate estimate) {
    Map<Row, Estimate.Answer> answers = new HashMap<>();
    rows.forEach(r -> answers.put(r, estimate.at(r.x(), r.gateMm2())));
    for (double[] range :
        new double[][] {
          {0, 0.01}, {0.01, 0.02}, {0.02, 0.03}, {0.03, 0.04}, {0.04, 0.06}, {0.06, 9}
        }) {
      List<Double> off =
          rows.stream()
              .filter(r -> answers.get(r).apart() > range[0] && answers.get(r).apart() <= range[1])
              .map(r -> 100 * Math.abs(answers.get(r).areaMm2() / r.even() - 1))
              .toList();
      System.out.printf(
          Locale.ROOT,
          "  networks apart by %.2f to %.2f: %d, off by %s points%n",
          range[0],
          range[1],
          off.size(),
          shares(off));
    }
    System.out.printf(
        Locale.ROOT,
        "  past what was shown by %s spreads, at most %.2f%n",
        shares(answers.values().stream().map(Estimate.Answer::past).toList()),
        answers.values().stream().mapToDouble(Estimate.Answer::past).max().orElse(0));
  }

  private static List<Row> read(Path file) throws IOException {
    Map<String, double[]> areas = new HashMap<>();
    for (String line : Files.readAllLines(file).subList(1, Files.readAllLines(file).size())) {
      String[] cell = line.split(",", -1);
      if (cell.length < 13 || cell[8].isEmpty() || Double.parseDouble(cell[12]) > STIRRED) {
        continue;
      }
      double[] both =
          areas.computeIfAbsent(
              cell[0] + " " + cell[2], k -> new double[] {Double.NaN, Double.NaN});
      both[cell[3].equals("EVEN") ? 0 : 1] = Double.parseDouble(cell[8]);
    }
    Map<Integer, RandomSeat> seats = new HashMap<>();
    return areas.entrySet().stream()
        .filter(e -> !Double.isNaN(e.getValue()[0]))
        .map(
            e -> {
              String[] key = e.getKey().split(" ");
              RandomSeat seat = seats.computeIfAbsent(Integer.valueOf(key[0]), RandomSeat::of);
              return row(seat, Double.parseDouble(key[1]), e.getValue());
            })
        .sorted(Comparator.comparingInt(Row::shape).thenComparingDouble(Row::lift))
        .toList();
  }

  private static Row row(RandomSeat seat, double lift, double[] areas) {
    double head = seat.fit().pairing().valve().headDiameterMm();
    int sealing = seat.fit().pairing().seat().sealing();
    Profile valve = seat.fit().valveAt(lift * head);
    Profile above = seat.fit().valveAt(1.1 * lift * head);
    double gate = Gate.between(seat.wall(), valve).areaMm2();
    double gateAbove = Gate.between(seat.wall(), above).areaMm2();
    return new Row(
        seat.number(),
        seat.direction(),
        seat.isOrdinary(),
        seat.change(),
        lift,
        gate,
        areas[0],
        areas[1],
        SectionShape.of(seat.wall(), sealing, valve, gate),
        SectionShape.of(seat.wall(), sealing, above, gateAbove),
        gateAbove);
  }

  private record Fitted(Estimate estimate, List<Network> networks, Scale scale) {}

  private static Fitted fit(Effort effort, List<Row> rows, List<Row> otherWay) {
    Scale scale = Scale.of(rows);
    Lesson alone = Lesson.of(rows, scale);
    Lesson both = both(alone, Lesson.of(otherWay, scale));
    List<Network> networks =
        IntStream.range(0, effort.networks())
            .parallel()
            .mapToObj(
                n ->
                    n % 2 == 0
                        ? NetworkFit.fit(alone, SMALL, effort.rounds(), n)
                        : unmarked(NetworkFit.fit(both, SMALL, effort.rounds(), n)))
            .map(network -> scaled(network, scale))
            .toList();
    return new Fitted(
        new Estimate(
            networks, scale.least(), scale.most(), scale.middle(), scale.spread(), scale.meanLog()),
        networks,
        scale);
  }

  private static Lesson both(Lesson own, Lesson other) {
    Lesson both = other.marked(-MARK);
    for (int k = 0; k < Math.max(1, OWN * other.y().length / own.y().length); k++) {
      both = both.and(own.marked(MARK));
    }
    return both;
  }

  /** The mark of its own direction is always the same: it goes into the constants. */
  private static Network unmarked(Network network) {
    List<double[][]> layers = new ArrayList<>(network.layers());
    layers.set(
        0,
        Arrays.stream(layers.getFirst())
            .map(
                row -> {
                  int mark = row.length - 2;
                  double[] without = Arrays.copyOf(row, row.length - 1);
                  without[mark] = row[mark + 1] + MARK * row[mark];
                  return without;
                })
            .toArray(double[][]::new));
    return new Network(layers);
  }

  private static Network scaled(Network network, Scale scale) {
    List<double[][]> layers = new ArrayList<>(network.layers());
    double[] last = layers.removeLast()[0].clone();
    for (int k = 0; k < last.length; k++) {
      last[k] *= scale.size();
    }
    last[last.length - 1] += scale.meanLog();
    layers.add(new double[][] {last});
    return new Network(layers);
  }

  /** Errors in points: of the level, of one change at a time, and between any two seats. */
  private static void judge(String name, List<Row> rows, ToDoubleFunction<Row> estimate) {
    double[] said = rows.stream().mapToDouble(estimate).toArray();
    List<Double> level = new ArrayList<>();
    List<Double> change = new ArrayList<>();
    List<Double> none = new ArrayList<>();
    List<Double> any = new ArrayList<>();
    int[] sign = new int[2];
    int[] rank = new int[2];
    for (int a = 0; a < rows.size(); a++) {
      Row first = rows.get(a);
      level.add(100 * Math.abs(said[a] / first.even() - 1));
      for (int b = a + 1; b < rows.size(); b++) {
        Row second = rows.get(b);
        if (first.lift() != second.lift()) {
          continue;
        }
        boolean same = first.family() == second.family();
        // Between families on their gates, so that a larger valve is no change.
        double gates = same ? 1 : first.gateMm2() / second.gateMm2();
        double solved = second.even() / first.even() * gates - 1;
        double estimated = said[b] / said[a] * gates - 1;
        double other = second.transport() / first.transport() * gates - 1;
        (same ? change : any).add(100 * Math.abs(estimated - solved));
        if (same) {
          none.add(100 * Math.abs(solved));
        }
        // Where the other closure is solved too, it must say the same, and as clearly.
        boolean isAgreed = Double.isNaN(other) || solved * other > 0 && Math.abs(other) > CLEAR;
        if (Math.abs(solved) > CLEAR && isAgreed) {
          int[] count = same ? sign : rank;
          count[0] += estimated * solved > 0 ? 1 : 0;
          count[1]++;
        }
      }
    }
    System.out.printf(
        Locale.ROOT,
        "  %-17s level %s; one change %s (none %s), sign %d of %d; any two %s, ranked %.1f %%%n",
        name,
        shares(level),
        shares(change),
        shares(none),
        sign[0],
        sign[1],
        shares(any),
        100.0 * rank[0] / Math.max(1, rank[1]));
  }

  /** Half, two thirds and nine tenths lie within. */
  private static String shares(List<Double> values) {
    double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
    return sorted.length == 0
        ? "-"
        : String.format(
            Locale.ROOT,
            "%.1f %.1f %.1f",
            sorted[sorted.length / 2],
            sorted[(int) (2.0 / 3 * (sorted.length - 1))],
            sorted[(int) (0.9 * (sorted.length - 1))]);
  }

  private static void write(Path folder, Direction direction, Fitted fitted) throws IOException {
    String name = direction == Direction.INTAKE ? "IntakeNumbers" : "ExhaustNumbers";
    List<String> parts = new ArrayList<>();
    parts.add(
        block(
            List.of(
                line(fitted.scale().meanLog()),
                line(fitted.scale().least()),
                line(fitted.scale().most()),
                line(fitted.scale().middle()),
                line(fitted.scale().spread()))));
    for (Network network : fitted.networks()) {
      List<String> lines = new ArrayList<>();
      for (double[][] layer : network.layers()) {
        lines.add(line(layer.length));
        Arrays.stream(layer).map(AirFit::line).forEach(lines::add);
      }
      parts.add(block(lines));
    }
    // In parts: a class holds no string of more than 64 kB.
    String text =
        """
        package finebore.flow.estimate;

        /** Written by the fitting program. */
        final class %1$s {

          static final String[] TEXT = {
        %2$s
          };

          private %1$s() {}
        }
        """
            .formatted(name, String.join(",\n", parts));
    Files.writeString(folder.resolve(name + ".java"), text);
  }

  private static String block(List<String> lines) {
    String quotes = "\"".repeat(3);
    return lines.stream()
        .map(l -> "    " + l + "\n")
        .collect(Collectors.joining("", "    " + quotes + "\n", "    " + quotes));
  }

  private static String line(double... numbers) {
    return Arrays.stream(numbers)
        .mapToObj(v -> String.format(Locale.ROOT, "%.5g", v))
        .collect(Collectors.joining(" "));
  }
}
