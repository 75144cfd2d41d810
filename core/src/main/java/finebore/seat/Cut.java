package finebore.seat;

import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.List;

/**
 * One conical cut, of a seat or on the back of a valve.
 *
 * @param angleDeg degrees from the plane at right angles to the guide: 0 is flat, 90 a cylinder
 * @param widthMm width along the cut, mm; 0 is a cut that is not there yet
 */
public record Cut(double angleDeg, double widthMm) implements Element {

  public Cut {
    Quantity.CUT_ANGLE.check(angleDeg);
    Quantity.CUT_WIDTH.check(widthMm);
  }

  @Override
  public List<Cut> cuts() {
    return List.of(this);
  }

  @Override
  public Term term() {
    return Term.angle(angleDeg);
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
}
