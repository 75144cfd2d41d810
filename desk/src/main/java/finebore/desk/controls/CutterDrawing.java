package finebore.desk.controls;

import finebore.cutting.Cutter;
import finebore.seat.Arc;
import finebore.section.Point;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** A form cutter's profile, drawn to scale: straight cuts as lines, arcs as arcs. */
public final class CutterDrawing extends DrawnRegion {

  private static final double HEIGHT_PX = 54;

  private Optional<Cutter> cutter = Optional.empty();

  /**
   * A drawing of no cutter yet.
   *
   * @param name what it is called for those who do not see it
   */
  public CutterDrawing(String name) {
    super("cutter-drawing", name);
    setFocusTraversable(false);
    setPrefHeight(HEIGHT_PX);
    setMinHeight(HEIGHT_PX);
  }

  public void show(Optional<Cutter> shown) {
    cutter = shown;
    setVisible(shown.isPresent());
    setManaged(shown.isPresent());
    requestLayout();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    g.clearRect(0, 0, w, h);
    cutter.ifPresent(c -> draw(g, c, w, h));
  }

  private static void draw(GraphicsContext g, Cutter cutter, double w, double h) {
    List<Point> outline = cutter.outline();
    double left = outline.stream().mapToDouble(Point::r).min().orElse(0);
    double right = outline.stream().mapToDouble(Point::r).max().orElse(1);
    double low = outline.stream().mapToDouble(Point::z).min().orElse(0);
    double high = outline.stream().mapToDouble(Point::z).max().orElse(1);
    double scale = Math.min((w - 16) / (right - left), (h - 12) / (high - low));
    double x0 = (w - (right - left) * scale) / 2;
    g.setLineWidth(2.4);
    int at = 0;
    for (int k = 0; k < cutter.elements().size(); k++) {
      boolean arc = cutter.elements().get(k) instanceof Arc;
      int chords = arc ? Cutter.DRAWN_CHORDS : 1;
      g.setStroke(k == cutter.sealing() ? Color.web("#2c5d96") : Color.web("#7a766d"));
      g.beginPath();
      for (int p = at; p <= at + chords; p++) {
        double x = x0 + (outline.get(p).r() - left) * scale;
        // As in the section: the port lies below.
        double y = 6 + (outline.get(p).z() - low) * scale;
        if (p == at) {
          g.moveTo(x, y);
        } else {
          g.lineTo(x, y);
        }
      }
      g.stroke();
      at += chords;
    }
  }
}
