package finebore.flow;

import finebore.code.Coded;
import java.util.Locale;

/**
 * One part's share of what holds the air up at a lift.
 *
 * @param cause what holds it up
 * @param resistancePerMm4 its part of 1 / (effective area)^2, 1/mm4
 * @param share its part of the whole, 1 for all
 */
public record Loss(Cause cause, double resistancePerMm4, double share) {

  /** What holds the air up. Where in the seat it does, only the solved air can tell. */
  public enum Cause implements Coded {
    /** Seat and valve, with the speed that the air needs to pass them. */
    SEAT,
    /** Walls beside the valve. */
    WALL,
    /** The port behind the throat. */
    PORT;

    @Override
    public String code() {
      return "loss." + name().toLowerCase(Locale.ROOT);
    }
  }
}
