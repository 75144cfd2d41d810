package finebore.found;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.section.Point;
import finebore.section.Profile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class FoundSeatTest {

  private static final Seat KIND = Seat.of(List.of(new Cut(45, 2.0)), 0, 38, 8, 34, 6, 35, 14, 10);

  private static SeatReadings read(Object... pairs) {
    SeatReadings readings = SeatReadings.NONE;
    for (int k = 0; k < pairs.length; k += 2) {
      readings =
          readings.with(
              (Measure) pairs[k], OptionalDouble.of(((Number) pairs[k + 1]).doubleValue()));
    }
    return readings;
  }

  private static FoundSeat found(Object... pairs) {
    return FoundSeat.of(KIND, read(pairs), 39);
  }

  @Test
  void whatWasNotMeasuredIsAssumedAndSaid() {
    FoundSeat seat = found(Measure.SEAT_WIDTH, 1.8);
    assertThat(seat.seat().sealingCut().widthMm()).isEqualTo(1.8);
    assertThat(seat.seat().throatDiameterMm()).isEqualTo(34);
    assertThat(seat.assumed())
        .extracting(Assumed::measure)
        .contains(Measure.THROAT_12, Measure.SEAT_DEPTH, Measure.RUNOUT)
        .doesNotContain(Measure.SEAT_WIDTH);
    assertThat(seat.isRound()).isTrue();
    assertThat(seat.sides()).isEmpty();
  }

  @Test
  void readingsThatContradictAreNamedWithBothValuesAndSetAside() {
    FoundSeat throat = found(Measure.THROAT_12, 39.5, Measure.THROAT_3, 34.2);
    assertThat(throat.contradictions())
        .containsExactly(
            new Contradiction(Contradiction.Kind.THROAT_PAST_SEAT, Measure.THROAT_12, 39.5, 38));
    assertThat(throat.seat().throatDiameterMm()).isEqualTo(34.2);
    FoundSeat ring = found(Measure.RING_OUTSIDE, 38.5);
    assertThat(ring.contradictions().getFirst())
        .isEqualTo(
            new Contradiction(
                Contradiction.Kind.RING_WITHIN_VALVE, Measure.RING_OUTSIDE, 38.5, 39));
    assertThat(ring.ring()).isEmpty();
    FoundSeat wide = found(Measure.SEAT_WIDTH, 6);
    assertThat(wide.contradictions()).hasSize(1);
    FoundSeat floor = found(Measure.RING_OUTSIDE, 43, Measure.RING_DEPTH, 6);
    assertThat(floor.contradictions().getFirst().kind())
        .isEqualTo(Contradiction.Kind.RING_FLOOR_ABOVE_SEAT);
    assertThat(floor.ring()).isPresent();
  }

  @Test
  void theThroatRunsBetweenItsReadingsRoundTheClock() {
    FoundSeat seat = found(Measure.THROAT_12, 34.0, Measure.THROAT_3, 34.4);
    assertThat(seat.throatAt(12)).isEqualTo(34.0);
    assertThat(seat.throatAt(3)).isEqualTo(34.4);
    // A diameter is the same from its other end.
    assertThat(seat.throatAt(9)).isEqualTo(34.4);
    assertThat(seat.throatAt(1.5)).isCloseTo(34.2, within(1e-9));
    assertThat(seat.throatAt(4.5)).isCloseTo(34.2, within(1e-9));
    assertThat(seat.seat().throatDiameterMm()).isCloseTo(34.2, within(1e-9));
  }

  @Test
  void runoutMovesWhatWasCutAndALedgeMovesThePort() {
    FoundSeat seat = found(Measure.RUNOUT, 0.2, Measure.RUNOUT_CLOCK, 3);
    assertThat(seat.sides()).containsExactly(3.0, 9.0);
    assertThat(found(Measure.THROAT_12, 34.0, Measure.THROAT_3, 34.4).sides()).hasSize(4);
    assertThat(edge(seat.wallAt(3))).isCloseTo(19.2, within(1e-9));
    assertThat(edge(seat.wallAt(9))).isCloseTo(18.8, within(1e-9));
    assertThat(edge(seat.wallAt(12))).isCloseTo(19, within(1e-9));
    FoundSeat ledge = found(Measure.CORE_SHIFT, 0.8, Measure.CORE_SHIFT_CLOCK, 9);
    double bowl = ledge.wallAt(9).points().getLast().r();
    assertThat(bowl).isCloseTo(17.5 - 0.8, within(1e-9));
    assertThat(edge(ledge.wallAt(9))).isCloseTo(19, within(1e-9));
  }

  private static double edge(Profile wall) {
    return wall.points().stream()
        .filter(p -> Math.abs(p.z() + 8) < 1e-9)
        .mapToDouble(Point::r)
        .max()
        .orElseThrow();
  }

  @Test
  void waterLiesAsFarBehindTheWallAsItWasRead() {
    FoundSeat seat = found(Measure.WALL_THROAT, 4.0, Measure.WALL_SEAT, 3.5);
    assertThat(seat.water()).hasSize(2);
    for (WaterReading water : seat.water()) {
      assertThat(water.line().get(1).distanceTo(water.at()))
          .isCloseTo(water.thicknessMm(), within(1e-9));
      assertThat(water.line().get(1).r()).isGreaterThan(water.at().r());
    }
  }

  @Test
  void theFamilyTellsWhoStandsApart() {
    Map<String, SeatReadings> seats = new LinkedHashMap<>();
    double[] throats = {34.2, 34.22, 34.18, 34.95};
    for (int k = 0; k < throats.length; k++) {
      seats.put("I" + (k + 1), read(Measure.THROAT_12, throats[k]));
    }
    List<Family.Outlier> outliers = Family.outliers(seats);
    assertThat(outliers).hasSize(1);
    assertThat(outliers.getFirst().seat()).isEqualTo("I4");
    assertThat(outliers.getFirst().median()).isCloseTo(34.21, within(1e-9));
    // Two readings are no family, and a hand's error is none either.
    seats.remove("I4");
    assertThat(Family.outliers(seats)).isEmpty();
  }

  @Test
  void impossibleReadingsAreRefusedByName() {
    assertThatThrownBy(() -> read(Measure.SEAT_WIDTH, 99))
        .hasMessageContaining("quantity.foundSeatWidth");
    assertThatThrownBy(() -> read(Measure.RUNOUT_CLOCK, 13))
        .hasMessageContaining("quantity.runoutClock");
    assertThatThrownBy(() -> new Ring(40, 41, 12, 8, 0.1, "")).hasMessageContaining("rule.");
    assertThat(read(Measure.SEAT_WIDTH, 2).with(Measure.SEAT_WIDTH, OptionalDouble.empty()))
        .isEqualTo(SeatReadings.NONE);
  }

  /**
   * A wall that runs 3-4-5 down and inward from (20, -8) to (17, -12): the metal lies outward and
   * down of it, 2 mm square to it is (1.6, -1.2) on from its middle, and the jacket is taken to run
   * along with it for 1 mm each way.
   */
  @Test
  void waterIsCarriedSquareIntoTheMetal() {
    WaterReading water =
        WaterReading.behind(Measure.WALL_SEAT, 2, new Point(20, -8), new Point(17, -12));
    assertThat(water.at()).isEqualTo(new Point(18.5, -10));
    double[][] line = {{20.7, -10.4}, {20.1, -11.2}, {19.5, -12}};
    for (int k = 0; k < 3; k++) {
      assertThat(water.line().get(k).r()).isCloseTo(line[k][0], within(1e-9));
      assertThat(water.line().get(k).z()).isCloseTo(line[k][1], within(1e-9));
    }
    // A wall followed the other way has its metal on the same side.
    WaterReading back =
        WaterReading.behind(Measure.WALL_SEAT, 2, new Point(17, -12), new Point(20, -8));
    assertThat(back.line().get(1).r()).isCloseTo(20.1, within(1e-9));
    assertThat(back.line().get(1).z()).isCloseTo(-11.2, within(1e-9));
    assertThat(back.line().get(0).r()).isCloseTo(19.5, within(1e-9));
  }

  /** Read at 1:30 and 4:30 alone: before the first one the last one's other end counts. */
  @Test
  void theThroatIsReadFromItsOtherEndToo() {
    FoundSeat seat = found(Measure.THROAT_130, 34.1, Measure.THROAT_430, 34.7);
    assertThat(seat.throatAt(1.5)).isCloseTo(34.1, within(1e-9));
    assertThat(seat.throatAt(3)).isCloseTo(34.4, within(1e-9));
    assertThat(seat.throatAt(12)).isCloseTo(34.4, within(1e-9));
    assertThat(seat.throatAt(0.5)).isCloseTo(34.3, within(1e-9));
    assertThat(seat.throatAt(6.5)).isCloseTo(34.3, within(1e-9));
    FoundSeat one = found(Measure.THROAT_430, 34.7);
    assertThat(one.throatAt(1)).isCloseTo(34.7, within(1e-9));
    assertThat(found().throatAt(5)).isEqualTo(34);
  }

  /** The sides looked at begin where the seat runs out to, or the core; square to it on demand. */
  @Test
  void sidesBeginAtTheOffset() {
    assertThat(found(Measure.RUNOUT, 0.2, Measure.RUNOUT_CLOCK, 5).sides())
        .containsExactly(5.0, 11.0);
    assertThat(found(Measure.CORE_SHIFT, 0.8, Measure.CORE_SHIFT_CLOCK, 10).sides())
        .containsExactly(10.0, 1.0, 4.0, 7.0);
    assertThat(
            found(
                    Measure.CORE_SHIFT,
                    0.8,
                    Measure.CORE_SHIFT_CLOCK,
                    10,
                    Measure.RUNOUT,
                    0.1,
                    Measure.RUNOUT_CLOCK,
                    2)
                .sides())
        .containsExactly(2.0, 5.0, 8.0, 11.0);
    FoundSeat plain = FoundSeat.plain(KIND);
    assertThat(plain.isRound()).isTrue();
    assertThat(plain.seat()).isEqualTo(KIND);
    assertThat(plain.wallAt(3)).isEqualTo(plain.section().profile());
  }

  /** What a plan rests on, in the order it is asked for; one diameter of the throat is enough. */
  @Test
  void whatIsMissingIsWhatAPlanRestsOn() {
    assertThat(SeatReadings.NONE.missing())
        .containsExactly(
            Measure.THROAT_12,
            Measure.SEAT_OUTSIDE,
            Measure.SEAT_DEPTH,
            Measure.SEAT_WIDTH,
            Measure.VALVE_HEAD,
            Measure.GUIDE_CLEARANCE);
    assertThat(read(Measure.THROAT_430, 34, Measure.SEAT_DEPTH, 8).missing())
        .containsExactly(
            Measure.SEAT_OUTSIDE, Measure.SEAT_WIDTH, Measure.VALVE_HEAD, Measure.GUIDE_CLEARANCE);
    assertThat(read(Measure.SEAT_WIDTH, 2).missing()).contains(Measure.THROAT_12);
    assertThat(
            read(
                    Measure.THROAT_12,
                    34,
                    Measure.SEAT_OUTSIDE,
                    38,
                    Measure.SEAT_DEPTH,
                    8,
                    Measure.SEAT_WIDTH,
                    2,
                    Measure.VALVE_HEAD,
                    39,
                    Measure.GUIDE_CLEARANCE,
                    0.04)
                .missing())
        .isEmpty();
  }

  /**
   * Among 34.0 to 34.8 and one more the median is 34.5, half of them lie within 0.3 of it: three
   * and a half times 1.4826 of that is 1.557.
   */
  @Test
  void aFamilyThatScattersTakesMore() {
    assertThat(Family.median(List.of(3.0, 1.0, 2.0))).isEqualTo(2);
    assertThat(Family.median(List.of(4.0, 1.0, 2.0, 9.0))).isEqualTo(3);
    double[] scattered = {34.0, 34.2, 34.4, 34.6, 34.8};
    Map<String, SeatReadings> seats = new LinkedHashMap<>();
    for (int k = 0; k < scattered.length; k++) {
      seats.put("I" + (k + 1), read(Measure.THROAT_12, scattered[k], Measure.RUNOUT_CLOCK, k + 1));
    }
    assertThat(Family.outliers(seats)).isEmpty();
    seats.put("I6", read(Measure.THROAT_12, 36.05));
    assertThat(Family.outliers(seats)).isEmpty();
    seats.put("I6", read(Measure.THROAT_12, 36.06));
    assertThat(Family.outliers(seats)).extracting(Family.Outlier::seat).containsExactly("I6");
  }

  private static List<Measure> assumed(FoundSeat seat) {
    return seat.assumed().stream().map(Assumed::measure).toList();
  }

  @Test
  void aRingNobodyMeasuredThroughIsTakenToEndBelowTheCuts() {
    FoundSeat seat = found(Measure.RING_OUTSIDE, 43);
    double floor = KIND.lowestMm() + 3;
    assertThat(seat.ring()).contains(new Ring(43, 34, floor, floor - 8 + 1, 0.1, ""));
    assertThat(seat.assumed())
        .contains(
            new Assumed(Measure.RING_DEPTH, floor, Assumed.Basis.AS_ITS_KIND),
            new Assumed(Measure.RING_FIT, 0.1, Assumed.Basis.COMMON_PRACTICE));
    FoundSeat read =
        found(Measure.RING_OUTSIDE, 43, Measure.RING_DEPTH, 8.5, Measure.RING_FIT, 0.08);
    assertThat(read.ring()).contains(new Ring(43, 34, 8.5, 1.5, 0.08, ""));
    assertThat(assumed(read)).doesNotContain(Measure.RING_DEPTH, Measure.RING_FIT);
    FoundSeat above = found(Measure.RING_OUTSIDE, 43, Measure.RING_DEPTH, 8.49);
    assertThat(above.contradictions())
        .containsExactly(
            new Contradiction(
                Contradiction.Kind.RING_FLOOR_ABOVE_SEAT, Measure.RING_DEPTH, 8.49, 8));
    assertThat(above.ring().orElseThrow().floorMm()).isEqualTo(floor);
  }

  @Test
  void aRingHoldsValveAndSeatAndHasAWall() {
    assertThat(found(Measure.RING_OUTSIDE, 39).ring()).isPresent();
    assertThat(found(Measure.SEAT_OUTSIDE, 40, Measure.RING_OUTSIDE, 39.5).contradictions())
        .containsExactly(
            new Contradiction(Contradiction.Kind.RING_WITHIN_SEAT, Measure.RING_OUTSIDE, 39.5, 40));
    assertThat(
            found(Measure.SEAT_OUTSIDE, 39, Measure.RING_OUTSIDE, 38.9)
                .contradictions()
                .getFirst()
                .kind())
        .isEqualTo(Contradiction.Kind.RING_WITHIN_VALVE);
    // Its own bore leaves 0.3 mm a side.
    FoundSeat thin =
        found(
            Measure.SEAT_OUTSIDE,
            39,
            Measure.THROAT_12,
            38.6,
            Measure.SEAT_WIDTH,
            0.2,
            Measure.RING_OUTSIDE,
            39);
    assertThat(thin.ring().orElseThrow().insideDiameterMm()).isEqualTo(38.4);
    assertThat(new Ring(40, 39.5, 12, 8, 0.1, "").blank().areaMm2()).isCloseTo(2, within(1e-9));
    assertThatThrownBy(() -> new Ring(40, 39.51, 12, 8, 0.1, "")).hasMessageContaining("rule.");
  }

  @Test
  void aSeatAsWideAsItsRoomIsTakenAndAWiderOneDoubted() {
    // (38 - 34) / 2 / cos 45 = 2.828, and 0.3 into the throat.
    FoundSeat wide = found(Measure.SEAT_WIDTH, 3.12);
    assertThat(wide.seat().sealingCut().widthMm()).isEqualTo(3.12);
    assertThat(wide.contradictions()).isEmpty();
    FoundSeat wider = found(Measure.SEAT_WIDTH, 3.14);
    assertThat(wider.seat().sealingCut().widthMm()).isEqualTo(2);
    Contradiction said = wider.contradictions().getFirst();
    assertThat(said.kind()).isEqualTo(Contradiction.Kind.WIDER_THAN_ROOM);
    assertThat(said.otherValue()).isCloseTo(2 * Math.sqrt(2), within(1e-9));
    // Not measured, it is as its kind, or what there is room for.
    assertThat(found(Measure.THROAT_12, 36).seat().sealingCut().widthMm())
        .isCloseTo(Math.sqrt(2), within(1e-9));
  }

  @Test
  void aThroatIsSmallerThanItsSeat() {
    FoundSeat none = found(Measure.SEAT_OUTSIDE, 34.3);
    assertThat(none.seat().throatDiameterMm()).isEqualTo(33.8);
    assertThat(none.assumed())
        .contains(new Assumed(Measure.THROAT_12, 33.8, Assumed.Basis.AS_ITS_KIND));
    assertThat(found(Measure.THROAT_12, 38).contradictions()).hasSize(1);
    FoundSeat near = found(Measure.THROAT_12, 37.998, Measure.SEAT_WIDTH, 0.2);
    assertThat(near.wallAt(12).points()).anyMatch(p -> Math.abs(p.r() - (38 - 0.01) / 2) < 1e-9);
  }

  @Test
  void noRunoutNeedsNoClockAndOneWithoutIsTakenAtTwelve() {
    FoundSeat none = found(Measure.RUNOUT, 0);
    assertThat(none.runout()).isEqualTo(Offset.NONE);
    assertThat(assumed(none)).doesNotContain(Measure.RUNOUT_CLOCK, Measure.RUNOUT);
    FoundSeat some = found(Measure.RUNOUT, 0.2);
    assertThat(some.runout()).isEqualTo(new Offset(0.2, 12));
    assertThat(some.assumed())
        .contains(
            new Assumed(Measure.RUNOUT_CLOCK, 12, Assumed.Basis.AS_ITS_KIND),
            new Assumed(Measure.CORE_SHIFT, 0, Assumed.Basis.NONE));
  }

  @Test
  void aThroatOutOfRoundIsLookedAtOnFourSides() {
    // Each 0.095 off the mean, and 0.105.
    assertThat(found(Measure.THROAT_12, 34.0, Measure.THROAT_3, 34.19).sides())
        .containsExactly(12.0, 6.0);
    assertThat(found(Measure.THROAT_12, 34.0, Measure.THROAT_3, 34.21).sides())
        .containsExactly(12.0, 3.0, 6.0, 9.0);
    assertThat(found(Measure.CORE_SHIFT, 0.3, Measure.CORE_SHIFT_CLOCK, 2).sides())
        .containsExactly(2.0, 5.0, 8.0, 11.0);
  }

  @Test
  void waterBehindASeatIsBehindItsLowestCutAndBehindTheFirstOfABowl() {
    Seat three =
        Seat.of(
            List.of(new Cut(30, 0.8), new Cut(45, 1.3), new Cut(60, 1.4)),
            1,
            38.4,
            8,
            34.9,
            4,
            35.2,
            14,
            10);
    FoundSeat seat =
        FoundSeat.of(
            three, read(Measure.WALL_SEAT, 3, Measure.WALL_THROAT, 4, Measure.WALL_BOWL, 5), 39);
    assertThat(seat.water())
        .extracting(WaterReading::measure)
        .containsExactly(Measure.WALL_SEAT, Measure.WALL_THROAT, Measure.WALL_BOWL);
    // The middle of the 60: the 45's width, and half its own.
    double z = -8 - 1.3 * Math.sin(Math.PI / 4) - 0.7 * Math.sin(Math.PI / 3);
    double r = 19.2 - 1.3 * Math.cos(Math.PI / 4) - 0.7 * Math.cos(Math.PI / 3);
    assertThat(seat.water().getFirst().at().z()).isCloseTo(z, within(1e-6));
    assertThat(seat.water().getFirst().at().r()).isCloseTo(r, within(1e-6));
  }

  @Test
  void theJacketFollowsTheWallAMillimetreToEachSide() {
    double h = Math.sqrt(0.5);
    Point a = new Point(12, 0);
    Point b = new Point(10, -2);
    for (boolean down : new boolean[] {true, false}) {
      List<Point> line =
          WaterReading.behind(Measure.WALL_SEAT, 2, down ? a : b, down ? b : a).line();
      Point upper = new Point(11 + 3 * h, -1 - h);
      Point lower = new Point(11 + h, -1 - 3 * h);
      assertThat(line.get(1).distanceTo(new Point(11 + 2 * h, -1 - 2 * h))).isLessThan(1e-9);
      assertThat(line.get(down ? 0 : 2).distanceTo(upper)).isLessThan(1e-9);
      assertThat(line.get(down ? 2 : 0).distanceTo(lower)).isLessThan(1e-9);
    }
  }
}
