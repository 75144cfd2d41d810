package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeftoverEdgeTest {

  private static final Surface ROOF = Surface.of(Trace.CHAMBER_ROOF);
  private static final Surface STEP = Surface.of(Trace.STEP_BESIDE_CUTTER);
  private static final Surface TOP = Surface.cut(0, 30);
  private static final Surface SEAT = Surface.cut(1, 45);
  private static final Surface LOWER = Surface.cut(2, 60);
  private static final Surface LEDGE = Surface.of(Trace.STEP_UNDER_CUTTER);
  private static final Surface THROAT = Surface.of(Trace.THROAT);
  private static final Surface BOWL = Surface.of(Trace.BOWL);

  /** A seat whose 30 ends under a step of a height, and whose throat begins with a ledge. */
  private static Profile wall(double stepMm, double ledgeMm) {
    Profile.Builder wall = new Profile.Builder(new Point(30, -5 + stepMm + 1), Tolerance.FINE);
    wall.to(new Point(20.5, -5 + stepMm), ROOF);
    wall.to(new Point(20.5, -5), STEP);
    wall.to(new Point(19.5, -5 - Math.tan(Math.toRadians(30))), TOP);
    Point at = wall.last();
    wall.to(at.plus(-1, -1), SEAT);
    at = wall.last();
    wall.to(at.plus(-0.5, -0.5 * Math.sqrt(3)), LOWER);
    at = wall.last();
    wall.to(at.plus(-ledgeMm, 0), LEDGE);
    at = wall.last();
    wall.to(at.plus(0, -4), THROAT);
    wall.to(at.plus(0.5, -10), BOWL);
    return wall.build();
  }

  @Test
  void nothingStandsWhereTheWallLeadsOn() {
    assertThat(LeftoverEdge.of(wall(0, 0), 1)).isEmpty();
  }

  @Test
  void aStepOverTheCutsHasItsHeightAndTurn() {
    List<LeftoverEdge> witnesses = LeftoverEdge.of(wall(0.4, 0), 1);
    assertThat(witnesses).hasSize(1);
    LeftoverEdge ridge = witnesses.getFirst();
    assertThat(ridge.inChamber()).isTrue();
    assertThat(ridge.heightMm()).isCloseTo(0.4, within(1e-9));
    assertThat(ridge.turnDeg()).isCloseTo(60, within(1e-9));
    assertThat(ridge.at().r()).isEqualTo(20.5);
    assertThat(ridge.surface()).isEqualTo(STEP);
  }

  @Test
  void aLedgeUnderThemStandsInByItsWidth() {
    List<LeftoverEdge> witnesses = LeftoverEdge.of(wall(0, 0.3), 1);
    assertThat(witnesses).hasSize(1);
    LeftoverEdge ledge = witnesses.getFirst();
    assertThat(ledge.inChamber()).isFalse();
    assertThat(ledge.heightMm()).isCloseTo(0.3, within(1e-9));
    // From 60 degrees to flat.
    assertThat(ledge.turnDeg()).isCloseTo(60, within(1e-9));
  }

  @Test
  void whatCannotBeFeltIsNoWitness() {
    assertThat(LeftoverEdge.of(wall(0.03, 0.03), 1)).isEmpty();
    assertThat(LeftoverEdge.of(wall(0.4, 0.3), 1)).hasSize(2);
  }

  @Test
  void aSeatThatIsNotThereHasNone() {
    assertThat(LeftoverEdge.of(wall(0.4, 0.3), 7)).isEmpty();
  }

  /** A stretch by its slope from flat and its length; surfaces tell which side it lies on. */
  private record Stretch(double slopeDeg, double lengthMm, Surface surface) {}

  private static Stretch roof(double slopeDeg, double lengthMm) {
    return new Stretch(slopeDeg, lengthMm, ROOF);
  }

  private static Stretch ledge(double slopeDeg, double lengthMm) {
    return new Stretch(slopeDeg, lengthMm, LEDGE);
  }

  private static Profile sloped(List<Stretch> above, List<Stretch> below) {
    Profile.Builder wall = new Profile.Builder(new Point(60, 20), Tolerance.FINE);
    List<Stretch> all = new ArrayList<>(above);
    all.add(new Stretch(45, 1, SEAT));
    all.addAll(below);
    for (Stretch s : all) {
      double deg = Math.toRadians(s.slopeDeg());
      wall.to(
          wall.last().plus(-s.lengthMm() * Math.cos(deg), -s.lengthMm() * Math.sin(deg)),
          s.surface());
    }
    return wall.build();
  }

  private static double rise(double slopeDeg, double lengthMm) {
    return lengthMm * Math.sin(Math.toRadians(slopeDeg));
  }

  private static double inward(double slopeDeg, double lengthMm) {
    return lengthMm * Math.cos(Math.toRadians(slopeDeg));
  }

  private static List<LeftoverEdge> over(Stretch... above) {
    return LeftoverEdge.of(sloped(List.of(above), List.of(ledge(60, 1), ledge(90, 5))), 1);
  }

  private static List<LeftoverEdge> under(Stretch... below) {
    return LeftoverEdge.of(sloped(List.of(roof(10, 5), roof(30, 1)), List.of(below)), 1);
  }

  @Test
  void aTurnOfFiveDegreesLeadsTheAirOn() {
    assertThat(over(roof(0, 5), roof(35.01, 1), roof(30, 1))).hasSize(1);
    assertThat(over(roof(0, 5), roof(34.99, 1), roof(30, 1))).isEmpty();
    assertThat(under(ledge(60, 1), ledge(54.99, 1), ledge(90, 5))).hasSize(1);
    assertThat(under(ledge(60, 1), ledge(55.01, 1), ledge(90, 5))).isEmpty();
  }

  @Test
  void aTwentiethOfAMillimetreIsSeen() {
    assertThat(over(roof(0, 5), roof(90, 0.0501), roof(30, 1))).hasSize(1);
    assertThat(over(roof(0, 5), roof(90, 0.0499), roof(30, 1))).isEmpty();
    assertThat(under(ledge(60, 1), ledge(0, 0.0501), ledge(90, 5))).hasSize(1);
    assertThat(under(ledge(60, 1), ledge(0, 0.0499), ledge(90, 5))).isEmpty();
  }

  @Test
  void aWallCountsUntilItHasLainBackByHalf() {
    // 30 and 60: half of the turn is 15.
    assertThat(over(roof(0, 5), roof(45.1, 2), roof(60, 1), roof(30, 1)))
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.heightMm()).isCloseTo(rise(60, 1) + rise(45.1, 2), within(1e-9));
              assertThat(e.turnDeg()).isCloseTo(30, within(1e-9));
            });
    assertThat(over(roof(0, 5), roof(44.9, 2), roof(60, 1), roof(30, 1)))
        .singleElement()
        .satisfies(e -> assertThat(e.heightMm()).isCloseTo(rise(60, 1), within(1e-9)));
    // Steeper further out counts from there: 70 is 40 over the 30, half of it 20.
    assertThat(over(roof(0, 5), roof(51, 2), roof(70, 1), roof(50, 1), roof(30, 1)))
        .singleElement()
        .satisfies(
            e ->
                assertThat(e.heightMm())
                    .isCloseTo(rise(50, 1) + rise(70, 1) + rise(51, 2), within(1e-9)));
    assertThat(over(roof(0, 5), roof(49, 2), roof(70, 1), roof(50, 1), roof(30, 1)))
        .singleElement()
        .satisfies(
            e -> assertThat(e.heightMm()).isCloseTo(rise(50, 1) + rise(70, 1), within(1e-9)));
  }

  @Test
  void aLedgeCountsUntilTheWallHasTurnedDownByHalf() {
    // 60 and 20: half of the turn is 20.
    assertThat(under(ledge(60, 1), ledge(20, 1), ledge(39, 2), ledge(90, 5)))
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.heightMm()).isCloseTo(inward(20, 1) + inward(39, 2), within(1e-9));
              assertThat(e.turnDeg()).isCloseTo(40, within(1e-9));
            });
    assertThat(under(ledge(60, 1), ledge(20, 1), ledge(41, 2), ledge(90, 5)))
        .singleElement()
        .satisfies(e -> assertThat(e.heightMm()).isCloseTo(inward(20, 1), within(1e-9)));
    // Flatter further in counts from there: 10 is 50 under the 60, half of it 25.
    assertThat(under(ledge(60, 1), ledge(30, 1), ledge(10, 1), ledge(34, 2), ledge(90, 5)))
        .singleElement()
        .satisfies(
            e ->
                assertThat(e.heightMm())
                    .isCloseTo(inward(30, 1) + inward(10, 1) + inward(34, 2), within(1e-9)));
    assertThat(under(ledge(60, 1), ledge(30, 1), ledge(10, 1), ledge(36, 2), ledge(90, 5)))
        .singleElement()
        .satisfies(
            e -> assertThat(e.heightMm()).isCloseTo(inward(30, 1) + inward(10, 1), within(1e-9)));
  }

  @Test
  void everyEdgeIsToldFromTheSeatOutwardAndThenInward() {
    List<LeftoverEdge> all =
        LeftoverEdge.of(
            sloped(
                List.of(roof(0, 5), roof(80, 0.4), roof(20, 1), roof(70, 0.3), roof(30, 1)),
                List.of(ledge(60, 1), ledge(10, 0.2), ledge(80, 1), ledge(20, 0.5), ledge(90, 3))),
            1);
    assertThat(all).extracting(LeftoverEdge::inChamber).containsExactly(true, true, false, false);
    assertThat(all)
        .extracting(e -> Math.round(1000 * e.heightMm()))
        .containsExactly(
            Math.round(1000 * rise(70, 0.3)),
            Math.round(1000 * rise(80, 0.4)),
            Math.round(1000 * inward(10, 0.2)),
            Math.round(1000 * inward(20, 0.5)));
    assertThat(all.getFirst().at().r()).isGreaterThan(all.get(2).at().r());
  }

  @Test
  void theBowlIsNoLedgeAndABurrNoTurn() {
    assertThat(under(ledge(60, 1), ledge(90, 3), new Stretch(30, 4, BOWL))).isEmpty();
    assertThat(over(roof(0, 5), roof(90, 0.019), roof(30, 1))).isEmpty();
    assertThat(under(ledge(60, 1), ledge(90, 3), ledge(20, 0.2))).hasSize(1);
  }
}
