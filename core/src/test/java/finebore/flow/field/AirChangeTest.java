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
    assertThat(
            new AirChange(even, transport, Double.NaN, false, AirChange.WallPart.NONE, 0, 0)
                .isClear())
        .isEqualTo(clear);
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
    AirChange change = new AirChange(even, transport, full, true, AirChange.WallPart.NONE, 0, 0);
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

  /**
   * Solved areas x what walls leave of each, the port in series after that: a wall taken back is in
   * the solved change too. By hand: 300 mm2 both times, walls leave 0.6 and then 0.9.
   */
  @Test
  void wallsTakeTheirShareOfWhatIsSolved() {
    AirChange.Walls walls =
        new AirChange.Walls(0.6, 0.9, List.of(new double[] {0.5, 0.8}, new double[] {0.7, 0.95}));
    AirChange alone = AirChange.of(areas(300, 300), areas(300, 300), 0, walls);
    assertThat(alone.share()).isCloseTo(0.5, within(1e-12));
    assertThat(alone.walls().share()).isCloseTo(0.5, within(1e-12));
    // 0.8/0.5 - 1 and 0.95/0.7 - 1 against 0.5.
    assertThat(alone.walls().off()).isCloseTo(0.5 - (0.95 / 0.7 - 1), within(1e-12));
    double port = 1 / (400.0 * 400.0);
    AirChange behind = AirChange.of(areas(300, 300), areas(330, 330), port, walls);
    double before = 1 / Math.sqrt(1 / (180.0 * 180) + port);
    double after = 1 / Math.sqrt(1 / (297.0 * 297) + port);
    double still = 1 / Math.sqrt(1 / (198.0 * 198) + port);
    assertThat(behind.share()).isCloseTo(after / before - 1, within(1e-12));
    assertThat(behind.walls().share()).isCloseTo((after - still) / before, within(1e-12));
  }

  /** What only another choice of exponent would undo is not clear. */
  @Test
  void aGainThatHangsOnHowWallsCostIsNotClear() {
    AirChange sure =
        new AirChange(0.05, 0.05, Double.NaN, false, new AirChange.WallPart(0.05, 0.049), 0, 0);
    AirChange unsure =
        new AirChange(0.05, 0.05, Double.NaN, false, new AirChange.WallPart(0.05, 0.051), 0, 0);
    assertThat(sure.isClear()).isTrue();
    assertThat(unsure.isClear()).isFalse();
    assertThat(unsure.spread()).isCloseTo(0.051, within(1e-12));
  }

  /** Air that waves is in what a change may be off by, of the figure that is gone by. */
  @Test
  void wavesCountInWhatIsClear() {
    List<SolvedArea> stands = List.of(new SolvedArea(200, 40), new SolvedArea(200, 12));
    for (double swing : new double[] {0.029, 0.031}) {
      AirChange change =
          AirChange.of(
              stands, List.of(new SolvedArea(206, 40, swing), new SolvedArea(206, 12, 0.3)), 0);
      assertThat(change.waves()).isTrue();
      assertThat(change.spread()).isCloseTo(swing, within(1e-12));
      assertThat(change.isClear()).isEqualTo(swing < 0.03);
    }
    assertThat(AirChange.of(stands, stands, 0).waves()).isFalse();
    AirChange both =
        AirChange.of(
            List.of(new SolvedArea(200, 40, 0.03), new SolvedArea(200, 12)),
            List.of(new SolvedArea(220, 40, 0.04), new SolvedArea(220, 12)),
            0);
    assertThat(both.swing()).isCloseTo(0.05, within(1e-12));
    // The full grid's figure is gone by, and there it stands.
    AirChange full =
        AirChange.of(
            List.of(
                new SolvedArea(200, 40, 0.03), new SolvedArea(200, 12), new SolvedArea(200, 40)),
            List.of(
                new SolvedArea(220, 40, 0.04), new SolvedArea(220, 12), new SolvedArea(221, 40)),
            0);
    assertThat(full.waves()).isFalse();
  }
}
