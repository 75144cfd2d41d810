package finebore.planning;

import finebore.study.ReadingKind;
import java.util.Optional;
import java.util.OptionalDouble;

/** What the valve keeps from the piston where it is least. */
final class PistonClearance implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.PISTON;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    Optional<SeatClearance> clearance = SeatClearance.toPiston(cut);
    return clearance.isPresent()
        ? OptionalDouble.of(clearance.get().decidingMm())
        : OptionalDouble.empty();
  }
}
