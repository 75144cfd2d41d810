package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** How much seat and valve enlarge the chamber against the found ones. */
final class ChamberChange implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CHAMBER;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return ChamberSpace.change(
        cut.metal().section(), cut.foundValve(), cut.fit().seat(), cut.fit().pairing().valve());
  }
}
