package finebore.space;

import java.util.function.DoubleUnaryOperator;

/** Finds where a distance is least. */
public final class Nearest {

  /** Golden section. */
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

  private static final int POINTS = 24;
  private static final double FINE_RAD = 1e-3;

  private Nearest() {}

  /** Where it is least between two places round one that is less than both, to a tolerance. */
  public static double between(double from, double to, double fine, DoubleUnaryOperator distance) {
    double low = from;
    double high = to;
    double a = high - GOLDEN * (high - low);
    double b = low + GOLDEN * (high - low);
    double atA = distance.applyAsDouble(a);
    double atB = distance.applyAsDouble(b);
    while (high - low > fine) {
      if (atA < atB) {
        high = b;
        b = a;
        atB = atA;
        a = high - GOLDEN * (high - low);
        atA = distance.applyAsDouble(a);
      } else {
        low = a;
        a = b;
        atA = atB;
        b = low + GOLDEN * (high - low);
        atB = distance.applyAsDouble(b);
      }
    }
    return (low + high) / 2;
  }

  /** The least all round, by angle. */
  static double round(DoubleUnaryOperator byAngle) {
    return byAngle.applyAsDouble(whereRound(byAngle));
  }

  /** The least all round of what is alike on both sides of angle 0. */
  public static double least(DoubleUnaryOperator byAngle) {
    double step = Math.PI / POINTS;
    double least = Double.POSITIVE_INFINITY;
    int where = 0;
    for (int k = 0; k <= POINTS; k++) {
      double mm = byAngle.applyAsDouble(k * step);
      if (mm < least) {
        least = mm;
        where = k;
      }
    }
    double at = between((where - 1) * step, (where + 1) * step, FINE_RAD, byAngle);
    return Math.min(least, byAngle.applyAsDouble(at));
  }

  /** The angle at which it is least, rad. */
  static double whereRound(DoubleUnaryOperator byAngle) {
    double step = 2 * Math.PI / POINTS;
    double least = Double.POSITIVE_INFINITY;
    int where = 0;
    for (int k = 0; k < POINTS; k++) {
      double mm = byAngle.applyAsDouble(k * step);
      if (mm < least) {
        least = mm;
        where = k;
      }
    }
    double at = between((where - 1) * step, (where + 1) * step, FINE_RAD, byAngle);
    return byAngle.applyAsDouble(at) < least ? at : where * step;
  }
}
