package finebore.study;

import finebore.seat.ShownCut;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Angle of the last cut showing before the throat; nothing where an arc ends the seat. A cut that
 * leans in under the seat is judged by its lean.
 */
final class LastCut implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.LAST_CUT;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    Optional<ShownCut> last =
        fit.seat().shown().stream()
            .filter(s -> s.shownMm() > 0 && !s.isUndercut())
            .reduce((a, b) -> b);
    // An arc leads on into the throat: its last chord is no cut.
    return last.isEmpty() || fit.seat().seat().stack().isOfArc(last.get().index())
        ? OptionalDouble.empty()
        : OptionalDouble.of(last.get().cut().angleDeg());
  }
}
