package finebore.study;

import java.util.OptionalDouble;

/** How far the valve head stands out past the seat's outside edge, on the radius. */
final class Overhang implements SeatReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.OVERHANG;
  }

  @Override
  public OptionalDouble of(SeatFit fit) {
    return OptionalDouble.of(
        (fit.pairing().valve().headDiameterMm() - fit.pairing().seat().outsideDiameterMm()) / 2);
  }
}
