package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/**
 * How much deeper than its clean-up depth the last form is plunged; negative has not cleaned up.
 */
final class PastCleanUp implements PlanReading {

  /** No depth is set or read finer than to a hundredth of a mm: that much is none. */
  private static final double SETTABLE_MM = 0.005;

  @Override
  public ReadingKind kind() {
    return ReadingKind.PAST_CLEAN;
  }

  @Override
  public OptionalDouble of(CutStudy cut) {
    OptionalDouble clean = new CleanUpDepth().of(cut);
    if (clean.isEmpty()) {
      return clean;
    }
    double past = cut.lastForm().orElseThrow().depthMm().getAsDouble() - clean.getAsDouble();
    return OptionalDouble.of(Math.abs(past) < SETTABLE_MM ? 0 : past);
  }
}
