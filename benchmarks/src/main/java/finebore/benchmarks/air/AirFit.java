package finebore.benchmarks.air;

import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.LossCoefficients;
import finebore.flow.Losses;
import finebore.flow.Sectors;
import finebore.study.SeatFit;
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
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * Fits an instant estimate to solved air and judges it on shapes it never saw: {@code FOLDER}, as
 * {@link AirData} left it.
 *
 * <p>What is fitted is log(effective area / gate area), by a Gaussian process over {@link
 * SectionShape}. Every third shape is kept out of the fit. Beside it stand the loss model of the
 * program, and the gate's area alone.
 */
public final class AirFit {

  private static final double NEAR = 0.03;

  private AirFit() {}

  /** One solved lift of one shape. */
  private record Row(
      int shape,
      Direction direction,
      double lift,
      double gateMm2,
      double even,
      double transport,
      double[] x) {

    double target() {
      return Math.log(even / gateMm2);
    }
  }

  /** Runs. */
  public static void main(String[] arguments) throws IOException {
    List<Row> rows = read(Path.of(arguments[0]).resolve("solved.csv"));
    for (Direction direction : Direction.values()) {
      List<Row> all = rows.stream().filter(r -> r.direction() == direction).toList();
      List<Row> fitted = all.stream().filter(r -> r.shape() % 3 != 2).toList();
      List<Row> unseen = all.stream().filter(r -> r.shape() % 3 == 2).toList();
      if (unseen.isEmpty()) {
        continue;
      }
      System.out.printf(
          Locale.ROOT, "%s: %d rows fitted, %d unseen%n", direction, fitted.size(), unseen.size());
      Process best = null;
      for (double length : new double[] {1.5, 2.5, 4, 6}) {
        for (double noise : new double[] {0.01, 0.02, 0.04}) {
          Process process = new Process(fitted, length, noise);
          if (best == null || process.evidence > best.evidence) {
            best = process;
          }
        }
      }
      Process process = best.sharpened(fitted);
      judge("gaussian process", unseen, r -> r.gateMm2() * Math.exp(process.at(r.x())));
      judge("loss model", unseen, AirFit::byLossModel);
      judge("gate alone", unseen, Row::gateMm2);
      judge("other closure", unseen, Row::transport);
    }
  }

  private static double byLossModel(Row row) {
    RandomSeat shape = RandomSeat.of(row.shape());
    double head = shape.fit().pairing().valve().headDiameterMm();
    SeatFit fit = shape.fit();
    return Losses.at(
            shape.wall(),
            fit.valveAt(row.lift() * head),
            new Losses.Setting(
                fit.pairing().seat().sealing(),
                fit.throatAreaMm2(),
                fit.throatAreaMm2(),
                row.direction(),
                LossCoefficients.FITTED,
                Sectors.EVEN,
                Calibration.SEAT_ALONE))
        .effectiveAreaMm2();
  }

  private static List<Row> read(Path file) throws IOException {
    Map<String, double[]> areas = new HashMap<>();
    Map<String, Row> rows = new HashMap<>();
    for (String line : Files.readAllLines(file).subList(1, Files.readAllLines(file).size())) {
      String[] cell = line.split(",", -1);
      if (cell[8].isEmpty() || Double.parseDouble(cell[12]) > 0.02) {
        continue;
      }
      String key = cell[0] + " " + cell[2];
      double[] both = areas.computeIfAbsent(key, k -> new double[2]);
      both[cell[3].equals("EVEN") ? 0 : 1] = Double.parseDouble(cell[8]);
      if (both[0] > 0 && both[1] > 0) {
        int number = Integer.parseInt(cell[0]);
        RandomSeat shape = RandomSeat.of(number);
        double lift = Double.parseDouble(cell[2]);
        double head = shape.fit().pairing().valve().headDiameterMm();
        rows.put(
            key,
            new Row(
                number,
                shape.direction(),
                lift,
                Double.parseDouble(cell[6]),
                both[0],
                both[1],
                SectionShape.of(shape.wall(), shape.fit(), lift * head)));
      }
    }
    return rows.values().stream()
        .sorted(Comparator.comparingInt(Row::shape).thenComparingDouble(Row::lift))
        .toList();
  }

  /** Errors of a change between two unseen shapes at one lift, in points; and how they rank. */
  private static void judge(String name, List<Row> unseen, ToDoubleFunction<Row> estimate) {
    double[] estimated = unseen.stream().mapToDouble(estimate).toArray();
    List<Double> level = new ArrayList<>();
    List<Double> change = new ArrayList<>();
    List<Double> none = new ArrayList<>();
    int alike = 0;
    int pairs = 0;
    for (int a = 0; a < unseen.size(); a++) {
      Row first = unseen.get(a);
      level.add(100 * Math.abs(estimated[a] / first.even() - 1));
      for (int b = a + 1; b < unseen.size(); b++) {
        Row second = unseen.get(b);
        if (first.lift() != second.lift()) {
          continue;
        }
        // On their gates, so that a larger valve is no change.
        double solved = second.even() / second.gateMm2() / (first.even() / first.gateMm2());
        double said = estimated[b] / second.gateMm2() / (estimated[a] / first.gateMm2());
        change.add(100 * Math.abs(said - solved));
        none.add(100 * Math.abs(1 - solved));
        double other =
            second.transport() / second.gateMm2() / (first.transport() / first.gateMm2());
        if (Math.abs(solved - 1) > NEAR && (solved - 1) * (other - 1) > 0) {
          pairs++;
          alike += (said - 1) * (solved - 1) > 0 ? 1 : 0;
        }
      }
    }
    System.out.printf(
        Locale.ROOT,
        "  %-18s level %5.1f %5.1f   change %5.1f %5.1f (no change at all %5.1f %5.1f)   "
            + "ranked %4.1f %% of %d%n",
        name,
        at(level, 0.5),
        at(level, 0.9),
        at(change, 0.5),
        at(change, 0.9),
        at(none, 0.5),
        at(none, 0.9),
        100.0 * alike / Math.max(1, pairs),
        pairs);
  }

  private static double at(List<Double> values, double share) {
    double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
    return sorted[(int) (share * (sorted.length - 1))];
  }

  /** A Gaussian process with one length for each descriptor. */
  private static final class Process {
    private final double[][] x;
    private final double[] y;
    private final double[] weights;
    private final double[] lengths;
    private final double noise;
    private final double variance;
    private final double mean;
    private final double[] centre;
    private final double[] scale;
    final double evidence;

    Process(List<Row> rows, double length, double noise) {
      this(rows, filled(rows.getFirst().x().length, length), noise);
    }

    private static double[] filled(int n, double value) {
      double[] all = new double[n];
      Arrays.fill(all, value);
      return all;
    }

    Process(List<Row> rows, double[] lengths, double noise) {
      int n = rows.size();
      int m = lengths.length;
      this.lengths = lengths;
      this.noise = noise;
      centre = new double[m];
      scale = new double[m];
      for (int d = 0; d < m; d++) {
        int at = d;
        centre[d] = rows.stream().mapToDouble(r -> r.x()[at]).average().orElseThrow();
        double c = centre[d];
        scale[d] =
            Math.sqrt(
                rows.stream().mapToDouble(r -> Math.pow(r.x()[at] - c, 2)).average().orElseThrow()
                    + 1e-12);
      }
      x = rows.stream().map(r -> normal(r.x())).toArray(double[][]::new);
      mean = rows.stream().mapToDouble(Row::target).average().orElseThrow();
      y = rows.stream().mapToDouble(r -> r.target() - mean).toArray();
      variance = Arrays.stream(y).map(v -> v * v).average().orElseThrow();
      double[][] k = new double[n][n];
      for (int i = 0; i < n; i++) {
        for (int j = 0; j <= i; j++) {
          k[i][j] = variance * kernel(x[i], x[j]);
          k[j][i] = k[i][j];
        }
        k[i][i] += noise * noise;
      }
      CholeskyDecomposition cholesky =
          new CholeskyDecomposition(new Array2DRowRealMatrix(k, false), 1e-9, 1e-14);
      RealVector solved = cholesky.getSolver().solve(new ArrayRealVector(y));
      weights = solved.toArray();
      double half = 0;
      for (int i = 0; i < n; i++) {
        half += Math.log(cholesky.getL().getEntry(i, i));
      }
      evidence = -0.5 * new ArrayRealVector(y).dotProduct(solved) - half;
    }

    private double[] normal(double[] raw) {
      double[] out = new double[raw.length];
      for (int d = 0; d < raw.length; d++) {
        out[d] = (raw[d] - centre[d]) / scale[d];
      }
      return out;
    }

    /** Matern 5/2: smooth, but not smoother than sections are. */
    private double kernel(double[] a, double[] b) {
      double sum = 0;
      for (int d = 0; d < a.length; d++) {
        double by = (a[d] - b[d]) / lengths[d];
        sum += by * by;
      }
      double r = Math.sqrt(5 * sum);
      return (1 + r + r * r / 3) * Math.exp(-r);
    }

    double at(double[] raw) {
      double[] p = normal(raw);
      double sum = mean;
      for (int i = 0; i < x.length; i++) {
        sum += weights[i] * variance * kernel(p, x[i]);
      }
      return sum;
    }

    /** Lets each descriptor have its own length, as far as the evidence grows with it. */
    Process sharpened(List<Row> rows) {
      Process best = this;
      Random random = new Random(4);
      for (int step = 0; step < STEPS; step++) {
        double[] tried = best.lengths.clone();
        int d = random.nextInt(tried.length);
        tried[d] = Math.clamp(tried[d] * (random.nextBoolean() ? 1.6 : 0.625), 0.4, 60);
        double other = Math.clamp(best.noise * (1 + 0.2 * random.nextGaussian()), 0.005, 0.08);
        Process process = new Process(rows, tried, random.nextInt(4) == 0 ? other : best.noise);
        if (process.evidence > best.evidence) {
          best = process;
        }
      }
      System.out.printf(
          Locale.ROOT,
          "  evidence %.1f -> %.1f, noise %.3f%n",
          evidence,
          best.evidence,
          best.noise);
      return best;
    }

    private static final int STEPS = Integer.getInteger("steps", 150);
  }
}
