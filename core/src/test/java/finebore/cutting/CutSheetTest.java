package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.CutSheet.Operation;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Valve;
import java.util.List;
import org.junit.jupiter.api.Test;

class CutSheetTest {

  private static List<Operation> operations(
      Seat found, Seat planned, Valve foundValve, Valve plannedValve) {
    return CutSheet.of(found, planned, foundValve, plannedValve, -9.625, UnitSystem.METRIC)
        .operations();
  }

  @Test
  void throatComesBeforeTheSeatAndTheValveAfter() {
    List<String> tools =
        operations(
                Samples.oneSharpAngle(),
                Samples.fourAngles(0.89),
                Samples.plainValve(),
                Samples.backCutValve())
            .stream()
            .map(Operation::tool)
            .toList();
    assertThat(tools)
        .containsExactly(
            "Throat cutter",
            "Seat cut 45°",
            "Top cut 30°",
            "Lower cut 60°",
            "Lower cut 75°",
            "Valve face",
            "Back cut 30°",
            "Ink and light lap");
  }

  @Test
  void settingsCarryTheirNumbers() {
    List<Operation> operations =
        operations(
            Samples.oneSharpAngle(),
            Samples.fourAngles(0.89),
            Samples.plainValve(),
            Samples.backCutValve());
    assertThat(operations.get(0).settings())
        .extracting(CutSheet.Setting::value)
        .containsExactly("37.38 mm", "1.68 mm");
    assertThat(operations.get(1).settings())
        .extracting(CutSheet.Setting::value)
        .containsExactly("41.25 mm", "10.00 mm", "1.20 mm");
    // The 60 begins where the 45 ends: 41.25 - 2 x 1.2 cos 45 = 39.55.
    assertThat(operations.get(3).settings().get(1).value()).isEqualTo("39.55 mm");
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
            .map(Operation::tool)
            .toList();
    assertThat(tools).doesNotContain("Throat cutter", "Fit other valve").contains("Seat cut 45°");
    assertThat(
            operations(
                    Samples.fourAngles(0.89),
                    Samples.fourAngles(0.89),
                    Samples.plainValve(),
                    Samples.plainValve().withHeadDiameter(43))
                .stream()
                .map(Operation::tool))
        .contains("Fit other valve");
  }

  @Test
  void warnsWhereItHurts() {
    assertThat(
            operations(
                Samples.oneSharpAngle(),
                Samples.fourAngles(0.89),
                Samples.plainValve(),
                Samples.plainValve()))
        .filteredOn(o -> !o.caution().isEmpty())
        .extracting(Operation::caution)
        .anyMatch(c -> c.contains("Eye, ear and breathing protection"))
        .anyMatch(c -> c.contains("wall to water"));
  }
}
