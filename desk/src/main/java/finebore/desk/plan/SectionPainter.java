package finebore.desk.plan;

import finebore.desk.controls.DrawingPainter;
import finebore.desk.controls.Ink;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.drawing.Drawing.Box;
import finebore.reports.AirColours;
import finebore.words.UnitSystem;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;

/** Draws the section, and over it what holds the air up. */
final class SectionPainter {

  private final Sheet sheet;
  private final GraphicsContext g;
  private final SeatView work;
  private final ViewFrame frame;
  private final Palette palette;

  SectionPainter(Sheet sheet) {
    this.sheet = sheet;
    this.g = sheet.g();
    this.work = sheet.work();
    this.frame = sheet.frame();
    this.palette = sheet.palette();
  }

  /** Paints it with the valve shut and no air. */
  void paintShut() {
    paint(0, Optional.empty());
  }

  void paint(double liftMm, AirOverlay air) {
    paint(liftMm, Optional.of(air).filter(AirOverlay::isShown));
  }

  private void paint(double liftMm, Optional<AirOverlay> air) {
    g.setLineCap(StrokeLineCap.BUTT);
    g.setFill(palette.paper());
    g.fillRect(0, 0, sheet.width(), sheet.height());
    air.ifPresent(a -> a.paint(sheet));
    Box window = new Box(frame.r(0), frame.z(sheet.height()), frame.r(sheet.width()), frame.z(0));
    new DrawingPainter(g, palette, frame.scale(), frame.originX(), frame.originY())
        .paint(work.scene(liftMm).items(window, false));
    axisName();
    if (liftMm > 0 && work.shown().seated().isPresent()) {
      air.ifPresent(this::colourScale);
    }
    scaleBar();
  }

  /** What the colours of the air mean. */
  private void colourScale(AirOverlay air) {
    double length = 9 * sheet.text();
    double x = sheet.width() - length - 5.5 * sheet.text();
    double y = sheet.height() - 1.5 * sheet.text();
    g.setFill(palette.paper().deriveColor(0, 1, 1, 0.9));
    g.fillRect(x - 1.6 * sheet.text(), y - 6, length + 7.2 * sheet.text(), sheet.text() + 12);
    int steps = 60;
    for (int k = 0; k < steps; k++) {
      g.setFill(AirOverlay.colour(AirColours.of(k / (steps - 1.0))));
      g.fillRect(x + length * k / steps, y, length / steps + 1, sheet.text());
    }
    double middle = y + sheet.text() / 2;
    words("0", x - 5, middle, palette.text(), TextAlignment.RIGHT);
    words(air.scaleEnd(), x + length + 5, middle, palette.text(), TextAlignment.LEFT);
  }

  private void axisName() {
    double x = frame.x(0);
    if (x > 0 && x < sheet.width()) {
      words(
          work.words().text("section.axis"),
          x + 4,
          sheet.height() - 30,
          palette.muted(),
          TextAlignment.LEFT);
    }
  }

  private void scaleBar() {
    double[] steps = {0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50};
    boolean metric = work.units() == UnitSystem.METRIC;
    double unit = metric ? 1 : 25.4;
    double[] lengths = metric ? steps : new double[] {0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2};
    double best = lengths[0];
    for (double length : lengths) {
      if (length * unit * frame.scale() <= 130) {
        best = length;
      }
    }
    double px = best * unit * frame.scale();
    double x = 12;
    double y = sheet.height() - 10;
    g.setFill(palette.paper().deriveColor(0, 1, 1, 0.8));
    g.fillRect(x - 6, y - 14, px + 70, 20);
    g.setStroke(palette.text());
    g.setLineWidth(2);
    g.strokeLine(x, y, x + px, y);
    g.strokeLine(x, y - 4, x, y + 4);
    g.strokeLine(x + px, y - 4, x + px, y + 4);
    String label = trimmed(best);
    words(
        label + " " + work.units().length().symbol(),
        x + px + 8,
        y,
        palette.text(),
        TextAlignment.LEFT);
  }

  private static String trimmed(double value) {
    return java.math.BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
  }

  private void tag(String label, double x, double y, Color colour) {
    g.setFont(Theme.boldFigures(sheet.text() * 0.92));
    double w = label.length() * sheet.text() * 0.62;
    g.setFill(palette.paper().deriveColor(0, 1, 1, 0.85));
    g.fillRoundRect(x - w, y - sheet.text() * 0.7, w + 4, sheet.text() * 1.4, 4, 4);
    g.setFill(colour);
    g.setTextAlign(TextAlignment.RIGHT);
    g.setTextBaseline(VPos.CENTER);
    Ink.write(g, label, x, y);
  }

  private void words(String label, double x, double y, Color colour, TextAlignment align) {
    g.setFont(Theme.words(sheet.text()));
    g.setFill(colour);
    g.setTextAlign(align);
    g.setTextBaseline(VPos.CENTER);
    Ink.write(g, label, x, y);
  }
}
