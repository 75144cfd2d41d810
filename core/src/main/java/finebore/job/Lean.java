package finebore.job;

/**
 * How a valve's axis leans from upright.
 *
 * @param alongDeg along the head: how the valve goes aside as it opens
 * @param acrossDeg toward the exhaust side
 */
public record Lean(double alongDeg, double acrossDeg) {

  /** How far along the head a point of the axis lies from where it meets the head face, mm. */
  public double alongMm(double heightMm) {
    return heightMm * Math.tan(Math.toRadians(alongDeg));
  }

  /** The same across the head. */
  public double acrossMm(double heightMm) {
    return heightMm * Math.tan(Math.toRadians(acrossDeg));
  }
}
