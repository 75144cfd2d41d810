package finebore.section;

/**
 * The one length below which two places of a section count as the same.
 *
 * @param mm the length, mm; positive
 */
public record Tolerance(double mm) {

  /** A millionth of a millimetre: far below anything cut or measured, far above rounding. */
  public static final Tolerance FINE = new Tolerance(1e-6);

  public Tolerance {
    if (!(mm > 0)) {
      throw new IllegalArgumentException("mm: " + mm);
    }
  }

  public boolean isZero(double lengthMm) {
    return Math.abs(lengthMm) <= mm;
  }

  public boolean same(double aMm, double bMm) {
    return isZero(aMm - bMm);
  }

  /** Whether a is larger than b by more than the tolerance. */
  public boolean greater(double aMm, double bMm) {
    return aMm - bMm > mm;
  }
}
