package finebore.study;

import finebore.seat.ShownCut;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Largest change of angle between neighbouring cuts that show, from the sealing cut to the port: a
 * sweep or top cut meets the seat at any angle, and an undercut is judged by its lean.
 */
final class AngleStep implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.ANGLE_STEP;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    int sealing = fit.seat().seat().sealing();
    List<ShownCut> showing =
        fit.seat().shown().stream()
            .filter(s -> s.shownMm() > 0 && !s.isUndercut() && s.index() >= sealing)
            .toList();
    return IntStream.range(1, showing.size())
        .mapToDouble(
            k -> Math.abs(showing.get(k).cut().angleDeg() - showing.get(k - 1).cut().angleDeg()))
        .max();
  }
}
