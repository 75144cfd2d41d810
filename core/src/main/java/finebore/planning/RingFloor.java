package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** From the lowest cut down to the insert's floor. */
final class RingFloor implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.RING_FLOOR;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return cut.left().ringFloorMm();
  }
}
