package finebore.desk.prove;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.session.BenchSession;
import finebore.desk.session.BenchSession.Status;
import finebore.desk.session.JobSession;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.instruments.Sample;
import finebore.words.UnitSystem;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** The bench's meter as it stands now, and how near to rest its needle is. */
final class Needle extends DrawnRegion {

  private static final double FROM_DEG = 205;
  private static final double SWEEP_DEG = 230;

  private static final int TRACE = 150;

  private final Deque<Sample> trace = new ArrayDeque<>();
  private final BenchSession bench;
  private final JobSession session;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;

  Needle(
      BenchSession bench,
      JobSession session,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    super("needle", session.say("needle.name"));
    this.bench = bench;
    this.session = session;
    this.palette = palette;
    this.textScale = textScale;
    bench
        .status()
        .addListener(
            (o, was, is) -> {
              if (!is.sample().equals(was.sample())) {
                is.sample().ifPresent(this::trace);
              }
              requestLayout();
            });
  }

  private void trace(Sample sample) {
    trace.addLast(sample);
    if (trace.size() > TRACE) {
      trace.removeFirst();
    }
  }

  private double size() {
    return 13 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.paper());
    g.fillRect(0, 0, w, h);
    Status status = bench.status().get();
    double radius = Math.min(w * 0.36, (h - size() * 12) * 0.5);
    double cx = w / 2;
    double cy = Math.max(size() * 3, h * 0.1) + radius;
    dial(g, colours, cx, cy, radius);
    status.sample().ifPresent(s -> hand(g, colours, cx, cy, radius, s.percent()));
    settle(g, colours, cx, cy, radius, status);
    figures(g, colours, cx, cy + radius * 0.6 + size() * 2.6, status.sample());
    traced(g, colours, cy + radius * 0.6 + size() * 9.6, w, h);
    if (isFocused()) {
      g.setStroke(colours.blue());
      g.setLineWidth(2);
      g.strokeRect(1, 1, w - 2, h - 2);
    }
  }

  /** The last looks at the needle, each in % of its range. */
  private void traced(GraphicsContext g, Palette colours, double top, double w, double h) {
    double bottom = h - size() * 1.2;
    if (bottom - top < size() * 3 || trace.isEmpty()) {
      return;
    }
    double left = size() * 3.4;
    double right = w - size();
    g.setStroke(colours.line());
    g.setLineWidth(1);
    for (int p = 0; p <= 100; p += 50) {
      double y = bottom - p / 110.0 * (bottom - top);
      g.strokeLine(left, y, right, y);
      text(g, p + " %", left - size() * 1.5, y, colours.muted(), Theme.figures(size() * 0.75));
    }
    g.setStroke(colours.blue());
    g.setLineWidth(1.5);
    double step = (right - left) / TRACE;
    double x = right - step * (trace.size() - 1);
    Sample before = trace.getFirst();
    for (Sample now : trace) {
      if (now.range().equals(before.range()) && now.liftMm() == before.liftMm()) {
        g.strokeLine(
            x - step,
            bottom - Math.min(before.percent(), 110) / 110 * (bottom - top),
            x,
            bottom - Math.min(now.percent(), 110) / 110 * (bottom - top));
      }
      before = now;
      x += step;
    }
    text(
        g,
        session.say("needle.trace", "count", TRACE),
        (left + right) / 2,
        top - size() * 0.7,
        colours.muted(),
        Theme.words(size() * 0.95));
  }

  private static double angle(double percent) {
    return Math.toRadians(FROM_DEG - Math.clamp(percent, 0, 110) / 110 * SWEEP_DEG);
  }

  private void dial(GraphicsContext g, Palette colours, double cx, double cy, double radius) {
    g.setStroke(colours.edge());
    g.setLineWidth(2);
    g.strokeArc(
        cx - radius,
        cy - radius,
        2 * radius,
        2 * radius,
        FROM_DEG - SWEEP_DEG,
        SWEEP_DEG,
        ArcType.OPEN);
    for (int p = 0; p <= 110; p += 2) {
      double a = angle(p);
      double inner = radius * (p % 10 == 0 ? 0.9 : 0.95);
      g.setLineWidth(p % 10 == 0 ? 2 : 1);
      g.strokeLine(
          cx + inner * Math.cos(a),
          cy - inner * Math.sin(a),
          cx + radius * Math.cos(a),
          cy - radius * Math.sin(a));
      if (p % 20 == 0) {
        text(
            g,
            String.valueOf(p),
            cx + radius * 0.8 * Math.cos(a),
            cy - radius * 0.8 * Math.sin(a),
            colours.text(),
            Theme.figures(size()));
      }
    }
    text(
        g,
        session.say("needle.percent"),
        cx,
        cy + radius * 0.46,
        colours.muted(),
        Theme.words(size() * 0.95));
  }

  private static void hand(
      GraphicsContext g, Palette colours, double cx, double cy, double radius, double percent) {
    double a = angle(percent);
    g.setStroke(colours.vermilion());
    g.setLineWidth(3);
    g.strokeLine(
        cx - radius * 0.12 * Math.cos(a),
        cy + radius * 0.12 * Math.sin(a),
        cx + radius * 0.92 * Math.cos(a),
        cy - radius * 0.92 * Math.sin(a));
    g.setFill(colours.edge());
    g.fillOval(cx - 6, cy - 6, 12, 12);
  }

  /** A ring that closes as the needle comes to rest. */
  private void settle(
      GraphicsContext g, Palette colours, double cx, double cy, double radius, Status status) {
    double r = radius * 1.08;
    boolean still = status.settled() >= 1;
    g.setStroke(colours.line());
    g.setLineWidth(6);
    g.strokeArc(cx - r, cy - r, 2 * r, 2 * r, FROM_DEG - SWEEP_DEG, SWEEP_DEG, ArcType.OPEN);
    g.setStroke(still ? colours.green() : colours.amber());
    double part = SWEEP_DEG * Math.clamp(status.settled(), 0, 1);
    g.strokeArc(cx - r, cy - r, 2 * r, 2 * r, FROM_DEG - part, part, ArcType.OPEN);
    String words =
        status.phase() == BenchSession.Phase.IDLE
            ? session.say("needle.idle")
            : still
                ? "\u2713 " + session.say("needle.settled")
                : session.say(
                    "needle.settling", "share", UnitSystem.fixed(100 * status.settled(), 0));
    text(
        g,
        words,
        cx,
        cy + radius * 0.26,
        still ? colours.green() : colours.muted(),
        Theme.words(size()));
  }

  private void figures(
      GraphicsContext g, Palette colours, double cx, double y, Optional<Sample> sample) {
    UnitSystem units = session.units();
    OptionalDouble flow = sample.map(bench::flowOf).orElse(OptionalDouble.empty());
    text(
        g,
        flow.isPresent()
            ? units.flowText(flow.getAsDouble())
            : sample.map(s -> UnitSystem.fixed(s.percent(), 1) + " %").orElse("–"),
        cx,
        y,
        colours.text(),
        Theme.boldFigures(size() * 2.4));
    sample.ifPresent(
        s -> {
          text(
              g,
              session.say(
                  "needle.sample",
                  "lift",
                  units.lengthText(s.liftMm()),
                  "range",
                  s.range(),
                  "percent",
                  UnitSystem.fixed(s.percent(), 1)),
              cx,
              y + size() * 2.4,
              colours.text(),
              Theme.figures(size()));
          text(
              g,
              units.pressureText(s.depressionPa())
                  + "    "
                  + units.temperatureNumber(s.air().temperatureC())
                  + " "
                  + units.temperatureUnit(),
              cx,
              y + size() * 4,
              colours.muted(),
              Theme.figures(size() * 0.9));
        });
  }

  /** Words about a place, smaller where there is no room for them. */
  private void text(GraphicsContext g, String words, double x, double y, Color colour, Font font) {
    double room = 2 * Math.min(x, getWidth() - x) - 8;
    double fits = Math.min(1, room / ProveWords.width(words, font));
    g.setFont(fits < 1 ? Font.font(font.getName(), font.getSize() * Math.max(fits, 0.5)) : font);
    g.setFill(colour);
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    Ink.write(g, words, x, y);
  }
}
