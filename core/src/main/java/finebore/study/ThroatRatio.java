package finebore.study;

import java.util.OptionalDouble;

/** Throat diameter over the valve head diameter. */
final class ThroatRatio implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.THROAT_RATIO;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(
        fit.pairing().seat().throatDiameterMm() / fit.pairing().valve().headDiameterMm());
  }
}
