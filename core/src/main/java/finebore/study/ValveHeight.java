package finebore.study;

import java.util.OptionalDouble;

/** Height of the seated valve's margin edge over the head face. */
final class ValveHeight implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.VALVE_HEIGHT;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return fit.restMm();
  }
}
