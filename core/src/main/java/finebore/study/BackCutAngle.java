package finebore.study;

import finebore.seat.Cut;
import java.util.OptionalDouble;

/** Angle of the first cut behind the valve face. */
final class BackCutAngle implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.BACK_CUT;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return fit.pairing().valve().backCuts().stream().mapToDouble(Cut::angleDeg).findFirst();
  }
}
