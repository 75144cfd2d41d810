package finebore.desk.controls;

import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.Image;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * A picture made small while it is read, off the window's thread, so that a huge one is harmless.
 */
public final class Thumbnail {

  private static final Logger LOG = Logger.getLogger(Thumbnail.class.getName());

  /** More pixels than any camera takes; a picture that claims more is not read. */
  private static final long MOST_PIXELS = 400_000_000L;

  private static final ExecutorService READER =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("pictures").factory());

  private Thumbnail() {}

  /** Reads a picture to about a height; empty where it cannot be read. */
  public static CompletableFuture<Optional<Image>> of(Path file, double heightPx) {
    return CompletableFuture.supplyAsync(() -> read(file, heightPx), READER);
  }

  private static Optional<Image> read(Path file, double heightPx) {
    try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
          return Optional.empty();
        }
        int every = Math.max(1, (int) Math.min(height / heightPx, Math.min(width, height)));
        ImageReadParam small = reader.getDefaultReadParam();
        small.setSourceRegion(new Rectangle(0, 0, width, height));
        small.setSourceSubsampling(every, every, 0, 0);
        BufferedImage image = reader.read(0, small);
        return Optional.of(SwingFXUtils.toFXImage(image, null));
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      // Damaged pictures make readers throw all kinds of things.
      LOG.log(Level.WARNING, "a picture cannot be read: " + file, e);
      return Optional.empty();
    }
  }
}
