package finebore.drawing;

import finebore.cutting.Cutting;
import finebore.cutting.Metal;
import finebore.cutting.Seating.Contact;
import finebore.cutting.SectionDifference;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.flow.Gate;
import finebore.found.Ring;
import finebore.found.WaterReading;
import finebore.planning.SeatOutcome;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.study.ReadingKind;
import finebore.study.SeatFit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What of a seat is looked at, whoever draws it: the metal as it is by then, what went, and a
 * valve.
 *
 * @param seat whose
 * @param metal the metal and its ring
 * @param wall its wall, from the chamber to the port
 * @param before the wall it is compared with; empty where nothing has been done
 * @param removed outlines of the metal that went
 * @param lacking outlines of metal that is wanted and not there
 * @param fit the valve on it; empty for none
 * @param liftMm how far that stands open
 */
public record SectionScene(
    SeatOutcome seat,
    Metal metal,
    Profile wall,
    Optional<Profile> before,
    List<List<Point>> removed,
    List<List<Point>> lacking,
    Optional<SeatFit> fit,
    double liftMm) {

  /** Valves nearer to their seat than this are not drawn twice, mm. */
  private static final double OPEN_MM = 0.05;

  /** A neighbour's ring is drawn so far into its metal, mm. */
  private static final double NEIGHBOUR_MM = 3;

  public SectionScene {
    removed = List.copyOf(removed);
    lacking = List.copyOf(lacking);
  }

  /** A seat as found. */
  public static SectionScene found(SeatOutcome seat, SeatFit fit, double liftMm) {
    return new SectionScene(
        seat,
        seat.cut().cutting().metalAfter(0),
        fit.seat().profile(),
        Optional.empty(),
        List.of(),
        List.of(),
        Optional.of(fit),
        liftMm);
  }

  /** A seat after all its operations, against how it was found. */
  public static SectionScene finished(SeatOutcome seat, double liftMm) {
    Cutting cutting = seat.cut().cutting();
    int all = cutting.steps().size();
    return after(
        seat,
        all,
        seat.cut().fit(),
        SectionDifference.between(cutting.metalAfter(0).wall(), cutting.metalAfter(all).wall()),
        liftMm);
  }

  /**
   * A seat after some of its operations, against how it was found.
   *
   * @param count how many
   * @param fit the planned valve on it
   * @param difference what went
   */
  public static SectionScene after(
      SeatOutcome seat, int count, SeatFit fit, SectionDifference difference, double liftMm) {
    Cutting cutting = seat.cut().cutting();
    return new SectionScene(
        seat,
        cutting.metalAfter(count),
        fit.seat().profile(),
        Optional.of(cutting.metalAfter(0).wall()),
        difference.removed(),
        seat.cut().lacking().outlines(),
        Optional.of(fit),
        liftMm);
  }

  /**
   * What one operation takes away, without a valve.
   *
   * @param place which, from 0
   */
  static SectionScene operation(SeatOutcome seat, int place) {
    Cutting cutting = seat.cut().cutting();
    Profile before = cutting.metalAfter(place).wall();
    Metal after = cutting.metalAfter(place + 1);
    return new SectionScene(
        seat,
        after,
        after.wall(),
        Optional.of(before),
        SectionDifference.between(before, after.wall()).removed(),
        List.of(),
        Optional.empty(),
        0);
  }

  /**
   * Its outlines, from the back to the front.
   *
   * @param window what can be seen; metal goes on beyond its edge
   * @param planned whether the wall that is wanted is drawn beside the one that is left
   */
  public List<Item> items(Box window, boolean planned) {
    List<Item> items = new ArrayList<>();
    if (window.minX() <= 0) {
      items.add(
          Outline.line(
              DrawingLayer.AXIS, new Point(0, window.minY()), new Point(0, window.maxY())));
    }
    items.add(new Outline(DrawingLayer.METAL, metalOutline(window), true));
    areas(items, DrawingLayer.RING, metal.ringRegion().outlines());
    neighbour().ifPresent(items::add);
    areas(items, DrawingLayer.REMOVED, removed);
    areas(items, DrawingLayer.LACKING, lacking);
    before.ifPresent(b -> items.add(Outline.along(DrawingLayer.FOUND, b.points(), false)));
    runout(items);
    for (WaterReading reading : seat.cut().metal().water()) {
      items.add(Outline.along(DrawingLayer.WATER, reading.line(), false));
    }
    if (planned) {
      items.add(Outline.along(DrawingLayer.PLANNED, seat.cut().ideal().profile().points(), false));
    }
    fit.filter(f -> f.restMm().isPresent()).ifPresent(f -> valve(items, f));
    items.add(Outline.along(DrawingLayer.FINISHED, wall.points(), false));
    fit.flatMap(SeatFit::seated).ifPresent(s -> items.add(contact(s.contact())));
    gate().ifPresent(g -> items.add(Outline.line(DrawingLayer.GATE, g.onMetal(), g.onValve())));
    return items;
  }

  /** The smallest area between seat and valve, while that stands open on a seat. */
  public Optional<Gate> gate() {
    return liftMm > 0
        ? fit.filter(f -> f.seated().isPresent()).map(f -> Gate.between(wall, f.valveAt(liftMm)))
        : Optional.empty();
  }

  /** Metal outside the wall, closed past the window. */
  private List<Vertex> metalOutline(Box window) {
    List<Vertex> outline = new ArrayList<>(Arcs.of(wall.points()));
    double far = window.maxX();
    for (Point p : wall.points()) {
      far = Math.max(far, p.r());
    }
    Point last = wall.points().getLast();
    double bottom = Math.min(window.minY() - 1, last.z());
    outline.add(new Vertex(last.r(), bottom, 0));
    outline.add(new Vertex(far + 1, bottom, 0));
    outline.add(new Vertex(far + 1, wall.points().getFirst().z(), 0));
    return outline;
  }

  private static void areas(List<Item> items, DrawingLayer layer, List<List<Point>> outlines) {
    for (List<Point> outline : outlines) {
      items.add(Outline.along(layer, outline, true));
    }
  }

  /** The neighbouring ring as far off as the bridge between the two is wide. */
  private Optional<Outline> neighbour() {
    Optional<Ring> ring = metal.ring();
    OptionalDouble bridge = seat.reading(ReadingKind.BRIDGE);
    if (ring.isEmpty() || bridge.isEmpty() || before.isEmpty()) {
      return Optional.empty();
    }
    double from = ring.get().outsideDiameterMm() / 2 + bridge.getAsDouble();
    double floor = ring.get().floorZ();
    double top = floor + ring.get().heightMm();
    return Optional.of(
        Outline.along(
            DrawingLayer.NEIGHBOUR,
            List.of(
                new Point(from, top),
                new Point(from + NEIGHBOUR_MM, top),
                new Point(from + NEIGHBOUR_MM, floor),
                new Point(from, floor)),
            true));
  }

  /** Where the found wall stands on its sides: the nearest and the furthest. */
  private void runout(List<Item> items) {
    List<Cutting.Side> sides = seat.cut().cutting().sides();
    if (sides.size() < 2) {
      return;
    }
    for (int side : new int[] {1, 1 + (sides.size() - 1) / 2}) {
      items.add(Outline.along(DrawingLayer.RUNOUT, sides.get(side).metal().wall().points(), false));
    }
  }

  private void valve(List<Item> items, SeatFit on) {
    List<Vertex> outline = new ArrayList<>(Arcs.of(on.valveAt(liftMm).points()));
    Vertex last = outline.getLast();
    outline.add(new Vertex(0, last.y(), 0));
    outline.add(new Vertex(0, outline.getFirst().y(), 0));
    items.add(new Outline(DrawingLayer.VALVE, outline, true));
    if (liftMm > OPEN_MM) {
      items.add(Outline.along(DrawingLayer.SHUT, on.valveAt(0).points(), false));
    }
  }

  private static Outline contact(Contact contact) {
    return Outline.line(DrawingLayer.CONTACT, contact.inner(), contact.outer());
  }
}
