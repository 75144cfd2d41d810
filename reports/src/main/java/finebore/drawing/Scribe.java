package finebore.drawing;

import finebore.drawing.Drawing.Align;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.head.HeadPlan;
import finebore.head.HeadPlan.Spot;
import finebore.head.TakeBack;
import finebore.head.TakeBack.OfSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.RoomAtLift;
import finebore.room.Around;
import finebore.room.ChamberWall;
import finebore.room.PortSide;
import finebore.section.Point;
import finebore.space.Rim;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import finebore.work.ShopFigure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What is to be scribed on a chamber, in its true size: the walls as they are, how far back they
 * are to go and where to stop, seen from the chamber with the exhaust side up; x along the head and
 * y across it from the bore's centre, mm.
 */
public final class Scribe {

  private static final double CAPITAL_MM = 2.4;

  /** Length to be checked with a caliper before anything is scribed, mm. */
  public static final double BAR_MM = 50;

  /** Half hours of the clock that are told. */
  private static final int TOLD = 24;

  private final Job job;
  private final Words words;
  private final TakeBack taken;

  private Scribe(Job job, Words words, TakeBack taken) {
    this.job = job;
    this.words = words;
    this.taken = taken;
  }

  /**
   * The cylinder of a seat; empty where nobody has measured where its valve lies.
   *
   * @param liftMm at which a wall is to cost nothing
   */
  public static Optional<Scribe> of(Job job, SeatPlace seat, double liftMm, Words words) {
    return TakeBack.of(job, seat, liftMm).map(t -> new Scribe(job, words, t));
  }

  /** The drawing, with a bar to be checked. */
  public Drawing drawing() {
    List<Item> items = new ArrayList<>();
    double ring = job.layout().fireRingMm() / 2;
    double stop = ring - job.shop().value(ShopFigure.FIRE_RING_MARGIN);
    items.add(circle(DrawingLayer.BORE, 0, 0, job.engine().boreMm() / 2));
    items.add(circle(DrawingLayer.FIRE_RING, 0, 0, ring));
    items.add(circle(DrawingLayer.STOP_LINE, 0, 0, stop));
    for (OfSeat seat : taken.seats()) {
      walls(
          items,
          DrawingLayer.VALVE_HEAD,
          List.of(HeadPlan.outline(seat.head().seen(), new Spot(0, 0))));
      cross(items, seat);
    }
    walls(items, DrawingLayer.CHAMBER, taken.chamberNow());
    walls(items, DrawingLayer.TAKE_BACK, taken.chamberAfter());
    bar(items, -ring - 9);
    Box box = new Box(-ring - 4, -ring - 18, ring + 4, ring + 8);
    label(items, 0, ring + 3, words.text("scribe.exhausts"), Align.MIDDLE);
    return new Drawing(items, box, box);
  }

  private static Outline circle(DrawingLayer layer, double x, double y, double radius) {
    return new Outline(
        layer, List.of(new Vertex(x - radius, y, 1), new Vertex(x + radius, y, 1)), true);
  }

  private static void walls(List<Item> items, DrawingLayer layer, List<List<Spot>> lines) {
    for (List<Spot> line : lines) {
      items.add(
          new Outline(layer, line.stream().map(p -> new Vertex(p.x(), p.y(), 0)).toList(), true));
    }
  }

  /**
   * The compass is set on the middle of the head, which can be marked on it; beside it, where the
   * valve leans, a small ring where its axis meets the face.
   */
  private void cross(List<Item> items, OfSeat seat) {
    Rim seen = seat.head().seen();
    double x = seen.alongMm();
    double y = seen.acrossMm();
    items.add(Outline.line(DrawingLayer.DIMENSIONS, new Point(x - 3, y), new Point(x + 3, y)));
    items.add(Outline.line(DrawingLayer.DIMENSIONS, new Point(x, y - 3), new Point(x, y + 3)));
    label(items, x + 2, y + 1.5, seat.place().label(), Align.LEFT);
    if (leans(seat)) {
      items.add(circle(DrawingLayer.AXIS, seat.room().alongMm(), seat.room().acrossMm(), 1));
    }
  }

  private static boolean leans(OfSeat seat) {
    return seat.room().leanAlongDeg() != 0 || seat.room().leanAcrossDeg() != 0;
  }

  /** Its length is that between the inner edges of its ticks, which a caliper can feel for. */
  private void bar(List<Item> items, double y) {
    double half = BAR_MM / 2;
    double tick = half + DrawingLayer.SCALE_BAR.widthMm() / 2;
    items.add(Outline.line(DrawingLayer.SCALE_BAR, new Point(-half, y), new Point(half, y)));
    for (double end : new double[] {-tick, tick}) {
      items.add(Outline.line(DrawingLayer.SCALE_BAR, new Point(end, y - 2), new Point(end, y + 2)));
    }
    label(
        items,
        0,
        y - 6,
        words.text("scribe.bar", "length", words.figure(Dimension.LENGTH, BAR_MM)),
        Align.MIDDLE);
  }

  private static void label(List<Item> items, double x, double y, String text, Align align) {
    items.add(new Label(DrawingLayer.DIMENSIONS, x, y, CAPITAL_MM, text, align));
  }

  /** The same in words: centre, radius, from which clock to which, where to stop. */
  public List<String> lines() {
    List<String> lines = new ArrayList<>();
    lines.add(
        words.text(
            "scribe.stop",
            "ring",
            words.figure(Dimension.LENGTH, job.layout().fireRingMm()),
            "margin",
            words.figure(Dimension.LENGTH, job.shop().value(ShopFigure.FIRE_RING_MARGIN))));
    taken
        .ratioNow()
        .ifPresent(
            now ->
                lines.add(
                    words.text(
                        "scribe.ratio",
                        "volume",
                        words.figure(Dimension.VOLUME, taken.volumeMm3()),
                        "now",
                        words.figure(Dimension.RATIO, now),
                        "after",
                        words.figure(Dimension.RATIO, taken.ratioAfter().orElse(now)))));
    taken
        .skimMm()
        .ifPresent(
            mm -> lines.add(words.text("scribe.skim", "skim", words.figure(Dimension.LENGTH, mm))));
    for (OfSeat seat : taken.seats()) {
      Rim seen = seat.head().seen();
      lines.add(
          words.text(
              "scribe.centre",
              "seat",
              seat.place().label(),
              "along",
              words.figure(Dimension.LENGTH, seen.alongMm()),
              "across",
              words.figure(Dimension.LENGTH, seen.acrossMm())));
      if (leans(seat)) {
        lines.add("  " + words.text("scribe.leans", heights(seat, seen)));
      }
      lines.add("  " + portSide(seat));
      radii(lines, seat);
    }
    lines.add(words.text("scribe.basis"));
    return lines;
  }

  private void radii(List<String> lines, OfSeat seat) {
    if (seat.back().isEmpty()) {
      lines.add("  " + words.text("scribe.noWall"));
      return;
    }
    List<String> radii = new ArrayList<>();
    Rim seen = seat.head().seen();
    double along = seen.alongMm() - seat.room().alongMm();
    double across = seen.acrossMm() - seat.room().acrossMm();
    ChamberWall wanted = seat.wanted();
    for (int k = 0; k < TOLD; k++) {
      int direction = k * Around.DIRECTIONS / TOLD;
      double angle = Around.angleRad(direction);
      double now = seat.room().chamber().orElseThrow().fromMm(along, across, angle);
      double to = wanted.fromMm(along, across, angle);
      if (to - now >= RoomAtLift.SLIGHT_MM) {
        radii.add(
            words.text(
                seat.back().get(direction).isHeld() ? "scribe.radius.held" : "scribe.radius",
                "hour",
                hour(direction),
                "now",
                words.figure(Dimension.LENGTH, now),
                "radius",
                words.figure(Dimension.LENGTH, to),
                "rule",
                words.figure(Dimension.LENGTH, seat.back().get(direction).ruleMm())));
      }
    }
    lines.add("  " + (radii.isEmpty() ? words.text("scribe.nothing") : String.join("; ", radii)));
  }

  /** Where the axis meets the face, and what of a leaning rim stands how far past it or below. */
  private Object[] heights(OfSeat seat, Rim seen) {
    double highest = Double.NEGATIVE_INFINITY;
    double lowest = Double.POSITIVE_INFINITY;
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      double height = seen.toward(Around.angleRad(d)).heightMm();
      highest = Math.max(highest, height);
      lowest = Math.min(lowest, height);
    }
    return new Object[] {
      "along", words.figure(Dimension.LENGTH, seat.room().alongMm()),
      "across", words.figure(Dimension.LENGTH, seat.room().acrossMm()),
      "middle", height(seen.heightMm()),
      "highest", height(highest),
      "lowest", height(lowest)
    };
  }

  private String height(double mm) {
    return words.text(
        mm > 0 ? "scribe.past" : "scribe.below",
        "value",
        words.figure(Dimension.LENGTH, Math.abs(mm)));
  }

  private String portSide(OfSeat seat) {
    PortSide side = seat.room().portSide();
    int direction = (int) Math.round(side.fromClock() * Around.DIRECTIONS / 12);
    int away = (int) Math.round(side.longClock() * Around.DIRECTIONS / 12);
    return words.text(
        side.isRead() ? "scribe.port" : "scribe.port.assumed",
        "hour",
        hour(direction % Around.DIRECTIONS),
        "long",
        hour(away % Around.DIRECTIONS),
        "longSide",
        UnitSystem.fixed(side.longSide(), 2),
        "shortSide",
        UnitSystem.fixed(side.shortSide(), 2));
  }

  /** A direction as the hour of a clock. */
  public static String hour(int direction) {
    double hour = Around.hour(direction);
    int whole = (int) hour;
    return String.format(
        Locale.ROOT, "%d:%02d", whole == 0 ? 12 : whole, Math.round((hour - whole) * 60));
  }
}
