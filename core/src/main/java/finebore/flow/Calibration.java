package finebore.flow;

/**
 * What a bench test of the head would tell about the port.
 *
 * @param portLoss loss of the port behind the throat, in throat velocity heads, 0 or more
 * @param factor one overall factor on the effective area, near 1
 * @param source what it was fitted to; empty when it was not
 */
public record Calibration(double portLoss, double factor, java.util.Optional<String> source) {

  /**
   * Loss assumed for a port nobody has tested: a plain bent port of a two-valve head lies around
   * half a velocity head. Common practice, no source: trust the change, not the figure.
   */
  public static final Calibration UNCALIBRATED =
      new Calibration(0.5, 1, java.util.Optional.empty());

  /** No port at all: a seat on a plenum, as the orientation figures were worked out. */
  public static final Calibration SEAT_ALONE = new Calibration(0, 1, java.util.Optional.empty());

  public Calibration {
    if (!(portLoss >= 0 && portLoss < 100)) {
      throw new IllegalArgumentException(
          "port loss must be 0 to 100 velocity heads, was " + portLoss);
    }
    if (!(factor > 0.2 && factor < 5)) {
      throw new IllegalArgumentException("calibration factor must be 0.2 to 5, was " + factor);
    }
  }

  public boolean isCalibrated() {
    return source.isPresent();
  }
}
