package finebore.desk.job;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.job.Figures;
import finebore.job.Job;
import javafx.scene.layout.VBox;

/** Where things lie in the head; the first number typed makes the layout a measured one. */
public final class LayoutFields extends VBox {

  public LayoutFields(JobSession session) {
    FieldGrid grid = new FieldGrid(session);
    Figures.LAYOUT.forEach(
        setting ->
            grid.part(
                setting,
                Job::layout,
                (job, layout) ->
                    job.withHead(job.head().withLayout(java.util.Optional.of(layout)))));
    getChildren().add(grid);
  }
}
