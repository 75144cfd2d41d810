package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.flow.CamLift;
import finebore.units.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CamTableTest {

  private static final CamLift CAM =
      CamLift.measured(
          List.of(
              new CamLift.Step(-10.5, 0),
              new CamLift.Step(40, 1.27),
              new CamLift.Step(100, 8.89),
              new CamLift.Step(160, 2.54),
              new CamLift.Step(220, 0.127)));

  @ParameterizedTest
  @ValueSource(
      strings = {
        "-10.5\t0\n40\t1.27\n100\t8.89\n160\t2.54\n220\t0.127",
        "-10,5;0\n40;1,27\n\n100;8,89\n160;2,54\n220;0,127\n",
        "-10.5 0\n40 1.27\n100   8.89\n160 2.54\n220 0.127",
        "-10.5,0\n40,1.27\n100,8.89\n160,2.54\n220,0.127",
        "# my cam\nCrank;Lift (mm)\n-10.5;0\n40;1.27\n100;8.89\n160;2.54\n220;0.127",
        "Crank deg\tLift (in)\n-10.5\t0\n40\t0.05\n100\t0.35\n160\t0.1\n220\t0.005",
        "deg,valve lift_thou\n-10.5,0\n40,50\n100,350\n160,100\n220,5"
      })
  void pairsAreReadAndTheirUnitObeyed(String text) throws Exception {
    CamLift read = CamTable.read(text, Unit.MM);
    assertThat(read.table()).hasSize(5);
    for (int k = 0; k < 5; k++) {
      CamLift.Step step = CAM.table().get(k);
      assertThat(read.table().get(k).crankDeg()).isEqualTo(step.crankDeg());
      assertThat(read.table().get(k).liftMm()).isCloseTo(step.liftMm(), within(1e-9));
    }
  }

  @Test
  void whatIsWrittenIsReadAgain() throws Exception {
    for (Unit unit : new Unit[] {Unit.MM, Unit.INCH}) {
      CamLift read = CamTable.read(CamTable.written(CAM, unit), unit);
      assertThat(read.maxLiftMm()).isCloseTo(8.89, within(1e-9));
      assertThat(read.durationDeg()).isCloseTo(230.5, within(1e-9));
    }
    assertThat(CamTable.written(CAM, Unit.INCH)).startsWith("-10.5\t0\n40\t0.05\n");
  }

  @Test
  void whatIsNoPairIsNamed() {
    assertThatThrownBy(() -> CamTable.read("0;0\n10;a\n", Unit.MM))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("cam.line")
        .hasMessageContaining("10;a");
    assertThatThrownBy(() -> CamTable.read("0;0;1\n", Unit.MM)).hasMessageContaining("cam.line");
    assertThatThrownBy(() -> CamTable.read("deg;Lift (furlong)\n0;0\n", Unit.MM))
        .hasMessageContaining("unknownUnit")
        .hasMessageContaining("furlong");
    assertThatThrownBy(() -> CamTable.read("0;0\n10;1\n", Unit.MM))
        .hasMessageContaining("camTableSize");
  }
}
