package finebore.flow;

import finebore.code.Coded;
import finebore.section.Place;
import finebore.section.Point;
import java.util.Locale;

/**
 * One part's share of what holds the air up at a lift.
 *
 * @param cause why
 * @param place where
 * @param at where in the section
 * @param resistancePerMm4 its part of 1 / (effective area)^2, 1/mm4; negative where pressure is
 *     recovered
 * @param share its part of the whole, 1 for all
 */
public record Loss(Cause cause, Place place, Point at, double resistancePerMm4, double share) {

  Loss plus(double morePerMm4) {
    return new Loss(cause, place, at, resistancePerMm4 + morePerMm4, share);
  }

  Loss times(double factor) {
    return new Loss(cause, place, at, factor * resistancePerMm4, share);
  }

  Loss withShareOf(double wholePerMm4) {
    return new Loss(cause, place, at, resistancePerMm4, resistancePerMm4 / wholePerMm4);
  }

  /** Why air is held up. */
  public enum Cause implements Coded {
    /** The speed the air needs to pass the gate at all. */
    GATE,
    /** The seat side turns, so the jet narrows. */
    SEAT_CORNER,
    /** The valve side turns, so the jet narrows. */
    VALVE_CORNER,
    /** Rubbing along the land. */
    FRICTION,
    /** Turning from the throat to the gate. */
    BEND,
    /** The throat's sharp edge narrows the stream before it reaches the gate. */
    LIP,
    /** A ridge in the way of the jet. */
    RIDGE,
    /** A widening passage gives pressure back. */
    RECOVERY,
    /** A wall beside the valve. */
    WALL,
    /** The port behind the throat. */
    PORT;

    @Override
    public String code() {
      return "loss." + name().toLowerCase(Locale.ROOT);
    }
  }
}
