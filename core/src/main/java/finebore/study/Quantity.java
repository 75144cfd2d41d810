package finebore.study;

import finebore.seat.Cut;
import finebore.units.UnitSystem;

/** What kind of number a reading is, and how it is written. */
public enum Quantity {
  LENGTH,
  ANGLE,
  SHARE,
  NUMBER,
  VOLUME;

  /**
   * The number and its unit in a unit system; lengths come in mm, angles in degrees, shares as
   * fractions, volumes in mm3.
   */
  public String text(double value, UnitSystem units) {
    return switch (this) {
      case LENGTH -> units.lengthText(value);
      case ANGLE -> Cut.angleText(value) + "°";
      case SHARE -> UnitSystem.fixed(100 * value, 1) + " %";
      case NUMBER -> UnitSystem.fixed(value, 2);
      case VOLUME -> UnitSystem.fixed(value / 1000, 2) + " cm³";
    };
  }
}
