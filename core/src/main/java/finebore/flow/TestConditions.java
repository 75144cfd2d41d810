package finebore.flow;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.units.Dimension;

/**
 * The air of a flow test.
 *
 * @param depressionPa pressure difference across the head, Pa
 * @param densityKgM3 density of the air in the room, kg/m3
 * @param pressurePa pressure of the room, Pa
 */
public record TestConditions(double depressionPa, double densityKgM3, double pressurePa) {

  /** Ratio of specific heats of air. */
  private static final double GAMMA = 1.4;

  /**
   * Up to here benches, and this program, reckon with air that does not expand; common practice, no
   * source.
   */
  private static final double PLAIN_UP_TO = 0.1;

  /** 28 in of water, dry air at 20 C and 101 325 Pa. */
  public static final TestConditions USUAL = new TestConditions(28 * 249.08891, 1.2041, 101_325);

  public TestConditions {
    if (!(depressionPa > 0 && depressionPa < pressurePa)) {
      throw RuleViolation.of("depressionBelowRoom")
          .with("value", new Term.Figure(Dimension.PRESSURE, depressionPa))
          .with("room", new Term.Figure(Dimension.BAROMETER, pressurePa));
    }
    if (!(densityKgM3 > 0.5 && densityKgM3 < 2)) {
      throw new IllegalArgumentException("densityKgM3: " + densityKgM3);
    }
  }

  public TestConditions withDepression(double pa) {
    return new TestConditions(pa, densityKgM3, pressurePa);
  }

  /**
   * Volume flow at room density through an effective area.
   *
   * @param areaMm2 effective area, mm2
   * @return m3/s; sqrt(2 dp / rho) up to a tenth of the room's pressure, the isentropic nozzle
   *     above
   */
  public double flow(double areaMm2) {
    double area = areaMm2 * 1e-6;
    if (depressionPa <= PLAIN_UP_TO * pressurePa) {
      return area * Math.sqrt(2 * depressionPa / densityKgM3);
    }
    return area * isentropicSpeed();
  }

  /**
   * Mass flow per area of an isentropic nozzle over the room's density, m/s; choked below the
   * critical ratio.
   */
  double isentropicSpeed() {
    double critical = Math.pow(2 / (GAMMA + 1), GAMMA / (GAMMA - 1));
    double ratio = Math.max(1 - depressionPa / pressurePa, critical);
    double head = Math.pow(ratio, 2 / GAMMA) - Math.pow(ratio, (GAMMA + 1) / GAMMA);
    return Math.sqrt(2 * GAMMA / (GAMMA - 1) * pressurePa / densityKgM3 * head);
  }
}
