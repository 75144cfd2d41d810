package finebore.desk.controls;

import finebore.desk.theme.Palette;
import finebore.drawing.Drawing;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;

/** A drawing as large as it fits, in the colours of the theme. */
public final class DrawingCanvas extends DrawnRegion {

  private static final double EDGE = 8;

  private final Supplier<Palette> palette;
  private Optional<Drawing> drawing = Optional.empty();

  public DrawingCanvas(String id, String accessibleText, Supplier<Palette> palette) {
    super(id, accessibleText);
    this.palette = palette;
    setMinSize(160, 120);
  }

  /** Shows another drawing, or none. */
  public void show(Optional<Drawing> shown) {
    drawing = shown;
    requestLayout();
  }

  @Override
  protected void draw(GraphicsContext g, double width, double height) {
    g.setFill(palette.get().paper());
    g.fillRect(0, 0, width, height);
    if (drawing.isEmpty()) {
      return;
    }
    Box box = drawing.get().box();
    double scale = Math.min((width - 2 * EDGE) / box.width(), (height - 2 * EDGE) / box.height());
    double left = (width - box.width() * scale) / 2 - box.minX() * scale;
    double base = (height + box.height() * scale) / 2 + box.minY() * scale;
    DrawingPainter painter = new DrawingPainter(g, palette.get(), scale, left, base);
    Box window = drawing.get().window();
    g.save();
    g.beginPath();
    g.rect(
        left + window.minX() * scale,
        base - window.maxY() * scale,
        window.width() * scale,
        window.height() * scale);
    g.clip();
    painter.paint(of(true));
    g.restore();
    painter.paint(of(false));
  }

  private List<Item> of(boolean section) {
    return drawing.orElseThrow().items().stream()
        .filter(i -> i.layer().isSection() == section)
        .toList();
  }
}
