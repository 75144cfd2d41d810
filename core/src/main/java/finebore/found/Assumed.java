package finebore.found;

import finebore.code.Coded;
import java.util.Locale;

/**
 * A value that stands in for a reading nobody took.
 *
 * @param measure what was not measured
 * @param value what is taken instead, in the measure's core unit
 * @param basis why that
 */
public record Assumed(Measure measure, double value, Basis basis) {

  /** Why a value is taken. */
  public enum Basis implements Coded {
    /** As the others of its kind. */
    AS_ITS_KIND,
    /** Not measured, taken as none. */
    NONE,
    /** Worked out of distances. */
    DISTANCES,
    /** Common practice, no source. */
    COMMON_PRACTICE;

    @Override
    public String code() {
      return "assumed." + name().toLowerCase(Locale.ROOT);
    }
  }
}
