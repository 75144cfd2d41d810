package finebore.machine;

/**
 * How a head is tilted so that a guide that leans two ways stands upright: first about the axis
 * along the head, then about the one across it, which has gone along with the first.
 *
 * @param acrossDeg first, about the axis along the head: takes out the lean across it, degrees
 * @param alongDeg then, about the axis across the head, degrees
 * @param leanDeg how far the guide leans in all, degrees
 * @param directionDeg toward where, from along the head toward the exhaust side, degrees
 */
public record CantTilt(double acrossDeg, double alongDeg, double leanDeg, double directionDeg) {

  /**
   * Works the tilts out.
   *
   * @param leanAlongDeg lean as seen across the head (in the plane along it), degrees
   * @param leanAcrossDeg lean as seen along the head (in the plane across it), degrees
   */
  public static CantTilt of(double leanAlongDeg, double leanAcrossDeg) {
    double along = Math.tan(Math.toRadians(leanAlongDeg));
    double across = Math.tan(Math.toRadians(leanAcrossDeg));
    double second = Math.atan(along * Math.cos(Math.toRadians(leanAcrossDeg)));
    return new CantTilt(
        leanAcrossDeg,
        Math.toDegrees(second),
        Math.toDegrees(Math.atan(Math.hypot(along, across))),
        Math.toDegrees(Math.atan2(across, along)));
  }
}
