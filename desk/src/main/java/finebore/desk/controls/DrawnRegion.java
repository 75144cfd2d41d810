package finebore.desk.controls;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

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

  @Override
  protected final void layoutChildren() {
    double width = Math.floor(getWidth());
    double height = Math.floor(getHeight());
    if (width >= SMALLEST && height >= SMALLEST) {
      canvas.setWidth(width);
      canvas.setHeight(height);
      draw(canvas.getGraphicsContext2D(), width, height);
    }
  }
}
