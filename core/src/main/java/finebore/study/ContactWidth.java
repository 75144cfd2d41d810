package finebore.study;

import java.util.OptionalDouble;

/** Width of the ring that touches, along the valve face. */
final class ContactWidth implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CONTACT_WIDTH;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return fit.seated()
        .map(s -> OptionalDouble.of(s.contact().widthMm()))
        .orElse(OptionalDouble.empty());
  }
}
