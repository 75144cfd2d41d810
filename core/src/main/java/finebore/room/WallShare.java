package finebore.room;

import java.util.List;

/**
 * What walls beside a valve leave of its seat's flow at one lift. How they cost is a choice, held
 * against no bench, so that what two other choices would make of it goes with it.
 *
 * @param share of what the valve would pass without walls, 0 to 1
 * @param extremes the same by each of {@link Shroud#EXPONENTS}
 */
public record WallShare(double share, List<Double> extremes) {

  /** Nobody has measured any. */
  public static final WallShare NONE = new WallShare(1, List.of(1.0, 1.0));

  public WallShare {
    extremes = List.copyOf(extremes);
  }
}
