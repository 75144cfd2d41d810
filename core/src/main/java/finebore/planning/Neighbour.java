package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Gap to the head of the nearest neighbour. */
final class Neighbour implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.NEIGHBOUR;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return ValveRoom.of(cut.job(), cut.place())
        .neighbourMm(cut.fit().pairing().valve().headDiameterMm());
  }
}
