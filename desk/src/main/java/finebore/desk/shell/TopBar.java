package finebore.desk.shell;

import finebore.desk.session.JobSession;
import finebore.formats.FileProblem;
import finebore.job.Job;
import finebore.units.Units;
import java.nio.file.Path;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What stands along the top: the job, its seats, units, undo. */
final class TopBar extends HBox {

  private final JobSession session;
  private final Label title = new Label();
  private final Tooltip tip = new Tooltip();
  private final Label unguarded = new Label();
  private final ToggleButton millimetres = unit(Units.MM);
  private final ToggleButton inches = unit(Units.INCH);

  TopBar(JobSession session, JobMenu menu, SeatStrip seats) {
    super(8);
    this.session = session;
    title.getStyleClass().add("title");
    title.setId("job-title");
    title.setTooltip(tip);
    title.setMinWidth(60);
    HBox units = new HBox(millimetres, inches);
    units.setMinWidth(Region.USE_PREF_SIZE);
    units.setAlignment(Pos.CENTER);
    for (ToggleButton unit : new ToggleButton[] {millimetres, inches}) {
      unit.setTooltip(new Tooltip(session.say("top.units")));
      unit.setMinWidth(Region.USE_PREF_SIZE);
      unit.setOnAction(
          e -> {
            if ((session.job().units() == Units.MM) != (unit == millimetres)) {
              session.switchUnits();
            }
            show();
          });
    }
    Button undo = button("\u21b6", "undo", session.say("top.undo"), session::undo);
    undo.disableProperty().bind(session.canUndo().not());
    Button redo = button("\u21b7", "redo", session.say("top.redo"), session::redo);
    redo.disableProperty().bind(session.canRedo().not());
    Region left = new Region();
    Region right = new Region();
    HBox.setHgrow(left, Priority.ALWAYS);
    HBox.setHgrow(right, Priority.ALWAYS);
    unguarded.setId("unguarded");
    unguarded.getStyleClass().add("unguarded");
    unguarded.setMinWidth(Region.USE_PREF_SIZE);
    unguarded.managedProperty().bind(unguarded.visibleProperty());
    unguarded.setVisible(false);
    HBox.setHgrow(seats, Priority.SOMETIMES);
    seats.setMaxWidth(Region.USE_PREF_SIZE);
    getChildren().addAll(menu, title, unguarded, left, seats, right, units, undo, redo);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().add("top-bar");
    session.work().addListener((o, was, is) -> show());
    session.changed().addListener((o, was, is) -> show());
    session.file().addListener((o, was, is) -> show());
    show();
  }

  private static ToggleButton unit(Units units) {
    ToggleButton button = new ToggleButton(units == Units.MM ? "mm" : "in");
    button.setId("units-" + button.getText());
    return button;
  }

  /** A button of a sign, and what it does in words. */
  static Button button(String sign, String id, String tip, Runnable action) {
    Button button = new Button(sign);
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.setOnAction(e -> action.run());
    return button;
  }

  /** Says that unsaved work is not kept against a crash, for as long as that is so. */
  void unguarded(Optional<FileProblem> trouble) {
    unguarded.setVisible(trouble.isPresent());
    trouble.ifPresent(
        e -> {
          unguarded.setText(session.say("top.unguarded"));
          unguarded.setTooltip(
              new Tooltip(session.say("top.unguardedWhy", "problem", session.words().say(e))));
        });
  }

  /** Hides or shows the name of the job. */
  void showTitle(boolean shown) {
    title.setVisible(shown);
  }

  private void show() {
    Job job = session.job();
    String changed = session.changed().get() ? " *" : "";
    title.setText(job.name() + (job.purpose().isBlank() ? "" : ", " + job.purpose()) + changed);
    String file = session.file().get().map(Path::toString).orElse(session.say("top.noFile"));
    tip.setText(changed.isEmpty() ? file : session.say("top.changed", "file", file));
    millimetres.setSelected(job.units() == Units.MM);
    inches.setSelected(job.units() == Units.INCH);
  }
}
