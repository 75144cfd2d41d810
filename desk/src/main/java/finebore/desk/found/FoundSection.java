package finebore.desk.found;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.plan.SeatDrawing;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import javafx.scene.canvas.GraphicsContext;

/** The section of the seat being measured, which grows with its readings. */
final class FoundSection extends DrawnRegion {

  private final JobSession session;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;

  FoundSection(JobSession session, Supplier<Palette> palette, Supplier<Double> textScale) {
    super("found-section", session.say("found.section"));
    this.session = session;
    this.palette = palette;
    this.textScale = textScale;
    setMinSize(220, 160);
  }

  @Override
  protected void draw(GraphicsContext g, double width, double height) {
    SeatView work =
        SeatView.of(
            session.job(),
            session.words(),
            session.practice(),
            new SeatView.View(session.seat().get(), true, OptionalInt.empty()),
            Optional.of(session.work().get()));
    SeatDrawing.draw(g, work, palette.get(), width, height, 13 * textScale.get());
  }
}
