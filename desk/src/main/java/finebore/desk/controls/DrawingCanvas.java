package finebore.desk.controls;

import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.drawing.Drawing;
import finebore.drawing.Drawing.ArcTo;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.drawing.DrawingLayer;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** A drawing as large as it fits, in the colours of the theme. */
public final class DrawingCanvas extends DrawnRegion {

  private static final double PX_PER_PAPER_MM = 3.2;
  private static final double EDGE = 8;

  private final Supplier<Palette> palette;
  private Optional<Drawing> drawing = Optional.empty();
  private double scale;
  private double left;
  private double base;

  public DrawingCanvas(String id, String accessibleText, Supplier<Palette> palette) {
    super(id, accessibleText);
    this.palette = palette;
    setMinSize(160, 120);
  }

  /** Shows another drawing, or none. */
  public void show(Optional<Drawing> shown) {
    drawing = shown;
    requestLayout();
  }

  @Override
  protected void draw(GraphicsContext g, double width, double height) {
    g.setFill(palette.get().paper());
    g.fillRect(0, 0, width, height);
    if (drawing.isEmpty()) {
      return;
    }
    Box box = drawing.get().box();
    scale = Math.min((width - 2 * EDGE) / box.width(), (height - 2 * EDGE) / box.height());
    left = (width - box.width() * scale) / 2 - box.minX() * scale;
    base = (height + box.height() * scale) / 2 + box.minY() * scale;
    for (Item item : drawing.get().items()) {
      switch (item) {
        case Outline outline -> outline(g, outline);
        case Label label -> label(g, label);
      }
    }
  }

  private void outline(GraphicsContext g, Outline outline) {
    DrawingLayer layer = outline.layer();
    g.save();
    if (layer.isSection()) {
      Box window = drawing.orElseThrow().window();
      g.beginPath();
      g.rect(x(window.minX()), y(window.maxY()), window.width() * scale, window.height() * scale);
      g.clip();
    }
    path(g, outline);
    if (outline.closed() && layer.fill() >= 0) {
      g.setFill(fill(layer));
      g.fill();
    }
    if (layer.widthMm() > 0) {
      g.setStroke(stroke(layer));
      g.setLineWidth(layer.widthMm() * PX_PER_PAPER_MM);
      if (layer.dashMm() > 0) {
        g.setLineDashes(layer.dashMm() * PX_PER_PAPER_MM, layer.dashMm() * PX_PER_PAPER_MM);
      }
      g.stroke();
    }
    g.restore();
  }

  private void path(GraphicsContext g, Outline outline) {
    List<Vertex> all = outline.vertices();
    g.beginPath();
    g.moveTo(x(all.getFirst().x()), y(all.getFirst().y()));
    int pieces = outline.closed() ? all.size() : all.size() - 1;
    for (int k = 0; k < pieces; k++) {
      Vertex from = all.get(k);
      Vertex to = all.get((k + 1) % all.size());
      if (from.bulge() == 0) {
        g.lineTo(x(to.x()), y(to.y()));
      } else {
        ArcTo arc = from.arcTo(to);
        double start =
            Math.toDegrees(Math.atan2(from.y() - arc.centreY(), from.x() - arc.centreX()));
        g.arc(
            x(arc.centreX()),
            y(arc.centreY()),
            arc.radius() * scale,
            arc.radius() * scale,
            start,
            Math.toDegrees(arc.turnRad()));
      }
    }
    if (outline.closed()) {
      g.closePath();
    }
  }

  private void label(GraphicsContext g, Label label) {
    g.setFill(stroke(label.layer()));
    g.setFont(Theme.figures(Math.max(11, label.heightMm() * scale / 0.72)));
    g.setTextBaseline(VPos.BASELINE);
    g.setTextAlign(
        switch (label.align()) {
          case LEFT -> TextAlignment.LEFT;
          case MIDDLE -> TextAlignment.CENTER;
          case RIGHT -> TextAlignment.RIGHT;
        });
    Ink.write(g, label.text(), x(label.x()), y(label.y()));
  }

  private double x(double mm) {
    return left + mm * scale;
  }

  private double y(double mm) {
    return base - mm * scale;
  }

  private Color stroke(DrawingLayer layer) {
    Palette colours = palette.get();
    return switch (layer) {
      case METAL, AXIS -> colours.muted();
      case REMOVED -> colours.vermilion();
      case FOUND -> colours.strongLine();
      case PLANNED, CONTACT -> colours.blue();
      case VALVE -> colours.brassEdge();
      case FINISHED, CUTTER, DIMENSIONS -> colours.text();
    };
  }

  private Color fill(DrawingLayer layer) {
    Palette colours = palette.get();
    return switch (layer) {
      case REMOVED -> colours.vermilion().deriveColor(0, 1, 1, 0.55);
      case VALVE -> colours.brass();
      default -> colours.iron();
    };
  }
}
