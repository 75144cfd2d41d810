package finebore.study;

import java.util.OptionalDouble;

/** Throat area less the stem over the area of the valve head. */
final class ThroatAreaRatio implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.THROAT_AREA_RATIO;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    double head = fit.pairing().valve().headDiameterMm();
    return OptionalDouble.of(fit.throatAreaMm2() / (Math.PI / 4 * head * head));
  }
}
