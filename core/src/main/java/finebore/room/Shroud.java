package finebore.room;

import finebore.flow.Direction;
import finebore.room.Room.Gap;
import java.util.ArrayList;
import java.util.List;

/**
 * What the walls round a valve leave of its air at one lift: in each direction the area past the
 * head's edge against the gate's there, each with its discharge, and the whole circle's sum.
 *
 * <p>Gate and gap of a direction pass together what (1/gate^4 + 1/gap^4)^(-1/4) would: a wall far
 * off takes nothing, one at the head's edge all. The exponent is a choice, held against no bench;
 * with it a wall costs less than a hundredth from about where the rule of the trade ({@link
 * finebore.room.Unshrouding}) puts it.
 *
 * @param parts every direction from 12, clockwise
 * @param share of what the valve would pass without walls, 0 to 1
 */
public record Shroud(List<Part> parts, double share) {

  /** Discharge of the gate on the long side of the port; common practice, no source. */
  private static final double LONG_SIDE = 0.72;

  /** The same on the short side; common practice, no source. */
  private static final double SHORT_SIDE = 0.65;

  private static final double EXPONENT = 4;

  /** A wall that takes less is none. */
  public static final double FREE_SHARE = 0.99;

  /** A wall that leaves less shuts its direction. */
  private static final double SHUT_SHARE = 0.05;

  /** How the air gets away in a direction. */
  public enum State {
    FREE,
    TIGHT,
    SHUT
  }

  /**
   * One direction.
   *
   * @param passes share of what the gate would pass there without a wall
   */
  public record Part(Gap gap, double passes) {
    public State state() {
      return passes >= FREE_SHARE ? State.FREE : passes >= SHUT_SHARE ? State.TIGHT : State.SHUT;
    }
  }

  public Shroud {
    parts = List.copyOf(parts);
  }

  /**
   * Looks all round.
   *
   * @param edgeMm radius of the head
   * @param heightMm of its edge at this lift, along the axis from the head face
   * @param gateMm2 the gate at this lift, all round
   */
  public static Shroud of(
      Room room, double edgeMm, double heightMm, double gateMm2, Direction direction) {
    List<Part> parts = new ArrayList<>();
    double all = 0;
    double left = 0;
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      Gap gap = room.gap(d, edgeMm, heightMm);
      double discharge = discharge(d, direction);
      double passes = passes(discharge * gateMm2 / (2 * Math.PI), gap.perRadianMm2());
      parts.add(new Part(gap, passes));
      all += discharge;
      left += discharge * passes;
    }
    return new Shroud(parts, left / all);
  }

  /** Share of the gate's that is left behind a gap. */
  static double passes(double gate, double gap) {
    if (gap == 0) {
      return 0;
    }
    return Math.pow(1 + Math.pow(gate / gap, EXPONENT), -1 / EXPONENT);
  }

  /** The long side of an intake lies toward the exhausts, that of an exhaust toward the intakes. */
  static double discharge(int direction, Direction flow) {
    double towardExhausts = Math.cos(Around.angleRad(direction));
    if (Math.abs(towardExhausts) < 1e-9) {
      return (LONG_SIDE + SHORT_SIDE) / 2;
    }
    return towardExhausts > 0 == (flow == Direction.INTAKE) ? LONG_SIDE : SHORT_SIDE;
  }

  /** Area that a gap needs for each radian so that it takes no more than a hundredth. */
  static double freePerRadianMm2(double gateMm2, int direction, Direction flow) {
    double most = Math.pow(Math.pow(FREE_SHARE, -EXPONENT) - 1, 1 / EXPONENT);
    return discharge(direction, flow) * gateMm2 / (2 * Math.PI) / most;
  }

  /** Degrees of the circle in a state. */
  public double degrees(State state) {
    return 360.0 * parts.stream().filter(p -> p.state() == state).count() / parts.size();
  }
}
