package finebore.room;

import finebore.room.Room.Gap;
import finebore.space.Rim;
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

  /** The exponent to go by, a choice. */
  public static final double EXPONENT = 4;

  /** Between these it may lie: what walls are said to cost spans what either would make of them. */
  public static final List<Double> EXPONENTS = List.of(2.0, 8.0);

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
  public static Shroud of(Room room, double edgeMm, double heightMm, double gateMm2) {
    return of(room, edgeMm, heightMm, gateMm2, EXPONENT);
  }

  /** The same by another exponent. */
  public static Shroud of(
      Room room, double edgeMm, double heightMm, double gateMm2, double exponent) {
    Rim rim = room.rim(edgeMm, heightMm);
    List<Part> parts = new ArrayList<>();
    double all = 0;
    double left = 0;
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      Gap gap = room.gap(rim, Around.angleRad(d));
      double discharge = room.portSide().discharge(Around.angleRad(d));
      double passes = passes(discharge * gateMm2 / (2 * Math.PI), gap.perRadianMm2(), exponent);
      parts.add(new Part(gap, passes));
      all += discharge;
      left += discharge * passes;
    }
    return new Shroud(parts, left / all);
  }

  /** Share of the gate's that is left behind a gap. */
  static double passes(double gate, double gap) {
    return passes(gate, gap, EXPONENT);
  }

  private static double passes(double gate, double gap, double exponent) {
    return gap == 0 ? 0 : Math.pow(1 + Math.pow(gate / gap, exponent), -1 / exponent);
  }

  /** Area that a gap needs for each radian so that it takes no more than a hundredth. */
  static double freePerRadianMm2(double gateMm2, double discharge) {
    double most = Math.pow(Math.pow(FREE_SHARE, -EXPONENT) - 1, 1 / EXPONENT);
    return discharge * gateMm2 / (2 * Math.PI) / most;
  }

  /** Degrees of the circle in a state. */
  public double degrees(State state) {
    return 360.0 * parts.stream().filter(p -> p.state() == state).count() / parts.size();
  }
}
