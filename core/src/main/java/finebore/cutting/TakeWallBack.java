package finebore.cutting;

import finebore.quantity.Quantity;
import java.util.List;

/**
 * Takes the chamber's wall back beside a valve, by hand or with a sweep, straight up to the head
 * face. It leaves the seat's section as it is.
 *
 * @param fromClock where it begins, clockwise as seen from the chamber, 12 toward the exhaust side
 * @param toClock where it ends; the same for all round
 * @param wallMm how far the wall stands from the valve's axis then, at least
 */
public record TakeWallBack(double fromClock, double toClock, double wallMm) implements Operation {

  /** All round, to begin with. */
  public static final TakeWallBack USUAL = new TakeWallBack(0, 12, 25);

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          OperationSetting.number(
              TakeWallBack.class,
              "fromClock",
              Quantity.WALL_CLOCK,
              TakeWallBack::fromClock,
              (o, hour) -> new TakeWallBack(hour, o.toClock, o.wallMm)),
          OperationSetting.number(
              TakeWallBack.class,
              "toClock",
              Quantity.WALL_CLOCK,
              TakeWallBack::toClock,
              (o, hour) -> new TakeWallBack(o.fromClock, hour, o.wallMm)),
          OperationSetting.number(
              TakeWallBack.class,
              "wallMm",
              Quantity.WALL_RADIUS,
              TakeWallBack::wallMm,
              (o, mm) -> new TakeWallBack(o.fromClock, o.toClock, mm)));

  public TakeWallBack {
    Quantity.WALL_CLOCK.check(fromClock);
    Quantity.WALL_CLOCK.check(toClock);
    Quantity.WALL_RADIUS.check(wallMm);
  }

  /** Whether it works at an hour. */
  public boolean isAt(double hour) {
    double way = turn(toClock - fromClock);
    return way == 0 || turn(hour - fromClock) <= way;
  }

  private static double turn(double hours) {
    double rest = hours % 12;
    return rest < 0 ? rest + 12 : rest;
  }

  @Override
  public String key() {
    return "takeWallBack";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public TakeWallBack set(SettingValues v) {
    return new TakeWallBack(v.number("fromClock"), v.number("toClock"), v.number("wallMm"));
  }

  @Override
  public void carryOut(Workpiece on) {
    on.shape(Workpiece.Stroke.byHand(this), (metal, isMean) -> metal);
  }
}
