package finebore.section;

import finebore.code.Message;
import finebore.code.Term;
import java.util.Locale;

/**
 * Where on a wall something sits.
 *
 * @param kind on a surface, or where two meet
 * @param first the surface, or the first of two from the chamber on
 * @param second the other of two; the same as the first where there is one
 */
public record Place(Kind kind, Surface first, Surface second) {

  /** How a place lies to its surfaces. */
  public enum Kind {
    /** On one surface. */
    ON,
    /** On the edge between two. */
    EDGE,
    /** Between a surface of the head and one of the valve. */
    GAP
  }

  public static Place on(Surface surface) {
    return new Place(Kind.ON, surface, surface);
  }

  /** On the edge between two surfaces, or on the one where they are spoken of alike. */
  public static Place edge(Surface first, Surface second) {
    return first.soundsLike(second) ? on(second) : new Place(Kind.EDGE, first, second);
  }

  /** How it is spoken of. */
  public Message message() {
    return Message.of("place." + kind.name().toLowerCase(Locale.ROOT))
        .with("first", Term.phrase(first.message()))
        .with("second", Term.phrase(second.message()));
  }
}
