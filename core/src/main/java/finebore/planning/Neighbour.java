package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Gap between the heads of intake and exhaust neighbour, axes taken as parallel. */
final class Neighbour implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.NEIGHBOUR;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return ValveRoom.neighbourMm(
        cut.job(), cut.place().port(), cut.fit().pairing().valve().headDiameterMm());
  }
}
