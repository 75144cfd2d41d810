package finebore.flow.field;

/**
 * Values inside a rectangle that are harmonic in it, from those on its edge: five-point differences
 * on uneven lines, by line relaxation across.
 */
final class Harmonic {

  private static final int SWEEPS = 400;
  private static final double ENOUGH = 1e-7;

  private Harmonic() {}

  /** Fills in what lies inside; the edge stays. */
  static void fill(double[][] v, double[] x, double[] y) {
    int n = x.length - 1;
    int m = y.length - 1;
    for (int i = 1; i < n; i++) {
      for (int j = 1; j < m; j++) {
        v[i][j] = v[i][0] + y[j] * (v[i][m] - v[i][0]);
      }
    }
    double[] upper = new double[m];
    double[] value = new double[m];
    double size = Math.abs(v[0][0]) + Math.abs(v[n][m]) + Math.abs(v[0][m]) + Math.abs(v[n][0]);
    for (int sweep = 0; sweep < SWEEPS; sweep++) {
      double moved = 0;
      for (int turn = 1; turn < n; turn++) {
        int i = sweep % 2 == 0 ? turn : n - turn;
        double west = 2 / ((x[i] - x[i - 1]) * (x[i + 1] - x[i - 1]));
        double east = 2 / ((x[i + 1] - x[i]) * (x[i + 1] - x[i - 1]));
        for (int j = 1; j < m; j++) {
          double south = 2 / ((y[j] - y[j - 1]) * (y[j + 1] - y[j - 1]));
          double north = 2 / ((y[j + 1] - y[j]) * (y[j + 1] - y[j - 1]));
          double right = west * v[i - 1][j] + east * v[i + 1][j];
          double pivot = west + east + south + north;
          if (j == 1) {
            right += south * v[i][0];
          } else {
            pivot -= south * upper[j - 1];
            right += south * value[j - 1];
          }
          if (j == m - 1) {
            right += north * v[i][m];
          }
          upper[j] = north / pivot;
          value[j] = right / pivot;
        }
        double next = 0;
        for (int j = m - 1; j > 0; j--) {
          next = value[j] + (j < m - 1 ? upper[j] * next : 0);
          moved = Math.max(moved, Math.abs(next - v[i][j]));
          // Over-relaxed: lines far along hear of each other sooner.
          v[i][j] += 1.6 * (next - v[i][j]);
        }
      }
      if (moved < ENOUGH * size) {
        break;
      }
    }
  }
}
