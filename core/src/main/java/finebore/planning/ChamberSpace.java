package finebore.planning;

import finebore.cutting.Seating;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Tolerance;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The chamber's share over one valve: what lies below the head face, above the metal outside the
 * contact and above the seated valve within it.
 */
final class ChamberSpace {

  private ChamberSpace() {}

  /** Its volume over a seated valve, mm3; empty when the valve falls through. */
  static OptionalDouble over(SeatSection seat, Valve valve) {
    Seating seating =
        Seating.of(
            seat, ValveSection.of(valve, Tolerance.FINE), Seating.INK_FILM_MM, Tolerance.FINE);
    return seating instanceof Seating.Seated(double rest, Seating.Contact contact)
        ? OptionalDouble.of(
            volumeMm3(
                seat.profile(),
                contact.outer().r(),
                valve.headDiameterMm() / 2,
                rest,
                valve.marginMm()))
        : OptionalDouble.empty();
  }

  /** How much a finished seat and valve enlarge the chamber, mm3. */
  static OptionalDouble change(
      SeatSection found, Valve foundValve, SeatSection finished, Valve valve) {
    OptionalDouble before = over(found, foundValve);
    OptionalDouble after = over(finished, valve);
    return before.isPresent() && after.isPresent()
        ? OptionalDouble.of(after.getAsDouble() - before.getAsDouble())
        : OptionalDouble.empty();
  }

  /**
   * Its volume, all round, in mm3. Between two points of the outline it is the volume under a
   * frustum, 2 pi times the integral of r (0 - z) over r, so that overhangs count right.
   *
   * @param restMm height of the valve's margin edge when seated
   */
  static double volumeMm3(
      Profile wall, double contactR, double headR, double restMm, double marginMm) {
    List<Point> outline = new ArrayList<>();
    for (Point p : wall.outside(contactR).points()) {
      outline.add(p);
    }
    outline.add(new Point(headR, restMm));
    outline.add(new Point(headR, restMm + marginMm));
    outline.add(new Point(0, restMm + marginMm));
    double sum = 0;
    for (int k = 1; k < outline.size(); k++) {
      Point a = outline.get(k - 1);
      Point b = outline.get(k);
      sum += (a.r() - b.r()) / 6 * (a.z() * (2 * a.r() + b.r()) + b.z() * (a.r() + 2 * b.r()));
    }
    return -2 * Math.PI * sum;
  }
}
