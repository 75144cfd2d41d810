package finebore.flow;

/**
 * Contraction of a free jet that leaves a slot whose wall turns by an angle.
 *
 * <p>1/Cc(d) = 1 + (1/d) integral from 0 to d of sin t cot(pi t / 2 d) dt, for a plane slot fed by
 * a wide reservoir (R. von Mises, 1917; table in H. Rouse, Elementary Mechanics of Fluids; both
 * from memory).
 */
public final class Contraction {

  private static final int STEPS = 180;
  private static final double[] TABLE = table();

  private Contraction() {}

  /**
   * Contraction coefficient.
   *
   * @param turn angle the wall turns, radians, 0 to pi
   * @return contraction, 1 for no turn, 0.611 for a square edge, 0.5 for a re-entrant one
   */
  public static double coefficient(double turn) {
    if (!(turn >= 0 && turn <= Math.PI)) {
      throw new IllegalArgumentException("turn: " + turn);
    }
    double at = turn / Math.PI * STEPS;
    int k = Math.min((int) at, STEPS - 1);
    return TABLE[k] + (at - k) * (TABLE[k + 1] - TABLE[k]);
  }

  private static double[] table() {
    double[] table = new double[STEPS + 1];
    table[0] = 1;
    for (int k = 1; k <= STEPS; k++) {
      table[k] = integrated(Math.PI * k / STEPS);
    }
    return table;
  }

  /** The integral by Simpson's rule; at t = 0 the integrand tends to 2 d / pi. */
  static double integrated(double turn) {
    int n = 400;
    double step = turn / n;
    double sum = 2 * turn / Math.PI;
    for (int k = 1; k <= n; k++) {
      double t = k * step;
      double value = k == n ? 0 : Math.sin(t) / Math.tan(Math.PI * t / (2 * turn));
      sum += value * (k == n ? 1 : k % 2 == 1 ? 4 : 2);
    }
    return 1 / (1 + sum * step / 3 / turn);
  }
}
