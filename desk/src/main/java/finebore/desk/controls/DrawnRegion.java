package finebore.desk.controls;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** A region that is drawn as a whole, once a frame at most, whenever a layout is asked for. */
public abstract class DrawnRegion extends Region {

  /** Smaller than this nothing can be seen, px. */
  private static final double SMALLEST = 10;

  private final Canvas canvas = new Canvas();

  protected DrawnRegion(String id, String accessibleText) {
    getChildren().add(canvas);
    getStyleClass().add("drawing");
    setId(id);
    setFocusTraversable(true);
    setAccessibleText(accessibleText);
    focusedProperty().addListener((o, was, is) -> requestLayout());
  }

  /** Draws everything anew. */
  protected abstract void draw(GraphicsContext g, double width, double height);

  /** Writes words about the middle of a line. */
  public static void write(
      GraphicsContext g,
      Font font,
      String words,
      double x,
      double y,
      Color colour,
      TextAlignment align) {
    g.setFont(font);
    g.setFill(colour);
    g.setTextAlign(align);
    g.setTextBaseline(VPos.CENTER);
    Ink.write(g, words, x, y);
  }

  /** The words that stand on it now. */
  public List<Ink.Written> written() {
    return Ink.of(canvas);
  }

  @Override
  protected final void layoutChildren() {
    double width = Math.floor(getWidth());
    double height = Math.floor(getHeight());
    if (width >= SMALLEST && height >= SMALLEST) {
      canvas.setWidth(width);
      canvas.setHeight(height);
      Ink.clear(canvas);
      draw(canvas.getGraphicsContext2D(), width, height);
    }
  }
}
