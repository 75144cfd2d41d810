package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** From the seat's outside edge to the outside of the insert, on the radius. */
final class RingWall implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.RING_WALL;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return cut.left().ringWallMm();
  }
}
