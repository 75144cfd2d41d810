package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** How much seat, valve and walls taken back enlarge the chamber against what was found. */
final class ChamberChange implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CHAMBER;
  }

  @Override
  public boolean hangsOnWalls() {
    return true;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble seat =
        ChamberSpace.change(
            cut.metal().section(), cut.foundValve(), cut.fit().seat(), cut.fit().pairing().valve());
    return seat.isPresent()
        ? OptionalDouble.of(
            seat.getAsDouble() + WallsTaken.volumeMm3(cut.job(), cut.place(), cut.plan()))
        : seat;
  }
}
