package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.practice.Finding;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is worth saying about the state looked at, with cures to try. */
public final class FindingsPane extends VBox {

  private final JobSession session;
  private final VBox rows = new VBox();
  private final Label heading = new Label();

  public FindingsPane(JobSession session) {
    this.session = session;
    setId("findings");
    getStyleClass().add("findings-box");
    heading.getStyleClass().add("heading");
    heading.setStyle("-fx-padding: 4 10 2 10;");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(heading, scroll);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    List<Finding> findings = session.work().get().findings();
    heading.setText(findings.isEmpty() ? "FINDINGS: none" : "FINDINGS: " + findings.size());
    rows.getChildren().clear();
    for (int k = 0; k < findings.size(); k++) {
      rows.getChildren().add(row(findings.get(k), k));
    }
  }

  private HBox row(Finding finding, int number) {
    Label severity = new Label(mark(finding) + " " + finding.severity().word());
    severity.getStyleClass().add(finding.severity().name().toLowerCase(java.util.Locale.ROOT));
    severity.setMinWidth(78);
    Label what = new Label(finding.what() + " " + finding.why());
    what.setWrapText(true);
    what.setMinHeight(Region.USE_PREF_SIZE);
    Label basis = new Label("Basis: " + finding.basis());
    basis.getStyleClass().addAll("muted", "small");
    VBox words = new VBox(what, basis);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(8, severity, words);
    row.setAlignment(Pos.TOP_LEFT);
    row.getStyleClass().add("finding-row");
    finding
        .cure()
        .ifPresent(
            cure -> {
              Button button = new Button("Try it: " + cure.words(session.units()));
              button.setId("try-" + number);
              button.setWrapText(true);
              button.setMaxWidth(250);
              button.setMinHeight(Region.USE_PREF_SIZE);
              button.setMinWidth(200);
              button.setOnAction(e -> session.tryCure(cure));
              row.getChildren().add(button);
            });
    return row;
  }

  private static String mark(Finding finding) {
    return switch (finding.severity()) {
      case FAULT -> "✗";
      case CAUTION -> "!";
      case NOTE -> "·";
    };
  }
}
