package finebore.section;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import java.util.Locale;

/**
 * What a stretch of a profile is.
 *
 * @param part the kind of surface
 * @param index which of several, from 0 in the order of the seat or valve record
 * @param trace what made it, by which it is spoken of
 * @param angleDeg angle of a cut, by which it is spoken of too; 0 for what is no cut
 */
public record Surface(Part part, int index, Trace trace, double angleDeg) {

  /**
   * Kinds of surface, from the chamber down to the port, then the valve from its edge to its stem.
   */
  public enum Part {
    HEAD_FACE,
    ROOF,
    RIDGE,
    CUT,
    SHOULDER,
    THROAT,
    BOWL,
    VALVE_EDGE,
    MARGIN,
    FACE,
    BACK_CUT,
    UNDERHEAD,
    STEM
  }

  /** What made a surface: the founder, a cutter, a hand. */
  public enum Trace implements Coded {
    HEAD_FACE(Part.HEAD_FACE),
    CHAMBER_ROOF(Part.ROOF),
    SWEPT_CHAMBER(Part.ROOF),
    CUT(Part.CUT),
    OLD_CUT_ABOVE(Part.RIDGE),
    OLD_CUT_BELOW(Part.SHOULDER),
    THROAT_SHOULDER(Part.SHOULDER),
    THROAT(Part.THROAT),
    BOWL(Part.BOWL),
    BLEND_ABOVE(Part.RIDGE),
    BLEND_BELOW(Part.SHOULDER),
    COUNTERBORE(Part.RIDGE),
    COUNTERBORE_FLOOR(Part.SHOULDER),
    RING_TOP(Part.RIDGE),
    RING_BORE(Part.THROAT),
    STEP_BESIDE_CUTTER(Part.RIDGE),
    STEP_UNDER_CUTTER(Part.SHOULDER),
    VALVE_EDGE(Part.VALVE_EDGE),
    MARGIN(Part.MARGIN),
    VALVE_FACE(Part.FACE),
    BACK_CUT(Part.BACK_CUT),
    NUMBERED_BACK_CUT(Part.BACK_CUT),
    UNDERHEAD(Part.UNDERHEAD),
    STEM(Part.STEM);

    private final Part part;

    Trace(Part part) {
      this.part = part;
    }

    public Part part() {
      return part;
    }

    @Override
    public String code() {
      return "surface." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** A surface of which there is one. */
  public static Surface of(Trace trace) {
    return new Surface(trace.part(), 0, trace, 0);
  }

  /** A cut of a seat. */
  public static Surface cut(int index, double angleDeg) {
    return new Surface(Part.CUT, index, Trace.CUT, angleDeg);
  }

  /** What was left of it where another cut carries the valve now. */
  public Surface old(boolean belowSeat) {
    Trace left = belowSeat ? Trace.OLD_CUT_BELOW : Trace.OLD_CUT_ABOVE;
    return new Surface(left.part(), 0, left, angleDeg);
  }

  /** Whether both are spoken of in the same way. */
  public boolean soundsLike(Surface other) {
    return trace == other.trace
        && Double.compare(angleDeg, other.angleDeg) == 0
        && (trace != Trace.NUMBERED_BACK_CUT || index == other.index);
  }

  /** How it is spoken of, for example "the 45". */
  public Message message() {
    return Message.of(trace)
        .with("angle", Term.angle(angleDeg))
        .with("number", Term.count(index + 1));
  }
}
