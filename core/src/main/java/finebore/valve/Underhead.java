package finebore.valve;

/**
 * The underside of a valve head between face or back cut and stem: a cone that a radius carries
 * into the stem.
 *
 * @param angleDeg slope of the cone from the plane of the head, 0 to 70 degrees
 * @param filletRadiusMm radius from the cone to the stem, mm, 0 or more
 */
public record Underhead(double angleDeg, double filletRadiusMm) {

  public Underhead {
    if (!(angleDeg >= 0 && angleDeg <= 70)) {
      throw new IllegalArgumentException(
          "underhead angle must be 0 to 70 degrees, was " + angleDeg);
    }
    if (!(filletRadiusMm >= 0 && filletRadiusMm <= 60)) {
      throw new IllegalArgumentException(
          "underhead radius must be 0 to 60 mm, was " + filletRadiusMm);
    }
  }

  /** The form as the trade names it; the borders are common practice, no source. */
  public enum Form {
    FLAT,
    MID,
    TULIP
  }

  public Form form() {
    return angleDeg < 12 ? Form.FLAT : angleDeg <= 22 ? Form.MID : Form.TULIP;
  }
}
