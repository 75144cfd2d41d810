package finebore.desk.prove;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.units.Dimension;
import finebore.words.Words;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.text.TextAlignment;

/** The needle of a vacuum tester, with the shop's limit marked. */
final class VacuumDial extends DrawnRegion {

  private static final double FULL_PA = 100_000;
  private static final double START_DEG = 215;
  private static final double SWEEP_DEG = 250;

  private final Supplier<Palette> palette;
  private final Supplier<Words> words;
  private double needlePa;
  private double limitPa;
  private String under = "";

  VacuumDial(Supplier<Palette> palette, Supplier<Words> words, String accessible) {
    super("vacuum-dial", accessible);
    this.palette = palette;
    this.words = words;
    setMinSize(200, 150);
  }

  void show(double needle, double limit, String text) {
    needlePa = needle;
    limitPa = limit;
    under = text;
    requestLayout();
  }

  private static double angle(double pa) {
    return START_DEG - SWEEP_DEG * Math.clamp(pa / FULL_PA, 0, 1);
  }

  @Override
  protected void draw(GraphicsContext g, double width, double height) {
    Palette colours = palette.get();
    g.setFill(colours.paper());
    g.fillRect(0, 0, width, height);
    double r = Math.min(width, height * 1.12) / 2 - 14;
    double cx = width / 2;
    double cy = r + 14;
    g.setLineWidth(12);
    arc(g, cx, cy, r, 0, limitPa, colours.vermilionWash());
    arc(g, cx, cy, r, limitPa, FULL_PA, colours.greenWash());
    ticks(g, cx, cy, r);
    double at = Math.toRadians(angle(limitPa));
    g.setStroke(colours.green());
    g.setLineWidth(3);
    g.strokeLine(
        cx + (r - 12) * Math.cos(at),
        cy - (r - 12) * Math.sin(at),
        cx + (r + 8) * Math.cos(at),
        cy - (r + 8) * Math.sin(at));
    double needle = Math.toRadians(angle(needlePa));
    g.setStroke(colours.text());
    g.setLineWidth(4);
    g.strokeLine(cx, cy, cx + (r - 20) * Math.cos(needle), cy - (r - 20) * Math.sin(needle));
    g.setFill(colours.text());
    g.fillOval(cx - 8, cy - 8, 16, 16);
    // In a small dial the figure is smaller and clear of the scale's last number.
    double size = Math.clamp(0.3 * r, 20, 30);
    double below = cy + Math.max(0.45 * r, 48);
    write(
        g,
        Theme.boldFigures(size),
        words.get().figure(Dimension.BAROMETER, Math.round(needlePa / 100) * 100.0),
        cx,
        below,
        needlePa >= limitPa ? colours.green() : colours.text(),
        TextAlignment.CENTER);
    write(g, Theme.words(15), under, cx, below + size, colours.muted(), TextAlignment.CENTER);
  }

  private static void arc(
      GraphicsContext g, double cx, double cy, double r, double from, double to, Color colour) {
    g.setStroke(colour);
    g.strokeArc(cx - r, cy - r, 2 * r, 2 * r, angle(from), angle(to) - angle(from), ArcType.OPEN);
  }

  private void ticks(GraphicsContext g, double cx, double cy, double r) {
    Palette colours = palette.get();
    // The needle at rest lies on the first of them.
    for (int k = 2; k <= 10; k += 2) {
      double pa = k * FULL_PA / 10;
      double at = Math.toRadians(angle(pa));
      g.setStroke(colours.strongLine());
      g.setLineWidth(2);
      g.strokeLine(
          cx + (r - 6) * Math.cos(at),
          cy - (r - 6) * Math.sin(at),
          cx + (r + 6) * Math.cos(at),
          cy - (r + 6) * Math.sin(at));
      write(
          g,
          Theme.figures(13),
          words.get().units().barometerNumber(pa),
          cx + (r - 30) * Math.cos(at),
          cy - (r - 30) * Math.sin(at),
          colours.muted(),
          TextAlignment.CENTER);
    }
  }
}
