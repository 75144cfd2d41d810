package finebore.reports;

import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.words.Words;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;

/** A picture of solved air on paper: PNG, or SVG. */
public final class AirPicture {

  private static final int WIDTH = 1100;
  private static final int HEIGHT = 900;
  private static final int FOOT = 110;
  private static final int IRON = 0xb9bec4;
  private static final int BRASS = 0xd9c98f;
  private static final int INK = 0x1d232b;

  private final AirFlow flow;
  private final AirColours.Layer layer;
  private final Words words;
  private final String title;
  private final AirLines lines;
  private final Frame frame;

  /** What of the section is in the picture, mm. */
  private record Frame(double left, double right, double top, double bottom) {

    /** The outer two thirds of the head, and the seat below it. */
    static Frame of(AirFlow flow) {
      double head = flow.question().headRadiusMm();
      double edge = flow.question().valve().points().getFirst().z();
      double seat = flow.question().wall().topAt(head);
      return new Frame(0.35 * head, 1.5 * head, edge + 0.35 * head, seat - 0.45 * head);
    }

    Frame with(Frame other) {
      return new Frame(
          Math.min(left, other.left),
          Math.max(right, other.right),
          Math.max(top, other.top),
          Math.min(bottom, other.bottom));
    }

    boolean shows(Point p) {
      return p.r() > from() && p.r() < right && p.z() > bottom && p.z() < top;
    }

    /** Where the paper is wider than what must be on it, more of the valve is. */
    double from() {
      return Math.max(0, right - WIDTH / scale());
    }

    double scale() {
      return Math.min(WIDTH / (right - left), (HEIGHT - FOOT) / (top - bottom));
    }
  }

  private AirPicture(AirFlow flow, Frame frame, AirColours.Layer layer, Words words, String title) {
    this.flow = flow;
    lines = AirLines.of(flow);
    this.frame = frame;
    this.layer = layer;
    this.words = words;
    this.title = title;
  }

  private static AirPicture of(AirFlow flow, AirColours.Layer layer, Words words, String title) {
    return new AirPicture(flow, Frame.of(flow), layer, words, title);
  }

  public static byte[] png(AirFlow flow, AirColours.Layer layer, Words words, String title) {
    return of(flow, layer, words, title).png();
  }

  /** Two pictures of one section, drawn to one scale and in one place, side by side, as a PNG. */
  public static byte[] pair(
      AirFlow first,
      String firstTitle,
      AirFlow second,
      String secondTitle,
      AirColours.Layer layer,
      Words words) {
    Frame frame = Frame.of(first).with(Frame.of(second));
    BufferedImage both = new BufferedImage(2 * WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = both.createGraphics();
    g.drawImage(new AirPicture(first, frame, layer, words, firstTitle).image(), 0, 0, null);
    g.drawImage(new AirPicture(second, frame, layer, words, secondTitle).image(), WIDTH, 0, null);
    g.setColor(new Color(INK));
    g.fillRect(WIDTH - 1, 0, 2, HEIGHT);
    g.dispose();
    return bytes(both);
  }

  public static String svg(AirFlow flow, AirColours.Layer layer, Words words, String title) {
    return of(flow, layer, words, title).svg();
  }

  private double x(Point p) {
    return (p.r() - frame.from()) * frame.scale();
  }

  private double y(Point p) {
    return (frame.top() - p.z()) * frame.scale();
  }

  private List<Point> head() {
    Profile wall = flow.question().wall();
    List<Point> ring = new ArrayList<>(wall.points());
    double far = 10 * flow.question().headRadiusMm();
    ring.addFirst(new Point(far, wall.points().getFirst().z()));
    ring.add(new Point(wall.points().getLast().r(), -far));
    ring.add(new Point(far, -far));
    return ring;
  }

  private List<Point> valve() {
    Profile wall = flow.question().valve();
    List<Point> ring = new ArrayList<>(wall.points());
    ring.addFirst(new Point(0, wall.points().getFirst().z()));
    ring.add(new Point(0, wall.points().getLast().z()));
    return ring;
  }

  private void draw(Pen pen) {
    AirSketch.draw(flow, lines, layer, pen);
    pen.fill(head(), IRON);
    pen.line(flow.question().wall().points(), INK, 1.6, false);
    pen.fill(valve(), BRASS);
    pen.line(flow.question().valve().points(), INK, 1.6, false);
    AirSketch.number(lines, frame::shows, pen);
  }

  private List<String> foot() {
    List<String> said = new ArrayList<>(List.of(title));
    said.addAll(AirWords.of(flow, words));
    return said;
  }

  private String end(boolean last) {
    return switch (layer) {
      case SPEED -> last ? String.format(Locale.ROOT, "%.0f m/s", AirColours.FASTEST) : "0";
      case LOST -> last ? "100 %" : "0";
    };
  }

  private byte[] png() {
    return bytes(image());
  }

  private BufferedImage image() {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, WIDTH, HEIGHT);
    draw(new ImagePen(g));
    g.setColor(Color.WHITE);
    g.fillRect(0, HEIGHT - FOOT, WIDTH, FOOT);
    for (int k = 0; k < 200; k++) {
      g.setColor(new Color(AirColours.of(k / 199.0)));
      g.fillRect(WIDTH - 290 + k, HEIGHT - FOOT + 14, 2, 16);
    }
    g.setColor(new Color(INK));
    g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 15));
    g.drawString(end(false), WIDTH - 304, HEIGHT - FOOT + 28);
    g.drawString(end(true), WIDTH - 82, HEIGHT - FOOT + 28);
    int y = HEIGHT - FOOT + 26;
    for (String line : foot()) {
      g.drawString(line, 12, y);
      y += 20;
    }
    g.dispose();
    return image;
  }

  private static byte[] bytes(BufferedImage image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private final class ImagePen implements Pen {

    private final Graphics2D g;

    ImagePen(Graphics2D g) {
      this.g = g;
    }

    private Path2D path(List<Point> points) {
      Path2D path = new Path2D.Double();
      path.moveTo(x(points.getFirst()), y(points.getFirst()));
      points.stream().skip(1).forEach(p -> path.lineTo(x(p), y(p)));
      return path;
    }

    @Override
    public void fill(List<Point> outline, int rgb) {
      Path2D path = path(outline);
      path.closePath();
      g.setColor(new Color(rgb));
      g.fill(path);
      // Neighbours would show a seam between them.
      g.setStroke(new BasicStroke(1f));
      g.draw(path);
    }

    @Override
    public void line(List<Point> points, int rgb, double width, boolean dashed) {
      g.setColor(new Color(rgb));
      g.setStroke(
          dashed
              ? new BasicStroke(
                  (float) width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, DASHES, 0)
              : new BasicStroke((float) width));
      g.draw(path(points));
    }

    @Override
    public void number(Point at, int number) {
      double cx = x(at) + ASIDE;
      double cy = y(at) - ASIDE;
      g.setColor(new Color(INK));
      g.setStroke(new BasicStroke(1.5f));
      g.draw(new Line2D.Double(x(at), y(at), cx, cy));
      Ellipse2D disc = new Ellipse2D.Double(cx - BADGE, cy - BADGE, 2 * BADGE, 2 * BADGE);
      g.setColor(Color.WHITE);
      g.fill(disc);
      g.setColor(new Color(INK));
      g.draw(disc);
      g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 15));
      g.drawString(String.valueOf(number), (float) cx - 4.5f, (float) cy + 5.5f);
    }
  }

  /** How far a number stands off what it is about, and its disc's radius, px. */
  private static final double ASIDE = 34;

  private static final double BADGE = 11;

  private static final float[] DASHES = {6, 4};

  private String svg() {
    StringBuilder out = new StringBuilder();
    out.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" width=\"%d\""
                + " height=\"%d\">%n<rect width=\"100%%\" height=\"100%%\" fill=\"#fff\"/>%n",
            WIDTH,
            HEIGHT,
            WIDTH,
            HEIGHT));
    draw(new VectorPen(out));
    out.append(
        String.format(
            Locale.ROOT,
            "<rect y=\"%d\" width=\"%d\" height=\"%d\" fill=\"#fff\"/>%n",
            HEIGHT - FOOT,
            WIDTH,
            FOOT));
    for (int k = 0; k < 40; k++) {
      out.append(
          String.format(
              Locale.ROOT,
              "<rect x=\"%d\" y=\"%d\" width=\"5.2\" height=\"16\" fill=\"#%06x\"/>%n",
              WIDTH - 290 + 5 * k,
              HEIGHT - FOOT + 14,
              AirColours.of(k / 39.0)));
    }
    text(out, WIDTH - 304, HEIGHT - FOOT + 28, end(false));
    text(out, WIDTH - 82, HEIGHT - FOOT + 28, end(true));
    int y = HEIGHT - FOOT + 26;
    for (String line : foot()) {
      text(out, 12, y, line);
      y += 20;
    }
    return out.append("</svg>\n").toString();
  }

  private static void text(StringBuilder out, int x, int y, String text) {
    String safe = text.replace("&", "&amp;").replace("<", "&lt;");
    out.append(
        String.format(
            Locale.ROOT,
            "<text x=\"%d\" y=\"%d\" font-family=\"sans-serif\" font-size=\"15\""
                + " fill=\"#%06x\">%s</text>%n",
            x,
            y,
            INK,
            safe));
  }

  private final class VectorPen implements Pen {

    private final StringBuilder out;

    VectorPen(StringBuilder out) {
      this.out = out;
    }

    private String path(List<Point> points) {
      StringBuilder path = new StringBuilder();
      for (Point p : points) {
        path.append(
            String.format(Locale.ROOT, "%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(p), y(p)));
      }
      return path.toString();
    }

    private boolean outside(List<Point> points) {
      return points.stream().allMatch(p -> x(p) < 0 || x(p) > WIDTH || y(p) < 0 || y(p) > HEIGHT);
    }

    @Override
    public void fill(List<Point> outline, int rgb) {
      if (outline.size() == 4 && outside(outline)) {
        return;
      }
      out.append(
          String.format(
              Locale.ROOT,
              "<path d=\"%sZ\" fill=\"#%06x\" stroke=\"#%06x\" stroke-width=\".6\"/>%n",
              path(outline),
              rgb,
              rgb));
    }

    @Override
    public void line(List<Point> points, int rgb, double width, boolean dashed) {
      out.append(
          String.format(
              Locale.ROOT,
              "<path d=\"%s\" fill=\"none\" stroke=\"#%06x\" stroke-width=\"%.1f\"%s/>%n",
              path(points),
              rgb,
              width,
              dashed ? " stroke-dasharray=\"6 4\"" : ""));
    }

    @Override
    public void number(Point at, int number) {
      double cx = x(at) + ASIDE;
      double cy = y(at) - ASIDE;
      out.append(
          String.format(
              Locale.ROOT,
              "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke=\"#%06x\" stroke-width=\"1.5\"/>%n"
                  + "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.0f\" fill=\"#fff\" stroke=\"#%06x\"/>%n"
                  + "<text x=\"%.1f\" y=\"%.1f\" font-family=\"sans-serif\" font-size=\"15\""
                  + " font-weight=\"bold\" text-anchor=\"middle\" fill=\"#%06x\">%d</text>%n",
              x(at),
              y(at),
              cx,
              cy,
              INK,
              cx,
              cy,
              BADGE,
              INK,
              cx,
              cy + 5.5,
              INK,
              number));
    }
  }
}
