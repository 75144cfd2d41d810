package finebore.flow.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EstimateTest {

  /** One number, shown from 2 to 4 with a spread of 0.5; the network doubles it and adds 0.1. */
  private static Estimate estimate(double slope) {
    Network network = new Network(List.<double[][]>of(new double[][] {{slope, 0.1}}));
    return new Estimate(
        List.of(network),
        new double[] {2},
        new double[] {4},
        new double[] {3},
        new double[] {0.5},
        -0.2);
  }

  @ParameterizedTest
  @CsvSource({
    // Inside: (x - 3) / 0.5 times the slope, and 0.1.
    "3, 0.1, true",
    "3.5, 0.3, true",
    "4, 0.5, true",
    // Two spreads past the end a quarter is taken off, of what lies between it and the mean.
    "5, 0.625, false",
    // Four spreads past the end nothing is left but the mean.
    "6, -0.2, false",
    "60, -0.2, false",
    "0, -0.2, false"
  })
  void saysLessTheLessItKnows(double x, double log, boolean known) {
    Estimate.Answer answer = estimate(0.2).at(new double[] {x}, 100);
    assertThat(answer.areaMm2()).isCloseTo(100 * Math.exp(log), within(1e-9));
    assertThat(answer.isKnown()).isEqualTo(known);
  }

  /** Three tenths of a spread of 0.5 past what was shown, either end. */
  @ParameterizedTest
  @CsvSource({"4.149, true", "4.151, false", "1.851, true", "1.849, false"})
  void isKnownALittlePastWhatWasShown(double x, boolean known) {
    assertThat(estimate(0.2).at(new double[] {x}, 100).isKnown()).isEqualTo(known);
  }

  /** Two networks that go their own ways by twice so much of the logarithm. */
  @ParameterizedTest
  @CsvSource({"0.0499, true", "0.0501, false"})
  void isKnownWhileItsNetworksAgree(double apart, boolean known) {
    Network one = new Network(List.<double[][]>of(new double[][] {{0, 0.1 + apart}}));
    Network other = new Network(List.<double[][]>of(new double[][] {{0, 0.1 - apart}}));
    Estimate both =
        new Estimate(
            List.of(one, other),
            new double[] {2},
            new double[] {4},
            new double[] {3},
            new double[] {0.5},
            -0.2);
    Estimate.Answer answer = both.at(new double[] {3}, 100);
    assertThat(answer.apart()).isCloseTo(apart, within(1e-9));
    assertThat(answer.isKnown()).isEqualTo(known);
  }

  @Test
  void neverNarrowsToLessThanHalf() {
    assertThat(estimate(9).at(new double[] {2.5}, 100).areaMm2()).isCloseTo(50, within(1e-9));
  }

  /** Two layers by hand: tanh(0.5 - 1) and tanh(0.5 + 2), of which 3 and -1, and 0.25. */
  @Test
  void aNetworkIsItsSums() {
    Network network =
        new Network(
            List.<double[][]>of(new double[][] {{1, -1}, {1, 2}}, new double[][] {{3, -1, 0.25}}));
    assertThat(network.at(new double[] {0.5}))
        .isCloseTo(3 * Math.tanh(-0.5) - Math.tanh(2.5) + 0.25, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"-800", "-20", "-3", "-0.5", "-1e-9", "0", "1e-9", "0.5", "3", "20", "800"})
  void theTangentIsTheLibrarys(double x) {
    assertThat(Network.tangent(x)).isCloseTo(Math.tanh(x), within(4e-16));
  }

  @Test
  void whatWasWrittenIsRead() {
    String[] parts = {"-0.2\n2\n4\n3\n0.5\n", "1\n0.2 0.1\n"};
    assertThat(Learnt.read(parts).at(new double[] {3.5}, 100))
        .isEqualTo(estimate(0.2).at(new double[] {3.5}, 100));
  }
}
