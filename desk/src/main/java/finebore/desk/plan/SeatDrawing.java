package finebore.desk.plan;

import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.seat.Seat;
import finebore.section.Point;
import javafx.scene.canvas.GraphicsContext;

/** A seat in section with its dimensions and the valve on it, for views that only show it. */
public final class SeatDrawing {

  private static final double SMALLEST_TEXT = 13;

  private SeatDrawing() {}

  /** Draws it as large as it goes. */
  public static void draw(
      GraphicsContext g, SeatView work, Palette palette, double width, double height, double text) {
    // In a narrow drawing large labels would leave no room for the seat.
    double label = Math.max(Math.min(text, width / 26), SMALLEST_TEXT);
    Seat seat = work.shown().pairing().seat();
    double head = work.pairing().valve().headDiameterMm() / 2;
    double rest = work.shown().seated().map(s -> s.restMm()).orElse(-seat.depthMm());
    Point low = new Point(0.66 * head, -seat.depthMm() - 0.3 * head);
    Point high = new Point(1.12 * head, rest + work.pairing().valve().marginMm() + 1);
    double right = Math.min(14 * label, 0.5 * width);
    ViewFrame frame = ViewFrame.fitting(low, high, 8, 8, width - right, height - 26);
    Sheet sheet = new Sheet(g, work, frame, palette, width, height, label);
    new SectionPainter(sheet).paintShut();
    new DimensionPainter(sheet).paint(0);
  }
}
