package finebore.study;

import java.util.OptionalDouble;

/** Width of the valve face, along the face. */
final class FaceWidth implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.FACE_WIDTH;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(fit.pairing().valve().faceWidthMm());
  }
}
