package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AirChangeTest {

  /** Without a port the flow goes as the area. */
  @Test
  void goesAsTheAreaWithoutAPort() {
    AirChange change = AirChange.of(areas(200, 220), areas(210, 242), 0);
    assertThat(change.even()).isCloseTo(0.05, within(1e-12));
    assertThat(change.transport()).isCloseTo(0.10, within(1e-12));
    assertThat(change.spread()).isCloseTo(0.05, within(1e-12));
  }

  /** 1/600^2 + 1/600^2 against 1/900^2 + 1/600^2: sqrt(2 / (4/9 + 1)) = 1.1767. */
  @Test
  void isHeldBackByThePort() {
    double port = 1 / (600.0 * 600);
    AirChange change = AirChange.of(areas(600, 600), areas(900, 900), port);
    assertThat(change.share()).isCloseTo(0.17670, within(1e-5));
  }

  private static List<SolvedArea> areas(double even, double transport) {
    return List.of(new SolvedArea(even, 40), new SolvedArea(transport, 12));
  }

  /** A jet that lay along the roof and now leaves freely tells of the jet, not of the seat. */
  @ParameterizedTest
  @CsvSource({"40, 57.9, true", "40, 58.1, false", "40, 21.9, false", "40, 22.1, true"})
  void isNotClearWhereTheJetLiesOtherwise(double before, double after, boolean clear) {
    AirChange change =
        AirChange.of(
            List.of(new SolvedArea(200, before), new SolvedArea(200, 5)),
            List.of(new SolvedArea(220, after), new SolvedArea(220, 60)),
            0);
    assertThat(change.isClear()).isEqualTo(clear);
    assertThat(change.jetLiesOtherwise()).isEqualTo(!clear);
  }

  @ParameterizedTest
  @CsvSource({
    "0.05, 0.04, true",
    "0.0201, 0.0201, true",
    "0.0199, 0.0199, false",
    "0.05, -0.01, false",
    "0.05, 0.101, false",
    "0.05, 0.099, true",
    "-0.05, -0.03, true"
  })
  void isClearOnlyWhereBothSaySo(double even, double transport, boolean clear) {
    assertThat(new AirChange(even, transport, Double.NaN, false, 0).isClear()).isEqualTo(clear);
  }

  /** The full grid's figure counts, and nothing is clear before it is there or against it. */
  @ParameterizedTest
  @CsvSource({
    "0.05, 0.04, 0.06, true",
    "0.05, 0.04, NaN, false",
    "0.05, 0.04, 0.0199, false",
    "0.05, 0.04, 0.0251, true",
    "0.05, 0.04, 0.0249, false",
    "0.05, 0.04, -0.05, false",
    "0.01, 0.03, 0.03, true",
    "-0.01, 0.03, 0.03, false",
    "0.05, NaN, 0.05, false"
  })
  void theFullGridDecidesWhereItIsAsked(double even, double transport, double full, boolean clear) {
    AirChange change = new AirChange(even, transport, full, true, 0);
    assertThat(change.isClear()).isEqualTo(clear);
    assertThat(change.share()).isEqualTo(Double.isNaN(full) ? even : full);
  }

  @Test
  void theJetThatTurnsOnOneGridAloneIsToldToo() {
    AirChange change =
        AirChange.of(
            List.of(new SolvedArea(200, -4), new SolvedArea(200, 5), new SolvedArea(190, -9)),
            List.of(new SolvedArea(220, -4), new SolvedArea(220, 5), new SolvedArea(228, 44)),
            0);
    assertThat(change.full()).isCloseTo(0.2, within(1e-12));
    assertThat(change.isFullAsked()).isTrue();
    assertThat(change.jetTurnDeg()).isEqualTo(53);
    assertThat(change.jetLiesOtherwise()).isTrue();
    assertThat(change.spread()).isCloseTo(0.1, within(1e-12));
  }
}
