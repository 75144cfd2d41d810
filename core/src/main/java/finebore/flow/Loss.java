package finebore.flow;

import finebore.section.Point;

/**
 * One part's share of what holds the air up at a lift.
 *
 * @param cause why
 * @param place where, in the trade's words
 * @param at where in the section
 * @param resistancePerMm4 its part of 1 / (effective area)^2, 1/mm4; negative where pressure is
 *     recovered
 * @param share its part of the whole, 1 for all
 */
public record Loss(Cause cause, String place, Point at, double resistancePerMm4, double share) {

  Loss plus(double morePerMm4) {
    return new Loss(cause, place, at, resistancePerMm4 + morePerMm4, share);
  }

  Loss withShareOf(double wholePerMm4) {
    return new Loss(cause, place, at, resistancePerMm4, resistancePerMm4 / wholePerMm4);
  }

  /** Why air is held up. */
  public enum Cause {
    /** The speed the air needs to pass the gate at all. */
    GATE("speed through the gate"),
    /** The seat side turns, so the jet narrows. */
    SEAT_CORNER("corner on the seat side"),
    /** The valve side turns, so the jet narrows. */
    VALVE_CORNER("corner on the valve side"),
    /** Rubbing along the land. */
    FRICTION("friction along the land"),
    /** Turning from the throat to the gate. */
    BEND("turn out of the throat"),
    /** The throat's sharp edge narrows the stream before it reaches the gate. */
    LIP("sharp edge below the seat"),
    /** A ridge in the way of the jet. */
    RIDGE("ridge in the stream"),
    /** A widening passage gives pressure back. */
    RECOVERY("pressure recovered past the gate"),
    /** The port behind the throat. */
    PORT("the port");

    private final String words;

    Cause(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
