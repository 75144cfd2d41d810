package finebore.planning;

import finebore.job.Group;
import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/**
 * Clearance left between retainer and stem seal at the cam's lift: what was measured with the found
 * valve closed, and the sink, less the lift.
 */
final class RetainerToSeal implements PlanReading {

  @Override
  public ReadingKind kind() {
    return ReadingKind.RETAINER;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble sink = new Sink().of(cut);
    Group group = cut.job().group(cut.place().port());
    return sink.isPresent() && group.retainerToSealMm().isPresent()
        ? OptionalDouble.of(
            group.retainerToSealMm().getAsDouble() + sink.getAsDouble() - group.cam().maxLiftMm())
        : OptionalDouble.empty();
  }
}
