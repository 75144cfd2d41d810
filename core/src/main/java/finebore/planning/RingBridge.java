package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Metal between this insert and its neighbour. */
final class RingBridge implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.BRIDGE;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return RingRoom.bridgeMm(cut);
  }
}
