package finebore.desk.plan;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.transform.Transform;

/**
 * Solved air as it was painted last: thousands of cells need not be painted again while the paper
 * is moved under the pointer, or something else on it changes. What is asked for once only, as
 * every step of a zoom is, is not kept.
 */
final class PaintedAir {

  /** How far past the window it is painted, as a share of the window on each side. */
  private static final double PAST = 0.25;

  /** Wider or higher, px, and some screens could not hold it. */
  private static final double MOST_PX = 4096;

  /** What it is a picture of. */
  private record Of(Object what, double scale, double width, double height) {}

  /**
   * A picture with its frame.
   *
   * @param frame where the section plane lies on it
   */
  private record Kept(Of of, ViewFrame frame, double width, double height, Image image) {}

  private Optional<Of> asked = Optional.empty();
  private Optional<Kept> kept = Optional.empty();

  /**
   * Paints air on a sheet.
   *
   * @param what which air, and which picture of it; another is not equal to it
   * @param dense how many dots of the screen make a pixel
   * @param painter paints it anew on any sheet
   */
  void paint(Sheet sheet, Object what, double dense, Consumer<Sheet> painter) {
    Of of = new Of(what, sheet.frame().scale(), sheet.width(), sheet.height());
    boolean again = asked.equals(Optional.of(of));
    asked = Optional.of(of);
    if (!covers(of, sheet)) {
      kept = again ? keep(of, sheet, dense, painter) : Optional.empty();
    }
    if (kept.isEmpty()) {
      painter.accept(sheet);
      return;
    }
    Kept picture = kept.get();
    sheet
        .g()
        .drawImage(
            picture.image(),
            whole(sheet.frame().originX() - picture.frame().originX(), dense),
            whole(sheet.frame().originY() - picture.frame().originY(), dense),
            picture.width(),
            picture.height());
  }

  /** On whole dots of the screen, between which a picture would blur. */
  private static double whole(double pixels, double dense) {
    return Math.rint(pixels * dense) / dense;
  }

  /** Whether what is kept is a picture of it that reaches over all of the sheet. */
  private boolean covers(Of of, Sheet sheet) {
    if (kept.isEmpty() || !kept.get().of().equals(of)) {
      return false;
    }
    double left = kept.get().frame().originX() - sheet.frame().originX();
    double top = kept.get().frame().originY() - sheet.frame().originY();
    return left >= 0
        && top >= 0
        && left + sheet.width() <= kept.get().width()
        && top + sheet.height() <= kept.get().height();
  }

  private static Optional<Kept> keep(Of of, Sheet sheet, double dense, Consumer<Sheet> painter) {
    double aside = Math.rint(PAST * sheet.width());
    double above = Math.rint(PAST * sheet.height());
    double width = sheet.width() + 2 * aside;
    double height = sheet.height() + 2 * above;
    if (Math.max(width, height) * dense > MOST_PX) {
      return Optional.empty();
    }
    Canvas canvas = new Canvas(width, height);
    ViewFrame frame = sheet.frame().panned(aside, above);
    painter.accept(sheet.on(canvas.getGraphicsContext2D(), frame, width, height));
    SnapshotParameters clear = new SnapshotParameters();
    clear.setFill(Color.TRANSPARENT);
    clear.setTransform(Transform.scale(dense, dense));
    return Optional.of(new Kept(of, frame, width, height, canvas.snapshot(clear, null)));
  }
}
