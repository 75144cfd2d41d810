package finebore.cutting;

import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * Where a valve comes to rest on a seat, and where it touches.
 *
 * <p>The valve is lowered until it touches: the resting height is the largest height of the metal
 * over the valve's underside at any radius. Both are straight between their corners, so that
 * largest value lies at a corner and is exact. The contact is where the gap, measured square to the
 * face, is within the marking film.
 */
public sealed interface Seating {

  /** Thickness that layout ink or marking blue shows as contact, mm; common practice, no source. */
  double INK_FILM_MM = 0.005;

  /** The valve goes through the throat without touching. */
  record FallsThrough() implements Seating {}

  /**
   * The valve rests on the seat.
   *
   * @param restMm height of the margin edge of the face when seated, mm; negative is below the head
   *     face
   * @param contact the ring that touches
   */
  record Seated(double restMm, Contact contact) implements Seating {}

  /**
   * The ring that touches.
   *
   * @param inner inside edge of the contact in the section plane
   * @param outer outside edge
   * @param widthMm width along the valve face
   * @param fromMarginMm distance along the face from its margin edge to the contact's outside;
   *     negative when the contact runs off the face there
   * @param fromInnerEdgeMm distance along the face from its inner edge to the contact's inside
   * @param centre place of the contact's middle on the face: 0 at the margin edge, 1 at the inner
   *     edge
   * @param on surfaces of the head that touch, most first
   * @param intendedShare share of the contact that lies on the sealing cut, 0 to 1
   */
  record Contact(
      Point inner,
      Point outer,
      double widthMm,
      double fromMarginMm,
      double fromInnerEdgeMm,
      double centre,
      List<Surface> on,
      double intendedShare) {

    public Contact {
      on = List.copyOf(on);
    }

    public double outsideDiameterMm() {
      return 2 * outer.r();
    }

    public double insideDiameterMm() {
      return 2 * inner.r();
    }
  }

  /**
   * Seats a valve.
   *
   * @param filmMm thickness of the marking film, mm, positive; a larger one tries lapping or wear
   */
  static Seating of(SeatSection seat, ValveSection valve, double filmMm, Tolerance tolerance) {
    if (!(filmMm > 0)) {
      throw new IllegalArgumentException("filmMm: " + filmMm);
    }
    Profile metal = seat.profile();
    Profile under = valve.profile();
    double bore = metal.narrowestR();
    double from = Math.max(bore, valve.valve().stemDiameterMm() / 2);
    double far = metal.points().stream().mapToDouble(Point::r).max().orElseThrow();
    double to = Math.min(valve.valve().headDiameterMm() / 2, far);
    if (!tolerance.greater(to, from)) {
      return new FallsThrough();
    }
    TreeSet<Double> corners = new TreeSet<>(List.of(from, to));
    for (Profile profile : List.of(metal, under)) {
      profile.points().stream().map(Point::r).filter(r -> r > from && r < to).forEach(corners::add);
    }
    List<Double> radii = List.copyOf(corners);
    double rest = Double.NEGATIVE_INFINITY;
    double touch = from;
    for (double r : radii) {
      double height = metal.topAt(r) - under.undersideAt(r);
      if (height > rest) {
        rest = height;
        touch = r;
      }
    }
    return new Seated(rest, contactAt(seat, valve.valve(), under, radii, rest, touch, filmMm));
  }

  private static Contact contactAt(
      SeatSection seat,
      Valve valve,
      Profile under,
      List<Double> radii,
      double rest,
      double touch,
      double filmMm) {
    Profile metal = seat.profile();
    double slope = Math.toRadians(valve.faceAngleDeg());
    double film = filmMm / Math.cos(slope);
    int at = radii.indexOf(touch);
    double inner = touch;
    for (int k = at; k > 0; k--) {
      inner = edgeBetween(metal, under, rest, radii.get(k), radii.get(k - 1), film);
      if (inner != radii.get(k - 1)) {
        break;
      }
    }
    double outer = touch;
    for (int k = at; k < radii.size() - 1; k++) {
      outer = edgeBetween(metal, under, rest, radii.get(k), radii.get(k + 1), film);
      if (outer != radii.get(k + 1)) {
        break;
      }
    }
    double cos = Math.cos(slope);
    double headR = valve.headDiameterMm() / 2;
    double fromMargin = (headR - outer) / cos;
    double fromInner = valve.faceWidthMm() - (headR - inner) / cos;
    double middle = (headR - (inner + outer) / 2) / cos;
    List<Share> shares = shares(metal, inner, outer);
    double total = shares.stream().mapToDouble(Share::width).sum();
    double intended =
        shares.stream()
            .filter(
                s -> s.surface().part() == Part.CUT && s.surface().index() == seat.seat().sealing())
            .mapToDouble(Share::width)
            .sum();
    return new Contact(
        new Point(inner, metal.topAt(inner)),
        new Point(outer, metal.topAt(outer)),
        (outer - inner) / cos,
        fromMargin,
        fromInner,
        middle / valve.faceWidthMm(),
        shares.stream().map(Share::surface).toList(),
        total > 0 ? intended / total : 0);
  }

  /** How far from a, toward b, the gap stays within the film; the gap is straight between them. */
  private static double edgeBetween(
      Profile metal, Profile under, double rest, double a, double b, double film) {
    // Just inside the stretch, so that a step at a corner is taken from the right side.
    double inset = 1e-9 * (b - a);
    double gapA = under.undersideAt(a + inset) + rest - metal.topAt(a + inset);
    double gapB = under.undersideAt(b - inset) + rest - metal.topAt(b - inset);
    if (gapA > film) {
      return a;
    }
    if (gapB <= film) {
      return b;
    }
    return a + (b - a) * (film - gapA) / (gapB - gapA);
  }

  /** A surface and how much of the contact lies on it, mm on the radius. */
  record Share(Surface surface, double width) {}

  private static List<Share> shares(Profile metal, double inner, double outer) {
    List<Share> shares = new ArrayList<>();
    double reach = Math.max(outer - inner, 1e-9);
    for (int k = 0; k < metal.segmentCount(); k++) {
      double low = Math.max(Math.min(metal.start(k).r(), metal.end(k).r()), outer - reach);
      double high = Math.min(Math.max(metal.start(k).r(), metal.end(k).r()), inner + reach);
      double mid = (low + high) / 2;
      Point a = metal.start(k);
      Point b = metal.end(k);
      boolean upright = a.r() == b.r();
      if (high <= low || upright) {
        continue;
      }
      double z = a.z() + (mid - a.r()) / (b.r() - a.r()) * (b.z() - a.z());
      if (metal.topAt(mid) - z < 1e-9) {
        shares.add(new Share(metal.surfaces().get(k), high - low));
      }
    }
    shares.sort(Comparator.comparingDouble(Share::width).reversed());
    return shares;
  }
}
