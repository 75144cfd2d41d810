package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WallLawTest {

  /** Spalding's formula, the way it is written: y+ from u+. */
  private static double away(double up) {
    double k = 0.41 * up;
    return up + Math.exp(-2.05) * (Math.exp(k) - 1 - k - Math.pow(k, 2) / 2 - Math.pow(k, 3) / 6);
  }

  @ParameterizedTest
  @CsvSource({"0.5", "3", "8", "12", "16", "22", "28"})
  void turnsTheFormulaRound(double up) {
    double viscosity = 1.5e-5;
    double friction = 2.7;
    double distance = away(up) * viscosity / friction;
    assertThat(WallLaw.friction(up * friction, distance, viscosity))
        .isCloseTo(friction, withinPercentage(1e-3));
  }

  @Test
  void stillAirDragsNothing() {
    assertThat(WallLaw.friction(0, 1e-3, 1.5e-5)).isZero();
    assertThat(WallLaw.friction(1e-12, 1e-6, 1.5e-5)).isZero();
  }
}
