package finebore.drawing;

import finebore.drawing.Drawing.Align;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.head.HeadPlan.Spot;
import finebore.head.TakeBack;
import finebore.head.TakeBack.OfSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.RoomAtLift;
import finebore.room.Around;
import finebore.room.WallBack;
import finebore.section.Point;
import finebore.units.Dimension;
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
      items.add(
          circle(
              DrawingLayer.VALVE_HEAD,
              seat.room().alongMm(),
              seat.room().acrossMm(),
              seat.edgeMm()));
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

  /** The compass is set on the axis. */
  private void cross(List<Item> items, OfSeat seat) {
    double x = seat.room().alongMm();
    double y = seat.room().acrossMm();
    items.add(Outline.line(DrawingLayer.DIMENSIONS, new Point(x - 3, y), new Point(x + 3, y)));
    items.add(Outline.line(DrawingLayer.DIMENSIONS, new Point(x, y - 3), new Point(x, y + 3)));
    label(items, x + 2, y + 1.5, seat.place().label(), Align.LEFT);
  }

  private void bar(List<Item> items, double y) {
    double half = BAR_MM / 2;
    items.add(Outline.line(DrawingLayer.SCALE_BAR, new Point(-half, y), new Point(half, y)));
    for (double end : new double[] {-half, half}) {
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
      lines.add(
          words.text(
              "scribe.centre",
              "seat",
              seat.place().label(),
              "along",
              words.figure(Dimension.LENGTH, seat.room().alongMm()),
              "across",
              words.figure(Dimension.LENGTH, seat.room().acrossMm())));
      radii(lines, seat);
    }
    return lines;
  }

  private void radii(List<String> lines, OfSeat seat) {
    if (seat.back().isEmpty()) {
      lines.add("  " + words.text("scribe.noWall"));
      return;
    }
    List<String> radii = new ArrayList<>();
    for (int k = 0; k < TOLD; k++) {
      int direction = k * Around.DIRECTIONS / TOLD;
      WallBack wall = seat.back().get(direction);
      if (wall.takeMm() >= RoomAtLift.SLIGHT_MM) {
        radii.add(
            words.text(
                wall.isHeld() ? "scribe.radius.held" : "scribe.radius",
                "hour",
                hour(direction),
                "now",
                words.figure(Dimension.LENGTH, wall.nowMm()),
                "radius",
                words.figure(Dimension.LENGTH, TakeBack.targetMm(wall))));
      }
    }
    lines.add("  " + (radii.isEmpty() ? words.text("scribe.nothing") : String.join("; ", radii)));
  }

  /** A direction as the hour of a clock. */
  public static String hour(int direction) {
    double hour = Around.hour(direction);
    int whole = (int) hour;
    return String.format(
        Locale.ROOT, "%d:%02d", whole == 0 ? 12 : whole, Math.round((hour - whole) * 60));
  }
}
