package finebore.desk.prove;

import finebore.bench.Comparison;
import finebore.bench.Comparison.Line;
import finebore.bench.Comparison.Verdict;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.words.UnitSystem;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** The change at every lift between two tests, with the band that the bench cannot tell. */
final class CompareStrip extends DrawnRegion {

  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private Optional<Shown> shown = Optional.empty();

  CompareStrip(Supplier<Palette> palette, Supplier<Double> textScale, String name) {
    super("compare-strip", name);
    this.palette = palette;
    this.textScale = textScale;
    setFocusTraversable(false);
    setMinSize(160, 100);
  }

  void show(Shown now) {
    shown = Optional.of(now);
    requestLayout();
  }

  private double size() {
    return 15 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, w, h);
    Optional<Comparison> comparison =
        shown.flatMap(Shown::comparison).filter(c -> !c.lines().isEmpty());
    if (comparison.isPresent()) {
      bars(g, shown.get(), comparison.get(), colours, w, h);
    } else {
      shown.ifPresent(
          s ->
              text(
                  g,
                  s.words().text(s.test().isEmpty() ? "compareStrip.none" : "compareStrip.alone"),
                  12,
                  h / 2,
                  colours.muted(),
                  TextAlignment.LEFT,
                  false));
    }
  }

  private void bars(
      GraphicsContext g, Shown at, Comparison comparison, Palette colours, double w, double h) {
    UnitSystem units = at.units();
    List<Line> lines = comparison.lines();
    double left = size() * 4.4;
    double column = (w - left - 8) / lines.size();
    double top = size() * 2.6;
    double bottom = h - size() * 1.7;
    double up =
        lines.stream().mapToDouble(l -> Math.max(l.limitM3s(), l.changeM3s())).max().orElse(1);
    double down =
        lines.stream().mapToDouble(l -> Math.max(l.limitM3s(), -l.changeM3s())).max().orElse(1);
    double scale = (bottom - top - 2.4 * size()) / Math.max(up + down, 1e-9);
    double zero = top + 1.2 * size() + up * scale;
    String title = at.words().text("compareStrip.title", "unit", units.flow().symbol());
    Text probe = new Text(title);
    probe.setFont(font(false));
    boolean fits = probe.getLayoutBounds().getWidth() < w - 20;
    text(
        g,
        fits ? title : at.words().text("compareStrip.short", "unit", units.flow().symbol()),
        10,
        size() * 0.9,
        colours.text(),
        TextAlignment.LEFT,
        false);
    int every = (int) Math.ceil(4.6 * size() * 0.62 / column);
    for (int k = 0; k < lines.size(); k++) {
      Line line = lines.get(k);
      double x = left + k * column;
      double band = line.limitM3s() * scale;
      g.setFill(colours.band());
      g.fillRect(x, zero - band, column, 2 * band);
      double mid = x + column / 2;
      double width = Math.min(column * 0.5, 34);
      double y = zero - line.changeM3s() * scale;
      Color colour = colour(line.verdict(), colours);
      if (line.between() || line.verdict() == Verdict.UNRANKED) {
        g.setStroke(colour);
        g.setLineWidth(1.6);
        g.strokeRect(mid - width / 2, Math.min(zero, y), width, Math.abs(zero - y));
      } else {
        g.setFill(colour.deriveColor(0, 1, 1, 0.8));
        g.fillRect(mid - width / 2, Math.min(zero, y), width, Math.abs(zero - y));
      }
      if (k % every != 0) {
        continue;
      }
      boolean above = line.changeM3s() >= 0;
      text(
          g,
          UnitSystem.signed(units.flow().fromBase(line.changeM3s()), 1),
          mid,
          above ? Math.min(y, zero - band) - size() * 0.7 : Math.max(y, zero + band) + size() * 0.7,
          colour,
          TextAlignment.CENTER,
          true);
      text(
          g,
          units == UnitSystem.METRIC
              ? units.lengthNumber(line.liftMm())
              : units.shortLength(line.liftMm()),
          mid,
          h - size() * 0.8,
          colours.text(),
          TextAlignment.CENTER,
          true);
    }
    g.setStroke(colours.text());
    g.setLineWidth(1.2);
    g.strokeLine(left, zero, left + lines.size() * column, zero);
    text(
        g,
        at.words().text("strip.lift", "unit", units.length().symbol()),
        left - 6,
        h - size() * 0.8,
        colours.muted(),
        TextAlignment.RIGHT,
        false);
  }

  private static Color colour(Verdict verdict, Palette colours) {
    return switch (verdict) {
      case GAIN -> colours.green();
      case LOSS -> colours.vermilion();
      case WITHIN -> colours.muted();
      case UNRANKED -> colours.amber();
    };
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
}
