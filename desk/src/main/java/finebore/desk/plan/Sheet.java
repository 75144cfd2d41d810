package finebore.desk.plan;

import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.section.Point;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;

/**
 * What a section is drawn with.
 *
 * @param text size of text, px
 */
record Sheet(
    GraphicsContext g,
    SeatView work,
    ViewFrame frame,
    Palette palette,
    double width,
    double height,
    double text) {

  /** The same on other paper. */
  Sheet on(GraphicsContext other, ViewFrame lies, double wide, double high) {
    return new Sheet(other, work, lies, palette, wide, high, text);
  }

  /** Whether a place of the section lies on the paper as it is panned and zoomed. */
  boolean shows(Point p) {
    double x = frame.x(p.r());
    double y = frame.y(p.z());
    return x >= 0 && x <= width && y >= 0 && y <= height;
  }

  /** Lays a path along points of the section plane, to be filled or stroked. */
  void path(List<Point> points, boolean closed) {
    g.beginPath();
    for (int k = 0; k < points.size(); k++) {
      double x = clamped(frame.x(points.get(k).r()));
      double y = clamped(frame.y(points.get(k).z()));
      if (k == 0) {
        g.moveTo(x, y);
      } else {
        g.lineTo(x, y);
      }
    }
    if (closed) {
      g.closePath();
    }
  }

  /** Far outside the window nothing can be seen, and huge numbers would blur what can. */
  private static double clamped(double pixel) {
    return Math.clamp(pixel, -2e5, 2e5);
  }
}
