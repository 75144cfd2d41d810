package finebore.study;

import java.util.OptionalDouble;

/** Seat angle less valve face angle. */
final class Interference implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.INTERFERENCE;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(
        fit.pairing().seat().sealingCut().angleDeg() - fit.pairing().valve().faceAngleDeg());
  }
}
