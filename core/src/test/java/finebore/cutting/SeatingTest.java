package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.Seating.Seated;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatingTest {

  private static Seating seat(Seat seat, Valve valve, double film) {
    return Seating.of(
        SeatSection.of(seat, Tolerance.FINE),
        ValveSection.of(valve, Tolerance.FINE),
        film,
        Tolerance.FINE);
  }

  private static Seated seated(Seat seat, Valve valve) {
    return (Seated) seat(seat, valve, Seating.INK_FILM_MM);
  }

  @Test
  void equalAnglesTouchInABand() {
    Seated s = seated(Samples.fourAngles(0.89), Samples.plainValve());
    // Face and seat share a cone: the valve's margin edge at r = 21 stands 0.375 mm above the
    // seat's edge at 20.625.
    assertThat(s.restMm()).isCloseTo(-10 + 0.375, within(1e-9));
    assertThat(s.contact().widthMm()).isBetween(1.2, 1.25);
    assertThat(s.contact().on().getFirst()).isEqualTo(Surface.cut(1, 45));
    assertThat(s.contact().intendedShare()).isGreaterThan(0.95);
    assertThat(s.contact().fromMarginMm()).isCloseTo(0.375 * Math.sqrt(2), within(0.03));
    double middle = s.contact().fromMarginMm() + s.contact().widthMm() / 2;
    assertThat(s.contact().centre()).isCloseTo(middle / 2.4, within(1e-9));
  }

  @Test
  void interferenceTouchesInANarrowRingAtTheOutside() {
    Seated s = seated(Samples.fourAngles(0.89), Samples.plainValve().withFace(44, 2.4));
    // The gap opens by tan(1 degree) along the face: 5 um are reached after 0.29 mm.
    assertThat(s.contact().widthMm()).isCloseTo(0.005 / Math.tan(Math.toRadians(1)), within(0.03));
    assertThat(s.contact().outsideDiameterMm()).isCloseTo(41.25, within(0.05));
    Seated other = seated(Samples.fourAngles(0.89), Samples.plainValve().withFace(46, 2.4));
    assertThat(other.contact().insideDiameterMm())
        .isCloseTo(41.25 - 2.4 * Math.sqrt(0.5), within(0.04));
  }

  /** How far a film reaches along a face that opens by an angle, mm. */
  private static double reach(double filmMm, double openingDeg) {
    return filmMm / Math.tan(Math.toRadians(openingDeg));
  }

  /**
   * Worked by hand on 30/45/60 walls, the 45 from r = 20.625 at z = -10 inward over 1.2 mm. The
   * film of 5 um also wets a strip of the walls beside the 45, which open by the difference of the
   * angles.
   */
  @ParameterizedTest
  @CsvSource({
    // face angle; opening outside and inside the ring; where the ring begins, along the face
    "45, 15, 15, 1.2",
    "44, 14, 1, 0",
    "44.5, 14.5, 0.5, 0",
    "43, 13, 2, 0"
  })
  void theRingIsAsWideAsHandWorkSays(double face, double outside, double inside, double both) {
    Valve valve = Samples.plainValve().withFace(face, 2.4);
    Seated s = seated(Samples.fourAngles(0.89), valve);
    double rise = 0.375 * Math.tan(Math.toRadians(face));
    assertThat(s.restMm()).isCloseTo(-10 + rise, within(1e-9));
    double width = both + reach(0.005, outside) + reach(0.005, inside);
    assertThat(s.contact().widthMm()).isCloseTo(width, within(2e-6));
    // The ring's edge is where the metal is, a film square to the face away from it.
    double edge = 0.375 / Math.cos(Math.toRadians(face)) - 0.005 * Math.tan(Math.toRadians(face));
    double fromMargin = edge - reach(0.005, outside);
    assertThat(s.contact().fromMarginMm()).isCloseTo(fromMargin, within(2e-6));
    assertThat(s.contact().fromInnerEdgeMm()).isCloseTo(2.4 - fromMargin - width, within(2e-6));
    double shift = 0.005 * Math.tan(Math.toRadians(face));
    double onSeat = both > 0 ? both : reach(0.005, inside) - shift;
    assertThat(s.contact().intendedShare()).isCloseTo(onSeat / width, within(1e-4));
  }

  @Test
  void aSteeperFaceRestsOnTheInnerEdgeOfTheSeat() {
    Seated s = seated(Samples.fourAngles(0.89), Samples.plainValve().withFace(46, 2.4));
    double in = 1.2 * Math.sqrt(0.5);
    // From the margin edge at r = 21 the face falls by tan 46 to the inner edge of the 45.
    double fall = (0.375 + in) * Math.tan(Math.toRadians(46));
    assertThat(s.restMm()).isCloseTo(-10 - in + fall, within(1e-9));
    assertThat(s.contact().widthMm()).isCloseTo(reach(0.005, 1) + reach(0.005, 14), within(2e-6));
  }

  @Test
  void aThickerFilmShowsAWiderRing() {
    Valve valve = Samples.plainValve().withFace(44.5, 2.4);
    Seated ink = (Seated) seat(Samples.fourAngles(0.89), valve, 0.002);
    Seated worn = (Seated) seat(Samples.fourAngles(0.89), valve, 0.006);
    assertThat(worn.contact().widthMm()).isGreaterThan(2 * ink.contact().widthMm());
    assertThat(worn.restMm()).isEqualTo(ink.restMm());
    assertThatThrownBy(() -> seat(Samples.fourAngles(0.89), valve, 0))
        .hasMessageContaining("filmMm");
  }

  @Test
  void tellsWhenSomethingElseCarriesTheValve() {
    Seat shallowStep = Samples.oneSharpAngle().withCuts(List.of(new Cut(45, 2.0)), 0);
    Seated s = seated(shallowStep, Samples.plainValve());
    assertThat(s.contact().on().getFirst().part()).isEqualTo(Part.SHOULDER);
    assertThat(s.contact().intendedShare()).isLessThan(0.1);
  }

  @Test
  void aSmallValveFallsThrough() {
    assertThat(seat(Samples.fourAngles(0.89), Samples.plainValve().withHeadDiameterMm(37), 0.005))
        .isInstanceOf(Seating.FallsThrough.class);
  }

  @Test
  void aNarrowSeatWidthGoesStraightIntoTheContact() {
    Seat narrow = Samples.fourAngles(0.85).withCut(1, new Cut(45, 0.6));
    assertThat(seated(narrow, Samples.plainValve()).contact().widthMm()).isBetween(0.6, 0.65);
  }

  /**
   * A film of 0.02 reaches 0.0283 up: past the 45 onto the 60 below it, where the gap opens by tan
   * 60 - tan 45, and onto the 30 above it, where it opens by tan 45 - tan 30.
   */
  @Test
  void aContactIsSharedAmongWhatItLiesOn() {
    double up = 0.02 / Math.cos(Math.toRadians(45));
    double below = up / (Math.tan(Math.toRadians(60)) - 1);
    double above = up / (1 - Math.tan(Math.toRadians(30)));
    double seat = 1.2 * Math.sqrt(0.5);
    Seated s = (Seated) seat(Samples.fourAngles(0.89), Samples.plainValve(), 0.02);
    assertThat(s.contact().widthMm())
        .isCloseTo((below + seat + above) * Math.sqrt(2), within(1e-6));
    assertThat(s.contact().outer().r()).isCloseTo(20.625 + above, within(1e-6));
    assertThat(s.contact().inner().r()).isCloseTo(20.625 - seat - below, within(1e-6));
    assertThat(s.contact().intendedShare()).isCloseTo(seat / (below + seat + above), within(1e-6));
    assertThat(s.contact().on()).extracting(Surface::angleDeg).containsExactly(45.0, 30.0, 60.0);
    assertThat(s.contact().fromInnerEdgeMm())
        .isCloseTo(2.4 - (21 - 20.625 + seat + below) * Math.sqrt(2), within(1e-6));
    assertThat(s.contact().outer().z())
        .isCloseTo(-10 + above * Math.tan(Math.toRadians(30)), within(1e-6));
  }

  /**
   * A step between cuts stands upright: it carries nothing, and what hangs under it is not seen.
   */
  @Test
  void aStepBesideTheSeatCarriesNothing() {
    Profile wall =
        new Profile(
            List.of(
                new Point(30, -8),
                new Point(21, -8),
                new Point(21, -10),
                new Point(20, -11),
                new Point(20, -20)),
            List.of(
                Surface.of(Surface.Trace.CHAMBER_ROOF),
                Surface.of(Surface.Trace.STEP_BESIDE_CUTTER),
                Surface.cut(0, 45),
                Surface.of(Surface.Trace.THROAT)));
    Seat seat = Seat.of(List.of(new Cut(45, Math.sqrt(2))), 0, 42, 10, 40, 4, 40, 10, 0);
    Seated s =
        (Seated)
            Seating.of(
                new SeatSection(seat, wall, List.of()),
                ValveSection.of(Samples.plainValve().withHeadDiameterMm(41.6), Tolerance.FINE),
                0.01,
                Tolerance.FINE);
    assertThat(s.restMm()).isCloseTo(-10.2, within(1e-9));
    assertThat(s.contact().on()).containsExactly(Surface.cut(0, 45));
    assertThat(s.contact().intendedShare()).isEqualTo(1);
    assertThat(s.contact().outsideDiameterMm()).isCloseTo(41.6, within(1e-9));
    assertThat(s.contact().insideDiameterMm()).isCloseTo(40, within(1e-9));
  }

  @Property
  void theContactTouchesAndNothingCutsIn(
      @ForAll @DoubleRange(min = 40, max = 44) double head,
      @ForAll @DoubleRange(min = 43, max = 47) double face,
      @ForAll @DoubleRange(min = 20, max = 40) double top,
      @ForAll @DoubleRange(min = 0.3, max = 2) double width) {
    Seat seat = Samples.fourAngles(0.89).withCut(0, new Cut(top, 1)).withCut(1, new Cut(45, width));
    Valve valve = Samples.plainValve().withHeadDiameterMm(head).withFace(face, 2.2);
    Seated s = seated(seat, valve);
    Profile metal = SeatSection.of(seat, Tolerance.FINE).profile();
    Profile under = ValveSection.of(valve, Tolerance.FINE).profile().raised(s.restMm());
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k <= 4000; k++) {
      double r = 18.7 + (head / 2 - 18.7) * k / 4000;
      double gap = under.undersideAt(r) - metal.topAt(r);
      assertThat(gap).isGreaterThan(-1e-9);
      least = Math.min(least, gap);
    }
    assertThat(least).isLessThan(0.01);
    double mid = (s.contact().inner().r() + s.contact().outer().r()) / 2;
    assertThat(under.undersideAt(mid) - metal.topAt(mid))
        .isLessThan(0.005 / Math.cos(Math.toRadians(face)) + 1e-9);
  }
}
