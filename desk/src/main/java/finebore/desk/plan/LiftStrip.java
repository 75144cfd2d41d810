package finebore.desk.plan;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.controls.KeepClear;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.flow.Bands.Band;
import finebore.flow.FlowChange;
import finebore.flow.FlowChange.Step;
import finebore.flow.field.AirChange;
import finebore.planning.PlanStudy;
import finebore.reports.Spoken;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.beans.property.DoubleProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * What the plan does to flow at every lift: bars above or below the found head, with figures and
 * signs.
 *
 * <p>A click, or Left and Right, puts the lever at a lift.
 */
public final class LiftStrip extends DrawnRegion {

  /** Half of a diamond, px. */
  private static final double DIAMOND = 5;

  /** Larger than so, figures would leave no room for bars. */
  private static final double LARGEST = 1.25;

  private final JobSession session;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final DoubleProperty lift;
  private final AirOverlay air;

  public LiftStrip(
      JobSession session,
      DoubleProperty lift,
      AirOverlay air,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    super("lift-strip", session.say("strip.name"));
    this.session = session;
    this.lift = lift;
    this.air = air;
    this.palette = palette;
    this.textScale = textScale;
    setMinHeight(150);
    air.whenNews(this::requestLayout);
    session.work().addListener((o, was, is) -> requestLayout());
    lift.addListener((o, was, is) -> requestLayout());
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    session
        .work()
        .get()
        .change()
        .ifPresent(
            change -> {
              int at = (int) ((e.getX() - left()) / columnWidth(change));
              if (e.getX() >= left() && at < change.steps().size()) {
                lift.set(change.steps().get(at).liftMm());
              }
            });
  }

  /** Wall parts of the plan looked at last: a frame asks for each several times. */
  private static final class Reckoned {
    private PlanStudy plan;
    private final Map<Double, AirChange.WallPart> byLift = new HashMap<>();

    AirChange.WallPart of(PlanStudy asked, double liftMm) {
      if (plan != asked) {
        plan = asked;
        byLift.clear();
      }
      return byLift.computeIfAbsent(liftMm, asked::wallPart);
    }
  }

  private final Reckoned reckoned = new Reckoned();

  private void key(KeyEvent e) {
    int by = e.getCode() == KeyCode.RIGHT ? 1 : e.getCode() == KeyCode.LEFT ? -1 : 0;
    if (by == 0 || e.isShortcutDown()) {
      return;
    }
    session
        .work()
        .get()
        .change()
        .map(FlowChange::steps)
        .ifPresent(
            steps ->
                lift.set(steps.get(Math.clamp(nearest(steps) + by, 0, steps.size() - 1)).liftMm()));
    e.consume();
  }

  private int nearest(List<Step> steps) {
    int best = 0;
    for (int k = 1; k < steps.size(); k++) {
      if (Math.abs(steps.get(k).liftMm() - lift.get())
          < Math.abs(steps.get(best).liftMm() - lift.get())) {
        best = k;
      }
    }
    return best;
  }

  /** Takes the height its rows of figures need. */
  void fit() {
    setMinHeight(10 * size());
    setPrefHeight(12 * size());
  }

  private double size() {
    return 15 * Math.min(textScale.get(), LARGEST);
  }

  private double left() {
    return size() * 5.2;
  }

  private double columnWidth(FlowChange change) {
    return (getWidth() - left() - 8) / change.steps().size();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, w, h);
    SeatView work = session.work().get();
    work.change()
        .ifPresentOrElse(
            change -> new Painter(g, work, air.change().counted(change), colours, w, h).paint(),
            () ->
                text(
                    g,
                    work.words().text("strip.noFlow"),
                    12,
                    h / 2,
                    colours.vermilion(),
                    TextAlignment.LEFT,
                    false));
    g.setStroke(isFocused() ? colours.blue() : colours.line());
    g.setLineWidth(isFocused() ? 2 : 1);
    g.strokeRect(0.5, 0.5, w - 1, h - 1);
  }

  private void text(
      GraphicsContext g,
      String words,
      double x,
      double y,
      Color colour,
      TextAlignment align,
      boolean figures) {
    write(g, font(figures), words, x, y, colour, align);
  }

  private Font font(boolean figures) {
    return figures ? Theme.figures(size()) : Theme.words(size() * 0.87);
  }

  private double length(String words, boolean figures) {
    return Ink.width(font(figures), words);
  }

  /** A diamond where the solver puts a change: filled where it is clear, hollow otherwise. */
  static void diamond(
      GraphicsContext g, Palette colours, AirChange change, double x, double y, double reach) {
    double[] xs = {x - reach, x, x + reach, x};
    double[] ys = {y, y - reach, y, y + reach};
    g.setFill(change.isClear() ? colours.blue() : colours.panel());
    g.fillPolygon(xs, ys, 4);
    g.setStroke(colours.blue());
    g.setLineWidth(1.6);
    g.strokePolygon(xs, ys, 4);
    if (change.waves()) {
      wave(g, x, y - reach - 4, reach);
    }
  }

  /** Over a diamond whose air waves. */
  private static void wave(GraphicsContext g, double x, double y, double reach) {
    g.beginPath();
    g.moveTo(x - reach, y);
    g.bezierCurveTo(x - reach / 2, y - reach, x + reach / 2, y + reach, x + reach, y);
    g.stroke();
  }

  private final class Painter {
    private final GraphicsContext g;
    private final SeatView work;
    private final FlowChange change;
    private final Palette colours;
    private final double w;
    private final double h;
    private final UnitSystem units;
    private final double column;
    private final double top;
    private final double bottom;

    /** Heights of figures that the cam's line leaves room for. */
    private final List<Double> onCamLine = new ArrayList<>();

    private final KeepClear room;

    Painter(
        GraphicsContext g, SeatView work, FlowChange change, Palette colours, double w, double h) {
      this.g = g;
      this.work = work;
      this.change = change;
      this.colours = colours;
      this.w = w;
      this.h = h;
      this.units = work.units();
      this.column = columnWidth(change);
      this.top = size() * 3;
      this.bottom = h - size() * 2.8;
      this.room = new KeepClear(0, top, w, h);
    }

    void paint() {
      Words words = work.words();
      String title =
          words.text(
              "strip.title",
              "unit",
              units.flow().symbol(),
              "depression",
              units.pressureText(work.job().test().depressionPa()));
      text(g, title, 10, size() * 0.85, colours.text(), TextAlignment.LEFT, false);
      // As much of it as there is room for.
      Optional<String> solved = air.stripSaid();
      for (String known :
          List.of(
              unlike() + solved.orElse(uncertainty()),
              solved.orElse(uncertainty()),
              Spoken.calibrated(work.confidence(), words) + "; " + uncertainty(),
              uncertainty(),
              words.text("strip.uncertainty.short", "share", spread(Band.LOW)))) {
        if (length(title, false) + length(known, false) + 36 < w) {
          text(g, known, w - 10, size() * 0.85, colours.muted(), TextAlignment.RIGHT, false);
          break;
        }
      }
      bands();
      bars();
      camLine();
    }

    /** What a lift without a bar is. */
    private String unlike() {
      return change.steps().stream().allMatch(Step::isKnown)
          ? ""
          : work.words().text("strip.unlike") + "; ";
    }

    /** One figure where the bands share it. */
    private String uncertainty() {
      boolean same = Arrays.stream(Band.values()).map(this::spread).distinct().count() == 1;
      return same
          ? work.words().text("strip.uncertainty", "share", spread(Band.LOW))
          : work.words()
              .text(
                  "strip.uncertainty.bands",
                  "low",
                  spread(Band.LOW),
                  "mid",
                  spread(Band.MID),
                  "high",
                  spread(Band.HIGH));
    }

    private String spread(Band band) {
      return UnitSystem.fixed(100 * work.spread().of(band), 1);
    }

    private double shown(double m3s) {
      return units.flow().fromBase(m3s);
    }

    private void bands() {
      int from = 0;
      List<Step> steps = change.steps();
      for (int k = 1; k <= steps.size(); k++) {
        if (k < steps.size() && steps.get(k).band() == steps.get(from).band()) {
          continue;
        }
        Band band = steps.get(from).band();
        double x = left() + from * column;
        double width = (k - from) * column;
        if (band != Band.MID) {
          g.setFill(colours.band());
          g.fillRect(x, size() * 1.5, width, h - size() * 1.5 - 1);
        }
        bandLabel(band, x, width);
        from = k;
      }
    }

    /** As much of the band's mean as fits over the band. */
    private void bandLabel(Band band, double x, double width) {
      FlowChange.Mean mean = change.bands().get(band);
      String name = work.words().name(band);
      if (mean == null) {
        // All its lifts are unlike anything solved.
        text(g, name, x + width / 2, size() * 2.3, colours.text(), TextAlignment.CENTER, true);
        return;
      }
      String share = UnitSystem.signed(100 * mean.share(), 1) + " %";
      String change = UnitSystem.signed(shown(mean.changeM3s()), 1);
      for (String words : List.of(name + "  " + change + "  " + share, name + " " + share, share)) {
        double length = words.length() * size() * 0.6;
        if (length < width || words.equals(share)) {
          double middle = Math.min(x + width / 2, w - length / 2 - 4);
          text(g, words, middle, size() * 2.3, colours.text(), TextAlignment.CENTER, true);
          return;
        }
      }
    }

    private void bars() {
      List<Step> steps = change.steps();
      double up = steps.stream().mapToDouble(this::high).max().orElse(1);
      double down = steps.stream().mapToDouble(this::low).min().orElse(0);
      double span = Math.max(up - down, 1e-12);
      double margin = size() * 1.3;
      double scale = Math.max(bottom - top - 2 * margin, 1) / span;
      double zero = top + margin + up * scale;
      // Where figures would run into each other only every second or third is written.
      int every = (int) Math.ceil(widestLabel() * size() * 0.62 / column);
      int here = nearest(steps);
      boolean atLift = Math.abs(steps.get(here).liftMm() - lift.get()) < 1e-6;
      for (int k = 0; k < steps.size(); k++) {
        boolean clear = k % every == 0 && (!atLift || Math.abs(k - here) >= every);
        bar(steps.get(k), left() + k * column, zero, scale, clear);
      }
      g.setStroke(colours.text());
      g.setLineWidth(1.2);
      g.strokeLine(left(), zero, left() + steps.size() * column, zero);
      text(
          g,
          work.words().text("strip.found"),
          left() - 8,
          zero,
          colours.muted(),
          TextAlignment.RIGHT,
          false);
      text(
          g,
          work.words().text("strip.lift", "unit", units.length().symbol()),
          left() - 8,
          h - size() * 2,
          colours.muted(),
          TextAlignment.RIGHT,
          false);
      text(
          g,
          work.words().text("strip.planned"),
          left() - 8,
          h - size() * 0.8,
          colours.muted(),
          TextAlignment.RIGHT,
          false);
    }

    private String liftText(Step step) {
      return units == UnitSystem.METRIC
          ? units.lengthNumber(step.liftMm())
          : units.shortLength(step.liftMm());
    }

    private int widestLabel() {
      return change.steps().stream()
          .mapToInt(
              s ->
                  Math.max(
                      liftText(s).length(), UnitSystem.signed(shown(s.changeM3s()), 1).length()))
          .max()
          .orElse(1);
    }

    /** What a change may be off by: the closures' difference where it is solved, and the walls. */
    private double spread(Step step) {
      return air.change()
          .at(step.liftMm())
          .map(c -> Math.max(c.spread(), AirChange.LEAST) * step.referenceM3s())
          .orElseGet(
              () ->
                  Math.hypot(
                      work.spread().of(step.band()) * step.newM3s(),
                      wallPart(step).off() * step.referenceM3s()));
    }

    /** What of a change comes of the walls alone. */
    private AirChange.WallPart wallPart(Step step) {
      return air.change()
          .at(step.liftMm())
          .map(AirChange::walls)
          .orElseGet(() -> reckoned.of(work.plan(), step.liftMm()));
    }

    private boolean isClear(Step step) {
      return air.change()
          .at(step.liftMm())
          .map(AirChange::isClear)
          .orElse(Math.abs(step.changeM3s()) > spread(step));
    }

    private double high(Step step) {
      return !step.isKnown() ? 0 : Math.max(0, step.changeM3s() + spread(step));
    }

    private double low(Step step) {
      return !step.isKnown() ? 0 : Math.min(0, step.changeM3s() - spread(step));
    }

    private void bar(Step step, double x, double zero, double scale, boolean figures) {
      Color sign = step.changeM3s() > 0 ? colours.green() : colours.vermilion();
      Color colour = isClear(step) ? sign : colours.muted();
      double mid = x + column / 2;
      double y = zero - step.changeM3s() * scale;
      double barWidth = Math.min(column * 0.52, 34);
      boolean here = Math.abs(step.liftMm() - lift.get()) < 1e-6;
      if (here) {
        g.setFill(colours.blueWash());
        g.fillRect(x + 1, size() * 3, column - 2, h - size() * 3 - 2);
      }
      if (!step.isKnown()) {
        text(g, "?", mid, zero - size(), colours.muted(), TextAlignment.CENTER, true);
        text(g, liftText(step), mid, h - size() * 2, colours.text(), TextAlignment.CENTER, true);
        return;
      }
      // What the walls give is held against no bench: its part is hollow.
      double walls = wallPart(step).share() * step.referenceM3s();
      double filled = zero - (step.changeM3s() - walls) * scale;
      g.setFill(colour.deriveColor(0, 1, 1, 0.75));
      // Solid as far as both reach: walls that take are a hollow above what is left.
      boolean apart = (filled - zero) * (y - zero) <= 0;
      double solid = apart ? zero : Math.abs(filled - zero) < Math.abs(y - zero) ? filled : y;
      g.fillRect(mid - barWidth / 2, Math.min(zero, solid), barWidth, Math.abs(zero - solid));
      if (Math.abs(filled - y) >= 1) {
        g.setStroke(colour);
        g.setLineWidth(1.2);
        g.strokeRect(
            mid - barWidth / 2 + 0.6, Math.min(filled, y), barWidth - 1.2, Math.abs(filled - y));
      }
      g.setStroke(colours.text());
      g.setLineWidth(1.1);
      double y1 = zero - (step.changeM3s() + spread(step)) * scale;
      double y2 = zero - (step.changeM3s() - spread(step)) * scale;
      g.strokeLine(mid, y1, mid, y2);
      g.strokeLine(mid - 3, y1, mid + 3, y1);
      g.strokeLine(mid - 3, y2, mid + 3, y2);
      Optional<AirChange> solved = air.change().at(step.liftMm());
      solved.ifPresent(c -> diamond(g, colours, c, mid, y, DIAMOND));
      if (!figures && !here) {
        return;
      }
      boolean above = step.changeM3s() >= 0;
      String gain = UnitSystem.signed(shown(step.changeM3s()), 1);
      // Clear of the diamond too, where there is one.
      double diamond = solved.isPresent() ? DIAMOND : 0;
      double highest = Math.min(Math.min(y1, zero), y - diamond);
      double lowest = Math.max(Math.max(y2, zero), y + diamond);
      double middle = above ? highest - size() * 0.75 : lowest + size() * 0.75;
      text(g, gain, mid, middle, colour, TextAlignment.CENTER, true);
      room.write(font(true), gain, mid, middle, TextAlignment.CENTER);
      if (Math.abs(mid - camX().orElse(-column)) < length(gain, true) / 2 + 3) {
        onCamLine.add(middle);
      }
      text(g, liftText(step), mid, h - size() * 2, colours.text(), TextAlignment.CENTER, true);
      text(
          g,
          units.flowNumber(step.newM3s()),
          mid,
          h - size() * 0.8,
          colours.text(),
          TextAlignment.CENTER,
          true);
    }

    /** Where the cam's lift stands; empty where it is past the last of them. */
    private OptionalDouble camX() {
      double cam = work.group().cam().maxLiftMm();
      List<Step> steps = change.steps();
      for (int k = 0; k < steps.size(); k++) {
        double before = k == 0 ? 0 : steps.get(k - 1).liftMm();
        if (cam <= steps.get(k).liftMm()) {
          double part = (cam - before) / (steps.get(k).liftMm() - before);
          return OptionalDouble.of(left() + (k - 0.5 + part) * column);
        }
      }
      return OptionalDouble.empty();
    }

    private void camLine() {
      if (camX().isEmpty()) {
        return;
      }
      double x = camX().getAsDouble();
      g.setStroke(colours.amber());
      g.setLineWidth(2);
      g.setLineDashes(4, 3);
      double from = size() * 3;
      for (double middle : onCamLine.stream().sorted().toList()) {
        double to = middle - size() * 0.6;
        if (to - from > size() * 0.6) {
          g.strokeLine(x, from, x, to);
        }
        from = middle + size() * 0.6;
      }
      g.strokeLine(x, from, x, Math.max(from, bottom + 2));
      g.setLineDashes();
      nameCam(x);
    }

    /** Under the bars or, where their figures are there, above them; on either side of the line. */
    private void nameCam(double x) {
      String name = work.words().text("strip.cam");
      for (double y : new double[] {bottom - 4, top + size()}) {
        for (TextAlignment side : List.of(TextAlignment.LEFT, TextAlignment.RIGHT)) {
          double from = x + (side == TextAlignment.LEFT ? 4 : -4);
          if (room.take(font(false), name, from, y, 0, side)) {
            text(g, name, from, y, colours.amber(), side, false);
            return;
          }
        }
      }
    }
  }
}
