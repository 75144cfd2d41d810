package finebore.planning;

import finebore.found.Measure;
import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Installed spring height as measured, and the sink, before a spacer. */
final class SpringHeight implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.SPRING_HEIGHT;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble sink = new Sink().of(cut);
    OptionalDouble measured =
        cut.job().head().readingsOf(cut.place().label()).value(Measure.SPRING_HEIGHT);
    return sink.isPresent() && measured.isPresent()
        ? OptionalDouble.of(measured.getAsDouble() + sink.getAsDouble())
        : OptionalDouble.empty();
  }
}
