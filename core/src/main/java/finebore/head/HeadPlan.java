package finebore.head;

import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.planning.SeatPlaces;
import finebore.planning.SeatRoom;
import finebore.planning.UsualPlace;
import finebore.room.Around;
import finebore.room.AxisPlace;
import finebore.room.ChamberOutline;
import finebore.room.ChamberWall;
import finebore.room.Room;
import finebore.space.Rim;
import finebore.space.ValveHead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * The head seen from the chamber, to scale: x along the head, y across it toward the exhausts, mm.
 *
 * @param bores every bore, head by head
 * @param valves every valve
 */
public record HeadPlan(List<Bore> bores, List<ValvePlace> valves) {

  /** A place in the plan view, mm. */
  public record Spot(double x, double y) {
    Spot plus(double dx, double dy) {
      return new Spot(x + dx, y + dy);
    }

    public double distanceTo(Spot other) {
      return Math.hypot(other.x - x, other.y - y);
    }
  }

  /**
   * A bore with what belongs to it.
   *
   * @param cylinder number from 1
   * @param chamber outline of its chamber: where every valve's wall was measured, by these;
   *     otherwise taken round valves and plug
   * @param chamberMeasured whether it is the measured one
   */
  public record Bore(
      int cylinder,
      Spot centre,
      double boreMm,
      double fireRingMm,
      Spot plug,
      double plugMm,
      List<Spot> chamber,
      boolean chamberMeasured) {
    public Bore {
      chamber = List.copyOf(chamber);
    }
  }

  /**
   * A valve, shut.
   *
   * @param axis where its axis meets the head face
   * @param centre the middle of its head, which a leaning axis carries aside
   * @param rim the edge of its head that is seen, as planned
   * @param headMm diameter of its head as planned
   * @param throatMm throat as found
   * @param tiltDeg lean of its guide, positive toward the exhaust side
   */
  public record ValvePlace(
      SeatPlace place,
      Spot axis,
      Spot centre,
      List<Spot> rim,
      double headMm,
      double throatMm,
      double tiltDeg) {
    public ValvePlace {
      rim = List.copyOf(rim);
    }
  }

  /** Room between two heads that stand side by side, in bores. */
  private static final double BETWEEN_HEADS = 1.5;

  /** Metal round the plug that the chamber takes in, mm. */
  private static final double ROUND_PLUG_MM = 3;

  public HeadPlan {
    bores = List.copyOf(bores);
    valves = List.copyOf(valves);
  }

  /**
   * Lays a job's head out. Intake and exhaust of a cylinder lie as far from the bore's axis and
   * from each other as was measured, on the side away from the plug; what was not measured is taken
   * from the valves' sizes.
   */
  public static HeadPlan of(Job job) {
    HeadLayout layout = job.layout();
    Engine engine = job.engine();
    List<Bore> bores = new ArrayList<>();
    List<ValvePlace> valves = new ArrayList<>();
    for (int cylinder = 1; cylinder <= engine.cylinders(); cylinder++) {
      int row = (cylinder - 1) / layout.cylindersPerHead();
      int column = (cylinder - 1) % layout.cylindersPerHead();
      Spot centre =
          new Spot(column * layout.boreSpacingMm(), -row * BETWEEN_HEADS * engine.boreMm());
      List<ValvePlace> own = new ArrayList<>();
      for (SeatPlace place : engine.seats()) {
        if (place.cylinder() == cylinder) {
          own.add(valve(job, place, centre));
        }
      }
      valves.addAll(own);
      Spot plug = centre.plus(layout.plugXMm(), layout.plugYMm());
      Optional<List<Spot>> measured = measured(job, own, centre);
      bores.add(
          new Bore(
              cylinder,
              centre,
              engine.boreMm(),
              layout.fireRingMm(),
              plug,
              layout.plugMm(),
              measured.orElseGet(() -> chamber(own, plug, layout)),
              measured.isPresent()));
    }
    return new HeadPlan(bores, valves);
  }

  /** The chamber as traced, or what the walls round all valves of a bore take in together. */
  private static Optional<List<Spot>> measured(Job job, List<ValvePlace> valves, Spot bore) {
    Optional<ChamberOutline> traced =
        valves.stream().findFirst().flatMap(v -> job.head().chamber(v.place().cylinder()));
    if (traced.isPresent()) {
      return Optional.of(
          traced.get().corners().stream().map(c -> bore.plus(c.alongMm(), c.acrossMm())).toList());
    }
    List<List<Spot>> outlines = new ArrayList<>();
    for (ValvePlace valve : valves) {
      Optional<Room> room = SeatRoom.found(job, valve.place());
      Optional<ChamberWall> wall = room.flatMap(Room::chamber);
      if (wall.isEmpty()) {
        return Optional.empty();
      }
      Spot axis = bore.plus(room.get().alongMm(), room.get().acrossMm());
      outlines.add(round(axis, d -> wall.get().atMm(d)));
    }
    return together(outlines);
  }

  /** A line round a valve's axis, by its distance in each direction. */
  public static List<Spot> round(Spot axis, IntToDoubleFunction fromAxisMm) {
    List<Spot> outline = new ArrayList<>();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      double r = fromAxisMm.applyAsDouble(d);
      double angle = Around.angleRad(d);
      outline.add(axis.plus(r * Math.sin(angle), r * Math.cos(angle)));
    }
    return outline;
  }

  /** The outside of what several outlines take in; empty where they do not all meet. */
  public static Optional<List<Spot>> together(List<List<Spot>> outlines) {
    GeometryFactory factory = new GeometryFactory();
    Geometry all = factory.createPolygon();
    for (List<Spot> outline : outlines) {
      Coordinate[] ring = new Coordinate[outline.size() + 1];
      for (int k = 0; k <= outline.size(); k++) {
        Spot spot = outline.get(k % outline.size());
        ring[k] = new Coordinate(spot.x(), spot.y());
      }
      // Walls read beside a valve that leans far may cross themselves.
      Geometry one = GeometryFixer.fix(factory.createPolygon(ring));
      all = OverlayNGRobust.overlay(all, one, OverlayNG.UNION);
    }
    return all instanceof Polygon whole && !whole.isEmpty()
        ? Optional.of(spots(whole.getExteriorRing()))
        : Optional.empty();
  }

  private static List<Spot> spots(Geometry line) {
    List<Spot> spots = new ArrayList<>();
    for (Coordinate c : line.getCoordinates()) {
      spots.add(new Spot(c.getX(), c.getY()));
    }
    return spots;
  }

  /** The hull of discs a little larger than the valves' heads and the plug. */
  private static List<Spot> chamber(List<ValvePlace> valves, Spot plug, HeadLayout layout) {
    GeometryFactory factory = new GeometryFactory();
    Geometry discs = disc(factory, plug, layout.plugMm() / 2 + ROUND_PLUG_MM);
    for (ValvePlace valve : valves) {
      Coordinate[] rim =
          valve.rim().stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
      discs =
          discs.union(
              factory.createMultiPointFromCoords(rim).convexHull().buffer(UsualPlace.APART_MM));
    }
    return spots(discs.convexHull());
  }

  private static Geometry disc(GeometryFactory factory, Spot centre, double radius) {
    return factory.createPoint(new Coordinate(centre.x(), centre.y())).buffer(radius);
  }

  private static ValvePlace valve(Job job, SeatPlace place, Spot bore) {
    AxisPlace axis =
        SeatPlaces.of(job, place.cylinder()).at(place).orElseGet(() -> UsualPlace.of(job, place));
    Lean lean = job.leanOf(place);
    Valve valve = job.planOf(place).wanted().valve();
    Rim seen =
        new ValveHead(
                axis.alongMm(),
                axis.acrossMm(),
                lean.alongDeg(),
                lean.acrossDeg(),
                valve.headDiameterMm() / 2,
                SeatRoom.shutMm(job, place),
                valve.marginMm())
            .seen();
    return new ValvePlace(
        place,
        bore.plus(axis.alongMm(), axis.acrossMm()),
        bore.plus(seen.alongMm(), seen.acrossMm()),
        outline(seen, bore),
        valve.headDiameterMm(),
        job.group(place.port()).found().seat().throatDiameterMm(),
        lean.acrossDeg());
  }

  /** An edge in space as it is seen from the chamber: an ellipse where it leans. */
  public static List<Spot> outline(Rim rim, Spot bore) {
    return IntStream.range(0, Around.DIRECTIONS)
        .mapToObj(d -> rim.toward(Around.angleRad(d)))
        .map(p -> bore.plus(p.alongMm(), p.acrossMm()))
        .toList();
  }
}
