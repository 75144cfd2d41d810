package finebore.planning;

import finebore.cutting.Operation;
import finebore.cutting.SweepChamber;
import finebore.cutting.TakeWallBack;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.room.Around;
import finebore.room.ChamberWall;
import finebore.room.Room;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** What a plan takes of the chamber's wall beside a valve. */
final class WallsTaken {

  private WallsTaken() {}

  /** The wall after a plan's operations; what has not been measured stays unknown. */
  static ChamberWall after(ChamberWall wall, List<Operation> operations) {
    ChamberWall left = wall;
    for (Operation operation : operations) {
      if (operation instanceof SweepChamber sweep) {
        NavigableMap<Double, Double> back = new TreeMap<>(left.fromAxisMm());
        back.replaceAll((hour, mm) -> Math.max(mm, sweep.reachDiameterMm() / 2));
        left = left.withFromAxis(back);
      } else if (operation instanceof TakeWallBack taken) {
        // The hours at which it was measured lie too far apart for where the work ends.
        NavigableMap<Double, Double> back = new TreeMap<>();
        for (int d = 0; d < Around.DIRECTIONS; d++) {
          double now = left.atMm(d);
          back.put(
              Around.hour(d), taken.isAt(Around.hour(d)) ? Math.max(now, taken.wallMm()) : now);
        }
        left = left.withFromAxis(back);
      }
    }
    return left;
  }

  private static List<Operation> byHand(Plan plan) {
    return plan.operations().stream().filter(TakeWallBack.class::isInstance).toList();
  }

  /**
   * Metal that goes with the walls, mm3: the ring between the wall before and after, as high as the
   * chamber is deep. A sweep is in the seat's section and not counted here.
   */
  static double volumeMm3(Job job, SeatPlace place, Plan plan) {
    List<Operation> taken = byHand(plan);
    Optional<ChamberWall> wall =
        taken.isEmpty() ? Optional.empty() : SeatRoom.found(job, place).flatMap(Room::chamber);
    if (wall.isEmpty()) {
      return 0;
    }
    ChamberWall after = after(wall.get(), taken);
    double step = 2 * Math.PI / Around.DIRECTIONS;
    return IntStream.range(0, Around.DIRECTIONS)
        .mapToDouble(
            d ->
                wall.get().depthAtMm(d)
                    * step
                    / 2
                    * (after.atMm(d) * after.atMm(d) - wall.get().atMm(d) * wall.get().atMm(d)))
        .sum();
  }

  /**
   * From the wall that is taken back to the gasket's fire ring where it is least, mm; empty where
   * none is, or nobody has measured where the valve lies.
   */
  static OptionalDouble toFireRingMm(Job job, SeatPlace place, Plan plan) {
    List<Operation> taken = byHand(plan);
    Optional<Room> room = taken.isEmpty() ? Optional.empty() : SeatRoom.found(job, place);
    if (room.isEmpty()) {
      return OptionalDouble.empty();
    }
    double ring = job.layout().fireRingMm() / 2;
    return taken.stream()
        .map(TakeWallBack.class::cast)
        .flatMapToDouble(
            t ->
                IntStream.range(0, Around.DIRECTIONS)
                    .filter(d -> t.isAt(Around.hour(d)))
                    .mapToDouble(
                        d ->
                            ring
                                - Math.hypot(
                                    room.get().alongMm()
                                        + t.wallMm() * Math.sin(Around.angleRad(d)),
                                    room.get().acrossMm()
                                        + t.wallMm() * Math.cos(Around.angleRad(d)))))
        .min();
  }
}
