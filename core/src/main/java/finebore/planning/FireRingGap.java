package finebore.planning;

import finebore.cutting.Metal;
import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/**
 * From the outermost cut, or a wall taken back, to the gasket's fire ring, on the side of the bore.
 */
final class FireRingGap implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.FIRE_RING;
  }

  @Override
  public boolean hangsOnWalls() {
    return true;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble cuts = ofCuts(cut);
    OptionalDouble walls =
        cut.job().head().layout().isEmpty()
            ? OptionalDouble.empty()
            : WallsTaken.toFireRingMm(cut.job(), cut.place(), cut.plan());
    return cuts.isPresent() && walls.isPresent()
        ? OptionalDouble.of(Math.min(cuts.getAsDouble(), walls.getAsDouble()))
        : cuts.isPresent() ? cuts : walls;
  }

  private static OptionalDouble ofCuts(CutStudy cut) {
    OptionalDouble axis = cut.job().group(cut.place().port()).axisFromBoreMm();
    if (cut.job().head().layout().isEmpty() || axis.isEmpty()) {
      return OptionalDouble.empty();
    }
    Metal metal = cut.cutting().metal();
    for (int k = 0; k < metal.wall().segmentCount(); k++) {
      if (metal.madeBy().get(k) > 0) {
        return OptionalDouble.of(
            cut.job().layout().fireRingMm() / 2 - axis.getAsDouble() - metal.wall().start(k).r());
      }
    }
    return OptionalDouble.empty();
  }
}
