package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Least distance to where the water jacket was read to lie. */
final class WallToWater implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.WATER;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return cut.left().waterMm();
  }
}
