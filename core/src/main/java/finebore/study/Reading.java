package finebore.study;

import finebore.units.UnitSystem;

/**
 * One reading.
 *
 * @param value mm, degrees, or a fraction, by the kind's quantity
 */
public record Reading(ReadingKind kind, double value) {

  public String text(UnitSystem units) {
    return kind.quantity().text(value, units);
  }
}
