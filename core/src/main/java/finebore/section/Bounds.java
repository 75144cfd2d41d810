package finebore.section;

import java.util.Locale;

/** The check that records make of their numbers. */
public final class Bounds {

  private Bounds() {}

  /**
   * Lets a number pass that lies within its bounds.
   *
   * @param field what it is, in the trade's words
   * @param unit behind the numbers in the message, or nothing
   * @throws IllegalArgumentException naming the field, what was expected and the value
   */
  public static void check(String field, double value, double min, double max, String unit) {
    if (!(value >= min && value <= max)) {
      throw new IllegalArgumentException(
          (field + " must be " + plain(min) + " to " + plain(max) + " " + unit).strip()
              + ", was "
              + plain(value));
    }
  }

  private static String plain(double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e9) {
      return String.valueOf((long) value);
    }
    return String.format(Locale.ROOT, "%.4f", value)
        .replaceAll("(\\.\\d*?)0+$", "$1")
        .replaceAll("\\.$", "");
  }
}
