package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/** Values from outside, each with its source beside it in published.csv. */
class PublishedValuesTest {

  @ParameterizedTest
  @CsvFileSource(resources = "published.csv", numLinesToSkip = 1)
  void agreesWithWhatIsPublished(String what, double at, double value, String source) {
    double ours =
        what.equals("contraction")
            ? Contraction.coefficient(Math.toRadians(at))
            : RoundedInlet.loss(at);
    assertThat(ours).as(source).isCloseTo(value, within(0.0006));
  }

  @Test
  void theContractionTableFollowsItsIntegral() {
    for (double deg : new double[] {3.3, 17.7, 61.2, 99.9, 150.4}) {
      assertThat(Contraction.coefficient(Math.toRadians(deg)))
          .isCloseTo(Contraction.integrated(Math.toRadians(deg)), within(1e-4));
    }
    assertThat(Contraction.coefficient(0)).isEqualTo(1);
  }

  @Test
  void aSquareEdgeIsKirchhoffs() {
    // pi / (pi + 2), Kirchhoff 1869, for a slot in a plane wall.
    assertThat(Contraction.coefficient(Math.PI / 2))
        .isCloseTo(Math.PI / (Math.PI + 2), within(1e-5));
  }

  @Test
  void inletsLoseLessAsTheyRound() {
    assertThat(RoundedInlet.left(0)).isEqualTo(1);
    assertThat(RoundedInlet.left(1)).isCloseTo(0.08, within(1e-12));
    assertThat(RoundedInlet.loss(0.05)).isBetween(0.15, 0.24);
    assertThatThrownBy(() -> RoundedInlet.loss(-1)).hasMessageContaining("radiusOverOpening");
    assertThatThrownBy(() -> Contraction.coefficient(4)).hasMessageContaining("4");
  }
}
