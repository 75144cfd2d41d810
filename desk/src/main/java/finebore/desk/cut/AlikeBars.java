package finebore.desk.cut;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.machine.Alike;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** One reading of all seats of a kind side by side: how far each is from the deepest. */
final class AlikeBars extends DrawnRegion {

  private static final double BAR = 46;

  private final Supplier<Palette> palette;
  private final Supplier<Words> words;
  private final Supplier<Double> textScale;
  private Optional<Alike> alike = Optional.empty();
  private String here = "";
  private double toleranceMm;

  AlikeBars(
      Supplier<Palette> palette,
      Supplier<Words> words,
      Supplier<Double> textScale,
      String accessible) {
    super("alike", accessible);
    this.palette = palette;
    this.words = words;
    this.textScale = textScale;
    setMinHeight(104);
    setPrefHeight(112);
  }

  void show(Alike shown, String seat, double tolerance) {
    alike = Optional.of(shown);
    here = seat;
    toleranceMm = tolerance;
    requestLayout();
  }

  @Override
  protected void draw(GraphicsContext g, double width, double height) {
    Palette colours = palette.get();
    g.setFill(colours.panel());
    g.fillRect(0, 0, width, height);
    if (alike.isEmpty()) {
      return;
    }
    Alike all = alike.get();
    double size = 13 * textScale.get();
    String title =
        all.seats().size() < 2
            ? words.get().text("cut.alike.few", "what", words.get().label(all.what()))
            : words
                .get()
                .text(
                    "cut.alike",
                    "what",
                    words.get().label(all.what()),
                    "spread",
                    words.get().units().lengthText(all.spread()));
    write(g, Theme.words(size), title, 4, size * 0.8, colours.muted(), TextAlignment.LEFT);
    if (all.seats().isEmpty()) {
      return;
    }
    double each = Math.min(BAR * textScale.get() * 1.6, (width - 8) / all.seats().size());
    double top = size * 1.9;
    double room = height - top - 2.4 * size;
    double most = Math.max(all.spread(), 2 * toleranceMm);
    List<Alike.SeatValue> toLevel = all.toLevel();
    for (int k = 0; k < all.seats().size(); k++) {
      var seat = all.seats().get(k);
      double below = toLevel.get(k).value();
      double bar = room * (1 - 0.8 * below / most);
      double x = 4 + k * each;
      boolean out = below > toleranceMm;
      g.setFill(
          seat.seat().equals(here) ? colours.blue() : out ? colours.amber() : colours.strongLine());
      g.fillRect(x + 4, top + room - bar, Math.max(4, each - 8), bar);
      write(
          g,
          Theme.boldFigures(size * 0.95),
          seat.seat(),
          x + each / 2,
          top + room + size * 0.7,
          colours.text(),
          TextAlignment.CENTER);
      String gap =
          below == 0
              ? words.get().text("cut.alike.deepest")
              : "-" + words.get().units().shortLength(below);
      write(
          g,
          Theme.figures(size * 0.85),
          gap,
          x + each / 2,
          top + room + size * 1.75,
          out ? colours.amber() : colours.muted(),
          TextAlignment.CENTER);
    }
  }
}
