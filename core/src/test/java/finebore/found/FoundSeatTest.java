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
}
