package finebore.finding;

import finebore.code.Coded;
import java.util.Locale;

/**
 * What a judgement rests on.
 *
 * @param kind which kind of ground
 * @param source the published source or the shop's own words; empty for the other kinds
 */
public record Basis(Kind kind, String source) implements Coded {

  /** Kinds of ground to judge on. */
  public enum Kind {
    /** What shapes cannot do. */
    GEOMETRY,
    /** What was read off the head. */
    READINGS,
    /** What many in the trade do; there is no published source. */
    COMMON_PRACTICE,
    /** What the shop itself wants. */
    OWN_PRACTICE,
    /** A named source. */
    SOURCE
  }

  public static final Basis GEOMETRY = new Basis(Kind.GEOMETRY, "");
  public static final Basis READINGS = new Basis(Kind.READINGS, "");
  public static final Basis COMMON_PRACTICE = new Basis(Kind.COMMON_PRACTICE, "");
  public static final Basis OWN_PRACTICE = new Basis(Kind.OWN_PRACTICE, "");

  public static Basis source(String source) {
    return new Basis(Kind.SOURCE, source);
  }

  @Override
  public String code() {
    return "basis." + kind.name().toLowerCase(Locale.ROOT);
  }
}
