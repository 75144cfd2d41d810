package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** What the valve keeps from the piston where it is least. */
final class PistonClearance implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.PISTON;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return SeatClearance.decidingToPiston(cut);
  }
}
