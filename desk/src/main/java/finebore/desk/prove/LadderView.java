package finebore.desk.prove;

import finebore.bench.Comparison;
import finebore.bench.Comparison.Mean;
import finebore.bench.Comparison.Verdict;
import finebore.bench.FlowTest;
import finebore.bench.Ladder;
import finebore.calibration.TestBook;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.flow.Bands.Band;
import finebore.job.Job;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * The chain of tests that ends in the one looked at: what each step changed, and what it gave at
 * low, mid and high lift, alone and in sum.
 */
final class LadderView extends DrawnRegion {

  private static final int COLUMNS = 6;

  private final ProveState state;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private Of of;

  /** A ladder and what it was worked out from. */
  private record Of(TestBook book, FlowTest test, Ladder ladder) {}

  LadderView(ProveState state, Supplier<Palette> palette, Supplier<Double> textScale, String name) {
    super("ladder", name);
    this.state = state;
    this.palette = palette;
    this.textScale = textScale;
    state.shown().addListener((o, was, is) -> fit());
    sceneProperty().addListener((o, was, is) -> fit());
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
  }

  private Words words() {
    return state.shown().get().words();
  }

  private UnitSystem units() {
    return words().units();
  }

  private double size() {
    return 15 * textScale.get();
  }

  private double rowHeight() {
    return size() * 5.2;
  }

  private double headHeight() {
    return size() * 4.2;
  }

  /** Worked out once for each book and test, and only when somebody looks. */
  private Optional<Ladder> ladder() {
    Shown shown = state.shown().get();
    if (shown == null || shown.test().isEmpty()) {
      return Optional.empty();
    }
    FlowTest test = shown.test().get();
    if (of == null || of.book() != shown.book() || of.test() != test) {
      of = new Of(shown.book(), test, shown.book().ladder(test));
    }
    return Optional.of(of.ladder());
  }

  /** Takes the height its rungs need; nothing where nobody looks. */
  void fit() {
    if (getScene() == null) {
      return;
    }
    int rungs = ladder().map(l -> l.rungs().size()).orElse(1);
    setPrefHeight(headHeight() + rungs * rowHeight() + size() * 3);
    setMinHeight(getPrefHeight());
    requestLayout();
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    ladder()
        .ifPresent(
            l -> {
              int at = (int) ((e.getY() - headHeight()) / rowHeight());
              if (e.getY() >= headHeight() && at < l.rungs().size() && e.getClickCount() > 1) {
                state.select(l.rungs().get(at).test().test().id());
              }
            });
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, w, h);
    Optional<Ladder> ladder = ladder();
    if (state.shown().get() == null) {
      return;
    }
    if (ladder.isEmpty()) {
      g.setFont(Theme.words(size() * 0.9));
      g.setFill(colours.muted());
      g.setTextAlign(TextAlignment.LEFT);
      Ink.write(g, words().text("ladder.none"), 16, 40);
      return;
    }
    new Painter(g, state.shown().get().job(), ladder.get(), colours, w).paint();
  }

  private final class Painter {
    private final GraphicsContext g;
    private final Job job;
    private final List<Ladder.Rung> rungs;
    private final int earlier;
    private final Palette colours;
    private final double w;
    private final double names;
    private final double column;
    private final double most;

    Painter(GraphicsContext g, Job job, Ladder ladder, Palette colours, double w) {
      this.g = g;
      this.job = job;
      this.rungs = ladder.rungs();
      this.earlier = ladder.earlier();
      this.colours = colours;
      this.w = w;
      this.names = w * 0.3;
      this.column = (w - names - 16) / COLUMNS;
      this.most =
          rungs.stream()
              .flatMap(r -> Stream.concat(r.alone().stream(), r.inSum().stream()))
              .flatMap(c -> c.bands().values().stream())
              .mapToDouble(m -> Math.abs(m.share()))
              .max()
              .orElse(0.05);
    }

    void paint() {
      head();
      for (int k = 0; k < rungs.size(); k++) {
        rung(rungs.get(k), headHeight() + k * rowHeight());
      }
      text(
          earlier == 0
              ? words().text("ladder.legend")
              : words().text("ladder.earlier", "count", earlier),
          16,
          headHeight() + rungs.size() * rowHeight() + size() * 1.4,
          colours.muted(),
          Theme.words(size() * 0.87),
          w - 32);
    }

    private void text(String words, double x, double y, Color colour, Font font, double room) {
      g.setFont(font);
      g.setFill(colour);
      g.setTextAlign(TextAlignment.LEFT);
      g.setTextBaseline(VPos.CENTER);
      String shown = words;
      while (shown.length() > 3 && ProveWords.width(shown, font) > room) {
        shown = shown.substring(0, shown.length() - 2).strip() + "…";
      }
      Ink.write(g, shown, x, y);
    }

    private double columnX(boolean inSum, Band band) {
      return names + 8 + ((inSum ? 3 : 0) + band.ordinal()) * column;
    }

    private void head() {
      Font font = Theme.words(size() * 0.9);
      text(words().text("ladder.step"), 16, size() * 2.9, colours.muted(), font, names);
      text(
          words().text("ladder.alone"),
          columnX(false, Band.LOW) + 6,
          size() * 1.3,
          colours.text(),
          font,
          3 * column);
      text(
          words().text("ladder.inSum"),
          columnX(true, Band.LOW) + 6,
          size() * 1.3,
          colours.text(),
          font,
          3 * column);
      for (boolean inSum : new boolean[] {false, true}) {
        for (Band band : Band.values()) {
          text(
              words().text("report.band", "band", band),
              columnX(inSum, band) + 6,
              size() * 2.9,
              colours.muted(),
              font,
              column - 8);
        }
      }
      g.setStroke(colours.strongLine());
      g.setLineWidth(1);
      g.strokeLine(8, headHeight() - 4, w - 8, headHeight() - 4);
    }

    private void rung(Ladder.Rung rung, double y) {
      boolean looked =
          state.shown().get().test().filter(t -> t.id() == rung.test().test().id()).isPresent();
      if (looked) {
        g.setFill(colours.blueWash());
        g.fillRect(4, y + 1, w - 8, rowHeight() - 4);
      }
      var test = rung.test().test();
      text(
          job.bench().numberOf(test) + "  " + test.name(),
          16,
          y + size() * 1.2,
          colours.text(),
          Theme.boldFigures(size() * 0.9),
          names - 20);
      String step =
          rung.alone().isEmpty()
              ? words().text("ladder.begins")
              : test.changed().isBlank() ? words().text("ladder.notSaid") : test.changed();
      text(step, 16, y + size() * 2.6, colours.text(), Theme.words(size() * 0.9), names - 20);
      String below =
          rung.alone()
              .filter(c -> !c.isRanked())
              .map(c -> words().say(c.differences().getFirst().message()))
              .orElse(
                  words().say(test.setUp().state().message())
                      + test.date().map(d -> ", " + d).orElse(""));
      boolean refused = rung.alone().filter(c -> !c.isRanked()).isPresent();
      text(
          below,
          16,
          y + size() * 3.9,
          refused ? colours.amber() : colours.muted(),
          Theme.words(size() * 0.87),
          names - 20);
      rung.alone().ifPresent(c -> bars(c, false, y));
      rung.inSum().ifPresent(c -> bars(c, true, y));
      g.setStroke(colours.line());
      g.strokeLine(8, y + rowHeight() - 2, w - 8, y + rowHeight() - 2);
    }

    private void bars(Comparison comparison, boolean inSum, double y) {
      for (Band band : Band.values()) {
        Mean mean = comparison.bands().get(band);
        if (mean != null) {
          bar(mean, columnX(inSum, band), y);
        }
      }
    }

    private void bar(Mean mean, double x, double y) {
      Color colour =
          switch (mean.verdict()) {
            case GAIN -> colours.green();
            case LOSS -> colours.vermilion();
            case WITHIN -> colours.muted();
            case UNRANKED -> colours.amber();
          };
      text(
          UnitSystem.signed(100 * mean.share(), 1) + " % " + ProveWords.sign(mean.verdict()),
          x + 6,
          y + size() * 1.2,
          colour,
          Theme.boldFigures(size()),
          column);
      text(
          UnitSystem.signed(units().flow().fromBase(mean.changeM3s()), 1)
              + " "
              + units().flow().symbol(),
          x + 6,
          y + size() * 2.5,
          colours.text(),
          Theme.figures(size()),
          column - 8);
      double middle = x + 6 + (column - 20) / 2;
      double length = mean.share() / most * (column - 20) / 2;
      double at = y + size() * 3.5;
      g.setStroke(colours.strongLine());
      g.setLineWidth(1);
      g.strokeLine(middle, at - 2, middle, at + size() * 0.9);
      if (mean.verdict() == Verdict.UNRANKED) {
        g.setStroke(colour);
        g.strokeRect(Math.min(middle, middle + length), at, Math.abs(length), size() * 0.7);
      } else {
        g.setFill(colour.deriveColor(0, 1, 1, 0.8));
        g.fillRect(Math.min(middle, middle + length), at, Math.abs(length), size() * 0.7);
      }
    }
  }
}
