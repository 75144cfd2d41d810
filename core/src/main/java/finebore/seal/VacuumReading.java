package finebore.seal;

import finebore.quantity.Quantity;
import java.util.OptionalDouble;

/**
 * One vacuum test of a closed valve.
 *
 * @param heldPa depression that the pump holds against the leak, Pa
 * @param fallSeconds how long it takes to fall to half once the pump is shut off, s; empty when it
 *     was not timed
 * @param ambientPa pressure of the room, Pa
 */
public record VacuumReading(double heldPa, OptionalDouble fallSeconds, double ambientPa) {

  /** The standard atmosphere (ISO 2533), Pa: limits are stated for it. */
  public static final double STANDARD_PA = 101_325;

  public VacuumReading {
    Quantity.VACUUM.check(heldPa);
    Quantity.VACUUM_FALL.check(fallSeconds);
    Quantity.AIR_PRESSURE.check(ambientPa);
  }

  /**
   * What the same leak would hold under the standard atmosphere, Pa: flow through a leak that is
   * choked and what a pump draws both go with the pressure of the room.
   */
  public double atStandardPa() {
    return heldPa * STANDARD_PA / ambientPa;
  }
}
