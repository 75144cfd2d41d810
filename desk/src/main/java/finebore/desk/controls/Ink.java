package finebore.desk.controls;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Words on a canvas, which remembers them for whoever cannot see them. */
public final class Ink {

  private static final String KEY = "finebore.written";
  private static final Text PROBE = new Text();

  /**
   * Words as they stand on a canvas.
   *
   * @param x as given to the canvas, px
   * @param y as given to the canvas, px
   */
  public record Written(String words, double x, double y) {}

  private Ink() {}

  /** Writes words in the font, colour and alignment that are set. */
  public static void write(GraphicsContext g, String words, double x, double y) {
    g.fillText(words, x, y);
    list(g.getCanvas()).add(new Written(words, x, y));
  }

  /** How long words are in a font, px. */
  public static double width(Font font, String words) {
    PROBE.setFont(font);
    PROBE.setText(words);
    return PROBE.getLayoutBounds().getWidth();
  }

  /** Forgets what was written, before a canvas is drawn anew. */
  static void clear(Canvas canvas) {
    list(canvas).clear();
  }

  /** What stands on a canvas, in the order it was written. */
  static List<Written> of(Canvas canvas) {
    return List.copyOf(list(canvas));
  }

  @SuppressWarnings("unchecked")
  private static List<Written> list(Canvas canvas) {
    return (List<Written>)
        canvas.getProperties().computeIfAbsent(KEY, k -> new ArrayList<Written>());
  }
}
