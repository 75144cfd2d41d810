package finebore.seal;

import finebore.code.Coded;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * The grey ring a light lap leaves on the valve's face, read at four clock positions.
 *
 * @param widthsMm its width at 12, 3, 6 and 9 o'clock, mm; empty where nobody read it
 * @param fromMarginMm from the margin along the face to its outer edge there, mm
 */
public record LappedRing(List<OptionalDouble> widthsMm, List<OptionalDouble> fromMarginMm) {

  /** Clock positions at which it is read. */
  public static final List<Integer> CLOCKS = List.of(12, 3, 6, 9);

  /** What the ring says. */
  public enum Verdict implements Coded {
    /** Nothing was read. */
    NOT_READ,
    /** Even all round, and on the sealing cut. */
    EVEN,
    /** Even all round; nobody has read where it lies. */
    EVEN_SOMEWHERE,
    /** Narrow on one side, wide on the other: the seat is off the guide's axis. */
    OFF_AXIS,
    /** Narrow or wide on two sides that face each other: the seat is not round. */
    NOT_ROUND,
    /** Broken somewhere. */
    BROKEN,
    /** It reaches past the edges of the sealing cut. */
    OFF_SEALING_CUT;

    @Override
    public String code() {
      return "ringVerdict." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** Readings at their limit are within it, whatever the last bit says. */
  private static final double ROUNDING_MM = 1e-9;

  public LappedRing {
    widthsMm = List.copyOf(widthsMm);
    fromMarginMm = List.copyOf(fromMarginMm);
  }

  /** Least and most width that was read; empty where nobody read one. */
  public DoubleSummaryStatistics width() {
    return widthsMm.stream()
        .filter(OptionalDouble::isPresent)
        .mapToDouble(OptionalDouble::getAsDouble)
        .summaryStatistics();
  }

  /**
   * Judges it.
   *
   * @param outerMm from the margin to where the sealing cut begins on the face, mm
   * @param innerMm from the margin to where it ends
   * @param toleranceMm what two widths of one ring may differ by, and a ring stand out
   */
  public Verdict verdict(double outerMm, double innerMm, double toleranceMm) {
    DoubleSummaryStatistics width = width();
    if (width.getCount() == 0) {
      return Verdict.NOT_READ;
    }
    if (width.getMin() <= 0) {
      return Verdict.BROKEN;
    }
    for (int k = 0; k < CLOCKS.size(); k++) {
      OptionalDouble from = fromMarginMm.get(k);
      boolean out =
          from.isPresent()
              && (from.getAsDouble() < outerMm - toleranceMm - ROUNDING_MM
                  || from.getAsDouble() + widthsMm.get(k).orElse(0)
                      > innerMm + toleranceMm + ROUNDING_MM);
      if (out) {
        return Verdict.OFF_SEALING_CUT;
      }
    }
    if (width.getMax() - width.getMin() <= toleranceMm + ROUNDING_MM) {
      boolean placed = fromMarginMm.stream().anyMatch(OptionalDouble::isPresent);
      return placed ? Verdict.EVEN : Verdict.EVEN_SOMEWHERE;
    }
    double across = Math.max(differ(0, 2), differ(1, 3));
    return across > (width.getMax() - width.getMin()) / 2 ? Verdict.OFF_AXIS : Verdict.NOT_ROUND;
  }

  private double differ(int one, int other) {
    OptionalDouble a = widthsMm.get(one);
    OptionalDouble b = widthsMm.get(other);
    return a.isPresent() && b.isPresent() ? Math.abs(a.getAsDouble() - b.getAsDouble()) : 0;
  }
}
