package finebore.seal;

import finebore.quantity.Quantity;

/**
 * What a shop asks of a closed valve.
 *
 * @param leastHeldPa depression held under the standard atmosphere at least, Pa
 * @param leastFallSeconds time to fall to half at least, s
 * @param mostRunoutMm most that a dial may swing round the seat, mm
 */
public record SealLimits(double leastHeldPa, double leastFallSeconds, double mostRunoutMm) {

  public SealLimits {
    Quantity.VACUUM.check(leastHeldPa);
    Quantity.VACUUM_FALL.check(leastFallSeconds);
    Quantity.SEAT_RUNOUT.check(mostRunoutMm);
  }

  /** Whether a reading is good enough; what was not timed is judged by what it holds. */
  public boolean allows(VacuumReading reading) {
    return reading.atStandardPa() >= leastHeldPa
        && (reading.fallSeconds().isEmpty()
            || reading.fallSeconds().getAsDouble() >= leastFallSeconds);
  }
}
