package finebore.seat;

/**
 * How much of one cut is left showing in the finished section.
 *
 * @param index which cut of the seat, from 0 at the chamber
 * @param cut the cut as asked for
 * @param shownMm width left showing along the cut, mm
 * @param isUndercut whether it leans in under the seat: it is judged by its lean, not as a cut
 */
public record ShownCut(int index, Cut cut, double shownMm, boolean isUndercut) {

  /** A cut of a seat's own stack. */
  public ShownCut(int index, Cut cut, double shownMm) {
    this(index, cut, shownMm, false);
  }

  /** A shortfall below this is not worth a word, mm. */
  static final double NEGLIGIBLE_MM = 0.05;

  /** Whether the cut came in with clearly less than its asked width, or not at all. */
  public boolean isShort() {
    return cut.widthMm() - shownMm > NEGLIGIBLE_MM || neverTouches();
  }

  /** Whether a cut that was asked for does not show at all. */
  public boolean neverTouches() {
    return cut.widthMm() > 0 && shownMm <= 0;
  }
}
