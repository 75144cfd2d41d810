package finebore.desk.cut;

import finebore.desk.controls.DrawingCanvas;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.desk.theme.Palette;
import finebore.drawing.Drawing;
import finebore.drawing.SectionDrawing;
import finebore.machine.RunStep;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.StepKind;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Beside a step: its section, how alike the seats are so far, and what follows. */
final class StepBeside extends VBox {

  private static final int FOLLOWING = 3;

  private final JobSession session;
  private final WorkSession work;
  private final DrawingCanvas section;
  private final AlikeBars alike;
  private final VBox next = new VBox(3);

  StepBeside(
      JobSession session, WorkSession work, Supplier<Palette> palette, Supplier<Double> textScale) {
    super(6);
    this.session = session;
    this.work = work;
    section = new DrawingCanvas("cut-section", session.say("cut.section"), palette);
    alike = new AlikeBars(palette, session::words, textScale, session.say("cut.alike.name"));
    VBox.setVgrow(section, Priority.ALWAYS);
    next.setId("cut-next");
    Label then = new Label(session.say("cut.then"));
    then.getStyleClass().add("heading");
    getChildren().setAll(section, alike, then, next);
    getStyleClass().addAll("column", "right-column");
    setMinWidth(0);
  }

  void show(RunStep step) {
    section.show(drawing(step));
    showAlike(step);
    next.getChildren().clear();
    for (RunStep follows : work.next(FOLLOWING)) {
      Label line = new Label(StepWords.title(follows, session.words()));
      line.getStyleClass().add("cut-next");
      line.setWrapText(false);
      next.getChildren().add(line);
    }
  }

  /** All is done. */
  void clear() {
    next.getChildren().clear();
    section.show(Optional.empty());
  }

  void restyle() {
    section.requestLayout();
    alike.requestLayout();
  }

  private Optional<Drawing> drawing(RunStep step) {
    return work.sheet()
        .outcome(step.seat())
        .map(
            seat ->
                step.operation().isPresent() && step.kind() != StepKind.CONTACT
                    ? SectionDrawing.step(
                        seat,
                        step.operation().getAsInt(),
                        step.kind() == StepKind.FORM
                            ? work.value(step, ReadBack.SEAT_DEPTH)
                            : OptionalDouble.empty())
                    : SectionDrawing.plain(seat));
  }

  private void showAlike(RunStep step) {
    ReadBack what =
        switch (step.kind()) {
          case THROAT, BOWL, BLEND -> ReadBack.THROAT;
          case CONTACT -> ReadBack.SEAT_WIDTH;
          case ASSEMBLY, SEAL -> ReadBack.VALVE_DEPTH;
          default -> ReadBack.SEAT_DEPTH;
        };
    alike.show(
        work.alike(step.seat().port(), what),
        step.seat().label(),
        session
            .job()
            .shop()
            .value(
                switch (what) {
                  case THROAT -> ShopFigure.THROAT_TOLERANCE;
                  case SEAT_WIDTH -> ShopFigure.WIDTH_TOLERANCE;
                  default -> ShopFigure.DEPTH_TOLERANCE;
                }));
  }
}
