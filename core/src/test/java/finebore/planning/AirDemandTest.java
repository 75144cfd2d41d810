package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Power and flow by hand; a cubic foot is 0.0283168466 m3, an inch of water 249.08891 Pa. */
class AirDemandTest {

  private static final double CFM = 0.0283168466 / 60;

  @Test
  void aPowerNeedsItsFlowAndAFlowIsGoodForIt() {
    // 150 hp of four cylinders: 150 / (0.257 x 4) = 145.914 cfm.
    assertThat(AirDemand.flowForPower(150, 4)).isCloseTo(145.914397 * CFM, within(1e-9));
    assertThat(AirDemand.powerForFlow(145.914397 * CFM, 4)).isCloseTo(150, within(1e-4));
    assertThat(AirDemand.powerForFlow(100 * CFM, 2)).isCloseTo(51.4, within(1e-6));
  }

  @Test
  void flowGoesWithTheRootOfTheDepression() {
    double seven = 7 * 249.08891;
    assertThat(AirDemand.at28(0.03, seven)).isCloseTo(0.06, within(1e-9));
    assertThat(AirDemand.from28(0.06, seven)).isCloseTo(0.03, within(1e-9));
  }
}
