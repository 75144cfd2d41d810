package finebore.desk.controls;

import finebore.room.FacePhotograph;
import finebore.room.Squared;
import finebore.room.Squared.Pixel;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;

/** The photograph of a chamber, squared, to lie under what is drawn of it. */
final class FaceUnder {

  /** It is read to about this height, and squared to as many pixels a side. */
  private static final int SIDE_PX = 900;

  private final Runnable ready;
  private Optional<FacePhotograph> photograph = Optional.empty();
  private Optional<Path> file = Optional.empty();
  private double halfMm;
  private Optional<Image> squared = Optional.empty();

  FaceUnder(Runnable ready) {
    this.ready = ready;
  }

  /**
   * Shows another photograph; it comes when it has been read.
   *
   * @param halfMm half the side of the square of the head face that is wanted
   */
  void show(Optional<FacePhotograph> wanted, Optional<Path> file, double halfMm) {
    if (wanted.equals(photograph) && file.equals(this.file) && halfMm == this.halfMm) {
      return;
    }
    photograph = wanted;
    this.file = file;
    this.halfMm = halfMm;
    squared = Optional.empty();
    if (wanted.isEmpty() || file.isEmpty()) {
      return;
    }
    Thumbnail.of(file.get(), SIDE_PX)
        .thenApply(image -> image.map(i -> square(i, wanted.get().squared(), halfMm)))
        .thenAccept(
            image ->
                Platform.runLater(
                    () -> {
                      if (wanted.equals(photograph)) {
                        squared = image;
                        ready.run();
                      }
                    }));
  }

  private static Image square(Image image, Squared squared, double halfMm) {
    WritableImage square = new WritableImage(SIDE_PX, SIDE_PX);
    PixelReader from = image.getPixelReader();
    int wide = (int) image.getWidth();
    int high = (int) image.getHeight();
    for (int j = 0; j < SIDE_PX; j++) {
      for (int i = 0; i < SIDE_PX; i++) {
        Pixel seen =
            squared.seen(
                halfMm * (2.0 * (i + 0.5) / SIDE_PX - 1), halfMm * (1 - 2.0 * (j + 0.5) / SIDE_PX));
        int x = (int) Math.floor(seen.x() * wide);
        int y = (int) Math.floor(seen.y() * high);
        boolean on = x >= 0 && x < wide && y >= 0 && y < high;
        square.getPixelWriter().setColor(i, j, on ? from.getColor(x, y) : Color.TRANSPARENT);
      }
    }
    return square;
  }

  /** Draws it where it lies; whether there is one. */
  boolean draw(GraphicsContext g, RoomScale scale) {
    if (squared.isEmpty()) {
      return false;
    }
    double side = 2 * halfMm * scale.pxPerMm();
    g.drawImage(squared.get(), scale.x(-halfMm), scale.y(halfMm), side, side);
    return true;
  }
}
