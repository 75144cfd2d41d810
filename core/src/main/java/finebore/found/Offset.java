package finebore.found;

/**
 * How far something lies off the guide axis, and toward where.
 *
 * @param mm distance, 0 or more
 * @param clock hours on a clock face seen from the chamber
 */
public record Offset(double mm, double clock) {

  public static final Offset NONE = new Offset(0, 12);

  /** Its share toward a clock position, mm; negative on the far side. */
  public double toward(double otherClock) {
    return mm * Math.cos((otherClock - clock) * Math.PI / 6);
  }
}
