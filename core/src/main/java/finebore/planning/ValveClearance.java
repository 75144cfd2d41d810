package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/**
 * What the valve keeps from the valves of the other kind while both are open, where it is least.
 */
final class ValveClearance implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.VALVES;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return SeatClearance.decidingToValve(cut);
  }
}
