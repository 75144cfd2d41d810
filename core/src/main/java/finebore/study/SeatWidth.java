package finebore.study;

import java.util.OptionalDouble;

/** Width of the sealing cut left showing, along the cut. */
final class SeatWidth implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.SEAT_WIDTH;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(fit.seat().shown().get(fit.pairing().seat().sealing()).shownMm());
  }
}
