package finebore.desk.plan;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Hatch;
import finebore.desk.controls.KeepClear;
import finebore.desk.controls.KeepClear.Line;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.job.Port;
import finebore.sizes.SizeLimit;
import finebore.sizes.SizeStudy;
import finebore.sizes.SizeStudy.OnShelf;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * Intake heads across and exhaust heads up: what fits, the limits with their names, the planned
 * pair, and the shelf's valves beside it. A click on one tries it.
 */
final class SizesChart extends DrawnRegion {

  /** The chart reaches at least so far to either side of the planned heads, as a share. */
  private static final double REACH = 0.16;

  /** Where along its line a limit's name may begin or, past the middle, end. */
  private static final double[] FROM_NEAR = {0.03, 0.1, 0.2, 0.35, 0.97, 0.85, 0.7};

  private static final double[] FROM_FAR = {0.97, 0.85, 0.7, 0.03, 0.1, 0.2, 0.35};

  private static final double DOT_PX = 6;
  private static final double NEAR_PX = 11;

  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final Consumer<OnShelf> tried;
  private Optional<SeatView> shown = Optional.empty();
  private Optional<SizeStudy> study = Optional.empty();
  private final List<Dot> dots = new ArrayList<>();
  private final Tooltip tip = new Tooltip();
  private double fromX;
  private double fromY;
  private double scale;
  private double left;
  private double bottom;
  private double right;
  private double top;

  private record Dot(OnShelf valve, double x, double y) {}

  /** A place on the chart, mm. */
  private record Pair(double intake, double exhaust) {}

  SizesChart(
      String name, Supplier<Palette> palette, Supplier<Double> textScale, Consumer<OnShelf> tried) {
    super("sizes-chart", name);
    this.palette = palette;
    this.textScale = textScale;
    this.tried = tried;
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(220, 200);
    addEventHandler(
        MouseEvent.MOUSE_CLICKED,
        e -> {
          requestFocus();
          at(e.getX(), e.getY()).ifPresent(tried);
        });
    addEventHandler(
        MouseEvent.MOUSE_MOVED,
        e -> {
          setCursor(
              at(e.getX(), e.getY()).isPresent()
                  ? javafx.scene.Cursor.HAND
                  : javafx.scene.Cursor.DEFAULT);
          tell(limitAt(e.getX(), e.getY()));
        });
  }

  /** Names the limit under the mouse: not every name finds room on the chart. */
  private void tell(Optional<SizeLimit> limit) {
    limit.ifPresentOrElse(
        l -> {
          tip.setText(shown.orElseThrow().words().say(l.message()));
          Tooltip.install(this, tip);
        },
        () -> Tooltip.uninstall(this, tip));
  }

  private Optional<SizeLimit> limitAt(double x, double y) {
    Point2D mouse = new Point2D(x, y);
    return study.stream()
        .flatMap(s -> s.limits().stream())
        .filter(l -> ends(l).filter(e -> line(e).distance(mouse) < NEAR_PX / 2).isPresent())
        .findFirst();
  }

  private Line line(Pair[] ends) {
    return new Line(
        new Point2D(x(ends[0].intake()), y(ends[0].exhaust())),
        new Point2D(x(ends[1].intake()), y(ends[1].exhaust())));
  }

  void show(SeatView work, SizeStudy sizes) {
    shown = Optional.of(work);
    study = Optional.of(sizes);
    requestLayout();
  }

  private Optional<OnShelf> at(double x, double y) {
    return dots.stream()
        .filter(d -> Math.hypot(d.x() - x, d.y() - y) <= NEAR_PX)
        .min(
            (a, b) ->
                Double.compare(Math.hypot(a.x() - x, a.y() - y), Math.hypot(b.x() - x, b.y() - y)))
        .map(Dot::valve);
  }

  private double text() {
    return 13 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.paper());
    g.fillRect(0, 0, w, h);
    dots.clear();
    if (study.isEmpty()) {
      return;
    }
    SizeStudy sizes = study.get();
    fit(sizes, w, h);
    room(g, sizes, colours);
    axes(g, colours);
    limits(g, sizes, colours);
    KeepClear room = new KeepClear(left, top, right, bottom);
    for (SizeLimit limit : sizes.limits()) {
      ends(limit).map(this::line).ifPresent(room::keepOff);
    }
    pair(g, sizes, colours, room);
    shelf(g, sizes, colours, room);
    names(g, sizes, colours, room);
  }

  private void fit(SizeStudy sizes, double w, double h) {
    left = 3.4 * text();
    right = w - 0.8 * text();
    top = 1.8 * text();
    bottom = h - 2.9 * text();
    double reachX = REACH * sizes.intakeMm();
    double reachY = REACH * sizes.exhaustMm();
    for (SizeLimit limit : sizes.limits()) {
      // A limit not far off is shown too.
      double slope = limit.perIntake() + limit.perExhaust();
      double way = limit.leftMm(sizes.intakeMm(), sizes.exhaustMm()) / slope;
      if (Math.abs(way) < 2 * REACH * sizes.exhaustMm()) {
        reachX = Math.max(reachX, limit.perIntake() > 0 ? 1.15 * Math.abs(way) : 0);
        reachY = Math.max(reachY, limit.perExhaust() > 0 ? 1.15 * Math.abs(way) : 0);
      }
    }
    // One scale for both, so that a slope looks what it is.
    scale = Math.min((right - left) / (2 * reachX), (bottom - top) / (2 * reachY));
    fromX = sizes.intakeMm() - (right - left) / scale / 2;
    fromY = sizes.exhaustMm() - (bottom - top) / scale / 2;
  }

  private double x(double intakeMm) {
    return left + (intakeMm - fromX) * scale;
  }

  private double y(double exhaustMm) {
    return bottom - (exhaustMm - fromY) * scale;
  }

  private double toX() {
    return fromX + (right - left) / scale;
  }

  private double toY() {
    return fromY + (bottom - top) / scale;
  }

  /** What fits is left plain; what does not is hatched. */
  private void room(GraphicsContext g, SizeStudy sizes, Palette colours) {
    List<Pair> whole =
        List.of(
            new Pair(fromX, fromY),
            new Pair(toX(), fromY),
            new Pair(toX(), toY()),
            new Pair(fromX, toY()));
    List<Pair> fits = whole;
    for (SizeLimit limit : sizes.limits()) {
      if (!limit.kind().yields()) {
        fits = within(fits, limit);
      }
    }
    g.setFill(colours.band());
    path(g, whole);
    g.fill();
    g.setFill(Hatch.of(colours.line(), false, 7, 1.2));
    g.fill();
    if (fits.size() > 2) {
      g.setFill(colours.paper());
      path(g, fits);
      g.fill();
      boolean known = sizes.room().unmeasured().isEmpty();
      g.setFill(known ? colours.greenWash() : colours.band());
      g.fill();
    }
  }

  /** The part of a polygon that keeps a limit. */
  private static List<Pair> within(List<Pair> polygon, SizeLimit limit) {
    List<Pair> kept = new ArrayList<>();
    for (int k = 0; k < polygon.size(); k++) {
      Pair a = polygon.get(k);
      Pair b = polygon.get((k + 1) % polygon.size());
      double leftA = limit.leftMm(a.intake(), a.exhaust());
      double leftB = limit.leftMm(b.intake(), b.exhaust());
      if (leftA >= 0) {
        kept.add(a);
      }
      if (leftA * leftB < 0) {
        double way = leftA / (leftA - leftB);
        kept.add(
            new Pair(
                a.intake() + way * (b.intake() - a.intake()),
                a.exhaust() + way * (b.exhaust() - a.exhaust())));
      }
    }
    return kept;
  }

  private void path(GraphicsContext g, List<Pair> polygon) {
    g.beginPath();
    for (int k = 0; k < polygon.size(); k++) {
      if (k == 0) {
        g.moveTo(x(polygon.get(k).intake()), y(polygon.get(k).exhaust()));
      } else {
        g.lineTo(x(polygon.get(k).intake()), y(polygon.get(k).exhaust()));
      }
    }
    g.closePath();
  }

  private void axes(GraphicsContext g, Palette colours) {
    SeatView work = shown.orElseThrow();
    UnitSystem units = work.units();
    double unit = units == UnitSystem.METRIC ? 1 : 25.4;
    double step = unit == 1 ? 1 : 0.05;
    while (step * unit * scale < 3.4 * text()) {
      step *= 2;
    }
    g.setLineWidth(1);
    for (double v = Math.ceil(fromX / unit / step) * step; v * unit <= toX(); v += step) {
      g.setStroke(colours.line());
      g.strokeLine(x(v * unit), top, x(v * unit), bottom);
      say(
          g,
          UnitSystem.fixed(v, unit == 1 ? 0 : 2),
          x(v * unit),
          bottom + 0.8 * text(),
          colours.muted(),
          TextAlignment.CENTER);
    }
    for (double v = Math.ceil(fromY / unit / step) * step; v * unit <= toY(); v += step) {
      g.setStroke(colours.line());
      g.strokeLine(left, y(v * unit), right, y(v * unit));
      say(
          g,
          UnitSystem.fixed(v, unit == 1 ? 0 : 2),
          left - 5,
          y(v * unit),
          colours.muted(),
          TextAlignment.RIGHT);
    }
    g.setStroke(colours.edge());
    g.strokeRect(left, top, right - left, bottom - top);
    String symbol = units.length().symbol();
    say(
        g,
        work.words().text("sizes.across", "unit", symbol),
        (left + right) / 2,
        bottom + 2.1 * text(),
        colours.text(),
        TextAlignment.CENTER);
    say(
        g,
        work.words().text("sizes.up", "unit", symbol),
        4,
        0.8 * text(),
        colours.text(),
        TextAlignment.LEFT);
  }

  private void limits(GraphicsContext g, SizeStudy sizes, Palette colours) {
    for (SizeLimit limit : sizes.limits()) {
      Optional<Pair[]> ends = ends(limit);
      if (ends.isEmpty()) {
        continue;
      }
      g.setStroke(colour(limit, colours));
      g.setLineWidth(limit.kind().yields() ? 1.4 : 2);
      g.setLineDashes(limit.kind().yields() ? new double[] {7, 4} : new double[0]);
      Pair a = ends.get()[0];
      Pair b = ends.get()[1];
      g.strokeLine(x(a.intake()), y(a.exhaust()), x(b.intake()), y(b.exhaust()));
      g.setLineDashes();
    }
  }

  private static Color colour(SizeLimit limit, Palette colours) {
    return limit.kind().yields() ? colours.amber() : colours.vermilion();
  }

  /**
   * Each limit's name along its line, at the first place that is free, if there is one on no other
   * line; the rest under the mouse.
   */
  private void names(GraphicsContext g, SizeStudy sizes, Palette colours, KeepClear room) {
    for (SizeLimit limit : sizes.limits()) {
      String name = shown.orElseThrow().words().say(limit.message());
      ends(limit)
          .ifPresent(ends -> write(g, name, places(limit, ends), colour(limit, colours), room));
    }
  }

  /** Writes at the first place that is free, if there is one on no line; or nowhere. */
  private void write(
      GraphicsContext g, String words, List<NamePlace> places, Color colour, KeepClear room) {
    Font font = Theme.words(text());
    Predicate<NamePlace> offLines =
        p -> room.isOffLines(font, words, p.x(), p.y(), p.angleDeg(), p.align());
    Stream.concat(places.stream().filter(offLines), places.stream().filter(Predicate.not(offLines)))
        .filter(p -> room.take(font, words, p.x(), p.y(), p.angleDeg(), p.align()))
        .findFirst()
        .ifPresent(p -> turned(g, words, p.x(), p.y(), p.angleDeg(), colour, p.align()));
  }

  /** Where a name may stand, px. */
  private record NamePlace(double x, double y, double angleDeg, TextAlignment align) {}

  /** Along a limit on either side of it, the usual place first: what yields from its far end. */
  private List<NamePlace> places(SizeLimit limit, Pair[] ends) {
    boolean yields = limit.kind().yields();
    boolean isUpright = limit.perExhaust() == 0;
    // Upright names are read from the right, upward.
    Pair a = ends[isUpright && ends[0].exhaust() > ends[1].exhaust() ? 1 : 0];
    Pair b = ends[a == ends[0] ? 1 : 0];
    double ax = x(a.intake());
    double ay = y(a.exhaust());
    double wayX = x(b.intake()) - ax;
    double wayY = y(b.exhaust()) - ay;
    double length = Math.hypot(wayX, wayY);
    boolean isAbove = isUpright || limit.perIntake() == 0 && !yields;
    double aside = 0.65 * text() * (isAbove ? -1 : 1);
    List<NamePlace> places = new ArrayList<>();
    for (double share : yields ? FROM_FAR : FROM_NEAR) {
      for (double off : new double[] {aside, -aside}) {
        places.add(
            new NamePlace(
                ax + share * wayX - off * wayY / length,
                ay + share * wayY + off * wayX / length,
                Math.toDegrees(Math.atan2(wayY, wayX)),
                share > 0.5 ? TextAlignment.RIGHT : TextAlignment.LEFT));
      }
    }
    return places;
  }

  /** Where a limit enters and leaves the chart, from the left; empty where it does neither. */
  private Optional<Pair[]> ends(SizeLimit limit) {
    List<Pair> met = new ArrayList<>();
    if (limit.perExhaust() > 0) {
      for (double intake : new double[] {fromX, toX()}) {
        double exhaust = (limit.mostMm() - limit.perIntake() * intake) / limit.perExhaust();
        if (exhaust >= fromY && exhaust <= toY()) {
          met.add(new Pair(intake, exhaust));
        }
      }
    }
    if (limit.perIntake() > 0) {
      for (double exhaust : new double[] {fromY, toY()}) {
        double intake = (limit.mostMm() - limit.perExhaust() * exhaust) / limit.perIntake();
        if (intake >= fromX && intake <= toX()) {
          met.add(new Pair(intake, exhaust));
        }
      }
    }
    met.sort((a, b) -> Double.compare(a.intake(), b.intake()));
    return met.size() < 2
        ? Optional.empty()
        : Optional.of(new Pair[] {met.getFirst(), met.getLast()});
  }

  private void turned(
      GraphicsContext g,
      String words,
      double x,
      double y,
      double angleDeg,
      Color colour,
      TextAlignment align) {
    if (angleDeg == 0) {
      say(g, words, x, y, colour, align);
      return;
    }
    g.save();
    g.translate(x, y);
    g.rotate(angleDeg);
    say(g, words, 0, 0, colour, align);
    g.restore();
  }

  private void shelf(GraphicsContext g, SizeStudy sizes, Palette colours, KeepClear room) {
    boolean intake = sizes.place().port() == Port.INTAKE;
    for (OnShelf valve : sizes.shelf()) {
      double head = valve.fit().valve().headMm();
      double x = x(intake ? head : sizes.intakeMm());
      double y = y(intake ? sizes.exhaustMm() : head);
      if (x < left || x > right || y < top || y > bottom) {
        continue;
      }
      dots.add(new Dot(valve, x, y));
      boolean known = valve.fit().isMeasured();
      Color fits = known ? colours.green() : colours.muted();
      g.setStroke(valve.fit().fits() ? fits : colours.vermilion());
      g.setLineWidth(1.8);
      g.setFill(valve.fit().fits() && known ? colours.green() : colours.paper());
      g.fillOval(x - DOT_PX, y - DOT_PX, 2 * DOT_PX, 2 * DOT_PX);
      g.strokeOval(x - DOT_PX, y - DOT_PX, 2 * DOT_PX, 2 * DOT_PX);
      if (!valve.fit().fits()) {
        g.strokeLine(x - 3, y - 3, x + 3, y + 3);
        g.strokeLine(x - 3, y + 3, x + 3, y - 3);
      }
      room.keepOff(x, y, DOT_PX);
      name(g, size(head), x, y, intake, colours, room);
    }
  }

  private String size(double headMm) {
    UnitSystem units = shown.orElseThrow().units();
    return units == UnitSystem.METRIC ? units.lengthNumber(headMm) : units.shortLength(headMm);
  }

  /** The size of a dot, above or below it (beside an exhaust's), where there is room. */
  private void name(
      GraphicsContext g,
      String size,
      double x,
      double y,
      boolean intake,
      Palette colours,
      KeepClear room) {
    List<NamePlace> places = new ArrayList<>();
    for (int side : new int[] {-1, 1}) {
      places.add(
          intake
              ? new NamePlace(x, y + side * 1.15 * text(), 0, TextAlignment.CENTER)
              : new NamePlace(
                  x + side * 1.1 * text(),
                  y,
                  0,
                  side < 0 ? TextAlignment.RIGHT : TextAlignment.LEFT));
    }
    write(g, size, places, colours.text(), room);
  }

  private void pair(GraphicsContext g, SizeStudy sizes, Palette colours, KeepClear room) {
    double x = x(sizes.intakeMm());
    double y = y(sizes.exhaustMm());
    // Clear of the names of the shelf's valves, and of limits along them.
    boolean intake = shown.orElseThrow().port() == Port.INTAKE;
    g.setStroke(colours.blue());
    g.setLineWidth(2);
    g.strokeOval(x - 9, y - 9, 18, 18);
    g.strokeLine(x - 14, y, x + 14, y);
    g.strokeLine(x, y - 14, x, y + 14);
    String words = shown.orElseThrow().words().text("sizes.pair");
    double wordsX = intake ? x : x + 14;
    double wordsY = y - (intake ? 2.3 : 1) * text();
    TextAlignment align = intake ? TextAlignment.RIGHT : TextAlignment.LEFT;
    say(g, words, wordsX, wordsY, colours.blue(), align);
    room.write(Theme.words(text()), words, wordsX, wordsY, align);
    room.keepOff(x, y, 14);
  }

  private void say(
      GraphicsContext g, String words, double x, double y, Color colour, TextAlignment align) {
    write(g, Theme.words(text()), words, x, y, colour, align);
  }
}
