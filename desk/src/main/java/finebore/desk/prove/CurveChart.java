package finebore.desk.prove;

import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.SuspectReading;
import finebore.calibration.FlowArea;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.prove.CurveValues.At;
import finebore.desk.prove.CurveValues.Mode;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.flow.Bands;
import finebore.flow.Bands.Band;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * The test looked at and the one it is held against over lift, with what was predicted under the
 * measured points. A click looks at a lift.
 */
final class CurveChart extends DrawnRegion {

  /** A legend's line and the gaps about it. */
  private static final double LEGEND_PX = 36;

  private final ProveState state;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private Mode mode = Mode.FLOW;
  private FlowArea area = FlowArea.CURTAIN;

  CurveChart(ProveState state, Supplier<Palette> palette, Supplier<Double> textScale, String name) {
    super("curve-chart", name);
    this.state = state;
    this.palette = palette;
    this.textScale = textScale;
    setMinHeight(150);
    state.shown().addListener((o, was, is) -> requestLayout());
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
  }

  void show(Mode changed, FlowArea on) {
    mode = changed;
    area = on;
    requestLayout();
  }

  private double size() {
    return 13 * textScale.get();
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    Shown shown = state.shown().get();
    if (shown == null) {
      return;
    }
    Painter painter = new Painter(null, shown, getWidth(), getHeight());
    double best = shown.liftsMm().getFirst();
    for (double lift : shown.liftsMm()) {
      if (Math.abs(painter.x(lift) - e.getX()) < Math.abs(painter.x(best) - e.getX())) {
        best = lift;
      }
    }
    state.lookAt(best);
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, w, h);
    Shown shown = state.shown().get();
    if (shown != null) {
      new Painter(g, shown, w, h).paint();
    }
    g.setStroke(isFocused() ? colours.blue() : colours.line());
    g.setLineWidth(isFocused() ? 2 : 1);
    g.strokeRect(0.5, 0.5, w - 1, h - 1);
  }

  private final class Painter {
    private final GraphicsContext g;
    private final Shown shown;
    private final UnitSystem units;
    private final Palette colours = palette.get();
    private final double left;
    private final double right;
    private final double top;
    private final double bottom;
    private final double lastLift;
    private double low;
    private double high;

    Painter(GraphicsContext g, Shown shown, double w, double h) {
      this.g = g;
      this.shown = shown;
      this.units = shown.units();
      this.left = size() * 4.2;
      this.right = w - size() * 1.2;
      this.top = size() * 2.6;
      this.bottom = h - size() * 2.4;
      this.lastLift = shown.liftsMm().getLast() * 1.03;
    }

    double x(double lift) {
      return left + lift / lastLift * (right - left);
    }

    private double y(double value) {
      return bottom - (value - low) / Math.max(high - low, 1e-12) * (bottom - top);
    }

    void paint() {
      CurveValues values = new CurveValues(shown, mode, area);
      List<At> own = values.own();
      List<At> other = values.other();
      List<At> up = values.predicted(1);
      List<At> down = values.predicted(-1);
      List<At> middle = values.predicted(0);
      scale(Stream.of(own, other, up, down).flatMap(List::stream).map(At::value).toList());
      bands();
      grid();
      if (mode == Mode.GAIN) {
        noise();
      }
      between(up, down);
      line(middle, colours.blue(), 1, true);
      line(other, colours.muted(), 1.6, false);
      dots(other, colours.muted(), 2.4);
      line(own, colours.blue(), 2.2, false);
      dots(own, colours.blue(), 3.4);
      if (mode == Mode.GAIN) {
        verdicts(own);
      }
      marks(own);
      cam();
      here();
      title(values, own, other, middle);
    }

    private void scale(List<Double> values) {
      high = values.stream().mapToDouble(v -> v).max().orElse(1);
      low = mode == Mode.GAIN ? values.stream().mapToDouble(v -> v).min().orElse(-1) : 0;
      if (mode == Mode.GAIN) {
        high = Math.max(high, 1.5);
        low = Math.min(low, -1.5);
      }
      double air = 0.06 * (high - low);
      high += air;
      low -= mode == Mode.GAIN ? air : 0;
    }

    private void text(
        String words, double x, double y, Color colour, TextAlignment align, boolean figures) {
      g.setFont(figures ? Theme.figures(size() * 0.9) : Theme.words(size()));
      g.setFill(colour);
      g.setTextAlign(align);
      g.setTextBaseline(VPos.CENTER);
      Ink.write(g, words, x, y);
    }

    private void bands() {
      double head = shown.headDiameterMm();
      Bands bands = shown.job().test().bands();
      double[] limits = {0, bands.lowTo() * head, bands.midTo() * head, lastLift};
      for (Band band : Band.values()) {
        double from = Math.min(limits[band.ordinal()], lastLift);
        double to = Math.min(limits[band.ordinal() + 1], lastLift);
        if (to <= from) {
          continue;
        }
        if (band != Band.MID) {
          g.setFill(colours.band());
          g.fillRect(x(from), top, x(to) - x(from), bottom - top);
        }
        String name = shown.words().label(band);
        text(
            name,
            clearOfCam((x(from) + x(to)) / 2, Ink.width(Theme.words(size()), name) / 2),
            bottom - size() * 0.8,
            colours.muted(),
            TextAlignment.CENTER,
            false);
      }
    }

    /** The middle of a word so wide to either side, moved off the cam's line. */
    private double clearOfCam(double middle, double half) {
      double cam = x(camLift());
      double clear = half + 4;
      return Math.abs(middle - cam) < clear ? cam + clear : middle;
    }

    private double camLift() {
      return shown.job().group(shown.port()).cam().maxLiftMm();
    }

    private void grid() {
      g.setStroke(colours.line());
      g.setLineWidth(1);
      double step = step((high - low) / 5);
      for (double v = Math.ceil(low / step) * step; v <= high; v += step) {
        g.strokeLine(left, y(v), right, y(v));
        int digits = step < 0.1 ? 2 : step < 1 ? 1 : 0;
        String words =
            mode == Mode.GAIN ? UnitSystem.signed(v, digits) : UnitSystem.fixed(v, digits);
        text(words, left - 5, y(v), colours.muted(), TextAlignment.RIGHT, true);
      }
      double every = units == UnitSystem.METRIC ? 1 : 2.54;
      int skip = (int) Math.ceil(size() * 2.6 / (x(every) - x(0)));
      for (int k = 0; k * every <= lastLift; k += skip) {
        String words =
            units == UnitSystem.METRIC ? String.valueOf(k) : UnitSystem.fixed(k * 0.1, 1);
        text(
            words, x(k * every), bottom + size() * 0.8, colours.text(), TextAlignment.CENTER, true);
      }
      text(
          shown.words().text("strip.lift", "unit", units.length().symbol()),
          right,
          bottom + size() * 1.8,
          colours.muted(),
          TextAlignment.RIGHT,
          false);
      if (mode == Mode.GAIN) {
        g.setStroke(colours.text());
        g.strokeLine(left, y(0), right, y(0));
      }
    }

    /** A step of 1, 2 or 5 times a power of ten. */
    private static double step(double about) {
      double power = Math.pow(10, Math.floor(Math.log10(about)));
      double times = about / power;
      return power * (times < 1.5 ? 1 : times < 3.5 ? 2 : times < 7.5 ? 5 : 10);
    }

    /** What the bench cannot tell, about nothing gained. */
    private void noise() {
      shown
          .comparison()
          .ifPresent(
              c -> {
                List<At> up = new ArrayList<>();
                List<At> down = new ArrayList<>();
                for (Comparison.Line l : c.lines()) {
                  double limit = 100 * l.limitM3s() / l.referenceM3s();
                  up.add(new At(l.liftMm(), limit));
                  down.add(new At(l.liftMm(), -limit));
                }
                fill(up, down, colours.line().deriveColor(0, 1, 1, 0.7));
              });
    }

    private void between(List<At> up, List<At> down) {
      fill(up, down, colours.blue().deriveColor(0, 1, 1, 0.14));
    }

    private void fill(List<At> up, List<At> down, Color colour) {
      if (up.size() < 2) {
        return;
      }
      int n = up.size();
      double[] xs = new double[2 * n];
      double[] ys = new double[2 * n];
      for (int k = 0; k < n; k++) {
        xs[k] = x(up.get(k).lift());
        ys[k] = y(up.get(k).value());
        xs[2 * n - 1 - k] = x(down.get(k).lift());
        ys[2 * n - 1 - k] = y(down.get(k).value());
      }
      g.setFill(colour);
      g.fillPolygon(xs, ys, 2 * n);
    }

    private void line(List<At> points, Color colour, double width, boolean dashed) {
      g.setStroke(colour);
      g.setLineWidth(width);
      if (dashed) {
        g.setLineDashes(5, 4);
      }
      for (int k = 1; k < points.size(); k++) {
        At a = points.get(k - 1);
        At b = points.get(k);
        g.strokeLine(x(a.lift()), y(a.value()), x(b.lift()), y(b.value()));
      }
      g.setLineDashes();
    }

    private void dots(List<At> points, Color colour, double radius) {
      g.setFill(colour);
      for (At p : points) {
        g.fillOval(x(p.lift()) - radius, y(p.value()) - radius, 2 * radius, 2 * radius);
      }
    }

    private void verdicts(List<At> points) {
      for (At p : points) {
        shown
            .comparison()
            .flatMap(c -> c.at(p.lift()))
            .ifPresent(
                l ->
                    text(
                        ProveWords.sign(l.verdict()),
                        x(p.lift()),
                        y(p.value()) - size() * 0.9,
                        switch (l.verdict()) {
                          case GAIN -> colours.green();
                          case LOSS -> colours.vermilion();
                          case WITHIN -> colours.muted();
                          case UNRANKED -> colours.amber();
                        },
                        TextAlignment.CENTER,
                        false));
      }
    }

    /** Noise, swirl and doubt as small marks at their points. */
    private void marks(List<At> points) {
      FlowTest test = shown.test().orElse(null);
      if (test == null) {
        return;
      }
      for (At p : points) {
        StringBuilder words = new StringBuilder();
        test.at(p.lift())
            .ifPresent(
                n -> {
                  words.append(n.noisy() ? "♪" : "");
                  n.swirlRpm().ifPresent(rpm -> words.append(rpm < 0 ? "↺" : "↻"));
                });
        if (!words.isEmpty()) {
          text(
              words.toString(),
              x(p.lift()),
              y(p.value()) - size() * (mode == Mode.GAIN ? 2 : 1.1),
              colours.text(),
              TextAlignment.CENTER,
              false);
        }
        for (SuspectReading doubt : shown.suspects()) {
          if (Math.abs(doubt.liftMm() - p.lift()) < FlowTest.SAME_LIFT_MM) {
            g.setStroke(colours.amber());
            g.setLineWidth(2);
            g.strokeOval(x(p.lift()) - 8, y(p.value()) - 8, 16, 16);
            text(
                "?",
                x(p.lift()) - size() * 1.1,
                y(p.value()) - size() * 0.6,
                colours.amber(),
                TextAlignment.CENTER,
                false);
          }
        }
      }
    }

    private void cam() {
      double cam = camLift();
      if (cam > lastLift) {
        return;
      }
      g.setStroke(colours.amber());
      g.setLineWidth(2);
      g.setLineDashes(4, 3);
      g.strokeLine(x(cam), top, x(cam), bottom);
      g.setLineDashes();
      text(
          shown.words().text("chart.cam"),
          x(cam) - 4,
          bottom - size() * 2.2,
          colours.amber(),
          TextAlignment.RIGHT,
          false);
    }

    private void here() {
      g.setStroke(colours.blue());
      g.setLineWidth(1);
      g.strokeLine(x(shown.liftMm()), bottom, x(shown.liftMm()), bottom + 4);
    }

    private void title(CurveValues values, List<At> own, List<At> other, List<At> middle) {
      String what = values.title();
      double y = size() * 1.1;
      text(what, 10, y, colours.text(), TextAlignment.LEFT, false);
      String said = middle.isEmpty() ? "" : shown.words().text(expected(false));
      double room = right - 20 - ProveWords.width(what, Theme.words(size()));
      String first = own.isEmpty() ? "" : name(shown.test(), 24);
      String second = other.isEmpty() ? "" : name(shown.reference(), 24);
      if (legendPx(said + first + second) > room) {
        // Where the names do not fit their numbers do.
        first = own.isEmpty() ? "" : name(shown.test(), 0);
        second = other.isEmpty() ? "" : name(shown.reference(), 0);
      }
      if (legendPx(said + first + second) > room && !said.isEmpty()) {
        said = shown.words().text(expected(true));
      }
      double x = legend(said, right, y, colours.blue(), true);
      x = legend(second, x, y, colours.muted(), false);
      legend(first, x, y, colours.blue(), false);
    }

    private String expected(boolean shortly) {
      if (shown.test().filter(t -> !t.predicted().isEmpty()).isPresent()) {
        return shortly ? "chart.predicted.short" : "chart.predicted";
      }
      return shortly ? "chart.modelNow.short" : "chart.modelNow";
    }

    private double legendPx(String words) {
      return ProveWords.width(words, Theme.words(size())) + 3 * LEGEND_PX;
    }

    /** A test's number and as many letters of its name. */
    private String name(Optional<FlowTest> test, int letters) {
      int number = test.map(shown.job().bench()::numberOf).orElse(0);
      String name = test.map(FlowTest::name).orElse("");
      return letters == 0
          ? String.valueOf(number)
          : number + " " + (name.length() > letters ? name.substring(0, letters - 1) + "…" : name);
    }

    private double legend(String words, double x, double y, Color colour, boolean dashed) {
      if (words.isEmpty()) {
        return x;
      }
      text(words, x, y, colour, TextAlignment.RIGHT, false);
      double begin = x - ProveWords.width(words, Theme.words(size())) - 6;
      g.setStroke(colour);
      g.setLineWidth(dashed ? 1 : 2);
      if (dashed) {
        g.setLineDashes(5, 4);
      }
      g.strokeLine(begin - 22, y, begin, y);
      g.setLineDashes();
      return begin - LEGEND_PX;
    }
  }
}
