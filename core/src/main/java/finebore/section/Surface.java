package finebore.section;

/**
 * What a stretch of a profile is, in the trade's words.
 *
 * @param part the kind of surface
 * @param index which of several, from 0 in the order of the seat or valve record
 * @param name as spoken, for example "the 45" or "back cut"
 */
public record Surface(Part part, int index, String name) {

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

  public static Surface of(Part part, String name) {
    return new Surface(part, 0, name);
  }
}
