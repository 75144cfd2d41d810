package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The formulas of moist air (CIPM-2007) and of orifice plates (ISO 5167-2:2003) against the same
 * formulas written a second time in another language: every term counts to the last digits. Whether
 * they are the right formulas is for {@link PublishedBenchValuesTest}.
 */
class FormulasWrittenTwiceTest {

  @ParameterizedTest
  @CsvSource({
    "20, 101325, 0.5, 1.199313895474",
    "27, 60000, 0.93, 0.682012103212",
    "15, 110000, 0.05, 1.330101856762",
    "40, 95000, 1.0, 1.026161716171"
  })
  void moistAir(double temperatureC, double pressurePa, double humidity, double kgM3) {
    assertThat(new Air(temperatureC, pressurePa, humidity).densityKgM3())
        .isCloseTo(kgM3, within(2e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "30, 60, 80000, CORNER, 0.608625412928",
    "42, 100, 300000, FLANGE, 0.601533342020",
    "60, 110, 50000, D_AND_HALF_D, 0.610971914645",
    "25, 71.12, 100000, CORNER, 0.601533879871",
    "25, 71.11, 100000, CORNER, 0.601537077462"
  })
  void whatAPlateDischarges(
      double boreMm, double pipeMm, double reynolds, OrificePlate.Taps taps, double coefficient) {
    assertThat(new OrificePlate(boreMm, pipeMm, taps).coefficient(reynolds))
        .isCloseTo(coefficient, within(2e-12));
  }

  /** The flow and the coefficient that hangs on it settle on each other. */
  @ParameterizedTest
  @CsvSource({"40, 70, 0.085832464303", "50, 1e9, 0.124534625069"})
  void whatFlowsThroughAPlate(double boreMm, double pipeMm, double flowM3s) {
    OrificePlate plate = new OrificePlate(boreMm, pipeMm, OrificePlate.Taps.CORNER);
    assertThat(plate.flow(7000, 1.2, 101_325)).isCloseTo(flowM3s, within(1e-8 * flowM3s));
  }
}
