package finebore.flow;

/**
 * Where low lift ends and high lift begins, as lift over valve diameter.
 *
 * @param lowTo end of low lift
 * @param midTo end of mid lift
 */
public record Bands(double lowTo, double midTo) {

  /** Low below 0.12, mid to 0.25, high above; common practice, no source. */
  public static final Bands USUAL = new Bands(0.12, 0.25);

  /** The three bands. */
  public enum Band {
    LOW,
    MID,
    HIGH
  }

  public Bands {
    if (!(lowTo > 0 && midTo > lowTo && midTo < 2)) {
      throw new IllegalArgumentException(
          "band limits must rise and lie between 0 and 2 valve diameters, were "
              + lowTo
              + " and "
              + midTo);
    }
  }

  public Band of(double liftMm, double valveDiameterMm) {
    double ratio = liftMm / valveDiameterMm;
    return ratio < lowTo ? Band.LOW : ratio < midTo ? Band.MID : Band.HIGH;
  }
}
