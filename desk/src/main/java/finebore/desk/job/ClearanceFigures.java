package finebore.desk.job;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.job.Figures;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Port;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/** What clearances over the crank are reckoned from; folded away while nothing of it is known. */
final class ClearanceFigures extends VBox {

  private static final int COLUMNS = 4;

  private final JobSession session;
  private final ToggleButton opener = new ToggleButton();
  private boolean wasKnown;

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
    opener.setText(session.say("job.clearances"));
    opener.setId("clearance-figures-open");
    fields.visibleProperty().bind(opener.selectedProperty());
    fields.managedProperty().bind(fields.visibleProperty());
    getChildren().addAll(opener, fields);
    session.work().addListener((o, was, is) -> open());
    open();
  }

  /** Opens when there is something to see, and leaves it to the user then. */
  private void open() {
    Job job = session.job();
    boolean known =
        !job.engine().pistons().equals(Pistons.UNKNOWN)
            || !job.intake().pistonSide().equals(PistonSide.UNKNOWN)
            || !job.exhaust().pistonSide().equals(PistonSide.UNKNOWN);
    if (known && !wasKnown) {
      opener.setSelected(true);
    }
    wasKnown = known;
  }
}
