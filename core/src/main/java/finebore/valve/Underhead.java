package finebore.valve;

import finebore.code.Coded;
import finebore.quantity.Quantity;
import java.util.Locale;

/**
 * The underside of a valve head between face or back cut and stem: a cone that a radius carries
 * into the stem.
 *
 * @param angleDeg slope of the cone from the plane of the head, 0 to 70 degrees
 * @param filletRadiusMm radius from the cone to the stem, mm, 0 or more
 */
public record Underhead(double angleDeg, double filletRadiusMm) {

  public Underhead {
    Quantity.UNDERHEAD_ANGLE.check(angleDeg);
    Quantity.UNDERHEAD_RADIUS.check(filletRadiusMm);
  }

  /** The form as the trade names it; the borders are common practice, no source. */
  public enum Form implements Coded {
    FLAT,
    MID,
    TULIP;

    @Override
    public String code() {
      return "underhead." + name().toLowerCase(Locale.ROOT);
    }
  }

  public Form form() {
    return angleDeg < 12 ? Form.FLAT : angleDeg <= 22 ? Form.MID : Form.TULIP;
  }
}
