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
import finebore.room.Unshrouding;
import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.TreeSet;
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
        left = taken(left, taken);
      }
    }
    return left;
  }

  /** Its ends lie this far to either side of an hour, in hours: the step there is steep. */
  private static final double STEP = 1e-6;

  /** At every direction, and on both sides of where the work begins and ends. */
  private static ChamberWall taken(ChamberWall wall, TakeWallBack taken) {
    NavigableMap<Double, Double> back = new TreeMap<>();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      put(back, wall, taken, Around.hour(d));
    }
    for (double hour : wall.fromAxisMm().keySet()) {
      put(back, wall, taken, hour);
    }
    for (double end : new double[] {taken.fromClock(), taken.toClock()}) {
      put(back, wall, taken, end - STEP);
      put(back, wall, taken, end + STEP);
    }
    return wall.withFromAxis(back);
  }

  private static void put(
      NavigableMap<Double, Double> back, ChamberWall wall, TakeWallBack taken, double hour) {
    double on = (hour % 12 + 12) % 12;
    double now = wall.atHourMm(on);
    back.put(on, taken.isAt(on) ? Math.max(now, taken.wallMm()) : now);
  }

  private static List<Operation> byHand(Plan plan) {
    return plan.operations().stream().filter(TakeWallBack.class::isInstance).toList();
  }

  /**
   * Metal that goes with the walls, mm3: the ring between the wall before and after, as high as the
   * chamber is deep. A sweep is in the seat's section and not counted here.
   */
  static double volumeMm3(Job job, SeatPlace place, Plan plan) {
    return volumeMm3(job, place, byHand(plan));
  }

  private static double volumeMm3(Job job, SeatPlace place, List<Operation> taken) {
    Optional<ChamberWall> wall =
        taken.isEmpty() ? Optional.empty() : SeatRoom.found(job, place).flatMap(Room::chamber);
    return wall.map(w -> volumeMm3(w, after(w, taken))).orElse(0.0);
  }

  /**
   * What one operation of a plan takes of the walls, mm3, after those before it; empty where it
   * works on none, or nobody has measured them.
   *
   * @param at its place among the plan's operations
   */
  static OptionalDouble volumeMm3(Job job, SeatPlace place, Plan plan, int at) {
    if (!(plan.operations().get(at) instanceof TakeWallBack)
        || SeatRoom.found(job, place).flatMap(Room::chamber).isEmpty()) {
      return OptionalDouble.empty();
    }
    List<Operation> before =
        plan.operations().subList(0, at).stream().filter(TakeWallBack.class::isInstance).toList();
    List<Operation> with = new ArrayList<>(before);
    with.add(plan.operations().get(at));
    return OptionalDouble.of(volumeMm3(job, place, with) - volumeMm3(job, place, before));
  }

  /**
   * The radius that the rule of the trade asks for where an operation works, the largest; empty
   * where nobody has measured the wall.
   */
  static OptionalDouble ruleMm(CutStudy cut, TakeWallBack taken) {
    Optional<Room> room = SeatRoom.found(cut.job(), cut.place());
    Optional<ChamberWall> wall = room.flatMap(Room::chamber);
    double edge = cut.plan().wanted().valve().headDiameterMm() / 2;
    return wall.isEmpty()
        ? OptionalDouble.empty()
        : IntStream.range(0, Around.DIRECTIONS)
            .filter(d -> taken.isAt(Around.hour(d)))
            .mapToDouble(
                d ->
                    Unshrouding.radius(
                        edge,
                        wall.get().depthAtMm(d),
                        room.get().portSide().discharge(Around.angleRad(d))))
            .max();
  }

  /** Between two walls of the same depth: over each hour both are straight, Simpson is exact. */
  static double volumeMm3(ChamberWall before, ChamberWall after) {
    NavigableSet<Double> hours = new TreeSet<>(before.fromAxisMm().keySet());
    hours.addAll(after.fromAxisMm().keySet());
    hours.addAll(before.depthsMm().keySet());
    double sum = 0;
    for (double from : hours) {
      Double next = hours.higher(from);
      double to = next == null ? hours.first() + 12 : next;
      sum +=
          (to - from)
              / 6
              * (slice(before, after, from)
                  + 4 * slice(before, after, (from + to) / 2)
                  + slice(before, after, to));
    }
    return sum * Math.PI / 6;
  }

  /** For each radian. */
  private static double slice(ChamberWall before, ChamberWall after, double hour) {
    double at = hour % 12;
    double was = before.atHourMm(at);
    double is = after.atHourMm(at);
    return before.depthAtHourMm(at) / 2 * (is * is - was * was);
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
