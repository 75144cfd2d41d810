package finebore.card;

import com.ibm.icu.text.Transliterator;
import finebore.drawing.Drawing;
import finebore.drawing.Drawing.ArcTo;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.drawing.DrawingLayer;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * Pages of a PDF that are filled from the top down: text, tables and drawings, a new page where one
 * is full. Fonts are embedded, so that it prints alike everywhere.
 */
final class Paper implements AutoCloseable {

  private static final float MM = 72 / 25.4f;

  /** Where a word may be parted; not seen elsewhere. */
  private static final String SOFT_HYPHEN = "\u00ad";

  private static final float MARGIN = 15 * MM;
  private static final float FOOT = 12 * MM;

  /**
   * The PDF library complains at its first page that it may not unmap files, which it never needs
   * to here. Kept, or the silence would be collected as garbage.
   */
  private static final Logger UNMAPPING = Logger.getLogger("org.apache.pdfbox.io.IOUtils");

  static {
    UNMAPPING.setLevel(Level.OFF);
  }

  private static final Color INK = new Color(0x2b2b2a);
  private static final Color FAINT = new Color(0xb9b6ad);

  private final PDDocument document = new PDDocument();
  private final PDRectangle size;
  private final PDFont plain;
  private final PDFont bold;
  private final Transliterator latin = Transliterator.getInstance("Any-Latin; Latin-ASCII");
  private PDPageContentStream page;
  private float y;

  Paper(PDRectangle size) throws IOException {
    this.size = size;
    this.plain = font("B612-Regular.ttf");
    this.bold = font("B612-Bold.ttf");
    begin();
  }

  private PDFont font(String file) throws IOException {
    try (InputStream in = Paper.class.getResourceAsStream(file)) {
      return PDType0Font.load(document, in);
    }
  }

  private void begin() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage next = new PDPage(size);
    document.addPage(next);
    page = new PDPageContentStream(document, next);
    y = size.getHeight() - MARGIN;
  }

  float width() {
    return size.getWidth() - 2 * MARGIN;
  }

  private float room() {
    return y - MARGIN - FOOT;
  }

  /** Goes on to a new page where less than this is left, points. */
  void need(float points) throws IOException {
    if (room() < points) {
      begin();
    }
  }

  void gap(float points) {
    y -= points;
  }

  void title(String text) throws IOException {
    lines(text, bold, 16, width(), MARGIN);
  }

  void heading(String text) throws IOException {
    need(60);
    gap(8);
    lines(text, bold, 11, width(), MARGIN);
    gap(3);
    rule();
    gap(2);
  }

  void text(String text) throws IOException {
    lines(text, plain, 8.5f, width(), MARGIN);
  }

  void strong(String text) throws IOException {
    lines(text, bold, 8.5f, width(), MARGIN);
  }

  private void rule() throws IOException {
    page.setStrokingColor(FAINT);
    page.setLineWidth(0.6f);
    page.moveTo(MARGIN, y);
    page.lineTo(MARGIN + width(), y);
    page.stroke();
    gap(3);
  }

  private void lines(String text, PDFont font, float points, float width, float x)
      throws IOException {
    for (String line : wrapped(text, font, points, width)) {
      need(points * 1.4f);
      y -= points * 1.25f;
      put(line, font, points, x, y);
      y -= points * 0.15f;
    }
  }

  private void put(String text, PDFont font, float points, float x, float at) throws IOException {
    page.beginText();
    page.setNonStrokingColor(INK);
    page.setFont(font, points);
    page.newLineAtOffset(x, at);
    page.showText(text);
    page.endText();
  }

  /** Signs the font does not have are written in Latin letters, or as a question mark. */
  private String sayable(String text, PDFont font) {
    StringBuilder sayable = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              String one = Character.toString(c);
              if (has(font, one)) {
                sayable.append(one);
              } else {
                String other = latin.transliterate(one);
                sayable.append(has(font, other) ? other : "?");
              }
            });
    return sayable.toString();
  }

  private static boolean has(PDFont font, String text) {
    try {
      font.encode(text);
      return true;
    } catch (IOException | IllegalArgumentException e) {
      return false;
    }
  }

  private static float width(String text, PDFont font, float points) throws IOException {
    return font.getStringWidth(text) / 1000 * points;
  }

  /** Lines no wider than asked for; a word may be parted where it has a soft hyphen. */
  private List<String> wrapped(String text, PDFont font, float points, float width)
      throws IOException {
    List<String> lines = new ArrayList<>();
    for (String paragraph : text.split("\\R")) {
      String line = "";
      for (String word : paragraph.strip().split("\\s+")) {
        String longer = line.isEmpty() ? word : line + " " + word;
        if (line.isEmpty() || width(said(longer, font), font, points) <= width) {
          line = longer;
        } else {
          lines.add(said(line, font));
          line = word;
        }
        while (width(said(line, font), font, points) > width && line.length() > 1) {
          int end = line.lastIndexOf(SOFT_HYPHEN);
          while (end > 0 && width(said(line.substring(0, end), font) + "-", font, points) > width) {
            end = line.lastIndexOf(SOFT_HYPHEN, end - 1);
          }
          if (end > 0) {
            lines.add(said(line.substring(0, end), font) + "-");
          } else {
            // A word that no line holds is broken.
            end = line.length() - 1;
            while (end > 1 && width(said(line.substring(0, end), font), font, points) > width) {
              end--;
            }
            lines.add(said(line.substring(0, end), font));
          }
          line = line.substring(end);
        }
      }
      lines.add(said(line, font));
    }
    return lines;
  }

  private String said(String text, PDFont font) {
    return sayable(text.replace(SOFT_HYPHEN, ""), font);
  }

  /**
   * A table; its heads stand again at the top of each page.
   *
   * @param shares of the width that each column has
   */
  void table(List<String> heads, List<List<String>> rows, double... shares) throws IOException {
    float points = 7.5f;
    row(heads, bold, points, shares);
    for (List<String> cells : rows) {
      if (room() < height(cells, plain, points, shares)) {
        begin();
        row(heads, bold, points, shares);
      }
      row(cells, plain, points, shares);
    }
    gap(4);
  }

  private float height(List<String> cells, PDFont font, float points, double[] shares)
      throws IOException {
    int most = 1;
    for (int k = 0; k < cells.size(); k++) {
      most = Math.max(most, wrapped(cells.get(k), font, points, cell(shares, k) - 4).size());
    }
    return most * points * 1.3f + 5;
  }

  private float cell(double[] shares, int column) {
    double all = 0;
    for (double share : shares) {
      all += share;
    }
    return (float) (shares[column] / all * width());
  }

  private void row(List<String> cells, PDFont font, float points, double[] shares)
      throws IOException {
    float height = height(cells, font, points, shares);
    need(height);
    float x = MARGIN;
    for (int k = 0; k < cells.size(); k++) {
      float at = y - points * 1.1f;
      for (String line : wrapped(cells.get(k), font, points, cell(shares, k) - 4)) {
        put(line, font, points, x, at);
        at -= points * 1.3f;
      }
      x += cell(shares, k);
    }
    y -= height - 3;
    rule();
  }

  /** A drawing as large as a scale makes it, or as the page holds. */
  void drawing(Drawing drawing, double scale) throws IOException {
    Box box = drawing.box();
    float unit = (float) (scale * MM);
    need((float) (box.height() * unit) + 6);
    float left = MARGIN - (float) (box.minX() * unit);
    float base = y - (float) (box.height() * unit) - (float) (box.minY() * unit);
    for (Item item : drawing.items()) {
      page.saveGraphicsState();
      switch (item) {
        case Outline outline -> outline(outline, drawing.window(), left, base, unit);
        case Label label -> label(label, left, base, unit);
      }
      page.restoreGraphicsState();
    }
    y -= (float) (box.height() * unit) + 6;
  }

  private void label(Label label, float left, float base, float unit) throws IOException {
    String text = sayable(label.text(), plain);
    float size = (float) (label.heightMm() * unit / 0.72);
    float wide = plain.getStringWidth(text) / 1000 * size;
    float back =
        switch (label.align()) {
          case LEFT -> 0;
          case MIDDLE -> wide / 2;
          case RIGHT -> wide;
        };
    put(
        text,
        plain,
        size,
        left + (float) (label.x() * unit) - back,
        base + (float) (label.y() * unit));
  }

  private void outline(Outline outline, Box window, float left, float base, float unit)
      throws IOException {
    DrawingLayer layer = outline.layer();
    if (layer.isSection()) {
      page.addRect(
          left + (float) (window.minX() * unit),
          base + (float) (window.minY() * unit),
          (float) (window.width() * unit),
          (float) (window.height() * unit));
      page.clip();
    }
    path(outline, left, base, unit);
    boolean fill = outline.closed() && layer.fill() >= 0;
    if (layer.widthMm() > 0) {
      page.setStrokingColor(new Color(layer.rgb()));
      page.setLineWidth((float) layer.widthMm() * MM);
      if (layer.dashMm() > 0) {
        float dash = (float) layer.dashMm() * MM;
        page.setLineDashPattern(new float[] {dash, dash}, 0);
      }
    }
    if (fill) {
      page.setNonStrokingColor(new Color(layer.fill()));
    }
    if (fill && layer.widthMm() > 0) {
      page.fillAndStroke();
    } else if (fill) {
      page.fill();
    } else {
      page.stroke();
    }
  }

  private void path(Outline outline, float left, float base, float unit) throws IOException {
    List<Vertex> all = outline.vertices();
    page.moveTo(
        left + (float) (all.getFirst().x() * unit), base + (float) (all.getFirst().y() * unit));
    int pieces = outline.closed() ? all.size() : all.size() - 1;
    for (int k = 0; k < pieces; k++) {
      Vertex from = all.get(k);
      Vertex to = all.get((k + 1) % all.size());
      if (from.bulge() == 0) {
        page.lineTo(left + (float) (to.x() * unit), base + (float) (to.y() * unit));
      } else {
        arc(from, to, left, base, unit);
      }
    }
    if (outline.closed()) {
      page.closePath();
    }
  }

  /** In parts of a sixth of a circle at most, each by the usual cubic (off by 1e-6 of it). */
  private void arc(Vertex from, Vertex to, float left, float base, float unit) throws IOException {
    ArcTo arc = from.arcTo(to);
    double start = Math.atan2(from.y() - arc.centreY(), from.x() - arc.centreX());
    int parts = (int) Math.ceil(Math.abs(arc.turnRad()) / (Math.PI / 3));
    double turn = arc.turnRad() / parts;
    double k = 4.0 / 3 * Math.tan(turn / 4);
    for (int n = 0; n < parts; n++) {
      double a = start + n * turn;
      double b = a + turn;
      double[] xs = {Math.cos(a) - k * Math.sin(a), Math.cos(b) + k * Math.sin(b), Math.cos(b)};
      double[] ys = {Math.sin(a) + k * Math.cos(a), Math.sin(b) - k * Math.cos(b), Math.sin(b)};
      float[] at = new float[6];
      for (int m = 0; m < 3; m++) {
        at[2 * m] = left + (float) ((arc.centreX() + arc.radius() * xs[m]) * unit);
        at[2 * m + 1] = base + (float) ((arc.centreY() + arc.radius() * ys[m]) * unit);
      }
      page.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
    }
  }

  /** Lines to sign on. */
  void signatures(List<String> names) throws IOException {
    need(60);
    gap(36);
    float each = width() / names.size();
    for (int k = 0; k < names.size(); k++) {
      float x = MARGIN + k * each;
      page.setStrokingColor(INK);
      page.setLineWidth(0.6f);
      page.moveTo(x, y);
      page.lineTo(x + each - 18, y);
      page.stroke();
      put(sayable(names.get(k), plain), plain, 7.5f, x, y - 10);
    }
    gap(16);
  }

  /**
   * Puts the same at the foot of every page and ends the file.
   *
   * @param foot by the page's number from 1
   */
  byte[] finished(IntFunction<String> foot) throws IOException {
    page.close();
    page = null;
    for (int k = 0; k < document.getNumberOfPages(); k++) {
      try (PDPageContentStream under =
          new PDPageContentStream(document, document.getPage(k), AppendMode.APPEND, true, true)) {
        under.beginText();
        under.setNonStrokingColor(INK);
        under.setFont(plain, 7.5f);
        under.newLineAtOffset(MARGIN, MARGIN * 0.7f);
        under.showText(sayable(foot.apply(k + 1), plain));
        under.endText();
      }
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    document.save(bytes);
    return bytes.toByteArray();
  }

  int pages() {
    return document.getNumberOfPages();
  }

  /** What the file says of itself. */
  void about(String title) {
    document.getDocumentInformation().setTitle(title);
    document.getDocumentInformation().setCreator("Fine Bore");
  }

  @Override
  public void close() throws IOException {
    if (page != null) {
      page.close();
    }
    document.close();
  }
}
