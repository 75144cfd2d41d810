package finebore.planning;

import finebore.space.Rim;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.SingularValueDecomposition;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Coordinates that fit what was read of them best, by least squares.
 *
 * @param start coordinates to begin with, mm; those that are not free stay so
 * @param free which may move
 * @param read what was read, mm
 */
record PlaceFit(double[] start, List<Integer> free, List<Read> read) {

  /** A reading, and how it follows from the coordinates. */
  record Read(double mm, Way way) {}

  /** How a figure follows from coordinates: along and across of each valve in turn. */
  interface Way {

    double at(double[] p);

    /** How it changes with each coordinate; those it does not hang on are left as they are. */
    void slopes(double[] p, double[] into);
  }

  /** A coordinate itself. */
  record Coordinate(int which) implements Way {
    @Override
    public double at(double[] p) {
      return p[which];
    }

    @Override
    public void slopes(double[] p, double[] into) {
      into[which] = 1;
    }
  }

  /**
   * A distance between two places, or of one from the bore's centre.
   *
   * @param valve whose coordinates it begins at
   * @param other whose it ends at; below 0 for the bore's centre
   * @param alongMm what lies aside of the first place against the second, along
   * @param acrossMm the same across
   * @param heightMm how much higher it lies
   */
  record Distance(int valve, int other, double alongMm, double acrossMm, double heightMm)
      implements Way {

    private double along(double[] p) {
      return p[2 * valve] + alongMm - (other < 0 ? 0 : p[2 * other]);
    }

    private double across(double[] p) {
      return p[2 * valve + 1] + acrossMm - (other < 0 ? 0 : p[2 * other + 1]);
    }

    private double far(double[] p) {
      double along = along(p);
      double across = across(p);
      return Math.sqrt(along * along + across * across + heightMm * heightMm);
    }

    @Override
    public double at(double[] p) {
      return far(p);
    }

    @Override
    public void slopes(double[] p, double[] into) {
      double far = Math.max(SAME_PLACE_MM, far(p));
      into[2 * valve] = along(p) / far;
      into[2 * valve + 1] = across(p) / far;
      if (other >= 0) {
        into[2 * other] = -into[2 * valve];
        into[2 * other + 1] = -into[2 * valve + 1];
      }
    }
  }

  /** A sum of coordinates, each times its own factor. */
  record Sum(double[] factors) implements Way {
    @Override
    public double at(double[] p) {
      return IntStream.range(0, p.length).mapToDouble(i -> factors[i] * p[i]).sum();
    }

    @Override
    public void slopes(double[] p, double[] into) {
      for (int i = 0; i < factors.length; i++) {
        into[i] = factors[i];
      }
    }
  }

  /**
   * From the edge of a head to the bore's wall, seen along the bore.
   *
   * @param rim of the head whose axis meets the face at the bore's centre
   */
  record EdgeToBore(int valve, Rim rim, double boreMm) implements Way {

    private Rim there(double[] p) {
      return rim.at(rim.alongMm() + p[2 * valve], rim.acrossMm() + p[2 * valve + 1]);
    }

    @Override
    public double at(double[] p) {
      return boreMm / 2 - there(p).farthestMm();
    }

    @Override
    public void slopes(double[] p, double[] into) {
      Rim there = there(p);
      Rim.Place far = there.toward(there.farthestRad());
      double out = Math.max(SAME_PLACE_MM, Math.hypot(far.alongMm(), far.acrossMm()));
      into[2 * valve] = -far.alongMm() / out;
      into[2 * valve + 1] = -far.acrossMm() / out;
    }
  }

  /** Between the edges of two heads, the shortest way, as a caliper finds it. */
  record EdgeToEdge(int valve, int other, Rim rim, Rim others) implements Way {

    private Rim.Between between(double[] p) {
      return rim.at(rim.alongMm() + p[2 * valve], rim.acrossMm() + p[2 * valve + 1])
          .to(others.at(others.alongMm() + p[2 * other], others.acrossMm() + p[2 * other + 1]));
    }

    @Override
    public double at(double[] p) {
      return between(p).mm();
    }

    @Override
    public void slopes(double[] p, double[] into) {
      Rim.Between between = between(p);
      double x = between.here().alongMm() - between.there().alongMm();
      double y = between.here().acrossMm() - between.there().acrossMm();
      double z = between.here().heightMm() - between.there().heightMm();
      double far = Math.max(SAME_PLACE_MM, Math.sqrt(x * x + y * y + z * z));
      // Where they overlap in plan, nearer is further into each other.
      double turned = between.mm() < 0 ? -1 : 1;
      into[2 * valve] = turned * x / far;
      into[2 * valve + 1] = turned * y / far;
      into[2 * other] = -into[2 * valve];
      into[2 * other + 1] = -into[2 * valve + 1];
    }
  }

  private static final double SAME_PLACE_MM = 1e-9;

  private static final int MOST_STEPS = 400;

  /** Directions in which readings move by less than this share are told by none. */
  private static final double TOLD_BY_NOTHING = 1e-3;

  private static final double ROUNDING = 1e-6;

  /** Pull toward the start, which settles what nothing tells and moves nothing that is told. */
  private static final double PULL = 1e-5;

  /** Short steps first, so that of several places the one near the start is found. */
  private static final double FIRST_STEP = 0.1;

  /** The coordinates; the start again where nothing is found. */
  double[] solved() {
    double[] from = free.stream().mapToDouble(i -> start[i]).toArray();
    LeastSquaresBuilder problem =
        new LeastSquaresBuilder()
            .start(from)
            .target(pulled(read.stream().mapToDouble(Read::mm).toArray(), from))
            .model(
                v -> {
                  double[] values = v.toArray();
                  double[] all = with(values);
                  return new Pair<>(
                      new ArrayRealVector(pulled(follow(all), values), false),
                      new Array2DRowRealMatrix(pulled(slopes(all)), false));
                })
            .maxEvaluations(MOST_STEPS)
            .maxIterations(MOST_STEPS);
    try {
      return with(
          new LevenbergMarquardtOptimizer()
              .withInitialStepBoundFactor(FIRST_STEP)
              .optimize(problem.build())
              .getPoint()
              .toArray());
    } catch (MathIllegalStateException e) {
      return start;
    }
  }

  /**
   * How often what the readings are out by comes back in two coordinates; infinite where they can
   * move without any reading's noticing.
   */
  double magnified(double[] solved, int first, int second) {
    if (read.isEmpty()) {
      return Double.POSITIVE_INFINITY;
    }
    var svd = new SingularValueDecomposition(new Array2DRowRealMatrix(slopes(solved), false));
    double[] strengths = svd.getSingularValues();
    double variance = 0;
    for (int coordinate : new int[] {first, second}) {
      int row = free.indexOf(coordinate);
      double held = 0;
      for (int s = 0; s < strengths.length; s++) {
        double part = svd.getV().getEntry(row, s);
        if (strengths[s] > TOLD_BY_NOTHING) {
          held += part * part;
          variance += Math.pow(part / strengths[s], 2);
        }
      }
      if (held < 1 - ROUNDING) {
        return Double.POSITIVE_INFINITY;
      }
    }
    return Math.sqrt(variance);
  }

  private double[] with(double[] values) {
    double[] all = start.clone();
    for (int i = 0; i < free.size(); i++) {
      all[free.get(i)] = values[i];
    }
    return all;
  }

  private double[] follow(double[] all) {
    return read.stream().mapToDouble(r -> r.way().at(all)).toArray();
  }

  private double[][] slopes(double[] all) {
    double[][] rows = new double[read.size()][free.size()];
    for (int r = 0; r < rows.length; r++) {
      double[] slopes = new double[all.length];
      read.get(r).way().slopes(all, slopes);
      for (int i = 0; i < free.size(); i++) {
        rows[r][i] = slopes[free.get(i)];
      }
    }
    return rows;
  }

  private static double[] pulled(double[] distances, double[] values) {
    return DoubleStream.concat(
            DoubleStream.of(distances), DoubleStream.of(values).map(v -> PULL * v))
        .toArray();
  }

  private double[][] pulled(double[][] slopes) {
    return Stream.concat(
            Stream.of(slopes),
            IntStream.range(0, free.size())
                .mapToObj(
                    i -> {
                      double[] row = new double[free.size()];
                      row[i] = PULL;
                      return row;
                    }))
        .toArray(double[][]::new);
  }
}
