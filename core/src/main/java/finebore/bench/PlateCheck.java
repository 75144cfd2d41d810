package finebore.bench;

import finebore.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a range of the bench read with a check plate on it.
 *
 * <p>A bench's meter is an orifice itself and sees the same air as the plate, so a reading in per
 * cent of its range does not depend on the air's density.
 *
 * @param date the day
 * @param plate which plate
 * @param percent reading, % of the range
 * @param depressionPa across the plate
 * @param air of the room, if written down
 */
public record PlateCheck(
    LocalDate date, CheckPlate plate, double percent, double depressionPa, Optional<Air> air) {

  public PlateCheck {
    Quantity.PLATE_READING.check(percent);
    Quantity.PLATE_DEPRESSION.check(depressionPa);
  }

  /** Flow that the whole range comes to, at the standard air, m3/s. */
  public double fullFlowM3s() {
    return plate.flowM3s(depressionPa) / (percent / 100);
  }
}
