package finebore.desk.job;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.job.Figures;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Port;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/** What clearances over the crank are reckoned from; folded away until it is asked for. */
final class ClearanceFigures extends VBox {

  private static final int COLUMNS = 4;

  private final JobSession session;
  private final ToggleButton opener = new ToggleButton();

  ClearanceFigures(JobSession session) {
    super(6);
    this.session = session;
    setId("clearance-figures");
    VBox fields = new VBox(6);
    FieldGrid pistons = new FieldGrid(session, COLUMNS);
    Figures.PISTONS.forEach(s -> pistons.part(s, Job::engine, Job::withEngine));
    fields.getChildren().add(pistons);
    for (Port port : Port.values()) {
      Label heading = new Label(session.words().of(port, "group"));
      heading.getStyleClass().addAll("small", "muted");
      FieldGrid grid = new FieldGrid(session, COLUMNS);
      Group.PISTON_SIDE.forEach(
          s ->
              grid.part(
                  s.named(port.key() + "-" + s.id()),
                  j -> j.group(port),
                  (j, g) -> j.withGroup(port, g)));
      fields.getChildren().addAll(heading, grid);
    }
    opener.setId("clearance-figures-open");
    fields.visibleProperty().bind(opener.selectedProperty());
    fields.managedProperty().bind(fields.visibleProperty());
    getChildren().addAll(opener, fields);
    session.work().addListener((o, was, is) -> count());
    count();
  }

  /** Says how much of it is there while it is folded away. */
  private void count() {
    Job job = session.job();
    List<OptionalDouble> all = new ArrayList<>();
    Figures.PISTONS.forEach(s -> all.add(s.of(job.engine())));
    for (Port port : Port.values()) {
      Group.PISTON_SIDE.forEach(s -> all.add(s.of(job.group(port))));
    }
    opener.setText(
        session.say(
            "job.clearances",
            "known",
            all.stream().filter(OptionalDouble::isPresent).count(),
            "all",
            all.size()));
  }
}
