package finebore.study;

import java.util.OptionalDouble;

/** Lift at which the curtain area pi D L equals the throat area less the stem. */
final class CurtainLift implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CURTAIN_LIFT;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(
        fit.throatAreaMm2() / (Math.PI * fit.pairing().valve().headDiameterMm()));
  }
}
