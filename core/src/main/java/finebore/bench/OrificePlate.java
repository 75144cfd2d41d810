package finebore.bench;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;

/**
 * A sharp-edged orifice plate, by ISO 5167-2:2003 (from memory): the Reader-Harris/Gallagher
 * equation for the discharge coefficient, and the standard's expansibility.
 *
 * @param boreMm diameter of the hole, mm
 * @param pipeMm inside diameter of the pipe it stands in, mm; a plate in the wall of a large box
 *     stands in an endless pipe, for which the terms of the diameter ratio vanish
 * @param taps where the pressure is taken
 */
public record OrificePlate(double boreMm, double pipeMm, Taps taps) {

  /** Where the pressure is taken. */
  public enum Taps {
    CORNER,
    FLANGE,
    D_AND_HALF_D
  }

  /** Dynamic viscosity of air at 20 C, Pa s (from memory). */
  private static final double VISCOSITY = 1.82e-5;

  private static final double KAPPA = 1.4;

  /** A pipe so wide that it counts as none. */
  private static final double NO_PIPE_MM = 1e9;

  public OrificePlate {
    Quantity.PLATE_HOLE.check(boreMm);
    if (!(pipeMm > boreMm)) {
      throw RuleViolation.of("pipeWiderThanHole")
          .with("hole", Term.length(boreMm))
          .with("value", Term.length(pipeMm));
    }
  }

  /** A plate in the wall of a bench's box. */
  public static OrificePlate inWall(double boreMm) {
    return new OrificePlate(boreMm, NO_PIPE_MM, Taps.CORNER);
  }

  private double beta() {
    return boreMm / pipeMm;
  }

  /**
   * Discharge coefficient.
   *
   * @param pipeReynolds Reynolds number of the pipe
   */
  public double coefficient(double pipeReynolds) {
    double b = beta();
    double up = taps == Taps.CORNER ? 0 : taps == Taps.FLANGE ? 25.4 / pipeMm : 1;
    double down = taps == Taps.CORNER ? 0 : taps == Taps.FLANGE ? 25.4 / pipeMm : 0.47;
    double a = Math.pow(19_000 * b / pipeReynolds, 0.8);
    double m = 2 * down / (1 - b);
    double c =
        0.5961
            + 0.0261 * b * b
            - 0.216 * Math.pow(b, 8)
            + 0.000521 * Math.pow(1e6 * b / pipeReynolds, 0.7)
            + (0.0188 + 0.0063 * a) * Math.pow(b, 3.5) * Math.pow(1e6 / pipeReynolds, 0.3)
            + (0.043 + 0.080 * Math.exp(-10 * up) - 0.123 * Math.exp(-7 * up))
                * (1 - 0.11 * a)
                * Math.pow(b, 4)
                / (1 - Math.pow(b, 4))
            - 0.031 * (m - 0.8 * Math.pow(m, 1.1)) * Math.pow(b, 1.3);
    return pipeMm < 71.12 ? c + 0.011 * (0.75 - b) * (2.8 - pipeMm / 25.4) : c;
  }

  /**
   * Expansibility factor.
   *
   * @param pressureRatio absolute pressure after over before the plate
   */
  public double expansibility(double pressureRatio) {
    double b4 = Math.pow(beta(), 4);
    return 1 - (0.351 + 0.256 * b4 + 0.93 * b4 * b4) * (1 - Math.pow(pressureRatio, 1 / KAPPA));
  }

  /**
   * Volume flow at the density before the plate, m3/s.
   *
   * @param depressionPa pressure difference, Pa
   * @param densityKgM3 before the plate
   * @param pressurePa absolute, before the plate
   */
  public double flow(double depressionPa, double densityKgM3, double pressurePa) {
    double area = Math.PI / 4 * boreMm * boreMm * 1e-6;
    double ideal =
        area
            * expansibility(1 - depressionPa / pressurePa)
            * Math.sqrt(2 * depressionPa / densityKgM3)
            / Math.sqrt(1 - Math.pow(beta(), 4));
    // The coefficient depends on the flow a little: two rounds settle it to better than 1e-6.
    double flow = 0.6 * ideal;
    for (int k = 0; k < 4; k++) {
      double reynolds = 4 * densityKgM3 * flow / (Math.PI * pipeMm * 1e-3 * VISCOSITY);
      flow = coefficient(reynolds) * ideal;
    }
    return flow;
  }
}
