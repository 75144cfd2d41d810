package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.CutSheet.Step;
import finebore.found.FoundSeat;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.List;
import org.junit.jupiter.api.Test;

class CutSheetTest {

  private static List<Step> operations(
      Seat found, Seat planned, Valve foundValve, Valve plannedValve) {
    Cutting cutting = Cutting.of(FoundSeat.plain(found), planned, UsualOperations.asPlanned());
    return CutSheet.of(cutting, foundValve, plannedValve, -9.625, UnitSystem.METRIC).steps();
  }

  @Test
  void throatComesBeforeTheSeatAndTheValveAfter() {
    List<String> tools =
        operations(
                Samples.oneSharpAngle().withDepth(8),
                Samples.fourAngles(0.89),
                Samples.plainValve(),
                Samples.backCutValve())
            .stream()
            .map(Step::tool)
            .toList();
    assertThat(tools)
        .containsExactly(
            "Open the throat",
            "Form cut",
            "Open the bowl",
            "Valve face",
            "Back cut 30°",
            "Ink and light lap");
  }

  @Test
  void settingsCarryTheirNumbers() {
    List<Step> operations =
        operations(
            Samples.oneSharpAngle().withDepth(8),
            Samples.fourAngles(0.89),
            Samples.plainValve(),
            Samples.backCutValve());
    assertThat(operations.get(0).settings())
        .extracting(CutSheet.Setting::value)
        .contains("37.38 mm");
    assertThat(operations.get(1).settings())
        .extracting(CutSheet.Setting::value)
        .contains("41.25 mm", "as planned", "10.00 mm", "1.20 mm", "1.40 mm");
  }

  @Test
  void leavesOutWhatNeedsNoSetUp() {
    List<String> tools =
        operations(
                Samples.fourAngles(0.89),
                Samples.fourAngles(0.89),
                Samples.plainValve(),
                Samples.plainValve())
            .stream()
            .map(Step::tool)
            .toList();
    assertThat(tools)
        .doesNotContain("Open the throat", "Form cut", "Fit other valve")
        .contains("Valve face");
    assertThat(
            operations(
                    Samples.fourAngles(0.89),
                    Samples.fourAngles(0.89),
                    Samples.plainValve(),
                    Samples.plainValve().withHeadDiameter(43))
                .stream()
                .map(Step::tool))
        .contains("Fit other valve");
  }

  @Test
  void warnsWhereItHurts() {
    assertThat(
            operations(
                Samples.oneSharpAngle().withDepth(8),
                Samples.fourAngles(0.89),
                Samples.plainValve(),
                Samples.plainValve()))
        .filteredOn(o -> !o.caution().isEmpty())
        .extracting(Step::caution)
        .anyMatch(c -> c.contains("Eye, ear and breathing protection"))
        .anyMatch(c -> c.contains("wall to water"));
  }
}
