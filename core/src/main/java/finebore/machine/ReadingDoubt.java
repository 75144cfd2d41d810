package finebore.machine;

import finebore.code.Coded;
import finebore.job.Job;
import finebore.machine.RunStep.Target;
import finebore.units.Dimension;
import finebore.work.ReadBack;
import finebore.work.WorkEntry;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** Why a reading is questioned before it is kept. It can be kept all the same. */
public enum ReadingDoubt implements Coded {
  /** It would fit in the other unit: a gauge was switched to inches, or a hand typed them. */
  OTHER_UNIT,
  /** It is far off what the plan expects here. */
  JUMP,
  /** It is to the last digit what the gauge sent before. */
  REPEATED;

  private static final double INCH_MM = 25.4;

  /** What a hand cut is not off by, mm; common practice, no source. */
  private static final double JUMP_MM = 1.0;

  /** How near the other unit must come to be meant, as a share. */
  private static final double NEAR = 0.05;

  @Override
  public String code() {
    return "readingDoubt." + name().toLowerCase(Locale.ROOT);
  }

  /**
   * Looks at a reading before it is kept.
   *
   * @param value in the core's unit
   * @param sentAgain whether the gauge has sent the very same before
   */
  public static Optional<ReadingDoubt> of(
      Job job, RunStep step, ReadBack what, double value, boolean sentAgain) {
    if (sentAgain) {
      return Optional.of(REPEATED);
    }
    OptionalDouble expected = expected(job, step, what);
    if (expected.isEmpty() || !isLength(what)) {
      return Optional.empty();
    }
    double wanted = expected.getAsDouble();
    if (Math.abs(value - wanted) <= Math.max(JUMP_MM, NEAR * Math.abs(wanted))) {
      return Optional.empty();
    }
    boolean inInches = isNear(value * INCH_MM, wanted) || isNear(value / INCH_MM, wanted);
    return Optional.of(inInches ? OTHER_UNIT : JUMP);
  }

  private static boolean isLength(ReadBack what) {
    Dimension dimension = what.quantity().dimension();
    return dimension == Dimension.LENGTH || dimension == Dimension.FINE_LENGTH;
  }

  private static boolean isNear(double value, double wanted) {
    return Math.abs(value - wanted) <= Math.max(JUMP_MM, NEAR * Math.abs(wanted));
  }

  /** What the other unit would make of it. */
  public static double inOtherUnit(double value, double wanted) {
    return isNear(value * INCH_MM, wanted) ? value * INCH_MM : value / INCH_MM;
  }

  /** What the plan wants here; otherwise the last of its kind that was read at a seat like it. */
  public static OptionalDouble expected(Job job, RunStep step, ReadBack what) {
    OptionalDouble wanted = step.target(what).map(Target::wanted).orElse(OptionalDouble.empty());
    if (wanted.isPresent()) {
      return wanted;
    }
    return job.log().entries().reversed().stream()
        .filter(e -> e.seat().startsWith(step.seat().port().letter()))
        .flatMap(e -> e.taken().stream())
        .filter(t -> t.what() == what)
        .findFirst()
        .map(WorkEntry.Taken::value)
        .map(OptionalDouble::of)
        .orElse(OptionalDouble.empty());
  }
}
