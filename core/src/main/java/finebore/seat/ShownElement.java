package finebore.seat;

/**
 * How much of one element of a seat is left showing; of an arc, of its chords together.
 *
 * @param index which element of the seat, from 0 at the chamber
 * @param element as asked for
 * @param firstCut index of its first cut
 * @param askedMm width asked for along it, mm
 * @param shownMm width left showing along it, mm
 */
public record ShownElement(
    int index, Element element, int firstCut, double askedMm, double shownMm) {

  /** Whether it came in with clearly less than was asked, or not at all. */
  public boolean isShort() {
    return askedMm - shownMm > ShownCut.NEGLIGIBLE_MM || neverTouches();
  }

  /** Whether nothing of it shows although it was asked for. */
  public boolean neverTouches() {
    return askedMm > 0 && shownMm <= 0;
  }
}
