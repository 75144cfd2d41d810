package finebore.desk.plan;

import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.desk.session.Latest;
import finebore.desk.session.SeatView;
import finebore.practice.Finding;
import finebore.rules.CureStudy;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is worth saying about the state looked at, with cures to try. */
public final class FindingsPane extends VBox {

  private final JobSession session;
  private final VBox rows = new VBox();
  private final List<Row> shown = new ArrayList<>();
  private final Latest cures = new Latest("cures");

  public FindingsPane(JobSession session) {
    this.session = session;
    setId("findings");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().add(scroll);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  /** Whether cures are still being tried out. */
  public boolean isStudying() {
    return cures.isBusy();
  }

  /**
   * The findings at once, their cures when each has been carried out and holds what it promises.
   */
  private void show() {
    SeatView work = session.work().get();
    show(work.findings(), work.showFound());
    if (!work.showFound() && work.findings().stream().anyMatch(f -> f.cure().isPresent())) {
      cures.ask(
          () -> CureStudy.studied(work.findings(), work.plan().outcome(), work.practice()),
          studied -> {
            if (session.work().get() == work) {
              show(studied, true);
            }
          });
    }
  }

  private void show(List<Finding> findings, boolean isStudied) {
    while (shown.size() < findings.size()) {
      shown.add(new Row(shown.size()));
    }
    for (int k = 0; k < findings.size(); k++) {
      shown.get(k).show(findings.get(k), isStudied);
    }
    List<Row> wanted = shown.subList(0, findings.size());
    if (!rows.getChildren().equals(wanted)) {
      rows.getChildren().setAll(wanted);
    }
  }

  /** One finding; kept while it changes, so that a drag does not build the pane anew. */
  private final class Row extends HBox {
    private final Label severity = new Label();
    private final Label what = new Label();
    private final Label basis = new Label();
    private final Button button = new Button();

    Row(int number) {
      super(8);
      severity.setMinWidth(78);
      severity.getStyleClass().add("note");
      what.setWrapText(true);
      what.setMinHeight(USE_PREF_SIZE);
      basis.getStyleClass().addAll("muted", "small");
      VBox words = new VBox(what, basis);
      HBox.setHgrow(words, Priority.ALWAYS);
      button.setId("try-" + number);
      button.setWrapText(true);
      button.setMaxWidth(250);
      button.setMinHeight(USE_PREF_SIZE);
      button.setMinWidth(200);
      getChildren().addAll(severity, words, button);
      setAlignment(Pos.TOP_LEFT);
      getStyleClass().add("finding-row");
    }

    void show(Finding finding, boolean isStudied) {
      severity.setText(mark(finding) + " " + session.words().label(finding.severity()));
      Styles.state(severity, finding.severity().key());
      Words words = session.words();
      what.setText(
          words.say(finding.what())
              + " "
              + words.say(finding.why())
              + finding
                  .overruled()
                  .map(o -> " " + words.text("finding.overruled", "reason", o.reason()))
                  .orElse(""));
      basis.setText(
          words.text(
              "findings.basis",
              "basis",
              words.text(finding.basis().code(), "source", finding.basis().source())));
      button.setVisible(finding.cure().isPresent());
      button.setManaged(finding.cure().isPresent());
      button.setDisable(!isStudied);
      finding
          .cure()
          .ifPresent(
              cure -> {
                button.setText(words.text("findings.try", "cure", words.say(cure.message())));
                button.setOnAction(e -> session.tryCure(cure));
              });
    }
  }

  private static String mark(Finding finding) {
    return switch (finding.severity()) {
      case FAULT -> "✗";
      case CAUTION -> "!";
      case NOTE -> "·";
    };
  }
}
