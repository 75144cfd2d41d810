package finebore.seat;

import finebore.section.Bounds;

/**
 * One conical cut, of a seat or on the back of a valve.
 *
 * @param angleDeg degrees from the plane at right angles to the guide: 0 is flat, 90 a cylinder
 * @param widthMm width along the cut, mm; 0 is a cut that is not there yet
 */
public record Cut(double angleDeg, double widthMm) {

  public Cut {
    Bounds.check("cut angle", angleDeg, 0, 90, "degrees");
    Bounds.check("cut width", widthMm, 0, 50, "mm");
  }

  /** Width seen from above, on the radius, mm. */
  public double projectedMm() {
    return widthMm * Math.cos(Math.toRadians(angleDeg));
  }

  /** Height of the cut along the guide, mm. */
  public double heightMm() {
    return widthMm * Math.sin(Math.toRadians(angleDeg));
  }

  public Cut withAngle(double deg) {
    return new Cut(deg, widthMm);
  }

  public Cut withWidth(double mm) {
    return new Cut(angleDeg, mm);
  }

  /** The cut as the trade says it: "the 45", or "the 44.5". */
  public String spoken() {
    return "the " + angleText(angleDeg);
  }

  /** An angle without needless decimals: 45, 44.5. */
  public static String angleText(double deg) {
    return java.math.BigDecimal.valueOf(deg)
        .setScale(2, java.math.RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
