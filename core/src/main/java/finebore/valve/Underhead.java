package finebore.valve;

import finebore.section.Bounds;

/**
 * The underside of a valve head between face or back cut and stem: a cone that a radius carries
 * into the stem.
 *
 * @param angleDeg slope of the cone from the plane of the head, 0 to 70 degrees
 * @param filletRadiusMm radius from the cone to the stem, mm, 0 or more
 */
public record Underhead(double angleDeg, double filletRadiusMm) {

  public Underhead {
    Bounds.check("underhead angle", angleDeg, 0, 70, "degrees");
    Bounds.check("underhead radius", filletRadiusMm, 0, 60, "mm");
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
