package finebore.room;

/**
 * Directions round a valve as a clock: the head seen from its chamber, 12 toward the exhaust side
 * of the head, 3 along it, the hours clockwise.
 */
public final class Around {

  /** Directions in which room is looked at: every five degrees. */
  public static final int DIRECTIONS = 72;

  private Around() {}

  /** Angle of a direction from 12, clockwise, rad. */
  public static double angleRad(int direction) {
    return 2 * Math.PI * direction / DIRECTIONS;
  }

  /** The hour of a direction, 0 to 12. */
  public static double hour(int direction) {
    return 12.0 * direction / DIRECTIONS;
  }
}
