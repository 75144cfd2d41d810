package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** What to grind off the stem tip to bring the valve gear back: as much as the valve sits lower. */
final class TipGrind implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.TIP_GRIND;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble sink = new Sink().of(cut);
    return sink.isPresent() ? OptionalDouble.of(Math.max(0, sink.getAsDouble())) : sink;
  }
}
