package finebore.desk.found;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.job.Head;
import finebore.job.Job;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What is read of the head as a whole; empty is not measured. */
final class HeadFigures extends VBox {

  private static final int COLUMNS = 5;

  private final JobSession session;
  private final Label skim = new Label();

  HeadFigures(JobSession session) {
    super(4);
    this.session = session;
    setId("head-figures");
    FieldGrid grid = new FieldGrid(session, COLUMNS);
    Head.FIGURES.forEach(s -> grid.part(s, Job::head, Job::withHead));
    skim.setId("skim");
    skim.getStyleClass().add("small");
    getChildren().addAll(grid, skim);
  }

  void show(Job job) {
    Words words = session.words();
    List<String> parts = new ArrayList<>();
    job.head()
        .skimmedMm()
        .ifPresent(mm -> parts.add(words.text("head.skimmed", "by", words.units().lengthText(mm))));
    if (job.head().skimLeftMm().isPresent()) {
      parts.add(
          words.text(
              "head.skimLeft",
              "left",
              words.units().lengthText(job.head().skimLeftMm().getAsDouble())));
    } else {
      parts.add(words.text("head.skimLeft.unknown"));
    }
    skim.setText(String.join("; ", parts));
  }
}
