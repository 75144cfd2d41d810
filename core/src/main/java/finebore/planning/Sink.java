package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** How much lower the valve sits than as found. */
final class Sink implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.SINK;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble rest = cut.fit().restMm();
    return rest.isPresent() && cut.foundRestMm().isPresent()
        ? OptionalDouble.of(cut.foundRestMm().getAsDouble() - rest.getAsDouble())
        : OptionalDouble.empty();
  }
}
