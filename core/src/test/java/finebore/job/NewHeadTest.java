package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.valve.Pairing;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A head nobody has measured grows and shrinks with its valves. */
class NewHeadTest {

  private static final Pairing BEFORE = Samples.job().intake().found();

  @ParameterizedTest
  @ValueSource(doubles = {24, 33, 44, 60})
  void seatAndThroatKeepTheirProportions(double headMm) {
    Pairing now = NewHead.withHead(BEFORE, headMm);
    double by = headMm / BEFORE.valve().headDiameterMm();
    assertThat(now.valve().headDiameterMm()).isEqualTo(headMm);
    assertThat(now.seat().throatDiameterMm())
        .isCloseTo(by * BEFORE.seat().throatDiameterMm(), within(0.026));
    assertThat(now.seat().outsideDiameterMm())
        .isCloseTo(by * BEFORE.seat().outsideDiameterMm(), within(0.026));
    assertThat(now.seat().bowlDiameterMm())
        .isCloseTo(by * BEFORE.seat().bowlDiameterMm(), within(0.026));
    assertThat(now.seat().depthMm()).isEqualTo(BEFORE.seat().depthMm());
  }
}
