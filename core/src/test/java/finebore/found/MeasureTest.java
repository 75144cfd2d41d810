package finebore.found;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.found.Measure.Rows;
import finebore.job.Engine;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasureTest {

  @Test
  void everyOneHasANameOfItsOwnInFiles() {
    assertThat(Stream.of(Measure.values()).map(Measure::key)).doesNotHaveDuplicates();
    assertThat(Stream.of(Measure.values()).map(Measure::code))
        .allSatisfy(code -> assertThat(code).startsWith("measure."));
  }

  /** Half hours of the clock: 0 to 11.5, as the names say them. */
  @ParameterizedTest
  @CsvSource({
    "0, 12",
    "1, 1230",
    "2, 1",
    "3, 130",
    "7, 330",
    "12, 6",
    "18, 9",
    "21, 1030",
    "23, 1130"
  })
  void clocksGoRoundByHalfHours(int place, String hour) {
    assertThat(Measure.CHAMBER_WALL.get(place).key()).isEqualTo("chamberWall" + hour);
    assertThat(Measure.DEPTHS_BY_CLOCK.get(place).key()).isEqualTo("chamberDepth" + hour);
  }

  @Test
  void waterIsReadAtEighthsOfTheClock() {
    assertThat(Measure.WATER)
        .extracting(Measure::key)
        .containsExactly(
            "water12",
            "water130",
            "water3",
            "water430",
            "water6",
            "water730",
            "water9",
            "water1030");
    assertThat(Measure.WATER).allMatch(m -> m.rows() == Rows.WATER);
  }

  @Test
  void rowsThatOnlySomeHeadsWantAreParted() {
    assertThat(count(Rows.DISTANCES)).isEqualTo(12);
    assertThat(count(Rows.DEPTHS)).isEqualTo(8);
    assertThat(count(Rows.HALF_HOURS)).isEqualTo(16);
    assertThat(count(Rows.HALF_DEPTHS)).isEqualTo(16);
    assertThat(count(Rows.WATER)).isEqualTo(8);
    assertThat(Measure.CHAMBER_DEPTH.rows()).isEqualTo(Rows.ALWAYS);
    assertThat(Measure.GAP_TO_BORE.rows()).isEqualTo(Rows.ALWAYS);
  }

  private static long count(Rows rows) {
    return Stream.of(Measure.values()).filter(m -> m.rows() == rows).count();
  }

  /** What lies in the plan of the head may be mirrored from cylinder to cylinder. */
  @Test
  void placesAreNotHeldAgainstOtherCylinders() {
    assertThat(Measure.THROTTLE_FLOW.isOfPlan()).isFalse();
    assertThat(Measure.AXIS_ALONG.isOfPlan()).isTrue();
    assertThat(Measure.EDGE_TO_EXHAUST_C.isOfPlan()).isTrue();
    assertThat(Measure.WATER_1030.isOfPlan()).isTrue();
    assertThat(Measure.THROAT_430.isThroat()).isTrue();
    assertThat(Measure.SEAT_WIDTH.isThroat()).isFalse();
  }

  private static Engine engine(int intakes, int exhausts) {
    return new Engine(
        2, intakes, exhausts, 80, 90, 6000, OptionalDouble.empty(), OptionalDouble.empty());
  }

  @Test
  void cylindersHaveOnlyTheValvesTheyHave() {
    Engine three = engine(2, 1);
    assertThat(three.has(Measure.EDGE_TO_INTAKE_B)).isTrue();
    assertThat(three.has(Measure.EDGE_TO_INTAKE_C)).isFalse();
    assertThat(three.has(Measure.CENTRES_TO_INTAKE_B)).isTrue();
    assertThat(three.has(Measure.EDGE_TO_EXHAUST_A)).isTrue();
    assertThat(three.has(Measure.EDGE_TO_EXHAUST_B)).isFalse();
    assertThat(three.has(Measure.CENTRES_TO_EXHAUST_B)).isFalse();
    assertThat(three.has(Measure.THROAT_12)).isTrue();
    assertThat(engine(3, 2).has(Measure.CENTRES_TO_INTAKE_C)).isTrue();
    assertThat(engine(3, 2).has(Measure.CENTRES_TO_EXHAUST_B)).isTrue();
  }

  @Test
  void seatsKnowWhichOfTheirKindTheyAre() {
    assertThat(engine(3, 1).seats())
        .extracting(Engine.SeatPlace::label, Engine.SeatPlace::ofItsKind)
        .startsWith(
            org.assertj.core.api.Assertions.tuple("I1a", 0),
            org.assertj.core.api.Assertions.tuple("I1b", 1),
            org.assertj.core.api.Assertions.tuple("I1c", 2),
            org.assertj.core.api.Assertions.tuple("E1", 0));
    assertThat(engine(1, 1).sweptMm3()).isEqualTo(Math.PI / 4 * 80 * 80 * 90);
    assertThat(List.of(engine(1, 1).seats().getLast().label())).containsExactly("E2");
  }
}
