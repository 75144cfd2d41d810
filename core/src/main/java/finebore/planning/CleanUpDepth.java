package finebore.planning;

import finebore.cutting.CleanUp;
import finebore.cutting.Cutting;
import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Depth below the head face at which the sealing cut of the last form shows all round. */
final class CleanUpDepth implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.CLEAN_UP;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    return cut.lastForm()
        .flatMap(Cutting.Step::cleanUp)
        .map(CleanUp::sealingMm)
        .orElse(OptionalDouble.empty());
  }
}
