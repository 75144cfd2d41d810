package finebore.drawing;

import finebore.drawing.Drawing.ArcTo;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import java.util.List;
import java.util.Locale;

/** A drawing as SVG, its size in mm at a scale, arcs as arcs. */
public final class SvgDrawing {

  private final Drawing drawing;
  private final double scale;
  private final StringBuilder out = new StringBuilder();

  private SvgDrawing(Drawing drawing, double scale) {
    this.drawing = drawing;
    this.scale = scale;
  }

  /**
   * The file's text.
   *
   * @param scale how many times its size it is drawn at
   * @param title what it is of
   */
  public static String of(Drawing drawing, double scale, String title) {
    return new SvgDrawing(drawing, scale).write(title);
  }

  private String write(String title) {
    Box box = drawing.box();
    Box window = drawing.window();
    line(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.2fmm\" height=\"%.2fmm\""
            + " viewBox=\"%.4f %.4f %.4f %.4f\">",
        box.width() * scale,
        box.height() * scale,
        box.minX(),
        -box.maxY(),
        box.width(),
        box.height());
    out.append("<title>").append(escaped(title)).append("</title>\n");
    line(
        "<clipPath id=\"window\"><rect x=\"%.4f\" y=\"%.4f\" width=\"%.4f\" height=\"%.4f\"/>"
            + "</clipPath>",
        window.minX(), -window.maxY(), window.width(), window.height());
    line(
        "<rect x=\"%.4f\" y=\"%.4f\" width=\"%.4f\" height=\"%.4f\" fill=\"#ffffff\"/>",
        box.minX(), -box.maxY(), box.width(), box.height());
    for (Item item : drawing.items()) {
      switch (item) {
        case Outline outline -> outline(outline);
        case Label label -> label(label);
      }
    }
    out.append("</svg>\n");
    return out.toString();
  }

  private void outline(Outline outline) {
    DrawingLayer layer = outline.layer();
    StringBuilder path = new StringBuilder();
    List<Vertex> all = outline.vertices();
    path.append(String.format(Locale.ROOT, "M%.5f %.5f", all.getFirst().x(), -all.getFirst().y()));
    int pieces = outline.closed() ? all.size() : all.size() - 1;
    for (int k = 0; k < pieces; k++) {
      Vertex from = all.get(k);
      Vertex to = all.get((k + 1) % all.size());
      if (from.bulge() == 0) {
        path.append(String.format(Locale.ROOT, "L%.5f %.5f", to.x(), -to.y()));
      } else {
        ArcTo arc = from.arcTo(to);
        path.append(
            String.format(
                Locale.ROOT,
                "A%.5f %.5f 0 %d %d %.5f %.5f",
                arc.radius(),
                arc.radius(),
                Math.abs(arc.turnRad()) > Math.PI ? 1 : 0,
                arc.turnRad() > 0 ? 0 : 1,
                to.x(),
                -to.y()));
      }
    }
    if (outline.closed()) {
      path.append("Z");
    }
    line(
        "<path class=\"%s\" d=\"%s\" fill=\"%s\" stroke=\"%s\" stroke-width=\"%.4f\"%s%s/>",
        layer.name(),
        path,
        layer.fill() >= 0 && outline.closed() ? colour(layer.fill()) : "none",
        layer.widthMm() > 0 ? colour(layer.rgb()) : "none",
        layer.widthMm() / scale,
        layer.dashMm() > 0
            ? String.format(
                Locale.ROOT,
                " stroke-dasharray=\"%.4f %.4f\"",
                layer.dashMm() / scale,
                layer.dashMm() / scale)
            : "",
        layer.isSection() ? " clip-path=\"url(#window)\"" : "");
  }

  private void label(Label label) {
    String anchor =
        switch (label.align()) {
          case LEFT -> "start";
          case MIDDLE -> "middle";
          case RIGHT -> "end";
        };
    // A capital is some seven tenths of the size of its letters.
    line(
        "<text x=\"%.4f\" y=\"%.4f\" font-family=\"B612, sans-serif\" font-size=\"%.4f\""
            + " text-anchor=\"%s\" fill=\"%s\">%s</text>",
        label.x(),
        -label.y(),
        label.heightMm() / 0.72,
        anchor,
        colour(label.layer().rgb()),
        escaped(label.text()));
  }

  private static String colour(int rgb) {
    return String.format(Locale.ROOT, "#%06x", rgb);
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }

  private void line(String format, Object... values) {
    out.append(String.format(Locale.ROOT, format, values)).append('\n');
  }
}
