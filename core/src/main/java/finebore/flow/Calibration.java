package finebore.flow;

import java.util.OptionalInt;

/**
 * What a bench test of the head would tell about the port.
 *
 * @param portLoss loss of the port behind the throat, in throat velocity heads, 0 or more
 * @param factor one overall factor on the effective area, near 1
 * @param source number of the flow test it was fitted to; empty when it was not
 */
public record Calibration(double portLoss, double factor, OptionalInt source) {

  /**
   * Loss assumed for a port nobody has tested: a plain bent port of a two-valve head lies around
   * half a velocity head. Common practice, no source: trust the change, not the figure.
   */
  public static final Calibration UNCALIBRATED = new Calibration(0.5, 1, OptionalInt.empty());

  /** No port at all: a seat on a plenum, as the orientation figures were worked out. */
  public static final Calibration SEAT_ALONE = new Calibration(0, 1, OptionalInt.empty());

  public Calibration {
    if (!(portLoss >= 0 && portLoss < 100)) {
      throw new IllegalArgumentException("portLoss: " + portLoss);
    }
    if (!(factor > 0.2 && factor < 5)) {
      throw new IllegalArgumentException("factor: " + factor);
    }
  }

  public boolean isCalibrated() {
    return source.isPresent();
  }

  /**
   * Whether the test flows more than seat and valve alone would by the model: its port was held at
   * none, and says nothing of what holds the air up where.
   */
  public boolean isHeldAtNone() {
    return isCalibrated() && portLoss == 0;
  }
}
