package finebore.seat;

import finebore.code.Term;

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

  /** How it is spoken of: a cut by its angle, an arc by its radius and angles. */
  public Term term() {
    return switch (element) {
      case Cut cut -> Term.angle(cut.angleDeg());
      case Arc arc -> Term.phrase(arc.message());
    };
  }

  /** Whether it came in with clearly less than was asked, or not at all. */
  public boolean isShort() {
    return askedMm - shownMm > ShownCut.NEGLIGIBLE_MM || neverTouches();
  }

  /** Whether nothing of it shows although it was asked for. */
  public boolean neverTouches() {
    return askedMm > 0 && shownMm <= 0;
  }
}
