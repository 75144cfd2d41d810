package finebore.finding;

import finebore.found.Measure;
import finebore.section.Surface;
import java.util.Locale;

/**
 * What of a seat, a plan or a head a finding is about.
 *
 * @param kind what kind of thing
 * @param id which one, by a name that lasts: never one that is shown; empty for the whole
 */
public record Subject(Kind kind, String id) {

  /** Kinds of thing a finding can be about. */
  public enum Kind {
    /** All of it. */
    WHOLE,
    /** An operation of the plan, by its lasting id. */
    OPERATION,
    /** A cut of the wanted seat, by its place from the chamber, from 1. */
    CUT,
    /** A reading that follows from the plan, by its key. */
    READING,
    /** A reading taken of the seat as found, by its key. */
    MEASURE,
    /** A surface, by its part and index. */
    SURFACE;

    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public static final Subject WHOLE = new Subject(Kind.WHOLE, "");

  public static Subject operation(int id) {
    return new Subject(Kind.OPERATION, String.valueOf(id));
  }

  /** A cut by its index from 0. */
  public static Subject cut(int index) {
    return new Subject(Kind.CUT, String.valueOf(index + 1));
  }

  public static Subject reading(String key) {
    return new Subject(Kind.READING, key);
  }

  public static Subject measure(Measure measure) {
    return new Subject(Kind.MEASURE, measure.key());
  }

  /** A surface, and which of several of its kind counted from the seat. */
  public static Subject surface(Surface.Part part, int index) {
    return new Subject(Kind.SURFACE, part.name().toLowerCase(Locale.ROOT) + "." + index);
  }

  /** Whether it is about an operation, and about this one. */
  public boolean isOperation(int operation) {
    return equals(operation(operation));
  }
}
