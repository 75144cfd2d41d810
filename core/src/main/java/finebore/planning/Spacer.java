package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** Spacer under the spring that brings its height back: the sink, where the valve sits lower. */
final class Spacer implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.SPACER;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble sink = new Sink().of(cut);
    return sink.isPresent() ? OptionalDouble.of(Math.max(0, sink.getAsDouble())) : sink;
  }
}
