package finebore.desk.plan;

import finebore.crank.ClearanceCurve.Point;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.planning.SeatClearance;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import finebore.words.UnitSystem;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** What a valve keeps from piston and valve over the crank, the smallest marked. */
final class ClearanceChart extends DrawnRegion {

  private static final int REACH_DEG = 60;
  private static final int GRID_DEG = 20;

  /** More than this is of no interest, mm. */
  private static final double MOST_MM = 14;

  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private Optional<SeatView> shown = Optional.empty();
  private List<SeatClearance> clearances = List.of();
  private double least;
  private double most;

  ClearanceChart(String name, Supplier<Palette> palette, Supplier<Double> textScale) {
    super("clearance-chart", name);
    this.palette = palette;
    this.textScale = textScale;
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(240, 110);
  }

  void show(SeatView work, List<SeatClearance> all) {
    shown = Optional.of(work);
    clearances = all;
    requestLayout();
  }

  private double text() {
    return 13 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, w, h);
    if (shown.isEmpty() || clearances.isEmpty()) {
      return;
    }
    range();
    double left = 3.2 * text();
    double right = w - 6.5 * text();
    double top = 0.9 * text();
    double bottom = h - 1.7 * text();
    grid(g, colours, left, right, top, bottom);
    for (SeatClearance clearance : clearances) {
      curve(g, colours, clearance, left, right, top, bottom);
    }
  }

  private void range() {
    least =
        Math.min(0, clearances.stream().mapToDouble(c -> c.planned().least().mm()).min().orElse(0));
    most =
        Math.min(
            MOST_MM,
            2
                + clearances.stream()
                    .flatMap(c -> c.planned().points().stream())
                    .filter(p -> Math.abs(p.crankDeg()) <= REACH_DEG / 2.0)
                    .mapToDouble(Point::mm)
                    .max()
                    .orElse(MOST_MM));
  }

  private double x(double deg, double left, double right) {
    return left + (deg + REACH_DEG) / (2 * REACH_DEG) * (right - left);
  }

  private double y(double mm, double top, double bottom) {
    return bottom - (mm - least) / (most - least) * (bottom - top);
  }

  private void grid(
      GraphicsContext g, Palette colours, double left, double right, double top, double bottom) {
    UnitSystem units = shown.orElseThrow().units();
    g.setLineWidth(1);
    for (int deg = -REACH_DEG; deg <= REACH_DEG; deg += GRID_DEG) {
      double x = x(deg, left, right);
      g.setStroke(deg == 0 ? colours.strongLine() : colours.line());
      g.strokeLine(x, top, x, bottom);
      String name =
          deg == 0
              ? shown.get().words().text("clearance.top")
              : UnitSystem.signed(deg, 0) + "\u00b0";
      say(g, name, x, bottom + 0.8 * text(), colours.muted(), TextAlignment.CENTER);
    }
    double step = units == UnitSystem.METRIC ? 2 : 2.54;
    for (double mm = Math.ceil(least / step) * step; mm <= most; mm += step) {
      double y = y(mm, top, bottom);
      boolean isNone = Math.abs(mm) < 1e-9;
      g.setStroke(isNone ? colours.vermilion() : colours.line());
      g.strokeLine(left, y, right, y);
      // The unit stands where no curve comes.
      String name = isNone ? "0 " + units.length().symbol() : units.shortLength(mm);
      say(g, name, left - 6, y, colours.muted(), TextAlignment.RIGHT);
    }
    say(
        g,
        shown.get().words().text("clearance.dashed"),
        right + 6,
        bottom - 0.4 * text(),
        colours.muted(),
        TextAlignment.LEFT);
  }

  private void curve(
      GraphicsContext g,
      Palette colours,
      SeatClearance clearance,
      double left,
      double right,
      double top,
      double bottom) {
    boolean piston = clearance.other().isEmpty();
    SeatView work = shown.orElseThrow();
    Color colour = piston ? colours.blue() : colours.brassEdge();
    Point at = clearance.planned().least();
    // Curves come down toward each other: each is named at its own side of its lowest place, and
    // what is wanted stands at the other.
    boolean toRight = at.crankDeg() >= 0;
    OptionalDouble wanted = wanted(piston ? ReadingKind.PISTON : ReadingKind.VALVES);
    if (wanted.isPresent()) {
      g.setStroke(colour);
      g.setLineWidth(1);
      g.setLineDashes(3, 5);
      double y = y(wanted.getAsDouble(), top, bottom);
      g.strokeLine(left, y, right, y);
      g.setLineDashes();
      say(
          g,
          work.words().text("clearance.wantedLine"),
          toRight ? left + 4 : right - 4,
          y + (piston ? -0.6 : 0.65) * text(),
          colour,
          toRight ? TextAlignment.LEFT : TextAlignment.RIGHT);
    }
    g.save();
    g.beginPath();
    g.rect(left, top, right - left, bottom - top);
    g.clip();
    g.setStroke(colours.muted());
    g.setLineWidth(1.2);
    g.setLineDashes(6, 4);
    line(g, clearance.found().points(), left, right, top, bottom);
    g.setStroke(colour);
    g.setLineWidth(2);
    g.setLineDashes(piston ? new double[0] : new double[] {10, 3});
    line(g, clearance.planned().points(), left, right, top, bottom);
    g.setLineDashes();
    g.restore();
    double x = x(Math.clamp(at.crankDeg(), -REACH_DEG, REACH_DEG), left, right);
    double y = y(Math.min(at.mm(), most), top, bottom);
    g.setFill(colour);
    g.fillOval(x - 4, y - 4, 8, 8);
    Point last = clearance.planned().points().getLast();
    // A curve that ends within the chart has its name beside its figure.
    boolean isWhole = last.crankDeg() >= REACH_DEG;
    String name =
        piston ? work.words().text("clearance.piston.short") : clearance.other().orElseThrow();
    String figure = work.units().shortLength(at.mm());
    say(
        g,
        isWhole ? figure : name + ": " + figure,
        x + (toRight ? 10 : -10),
        y + 0.9 * text(),
        colour,
        toRight ? TextAlignment.LEFT : TextAlignment.RIGHT);
    if (isWhole) {
      double nameY = y(Math.clamp(valueAt(clearance, REACH_DEG), least, most), top, bottom);
      say(g, name, right + 6, Math.max(top + 0.6 * text(), nameY), colour, TextAlignment.LEFT);
    }
  }

  private static double valueAt(SeatClearance clearance, double deg) {
    return clearance.planned().points().stream()
        .filter(p -> p.crankDeg() <= deg)
        .reduce((a, b) -> b)
        .map(Point::mm)
        .orElse(0.0);
  }

  private void line(
      GraphicsContext g, List<Point> points, double left, double right, double top, double bottom) {
    g.beginPath();
    boolean begun = false;
    for (Point p : points) {
      if (Math.abs(p.crankDeg()) <= REACH_DEG) {
        if (begun) {
          g.lineTo(x(p.crankDeg(), left, right), y(p.mm(), top, bottom));
        } else {
          g.moveTo(x(p.crankDeg(), left, right), y(p.mm(), top, bottom));
          begun = true;
        }
      }
    }
    g.stroke();
  }

  private OptionalDouble wanted(ReadingKind kind) {
    SeatView work = shown.orElseThrow();
    return work.practice().wanted(work.port(), kind).map(Range::min).orElse(OptionalDouble.empty());
  }

  private void say(
      GraphicsContext g, String words, double x, double y, Color colour, TextAlignment align) {
    write(g, Theme.words(text()), words, x, y, colour, align);
  }
}
