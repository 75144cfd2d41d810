package finebore.desk.controls;

import finebore.desk.session.JobSession;
import finebore.found.Measure;
import finebore.planning.WallPull;
import finebore.room.Room;
import finebore.space.Rim;
import java.util.OptionalDouble;

/** The mouse in the room round a valve: it holds the valve at Found, and its wall in a plan. */
final class RoomHand {

  /** What it holds. */
  private enum Held {
    NOTHING,
    VALVE,
    WALL
  }

  private final JobSession session;
  private final boolean movesValves;
  private Held held = Held.NOTHING;
  private double fromAlong;
  private double fromAcross;

  RoomHand(JobSession session, boolean movesValves) {
    this.session = session;
    this.movesValves = movesValves;
  }

  /**
   * Takes hold of what lies there.
   *
   * @param head edge of the valve's head
   */
  void press(Room room, double alongMm, double acrossMm, Rim head) {
    double x = alongMm - head.alongMm();
    double y = acrossMm - head.acrossMm();
    double out = Math.hypot(x, y);
    boolean onHead = out == 0 || out < head.reachMm(x / out, y / out);
    if (movesValves && onHead) {
      held = Held.VALVE;
      fromAlong = room.alongMm() - alongMm;
      fromAcross = room.acrossMm() - acrossMm;
    } else if (!movesValves && room.chamber().isPresent() && !onHead) {
      held = Held.WALL;
    } else {
      held = Held.NOTHING;
    }
  }

  boolean holdsWall() {
    return held == Held.WALL;
  }

  void drag(Room room, double alongMm, double acrossMm) {
    if (held == Held.VALVE) {
      String seat = session.seat().get().label();
      double along = tenth(alongMm + fromAlong);
      double across = tenth(acrossMm + fromAcross);
      session.edit(
          "drag-valve",
          job ->
              job.withHead(
                  job.head()
                      .withReading(seat, Measure.AXIS_ALONG, OptionalDouble.of(along))
                      .withReading(seat, Measure.AXIS_ACROSS, OptionalDouble.of(across))));
    } else if (held == Held.WALL) {
      double x = alongMm - room.alongMm();
      double y = acrossMm - room.acrossMm();
      double hour = Math.toDegrees(Math.atan2(x, y)) / 30;
      session.editPlan(
          "drag-wall",
          plan ->
              WallPull.on(
                  plan,
                  session.job(),
                  session.seat().get(),
                  room,
                  hour < 0 ? hour + 12 : hour,
                  Math.hypot(x, y)));
    }
  }

  void release() {
    held = Held.NOTHING;
    session.endGesture();
  }

  /** As fine as a hand on a screen. */
  private static double tenth(double mm) {
    return Math.round(10 * mm) / 10.0;
  }
}
