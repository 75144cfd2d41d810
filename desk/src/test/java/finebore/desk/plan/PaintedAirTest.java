package finebore.desk.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What is kept of painted air looks as if it had been painted, and spares the painting. */
@ExtendWith(ApplicationExtension.class)
class PaintedAirTest {

  private static final int WIDE = 200;
  private static final int HIGH = 120;

  private final PaintedAir painted = new PaintedAir();
  private int painting;

  @Start
  void start(Stage stage) {
    // Only the toolkit is wanted.
  }

  /** Coloured squares where the section plane has them. */
  private void squares(Sheet sheet) {
    painting++;
    for (int r = -40; r < 40; r += 4) {
      for (int z = -40; z < 40; z += 4) {
        sheet.g().setFill(Color.rgb(120 + r, 120 + z, 90));
        double side = 4 * sheet.frame().scale();
        sheet.g().fillRect(sheet.frame().x(r), sheet.frame().y(z), side, side);
      }
    }
  }

  private static Sheet sheet(ViewFrame frame) {
    Canvas canvas = new Canvas(WIDE, HIGH);
    return new Sheet(canvas.getGraphicsContext2D(), null, frame, null, WIDE, HIGH, 13);
  }

  private static int print(Sheet sheet) {
    WritableImage image = sheet.g().getCanvas().snapshot(null, null);
    int[] pixels = new int[WIDE * HIGH];
    image
        .getPixelReader()
        .getPixels(0, 0, WIDE, HIGH, PixelFormat.getIntArgbInstance(), pixels, 0, WIDE);
    return Arrays.hashCode(pixels);
  }

  /** Shows a frame both ways, and tells how often it was painted for that. */
  private int shown(String what, ViewFrame frame) {
    Sheet direct = sheet(frame);
    squares(direct);
    painting = 0;
    Sheet kept = sheet(frame);
    painted.paint(kept, what, 1, this::squares);
    assertThat(print(kept)).as("%s at %s", what, frame).isEqualTo(print(direct));
    return painting;
  }

  @Test
  void aPanIsNotPaintedAgainUntilItLeavesWhatIsKept() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, this::pan);
  }

  private void pan() {
    ViewFrame frame = new ViewFrame(5, 100, 60);
    assertThat(shown("a", frame)).isEqualTo(1);
    // Asked for again it is painted once more, to be kept.
    assertThat(shown("a", frame)).isEqualTo(1);
    for (double dx : List.of(1.0, -17.0, 50.0, -50.0, 0.0)) {
      assertThat(shown("a", frame.panned(dx, Math.rint(-dx / 2)))).as("panned by %s", dx).isZero();
    }
    assertThat(shown("a", frame.panned(51, 0))).isEqualTo(1);
    assertThat(shown("a", frame.panned(60, 0))).isZero();
    assertThat(shown("a", frame.panned(60, 31 + 30))).isEqualTo(1);
    // Every step of a zoom is another picture, and so is other air.
    assertThat(shown("a", frame.zoomed(1.2, 0, 0))).isEqualTo(1);
    assertThat(shown("a", frame)).isEqualTo(1);
    assertThat(shown("a", frame)).isEqualTo(1);
    assertThat(shown("b", frame)).isEqualTo(1);
    assertThat(shown("b", frame)).isEqualTo(1);
    assertThat(shown("b", frame)).isZero();
  }
}
