package finebore.bench;

import finebore.code.Message;
import finebore.quantity.Quantity;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The air of the room during a test.
 *
 * @param temperatureC temperature, degrees C
 * @param pressurePa pressure of the room itself, not brought to sea level, Pa
 * @param humidity relative humidity, 0 to 1
 */
public record Air(double temperatureC, double pressurePa, double humidity) {

  /** A usual room, to begin with; common practice, no source. */
  public static final Air USUAL = new Air(20, 101_325, 0.4);

  private static final double GAS = 8.314472;
  private static final double WATER_KG_MOL = 18.01528e-3;
  private static final double CARBON_DIOXIDE = 0.0004;

  public Air {
    Quantity.AIR_TEMPERATURE.checkRead(temperatureC);
    Quantity.AIR_PRESSURE.checkRead(pressurePa);
    Quantity.HUMIDITY.checkRead(humidity);
  }

  /** What is out of bounds about it, the first thing where several are. */
  public Optional<Message> oddity() {
    return Stream.of(
            Quantity.AIR_TEMPERATURE.oddity(temperatureC),
            Quantity.AIR_PRESSURE.oddity(pressurePa),
            Quantity.HUMIDITY.oddity(humidity))
        .flatMap(Optional::stream)
        .findFirst();
  }

  public Air withTemperature(double changedC) {
    return new Air(changedC, pressurePa, humidity);
  }

  /**
   * Density of moist air, kg/m3: CIPM-2007 (A. Picard, R. S. Davis, M. Gläser, K. Fujii, Revised
   * formula for the density of moist air (CIPM-2007), Metrologia 45 (2008) 149-155, from memory)
   * with 400 umol/mol of carbon dioxide. The formula is stated for 15 to 27 C and 600 to 1100 hPa;
   * outside it errs slowly.
   */
  public double densityKgM3() {
    double kelvin = temperatureC + 273.15;
    double vapour = humidity * enhancement() * saturationPa(kelvin) / pressurePa;
    double dryKgMol = (28.96546 + 12.011 * (CARBON_DIOXIDE - 0.0004)) * 1e-3;
    double z = compressibility(kelvin, vapour);
    return pressurePa
        * dryKgMol
        / (z * GAS * kelvin)
        * (1 - vapour * (1 - WATER_KG_MOL / dryKgMol));
  }

  /** Pressure of saturated water vapour, Pa (CIPM-2007, A1.1). */
  static double saturationPa(double kelvin) {
    return Math.exp(
        1.2378847e-5 * kelvin * kelvin
            - 1.9121316e-2 * kelvin
            + 33.93711047
            - 6.3431645e3 / kelvin);
  }

  private double enhancement() {
    return 1.00062 + 3.14e-8 * pressurePa + 5.6e-7 * temperatureC * temperatureC;
  }

  private double compressibility(double kelvin, double vapour) {
    double t = temperatureC;
    double p = pressurePa / kelvin;
    return 1
        - p
            * (1.58123e-6
                - 2.9331e-8 * t
                + 1.1043e-10 * t * t
                + (5.707e-6 - 2.051e-8 * t) * vapour
                + (1.9898e-4 - 2.376e-6 * t) * vapour * vapour)
        + p * p * (1.83e-11 - 0.765e-8 * vapour * vapour);
  }
}
