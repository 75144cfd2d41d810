package finebore.study;

import java.util.OptionalDouble;

/** Height of the valve's margin. */
final class Margin implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.MARGIN;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(fit.pairing().valve().marginMm());
  }
}
