package finebore.flow.field;

/**
 * Straightens grid lines where they cross or nearly do, beside sharp corners.
 *
 * <p>The nodes round such cells are moved until the grid's own numbers are harmonic in space
 * (Winslow's equations; Thompson, Warsi and Mastin, Numerical Grid Generation, 1985, from memory):
 * such lines do not cross.
 */
final class Unfolding {

  /** Sine of the angle at a cell's corner below which the cell is poor. */
  private static final double POOR = 0.1;

  private static final int REACH = 3;
  private static final int ROUNDS = 6;
  private static final int SWEEPS = 40;

  private Unfolding() {}

  /**
   * Straightens what needs it.
   *
   * @return how many cells are still poor
   */
  static int mend(double[][] r, double[][] z) {
    int n = r.length - 1;
    int m = r[0].length - 1;
    for (int round = 0; round < ROUNDS; round++) {
      boolean[][] free = new boolean[n + 1][m + 1];
      int poor = 0;
      int reach = REACH + round;
      for (int i = 0; i < n; i++) {
        for (int j = 0; j < m; j++) {
          if (leastSine(r, z, i, j) >= POOR) {
            continue;
          }
          poor++;
          for (int a = Math.max(1, i - reach); a < Math.min(n, i + 2 + reach); a++) {
            for (int b = Math.max(1, j - reach); b < Math.min(m, j + 2 + reach); b++) {
              free[a][b] = true;
            }
          }
        }
      }
      if (poor == 0) {
        return 0;
      }
      for (int sweep = 0; sweep < SWEEPS; sweep++) {
        for (int i = 1; i < n; i++) {
          for (int j = 1; j < m; j++) {
            if (free[i][j]) {
              relax(r, z, i, j);
            }
          }
        }
      }
    }
    int poor = 0;
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < m; j++) {
        poor += area(r, z, i, j) <= 0 ? 1 : 0;
      }
    }
    return poor;
  }

  private static void relax(double[][] r, double[][] z, int i, int j) {
    double rx = (r[i + 1][j] - r[i - 1][j]) / 2;
    double zx = (z[i + 1][j] - z[i - 1][j]) / 2;
    double ry = (r[i][j + 1] - r[i][j - 1]) / 2;
    double zy = (z[i][j + 1] - z[i][j - 1]) / 2;
    double alpha = ry * ry + zy * zy;
    double beta = rx * ry + zx * zy;
    double gamma = rx * rx + zx * zx;
    r[i][j] = relaxed(r, i, j, alpha, beta, gamma);
    z[i][j] = relaxed(z, i, j, alpha, beta, gamma);
  }

  private static double relaxed(
      double[][] v, int i, int j, double alpha, double beta, double gamma) {
    double cross = (v[i + 1][j + 1] - v[i - 1][j + 1] - v[i + 1][j - 1] + v[i - 1][j - 1]) / 4;
    return (alpha * (v[i + 1][j] + v[i - 1][j])
            + gamma * (v[i][j + 1] + v[i][j - 1])
            - 2 * beta * cross)
        / (2 * (alpha + gamma));
  }

  /** Area of a cell in the section, above 0 where its lines do not cross. */
  static double area(double[][] r, double[][] z, int i, int j) {
    return 0.5
        * ((r[i + 1][j + 1] - r[i][j]) * (z[i + 1][j] - z[i][j + 1])
            - (r[i + 1][j] - r[i][j + 1]) * (z[i + 1][j + 1] - z[i][j]));
  }

  private static double leastSine(double[][] r, double[][] z, int i, int j) {
    double a = sine(r, z, i, j, i + 1, j, i, j + 1);
    double b = sine(r, z, i + 1, j, i + 1, j + 1, i, j);
    double c = sine(r, z, i + 1, j + 1, i, j + 1, i + 1, j);
    double d = sine(r, z, i, j + 1, i, j, i + 1, j + 1);
    return Math.min(Math.min(a, b), Math.min(c, d));
  }

  private static double sine(
      double[][] r, double[][] z, int i, int j, int ia, int ja, int ib, int jb) {
    double ar = r[ia][ja] - r[i][j];
    double az = z[ia][ja] - z[i][j];
    double br = r[ib][jb] - r[i][j];
    double bz = z[ib][jb] - z[i][j];
    return (az * br - ar * bz) / Math.sqrt((ar * ar + az * az) * (br * br + bz * bz));
  }
}
