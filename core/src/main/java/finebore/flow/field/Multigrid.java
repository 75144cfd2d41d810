package finebore.flow.field;

/**
 * Solves the symmetric five-point system of the pressure: conjugate gradients, preconditioned by
 * one cycle over grids each half as fine both ways (Trottenberg, Oosterlee and Schueller,
 * Multigrid, from memory; cells are lumped in fours, lines relaxed both ways before and after).
 */
final class Multigrid {

  private static final int LEAST = 4;

  private final Lines[] levels;
  private final double[][] x;
  private final double[][] right;
  private final double[][] left;
  private final double[] search;
  private final double[] image;
  private final double[] residual;
  private final double[] step;

  Multigrid(int along, int across) {
    int count = 1;
    for (int n = along, m = across; n > LEAST || m > LEAST; count++) {
      n = (n + 1) / 2;
      m = (m + 1) / 2;
    }
    levels = new Lines[count];
    x = new double[count][];
    right = new double[count][];
    left = new double[count][];
    int n = along;
    int m = across;
    for (int k = 0; k < count; k++) {
      levels[k] = new Lines(n, m);
      x[k] = new double[n * m];
      right[k] = new double[n * m];
      left[k] = new double[n * m];
      n = (n + 1) / 2;
      m = (m + 1) / 2;
    }
    search = new double[along * across];
    image = new double[along * across];
    residual = new double[along * across];
    step = new double[along * across];
  }

  /** The matrix to fill in; its coefficients are the same both ways. */
  Lines matrix() {
    return levels[0];
  }

  /** Makes the coarse grids from the matrix. */
  void prepare() {
    for (int k = 1; k < levels.length; k++) {
      coarsen(levels[k - 1], levels[k]);
    }
  }

  private static void coarsen(Lines fine, Lines coarse) {
    coarse.clear();
    for (int i = 0; i < fine.along; i++) {
      for (int j = 0; j < fine.across; j++) {
        int c = i * fine.across + j;
        int to = (i / 2) * coarse.across + j / 2;
        coarse.middle[to] += fine.middle[c];
        if (i % 2 == 0) {
          coarse.west[to] += fine.west[c];
          if (i < fine.along - 1) {
            coarse.middle[to] -= 2 * fine.east[c];
          }
        } else {
          coarse.east[to] += fine.east[c];
        }
        if (j % 2 == 0) {
          coarse.south[to] += fine.south[c];
          if (j < fine.across - 1) {
            coarse.middle[to] -= 2 * fine.north[c];
          }
        } else {
          coarse.north[to] += fine.north[c];
        }
      }
    }
  }

  /**
   * Solves for the right side.
   *
   * @param x first guess, and the answer
   * @param tolerance how far the residual's size is to fall
   * @return the rounds it took
   */
  int solve(double[] x, double[] right, double tolerance, int most) {
    levels[0].residual(x, right, residual);
    double size = Math.sqrt(dot(residual, residual));
    double enough = tolerance * size;
    double before = 1;
    int round = 0;
    while (size > enough && round < most) {
      cycle();
      double now = dot(residual, step);
      double keep = round == 0 ? 0 : now / before;
      for (int c = 0; c < search.length; c++) {
        search[c] = step[c] + keep * search[c];
      }
      product(search, image);
      double way = now / dot(search, image);
      for (int c = 0; c < search.length; c++) {
        x[c] += way * search[c];
        residual[c] -= way * image[c];
      }
      before = now;
      size = Math.sqrt(dot(residual, residual));
      round++;
    }
    return round;
  }

  private void product(double[] of, double[] into) {
    java.util.Arrays.fill(left[0], 0);
    levels[0].residual(of, left[0], into);
    for (int c = 0; c < into.length; c++) {
      into[c] = -into[c];
    }
  }

  private void cycle() {
    copy(residual, right[0]);
    descend(0);
    copy(x[0], step);
  }

  private void descend(int k) {
    Lines level = levels[k];
    java.util.Arrays.fill(x[k], 0);
    level.sweepAcross(x[k], right[k], true);
    level.sweepAlong(x[k], right[k], true);
    if (k < levels.length - 1) {
      level.residual(x[k], right[k], left[k]);
      Lines coarse = levels[k + 1];
      java.util.Arrays.fill(right[k + 1], 0);
      for (int i = 0; i < level.along; i++) {
        for (int j = 0; j < level.across; j++) {
          right[k + 1][(i / 2) * coarse.across + j / 2] += left[k][i * level.across + j];
        }
      }
      descend(k + 1);
      for (int i = 0; i < level.along; i++) {
        for (int j = 0; j < level.across; j++) {
          x[k][i * level.across + j] += x[k + 1][(i / 2) * coarse.across + j / 2];
        }
      }
    } else {
      for (int sweep = 0; sweep < 4; sweep++) {
        level.sweepAcross(x[k], right[k], true);
        level.sweepAcross(x[k], right[k], false);
      }
    }
    level.sweepAlong(x[k], right[k], false);
    level.sweepAcross(x[k], right[k], false);
  }

  private static void copy(double[] from, double[] to) {
    for (int c = 0; c < to.length; c++) {
      to[c] = from[c];
    }
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int c = 0; c < a.length; c++) {
      sum += a[c] * b[c];
    }
    return sum;
  }
}
