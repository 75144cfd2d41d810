package finebore.seal;

import finebore.code.Coded;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What two vacuum tests of a port say, one with the guide dry and one with it oiled. Oil stops a
 * leak past the stem and leaves one past the seat as it is; that is how the two are told apart.
 */
public enum SealVerdict implements Coded {
  /** Nothing was read. */
  NOT_TESTED,
  /** It seals dry: nothing more to know. */
  SEALS,
  /** It seals oiled and not dry: the guide leaks. */
  GUIDE,
  /** It leaks as much oiled as dry: the seat leaks. */
  SEAT,
  /** Oil helps and is not enough: guide and seat. */
  BOTH,
  /** It leaks dry and nobody has oiled the guide: it cannot be told. */
  OIL_AND_REPEAT,
  /** It leaks oiled, and nobody has read it dry: the seat leaks at least. */
  SEAT_AT_LEAST,
  /** It holds less oiled than dry, which oil cannot do. */
  REPEAT_BOTH,
  /** It seals, but less well than the other ports by more than they differ among themselves. */
  WEAKER_THAN_OTHERS;

  /** A tester's reading repeats within this, as a share; common practice, no source. */
  static final double REPEATS_WITHIN = 0.03;

  /** A port this far below the others' middle is another case than they are, as a share. */
  static final double WEAKER_BY = 0.08;

  /** Fewer ports than this cannot say what is usual. */
  static final int ENOUGH_OTHERS = 3;

  @Override
  public String code() {
    return "sealVerdict." + name().toLowerCase(Locale.ROOT);
  }

  /** Whether the port may leave the shop with it. */
  public boolean isGood() {
    return this == SEALS || this == GUIDE || this == WEAKER_THAN_OTHERS;
  }

  /**
   * Judges a port.
   *
   * @param dry with the guide dry, where it was read
   * @param oiled with the guide oiled, where it was read
   * @param others the best readings of the other ports, of the same kind or not
   */
  public static SealVerdict of(
      Optional<VacuumReading> dry,
      Optional<VacuumReading> oiled,
      SealLimits limits,
      List<VacuumReading> others) {
    if (dry.isEmpty() && oiled.isEmpty()) {
      return NOT_TESTED;
    }
    if (dry.isPresent() && oiled.isPresent() && isWorseOiled(dry.get(), oiled.get())) {
      return REPEAT_BOTH;
    }
    if (dry.filter(limits::allows).isPresent()) {
      return among(dry.get(), others);
    }
    if (oiled.isEmpty()) {
      return OIL_AND_REPEAT;
    }
    if (limits.allows(oiled.get())) {
      return dry.isPresent() ? GUIDE : among(oiled.get(), others);
    }
    if (dry.isEmpty()) {
      return SEAT_AT_LEAST;
    }
    double gain = oiled.get().atStandardPa() / Math.max(dry.get().atStandardPa(), 1) - 1;
    return gain > REPEATS_WITHIN + 1e-9 ? BOTH : SEAT;
  }

  private static boolean isWorseOiled(VacuumReading dry, VacuumReading oiled) {
    return oiled.atStandardPa() < dry.atStandardPa() * (1 - REPEATS_WITHIN);
  }

  private static SealVerdict among(VacuumReading own, List<VacuumReading> others) {
    if (others.size() < ENOUGH_OTHERS) {
      return SEALS;
    }
    double[] held = others.stream().mapToDouble(VacuumReading::atStandardPa).sorted().toArray();
    return own.atStandardPa() < (1 - WEAKER_BY) * median(held) ? WEAKER_THAN_OTHERS : SEALS;
  }

  private static double median(double[] sorted) {
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }
}
