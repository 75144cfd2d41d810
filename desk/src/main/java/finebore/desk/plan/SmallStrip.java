package finebore.desk.plan;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.flow.FlowChange;
import finebore.planning.SolvedChange;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** The change of flow at each lift as bars without figures, to stand beside others like it. */
final class SmallStrip extends DrawnRegion {

  private static final double DIAMOND = 3.5;

  private final Supplier<Palette> palette;
  private final UnitSystem units;
  private Optional<FlowChange> change = Optional.empty();
  private SolvedChange solved = SolvedChange.NONE;
  private double reach;

  SmallStrip(Supplier<Palette> palette, Words words) {
    super("small-strip", words.text("strip.small"));
    this.palette = palette;
    this.units = words.units();
    setFocusTraversable(false);
    setMinSize(120, 58);
    setPrefHeight(64);
  }

  /**
   * Shows a change.
   *
   * @param shown in which what is solved counts
   * @param where it is solved
   * @param most largest change among those it stands beside, as a share, so that all have one scale
   */
  void show(FlowChange shown, SolvedChange where, double most) {
    change = Optional.of(shown);
    solved = where;
    reach = Math.max(most, 0.02);
    requestLayout();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    g.setFill(palette.get().panel());
    g.fillRect(0, 0, w, h);
    change.ifPresent(c -> draw(g, c.steps(), w, h));
  }

  private void draw(GraphicsContext g, List<FlowChange.Step> steps, double w, double h) {
    Palette colours = palette.get();
    double foot = 17;
    double zero = (h - foot) * 0.72;
    double column = w / steps.size();
    double scale = Math.min(zero - 2 - DIAMOND, (h - foot - zero) * 2.6) / reach;
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.BOTTOM);
    g.setFont(Theme.figures(13));
    for (int k = 0; k < steps.size(); k++) {
      FlowChange.Step step = steps.get(k);
      double size = step.isKnown() ? step.share() * scale : 0;
      g.setFill(step.share() >= 0 ? colours.green() : colours.vermilion());
      g.fillRect(
          k * column + 0.2 * column, size >= 0 ? zero - size : zero, 0.6 * column, Math.abs(size));
      g.setFill(colours.muted());
      boolean each = column > 34 || k % 2 == 0;
      if (each) {
        Ink.write(
            g, units.shortLength(step.liftMm()).replaceFirst("\\.?0+$", ""), (k + 0.5) * column, h);
      }
    }
    g.setStroke(colours.edge());
    g.setLineWidth(1);
    g.strokeLine(0, zero, w, zero);
    for (int k = 0; k < steps.size(); k++) {
      FlowChange.Step step = steps.get(k);
      double x = (k + 0.5) * column;
      double y = zero - step.share() * scale;
      solved.at(step.liftMm()).ifPresent(c -> LiftStrip.diamond(g, colours, c, x, y, DIAMOND));
    }
  }
}
