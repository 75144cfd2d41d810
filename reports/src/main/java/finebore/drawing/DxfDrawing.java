package finebore.drawing;

import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.units.Units;
import java.util.List;
import java.util.Locale;

/**
 * A drawing as DXF (R12, the version every reader takes; Autodesk's published DXF reference): one
 * polyline for each outline, arcs as bulges, so that nothing is broken into facets. Coordinates are
 * in the job's unit, which the header names ($INSUNITS).
 */
public final class DxfDrawing {

  private static final double INCH_MM = 25.4;

  private final StringBuilder out = new StringBuilder();
  private final double perMm;

  private DxfDrawing(Units units) {
    this.perMm = units == Units.MM ? 1 : 1 / INCH_MM;
  }

  /** The file's text. */
  public static String of(List<Drawing> drawings, Units units) {
    return new DxfDrawing(units).write(drawings, units);
  }

  private String write(List<Drawing> drawings, Units units) {
    group(0, "SECTION");
    group(2, "HEADER");
    group(9, "$ACADVER");
    group(1, "AC1009");
    group(9, "$INSUNITS");
    group(70, units == Units.MM ? "4" : "1");
    group(9, "$MEASUREMENT");
    group(70, units == Units.MM ? "1" : "0");
    group(0, "ENDSEC");
    tables();
    group(0, "SECTION");
    group(2, "ENTITIES");
    for (Drawing drawing : drawings) {
      drawing.items().forEach(this::item);
    }
    group(0, "ENDSEC");
    group(0, "EOF");
    return out.toString();
  }

  private void tables() {
    group(0, "SECTION");
    group(2, "TABLES");
    group(0, "TABLE");
    group(2, "LTYPE");
    group(70, "1");
    group(0, "LTYPE");
    group(2, "CONTINUOUS");
    group(70, "0");
    group(3, "Solid line");
    group(72, "65");
    group(73, "0");
    group(40, "0.0");
    group(0, "ENDTAB");
    group(0, "TABLE");
    group(2, "LAYER");
    group(70, String.valueOf(DrawingLayer.values().length));
    for (DrawingLayer layer : DrawingLayer.values()) {
      group(0, "LAYER");
      group(2, layer.name());
      group(70, "0");
      group(62, String.valueOf(1 + layer.ordinal() % 7));
      group(6, "CONTINUOUS");
    }
    group(0, "ENDTAB");
    group(0, "ENDSEC");
  }

  private void item(Item item) {
    switch (item) {
      case Outline outline -> outline(outline);
      case Label label -> label(label);
    }
  }

  private void outline(Outline outline) {
    group(0, "POLYLINE");
    group(8, outline.layer().name());
    group(66, "1");
    place(0, 0);
    group(70, outline.closed() ? "1" : "0");
    for (Vertex v : outline.vertices()) {
      group(0, "VERTEX");
      group(8, outline.layer().name());
      place(v.x(), v.y());
      if (v.bulge() != 0) {
        group(42, number(v.bulge()));
      }
    }
    group(0, "SEQEND");
    group(8, outline.layer().name());
  }

  private void label(Label label) {
    group(0, "TEXT");
    group(8, label.layer().name());
    place(label.x(), label.y());
    group(40, number(label.heightMm() * perMm));
    group(1, plain(label.text()));
    if (label.align() != Drawing.Align.LEFT) {
      group(72, label.align() == Drawing.Align.MIDDLE ? "1" : "2");
      group(11, number(label.x() * perMm));
      group(21, number(label.y() * perMm));
      group(31, "0.0");
    }
  }

  /** R12 has no other letters than ASCII: its own signs for what drawings need, escapes beyond. */
  private static String plain(String text) {
    StringBuilder plain = new StringBuilder();
    for (char c : text.toCharArray()) {
      switch (c) {
        case '°' -> plain.append("%%d");
        case '±' -> plain.append("%%p");
        case 'Ø', '⌀' -> plain.append("%%c");
        default -> {
          if (c >= ' ' && c <= '~') {
            plain.append(c);
          } else {
            plain.append(String.format(Locale.ROOT, "\\U+%04X", (int) c));
          }
        }
      }
    }
    return plain.toString();
  }

  private void place(double x, double y) {
    group(10, number(x * perMm));
    group(20, number(y * perMm));
    group(30, "0.0");
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.7f", value);
  }

  private void group(int code, String value) {
    out.append(code).append("\r\n").append(value).append("\r\n");
  }
}
