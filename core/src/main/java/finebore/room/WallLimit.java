package finebore.room;

/**
 * How far a chamber's wall may go back in a direction.
 *
 * @param mm from the valve's axis
 * @param by what stands there
 */
public record WallLimit(double mm, By by) {

  /** What stops a wall. */
  public enum By {
    /** The gasket's fire ring, less the shop's margin. */
    FIRE_RING,
    /** The water behind it, by the metal that was read there, less the shop's margin. */
    WATER,
    /** The plug's thread with the metal that it needs round it. */
    PLUG
  }

  /** The nearer of two. */
  public WallLimit or(WallLimit other) {
    return other.mm < mm ? other : this;
  }
}
