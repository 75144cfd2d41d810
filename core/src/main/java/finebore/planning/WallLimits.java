package finebore.planning;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.room.Around;
import finebore.room.ChamberWall;
import finebore.room.Room;
import finebore.room.WallLimit;
import finebore.room.WallLimit.By;
import finebore.work.ShopFigure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * How far the wall of a chamber may go back round a valve: the fire ring always, the water where a
 * sonic gauge was held to the wall, the plug where its place was measured. Water and plug never ask
 * for a wall nearer than it stands.
 */
public final class WallLimits {

  private static final int HOURS_READ = Measure.WATER.size();

  private WallLimits() {}

  /** The nearest in every direction; each reading of water holds half the way to the next hour. */
  public static List<WallLimit> of(Job job, SeatPlace place, Room room) {
    return all(job, place, room).stream()
        .map(d -> d.stream().reduce(WallLimit::or).orElseThrow())
        .toList();
  }

  /** All in every direction, the fire ring's first. */
  public static List<List<WallLimit>> all(Job job, SeatPlace place, Room room) {
    Optional<ChamberWall> wall = SeatRoom.found(job, place).flatMap(Room::chamber);
    double ring = job.layout().fireRingMm() / 2 - job.shop().value(ShopFigure.FIRE_RING_MARGIN);
    return IntStream.range(0, Around.DIRECTIONS)
        .mapToObj(
            d -> {
              List<WallLimit> there = new ArrayList<>();
              there.add(new WallLimit(room.toCircleFromAxis(d, ring), By.FIRE_RING));
              if (wall.isPresent()) {
                double now = wall.get().atMm(d);
                water(job, place, now, d)
                    .ifPresent(mm -> there.add(new WallLimit(Math.max(now, mm), By.WATER)));
                plug(job, room, now, d)
                    .ifPresent(mm -> there.add(new WallLimit(Math.max(now, mm), By.PLUG)));
              }
              return there;
            })
        .toList();
  }

  /** Where the metal that must stay before the water begins, from the valve's axis, mm. */
  private static OptionalDouble water(Job job, SeatPlace place, double nowMm, int direction) {
    SeatReadings readings = job.head().readingsOf(place.label());
    int hour = Math.round((float) direction * HOURS_READ / Around.DIRECTIONS) % HOURS_READ;
    OptionalDouble metal = readings.value(Measure.WATER.get(hour));
    return metal.isPresent()
        ? OptionalDouble.of(nowMm + metal.getAsDouble() - job.shop().value(ShopFigure.WATER_MARGIN))
        : metal;
  }

  /** Where the metal round the plug's thread begins; not for a plug that stands in the chamber. */
  private static OptionalDouble plug(Job job, Room room, double nowMm, int direction) {
    if (job.head().layout().isEmpty()) {
      return OptionalDouble.empty();
    }
    HeadLayout layout = job.layout();
    double radius = layout.plugMm() / 2 + job.shop().value(ShopFigure.PLUG_MARGIN);
    double angle = Around.angleRad(direction);
    double ahead =
        (layout.plugXMm() - room.alongMm()) * Math.sin(angle)
            + (layout.plugYMm() - room.acrossMm()) * Math.cos(angle);
    return ahead > nowMm
        ? room.toDiscFromAxis(direction, layout.plugXMm(), layout.plugYMm(), radius)
        : OptionalDouble.empty();
  }
}
