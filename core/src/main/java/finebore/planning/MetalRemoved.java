package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Volume that all operations take from the seat, less what a ring puts in. */
final class MetalRemoved implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.REMOVED;
  }

  @Override
  public boolean hangsOnWalls() {
    return true;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return OptionalDouble.of(cut.cutting().removedMm3());
  }
}
