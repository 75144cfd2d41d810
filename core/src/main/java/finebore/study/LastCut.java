package finebore.study;

import java.util.OptionalDouble;

/** Angle of the last cut showing before the throat. */
final class LastCut implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.LAST_CUT;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return fit.seat().shown().stream()
        .filter(s -> s.shownMm() > 0)
        .mapToDouble(s -> s.cut().angleDeg())
        .reduce((a, b) -> b);
  }
}
