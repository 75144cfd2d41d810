package finebore.study;

import java.util.OptionalDouble;

/** Middle of the contact on the face: 0 at the margin, 1 at the inner edge. */
final class ContactCentre implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CONTACT_CENTRE;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return fit.seated()
        .map(s -> OptionalDouble.of(s.contact().centre()))
        .orElse(OptionalDouble.empty());
  }
}
