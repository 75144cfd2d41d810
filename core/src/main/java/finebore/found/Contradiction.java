package finebore.found;

import finebore.units.UnitSystem;

/**
 * Two readings that cannot both be right. The first is set aside until it is mended; nothing else
 * waits for it.
 *
 * @param measure the reading that is set aside
 * @param value its value, mm
 * @param relation what it would have to be to the other: "larger than"
 * @param other what it is held against
 * @param otherValue value of that, mm
 */
public record Contradiction(
    Measure measure, double value, String relation, String other, double otherValue) {

  /** The contradiction in a sentence, both values in it. */
  public String words(UnitSystem units) {
    return measure.inWords()
        + " "
        + units.lengthText(value)
        + " is "
        + relation
        + " "
        + other
        + " "
        + units.lengthText(otherValue)
        + ": measure again. Set aside until then.";
  }
}
