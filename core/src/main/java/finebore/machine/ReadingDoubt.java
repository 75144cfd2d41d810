package finebore.machine;

import finebore.code.Coded;
import finebore.job.Job;
import finebore.machine.RunStep.Target;
import finebore.planning.GuideBore;
import finebore.planning.SeatOutcome;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.valve.Pairing;
import finebore.work.ReadBack;
import finebore.work.WorkEntry;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/** Why a reading is questioned before it is kept. It can be kept all the same. */
public enum ReadingDoubt implements Coded {
  /** It would fit in the other unit: a gauge was switched to inches, or a hand typed them. */
  OTHER_UNIT,
  /** It is far off what the plan, the seat as found or the others of its kind expect here. */
  JUMP,
  /** Valve and seat cannot be so: a stem that does not go in, a ring wider than its face. */
  IMPOSSIBLE,
  /** It is to the last digit what the gauge sent before. */
  REPEATED;

  private static final double INCH_MM = 25.4;

  /** What a hand cut is not off by, mm; common practice, no source. */
  private static final double JUMP_MM = 1.0;

  /** How near the other unit must come to be meant, as a share. */
  private static final double NEAR = 0.05;

  /** Dial and lapped ring are small: they jump by this, mm, or by this share of what they were. */
  private static final double SMALL_JUMP_MM = 0.15;

  private static final double SMALL_SHARE = 0.5;

  /** A guide is not off by so much that is still one for this stem, mm; common practice. */
  private static final double GUIDE_JUMP_MM = 0.2;

  /** No port holds more above the best of the others, as a share; common practice, no source. */
  private static final double MORE_HELD = 0.25;

  /** Weather moves the room's pressure by less in a day, Pa; common practice, no source. */
  private static final double AMBIENT_LEAP_PA = 3000;

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
    if (!isLength(what)) {
      return Optional.empty();
    }
    OptionalDouble expected = expected(job, step, what);
    if (expected.isPresent()) {
      double wanted = expected.getAsDouble();
      double most = jumpMm(what, wanted);
      if (Math.abs(value - wanted) > most) {
        boolean inInches =
            Math.abs(value * INCH_MM - wanted) <= most
                || Math.abs(value / INCH_MM - wanted) <= most;
        return Optional.of(inInches ? OTHER_UNIT : JUMP);
      }
    }
    return isPossible(job, step, what, value) ? Optional.empty() : Optional.of(IMPOSSIBLE);
  }

  /** How far a reading may be off what is expected of it, mm. */
  private static double jumpMm(ReadBack what, double wanted) {
    return switch (what) {
      case GUIDE_BORE -> GUIDE_JUMP_MM;
      case SEAT_WIDTH,
          FACE_WIDTH,
          MARGIN,
          RING_WIDTH_12,
          RING_WIDTH_3,
          RING_WIDTH_6,
          RING_WIDTH_9,
          RING_PLACE_12,
          RING_PLACE_3,
          RING_PLACE_6,
          RING_PLACE_9,
          SEAT_RUNOUT ->
          Math.max(SMALL_JUMP_MM, SMALL_SHARE * Math.abs(wanted));
      default -> Math.max(JUMP_MM, NEAR * Math.abs(wanted));
    };
  }

  /** What the planned valve and the seat round it allow, whatever is wanted. */
  private static boolean isPossible(Job job, RunStep step, ReadBack what, double value) {
    Pairing wanted = job.planOf(step.seat()).wanted();
    double head = wanted.valve().headDiameterMm();
    return switch (what) {
      case GUIDE_BORE -> value > wanted.valve().stemDiameterMm();
      case THROAT, BOWL -> value > wanted.valve().stemDiameterMm();
      case POINTER -> value < head + JUMP_MM;
      case RING_INSIDE, RING_OUTSIDE -> value < head;
      case SEAT_WIDTH -> value < head / 4;
      default -> true;
    };
  }

  /**
   * Looks at what was written down of a seal before it is kept: dial, lapped ring, vacuum. They are
   * held against what was read of the same kind before, first of the same seat, then of the other
   * seats of its port; a ring that nobody has read against the contact that the plan leaves.
   *
   * @param value in the core's unit
   */
  public static Optional<ReadingDoubt> ofSeal(
      Job job, SeatOutcome seat, ReadBack what, double value) {
    OptionalDouble before = expectedOfSeal(job, seat, what);
    if (before.isEmpty() || isFalling(what)) {
      return Optional.empty();
    }
    double expected = before.getAsDouble();
    Dimension dimension = what.quantity().dimension();
    if (dimension == Dimension.BAROMETER) {
      // A port may leak all it held; it cannot hold much more than the best of them, nor may the
      // weather leap.
      double most = what == ReadBack.AMBIENT ? AMBIENT_LEAP_PA : MORE_HELD * expected;
      boolean leaps =
          what == ReadBack.AMBIENT ? Math.abs(value - expected) > most : value > expected + most;
      return leaps ? Optional.of(JUMP) : Optional.empty();
    }
    if (Math.abs(value - expected) <= Math.max(SMALL_JUMP_MM, SMALL_SHARE * expected)) {
      return Optional.empty();
    }
    boolean inInches =
        isNearSmall(value * INCH_MM, expected) || isNearSmall(value / INCH_MM, expected);
    return Optional.of(inInches ? OTHER_UNIT : JUMP);
  }

  private static boolean isFalling(ReadBack what) {
    return what == ReadBack.FALL_DRY || what == ReadBack.FALL_OILED;
  }

  private static boolean isNearSmall(double value, double wanted) {
    return Math.abs(value - wanted) <= SMALL_SHARE * wanted;
  }

  /** What a reading of a seal is held against; empty where there is nothing yet. */
  public static OptionalDouble expectedOfSeal(Job job, SeatOutcome seat, ReadBack what) {
    List<ReadBack> alike =
        switch (what) {
          case RING_WIDTH_12, RING_WIDTH_3, RING_WIDTH_6, RING_WIDTH_9 -> ReadBack.RING_WIDTHS;
          case RING_PLACE_12, RING_PLACE_3, RING_PLACE_6, RING_PLACE_9 -> ReadBack.RING_PLACES;
          // A dry guide may leak most of it: only an oiled one shows what the pump can do.
          case VACUUM_DRY, VACUUM_OILED -> List.of(ReadBack.VACUUM_OILED);
          default -> List.of(what);
        };
    boolean vacuum = alike.contains(ReadBack.VACUUM_OILED);
    String port = what == ReadBack.AMBIENT ? "" : seat.place().port().letter();
    List<WorkEntry> held = job.log().entries().reversed();
    DoubleStream others =
        held.stream()
            .filter(e -> e.seat().startsWith(port))
            .flatMap(e -> e.taken().stream())
            .filter(t -> alike.contains(t.what()))
            .mapToDouble(WorkEntry.Taken::value);
    if (vacuum) {
      return others.max();
    }
    OptionalDouble own =
        held.stream()
            .filter(e -> e.seat().equals(seat.place().label()))
            .flatMap(e -> e.taken().stream())
            .filter(t -> alike.contains(t.what()))
            .mapToDouble(WorkEntry.Taken::value)
            .findFirst();
    if (own.isPresent()) {
      return own;
    }
    if (alike.contains(ReadBack.RING_WIDTH_12)) {
      OptionalDouble contact = seat.reading(ReadingKind.CONTACT_WIDTH);
      if (contact.isPresent()) {
        return contact;
      }
    }
    return others.findFirst();
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

  /** Common practice, no source. */
  private static final double USUAL_CLEARANCE_MM = 0.05;

  /** What the plan wants here; otherwise the last of its kind that was read at a seat like it. */
  public static OptionalDouble expected(Job job, RunStep step, ReadBack what) {
    OptionalDouble wanted = step.target(what).map(Target::wanted).orElse(OptionalDouble.empty());
    if (wanted.isPresent()) {
      return wanted;
    }
    if (what == ReadBack.GUIDE_BORE && GuideBore.foundMm(job, step.seat()).isPresent()) {
      return GuideBore.foundMm(job, step.seat());
    }
    OptionalDouble family = lastOfItsKind(job, step, what);
    return family.isEmpty() && what == ReadBack.GUIDE_BORE
        ? OptionalDouble.of(
            job.planOf(step.seat()).wanted().valve().stemDiameterMm() + USUAL_CLEARANCE_MM)
        : family;
  }

  private static OptionalDouble lastOfItsKind(Job job, RunStep step, ReadBack what) {
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
