package finebore.desk.controls;

import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.drawing.Drawing.Align;
import finebore.drawing.Drawing.ArcTo;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.drawing.DrawingLayer;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;

/**
 * Paints what a drawing describes, in the colours of the theme.
 *
 * @param scale pixels per mm
 * @param originX pixel column of the valve's axis
 * @param originY pixel row of the head face
 */
public record DrawingPainter(
    GraphicsContext g, Palette palette, double scale, double originX, double originY) {

  /** Far outside the window nothing can be seen, and huge numbers would blur what can. */
  private static final double FAR_PX = 2e5;

  private static final double SMALLEST_TEXT = 11;

  /** Paints all of it, one over the other. */
  public void paint(List<Item> items) {
    for (Item item : items) {
      switch (item) {
        case Outline outline -> outline(outline);
        case Label label -> label(label);
      }
    }
  }

  /** Paints one outline. */
  public void outline(Outline outline) {
    path(outline);
    DrawingLayer layer = outline.layer();
    if (outline.closed()) {
      for (Paint fill : fills(layer)) {
        g.setFill(fill);
        g.fill();
      }
    }
    if (layer.widthMm() > 0) {
      g.setLineCap(StrokeLineCap.BUTT);
      g.setStroke(stroke(layer));
      g.setLineWidth(widthPx(layer));
      g.setLineDashes(dashesPx(layer));
      g.stroke();
      g.setLineDashes();
      if (layer == DrawingLayer.GATE) {
        ends(outline);
      }
    }
  }

  private void path(Outline outline) {
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

  /** Ticks across the ends of a measured gap. */
  private void ends(Outline gap) {
    Vertex from = gap.vertices().getFirst();
    Vertex to = gap.vertices().getLast();
    double dx = x(to.x()) - x(from.x());
    double dy = y(to.y()) - y(from.y());
    double length = Math.max(1, Math.hypot(dx, dy));
    double nx = -dy / length * 6;
    double ny = dx / length * 6;
    for (Vertex end : gap.vertices()) {
      g.strokeLine(x(end.x()) - nx, y(end.y()) - ny, x(end.x()) + nx, y(end.y()) + ny);
    }
  }

  private void label(Label label) {
    g.setFill(stroke(label.layer()));
    g.setFont(Theme.figures(Math.max(SMALLEST_TEXT, label.heightMm() * scale / 0.72)));
    g.setTextBaseline(VPos.BASELINE);
    g.setTextAlign(align(label.align()));
    Ink.write(g, label.text(), x(label.x()), y(label.y()));
  }

  private static TextAlignment align(Align align) {
    return switch (align) {
      case LEFT -> TextAlignment.LEFT;
      case MIDDLE -> TextAlignment.CENTER;
      case RIGHT -> TextAlignment.RIGHT;
    };
  }

  private double x(double mm) {
    return Math.clamp(originX + mm * scale, -FAR_PX, FAR_PX);
  }

  private double y(double mm) {
    return Math.clamp(originY - mm * scale, -FAR_PX, FAR_PX);
  }

  private Color stroke(DrawingLayer layer) {
    return switch (layer) {
      case METAL, AXIS, NEIGHBOUR -> palette.muted();
      case RING, FINISHED, BORE, CHAMBER -> palette.edge();
      case REMOVED, FOUND, FIRE_RING, STOP_LINE -> palette.vermilion();
      case LACKING, RUNOUT -> palette.amber();
      case WATER, PLANNED, CONTACT, REACHED, TAKE_BACK -> palette.blue();
      case VALVE, SHUT, VALVE_HEAD -> palette.brassEdge();
      case GATE, CUTTER, DIMENSIONS, SCALE_BAR -> palette.text();
    };
  }

  private static double widthPx(DrawingLayer layer) {
    return switch (layer) {
      case CONTACT -> 6;
      case GATE, WATER, REACHED -> 2;
      case FINISHED, VALVE, CUTTER -> 1.8;
      case RING, FOUND, PLANNED -> 1.3;
      default -> 1;
    };
  }

  private static double[] dashesPx(DrawingLayer layer) {
    return switch (layer) {
      case AXIS -> new double[] {14, 4, 3, 4};
      case FOUND -> new double[] {2, 4};
      case WATER -> new double[] {2, 5};
      case PLANNED -> new double[] {8, 5};
      case GATE, RUNOUT -> new double[] {5, 4};
      case SHUT -> new double[] {6, 4};
      default -> new double[0];
    };
  }

  /**
   * What a closed outline is filled with: a wash, and hatching over it, so that shape tells too.
   */
  private List<Paint> fills(DrawingLayer layer) {
    return switch (layer) {
      case METAL, CUTTER -> List.of(palette.iron(), Hatch.of(palette.hatch(), true, 9, 1));
      case RING -> List.of(palette.iron(), Hatch.of(palette.edge(), false, 5, 1));
      case NEIGHBOUR -> List.of(Hatch.of(palette.muted(), false, 5, 1));
      case REMOVED ->
          List.of(
              palette.vermilionWash().deriveColor(0, 1, 1, 0.65),
              Hatch.of(palette.vermilion(), false, 6, 1.2));
      case LACKING -> List.of(palette.amber().deriveColor(0, 1, 1, 0.25));
      case VALVE -> List.of(palette.brass().deriveColor(0, 1, 1, 0.85));
      default -> List.of();
    };
  }
}
