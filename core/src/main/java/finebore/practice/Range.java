package finebore.practice;

/**
 * What a school of practice wants of a reading.
 *
 * @param min lowest, in the reading's unit
 * @param max highest
 * @param basis where it comes from: a source, or "common practice, no source"
 */
public record Range(double min, double max, String basis) {

  /**
   * Readings come off trigonometry: a value typed at the very limit must still count as within it.
   */
  private static final double ROUNDING = 1e-9;

  public Range {
    if (!(min <= max)) {
      throw new IllegalArgumentException(
          "range must not end before it begins: " + min + " to " + max);
    }
  }

  public boolean holds(double value) {
    return value >= min - ROUNDING && value <= max + ROUNDING;
  }

  public double middle() {
    return (min + max) / 2;
  }
}
