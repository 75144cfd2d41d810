package finebore.desk.controls;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;

/**
 * Hatching as a tile that repeats on the screen: one stroke at 45 degrees, its edges smoothed.
 * Filling with a tile costs a fraction of drawing every line through a clip.
 */
public final class Hatch {

  private record Key(Color colour, boolean rising, int spacing) {}

  private static final Map<Key, ImagePattern> TILES = new HashMap<>();

  private Hatch() {}

  /**
   * A pattern of hatching.
   *
   * @param rising whether lines rise to the right
   * @param spacing pixels between lines, measured along a row
   * @param width stroke width, pixels
   */
  public static ImagePattern of(Color colour, boolean rising, int spacing, double width) {
    return TILES.computeIfAbsent(
        new Key(colour, rising, spacing), key -> tile(colour, rising, spacing, width));
  }

  private static ImagePattern tile(Color colour, boolean rising, int spacing, double width) {
    WritableImage image = new WritableImage(spacing, spacing);
    for (int y = 0; y < spacing; y++) {
      for (int x = 0; x < spacing; x++) {
        double along = Math.floorMod(rising ? x + y : x - y, spacing);
        double away = Math.min(along, spacing - along) / Math.sqrt(2);
        double cover = Math.clamp(width / 2 + 0.5 - away, 0, 1);
        image.getPixelWriter().setColor(x, y, colour.deriveColor(0, 1, 1, cover));
      }
    }
    return new ImagePattern(image, 0, 0, spacing, spacing, false);
  }
}
