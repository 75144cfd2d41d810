package finebore.study;

import java.util.OptionalDouble;

/** Bowl diameter over the throat. */
final class BowlRatio implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.BOWL_RATIO;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(
        fit.pairing().seat().bowlDiameterMm() / fit.pairing().seat().throatDiameterMm());
  }
}
