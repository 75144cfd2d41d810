package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.flow.InSeries.Part;
import finebore.flow.InSeries.Passage;
import java.util.List;
import org.junit.jupiter.api.Test;

class InSeriesTest {

  private static InSeries of(double port, double manifold, double throttle) {
    return new InSeries(
        List.of(
            new Passage(Part.PORT, port),
            new Passage(Part.MANIFOLD, manifold),
            new Passage(Part.THROTTLE, throttle)));
  }

  /** Two alike halve the pressure for each: Q / sqrt 2, by Q = A sqrt(2 dp / rho). */
  @Test
  void twoAlikeFlowSeventyOnePerCent() {
    InSeries two =
        new InSeries(List.of(new Passage(Part.PORT, 0.1), new Passage(Part.MANIFOLD, 0.1)));
    assertThat(two.togetherM3s()).isCloseTo(0.1 / Math.sqrt(2), within(1e-15));
    assertThat(two.share(Part.PORT)).isCloseTo(0.5, within(1e-15));
  }

  /** 3, 4 and 12 by hand: 1/9 + 1/16 + 1/144 = 26/144. */
  @Test
  void sumIsTheOneByHand() {
    InSeries three = of(3, 4, 12);
    assertThat(three.togetherM3s()).isCloseTo(12 / Math.sqrt(26), within(1e-12));
    assertThat(three.share(Part.PORT)).isCloseTo(16.0 / 26, within(1e-12));
    assertThat(three.share(Part.MANIFOLD)).isCloseTo(9.0 / 26, within(1e-12));
    assertThat(three.share(Part.THROTTLE)).isCloseTo(1.0 / 26, within(1e-12));
    assertThat(three.narrowest()).isEqualTo(Part.PORT);
  }

  @Test
  void aPartsShareIsWhatASmallGainOfItIsWorth() {
    InSeries before = of(0.11, 0.14, 0.2);
    InSeries after = of(0.11 * 1.0001, 0.14, 0.2);
    double gain = after.togetherM3s() / before.togetherM3s() - 1;
    assertThat(gain / 0.0001).isCloseTo(before.share(Part.PORT), within(1e-3));
  }

  @Test
  void aPartIsToldByTestsWithAndWithoutIt() {
    double with = of(0.11, 0.14, 0.2).togetherM3s();
    double without =
        new InSeries(List.of(new Passage(Part.PORT, 0.11), new Passage(Part.THROTTLE, 0.2)))
            .togetherM3s();
    assertThat(InSeries.between(without, with).orElseThrow()).isCloseTo(0.14, within(1e-12));
    // A pipe that gives pressure back has no flow of its own.
    assertThat(InSeries.between(0.1, 0.101)).isEmpty();
    assertThat(InSeries.between(0.1, 0.1)).isEmpty();
  }

  @Test
  void nothingCanFlowNothing() {
    assertThatThrownBy(() -> new Passage(Part.PORT, 0))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new InSeries(List.of())).isInstanceOf(IllegalArgumentException.class);
  }
}
