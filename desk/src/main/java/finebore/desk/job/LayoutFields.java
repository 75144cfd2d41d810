package finebore.desk.job;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.job.Figures;
import finebore.job.Job;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Tooltip;
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
    getChildren().addAll(grid, symmetric(session));
  }

  private static CheckBox symmetric(JobSession session) {
    CheckBox box = new CheckBox(session.say("job.symmetric"));
    box.setId("head-symmetric");
    box.setTooltip(new Tooltip(session.say("job.symmetricTip")));
    box.setOnAction(
        e -> session.edit("", j -> j.withHead(j.head().withSymmetric(box.isSelected()))));
    session
        .work()
        .addListener(
            (o, was, is) -> {
              box.setSelected(is.job().head().symmetric());
              box.setVisible(is.job().engine().hasPairs());
              box.setManaged(box.isVisible());
            });
    box.setSelected(session.job().head().symmetric());
    box.setVisible(session.job().engine().hasPairs());
    box.setManaged(box.isVisible());
    return box;
  }
}
