package finebore.planning;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.room.Around;
import finebore.room.ChamberOutline;
import finebore.room.ChamberWall;
import finebore.room.PortSide;
import finebore.room.Room;
import finebore.space.Rim;
import finebore.space.ValveHead;
import finebore.valve.Valve;
import finebore.work.ShopFigure;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * The room round a seat's valve as it was measured. Nothing is guessed: without the place of its
 * axis, read or told by distances, there is none, and walls and neighbours that nobody has measured
 * are not in it.
 */
public final class SeatRoom {

  private SeatRoom() {}

  /** As found, with the valves that were found beside it. */
  public static Optional<Room> found(Job job, SeatPlace place) {
    return of(job, place, job::foundValve);
  }

  /** After a plan: neighbours as planned, and the chamber as far back as it is swept. */
  public static Optional<Room> planned(Job job, SeatPlace place, Plan plan) {
    return of(job, place, p -> job.planOf(p).wanted().valve())
        .map(
            room ->
                room.withChamber(
                    room.chamber().map(wall -> WallsTaken.after(wall, plan.operations()))));
  }

  private static Optional<Room> of(Job job, SeatPlace place, Function<SeatPlace, Valve> valve) {
    SeatPlaces places = SeatPlaces.of(job, place.cylinder());
    return bare(job, place, places, neighbours(job, place, places, valve))
        .map(
            bare ->
                bare.withChamber(chamber(job, place, job.head().readingsOf(place.label()), bare)));
  }

  /** Where a seat's axis lies, with nothing round it but the bore. */
  static Optional<Room> bare(Job job, SeatPlace place) {
    return bare(job, place, SeatPlaces.of(job, place.cylinder()), List.of());
  }

  private static Optional<Room> bare(
      Job job, SeatPlace place, SeatPlaces places, List<ValveHead> neighbours) {
    Lean lean = job.leanOf(place);
    return places
        .at(place)
        .map(
            axis ->
                new Room(
                    axis.alongMm(),
                    axis.acrossMm(),
                    lean.alongDeg(),
                    lean.acrossDeg(),
                    job.engine().boreMm(),
                    Optional.empty(),
                    neighbours,
                    portSide(job, place)));
  }

  /**
   * As traced; otherwise by the gaps, which were measured from the edge of the valve that was
   * found, on its seat.
   */
  private static Optional<ChamberWall> chamber(
      Job job, SeatPlace place, SeatReadings readings, Room bare) {
    Optional<ChamberWall> traced = traced(job, place, bare);
    if (traced.isPresent()) {
      return traced;
    }
    Map<Double, Double> fromAxis = new TreeMap<>();
    Rim seen = headAsFound(job, place, bare).seen();
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k++) {
      OptionalDouble gap = readings.value(Measure.CHAMBER_WALL.get(k));
      if (gap.isPresent()) {
        Rim wall = seen.at(seen.alongMm() - bare.alongMm(), seen.acrossMm() - bare.acrossMm());
        double angle = 2 * Math.PI * k / Measure.CHAMBER_WALL.size();
        double ux = Math.sin(angle);
        double uy = Math.cos(angle);
        double out = wall.reachMm(ux, uy) + gap.getAsDouble();
        double along = wall.alongMm() + out * ux;
        double across = wall.acrossMm() + out * uy;
        fromAxis.put(hour(along, across, k), Math.hypot(along, across));
      }
    }
    return ChamberWall.of(fromAxis, depthsMm(job, place));
  }

  /**
   * The wall round a valve from the chamber's traced outline, taken as upright; empty without one,
   * and where the valve lies outside it.
   */
  static Optional<ChamberWall> traced(Job job, SeatPlace place, Room bare) {
    Optional<ChamberOutline> outline = job.head().chamber(place.cylinder());
    if (outline.isEmpty()) {
      return Optional.empty();
    }
    Rim seen = headAsFound(job, place, bare).seen();
    Map<Double, Double> fromAxis = new TreeMap<>();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      OptionalDouble at = outline.get().fromMm(bare.alongMm(), bare.acrossMm(), d);
      if (at.isEmpty() || outline.get().fromMm(seen.alongMm(), seen.acrossMm(), d).isEmpty()) {
        return Optional.empty();
      }
      fromAxis.put(Around.hour(d), at.getAsDouble());
    }
    return ChamberWall.of(fromAxis, depthsMm(job, place));
  }

  /** The valve that was found, on its seat: of it a caliper touches the edge that is seen. */
  public static ValveHead headAsFound(Job job, SeatPlace place, Room bare) {
    Valve valve = job.foundValve(place);
    return bare.head(valve.headDiameterMm() / 2, shutMm(job, place), valve.marginMm());
  }

  /** The hour of a place about the axis; of an upright valve the hour it was read at. */
  private static double hour(double along, double across, int read) {
    double asked = 12.0 * read / Measure.CHAMBER_WALL.size();
    double hour = 6 * Math.atan2(along, across) / Math.PI;
    double from0 = hour < 0 ? hour + 12 : hour;
    return Math.abs(from0 - asked) < 1e-9 || from0 >= 12 ? asked : from0;
  }

  /** Where a seat's port comes from, as read or as usual of its kind. */
  public static PortSide portSide(Job job, SeatPlace place) {
    OptionalDouble read = job.head().readingsOf(place.label()).value(Measure.PORT_CLOCK);
    return new PortSide(
        read.orElse(place.port() == Port.INTAKE ? PortSide.INTAKE_CLOCK : PortSide.EXHAUST_CLOCK),
        read.isPresent(),
        job.shop().value(ShopFigure.LONG_SIDE),
        job.shop().value(ShopFigure.SHORT_SIDE));
  }

  /** Whether a seat's valve lies within the outline that was traced of its chamber. */
  public static boolean isWithinOutline(Job job, SeatPlace place) {
    return bare(job, place).flatMap(b -> traced(job, place, b)).isPresent();
  }

  /** Height of a head's edge while it is shut, near enough: that of its seat as found, mm. */
  public static double shutMm(Job job, SeatPlace place) {
    return -job.foundSeat(place).seat().depthMm();
  }

  /** Depth of the chamber beside a valve; where nobody measured it, that of the seat. */
  public static double depthMm(Job job, SeatPlace place) {
    return job.head()
        .readingsOf(place.label())
        .value(Measure.CHAMBER_DEPTH)
        .orElseGet(() -> job.foundSeat(place).seat().depthMm());
  }

  /** The same by the clock where it was read so; otherwise as deep all round. */
  private static Map<Double, Double> depthsMm(Job job, SeatPlace place) {
    SeatReadings readings = job.head().readingsOf(place.label());
    Map<Double, Double> byHour = new TreeMap<>();
    for (int k = 0; k < Measure.DEPTHS_BY_CLOCK.size(); k++) {
      OptionalDouble depth = readings.value(Measure.DEPTHS_BY_CLOCK.get(k));
      if (depth.isPresent()) {
        byHour.put(12.0 * k / Measure.DEPTHS_BY_CLOCK.size(), depth.getAsDouble());
      }
    }
    return byHour.isEmpty() ? Map.of(0.0, depthMm(job, place)) : byHour;
  }

  private static List<ValveHead> neighbours(
      Job job, SeatPlace place, SeatPlaces places, Function<SeatPlace, Valve> valve) {
    List<ValveHead> all = new ArrayList<>();
    for (SeatPlace other : job.engine().seats()) {
      Optional<Room> bare = bare(job, other, places, List.of());
      if (!other.equals(place) && other.cylinder() == place.cylinder() && bare.isPresent()) {
        Valve its = valve.apply(other);
        all.add(bare.get().head(its.headDiameterMm() / 2, shutMm(job, other), its.marginMm()));
      }
    }
    return all;
  }
}
