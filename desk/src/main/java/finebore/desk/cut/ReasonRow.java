package finebore.desk.cut;

import finebore.desk.session.JobSession;
import finebore.work.WorkEntry;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Where a reason is asked for: of what is wrong, or why it is taken all the same. */
final class ReasonRow extends HBox {

  private final JobSession session;
  private final BiConsumer<WorkEntry.Kind, String> said;
  private final TextField reason = new TextField();
  private Optional<WorkEntry.Kind> asked = Optional.empty();

  /**
   * A row that is not there until it is asked for.
   *
   * @param said gets what was asked for and the reason
   */
  ReasonRow(JobSession session, BiConsumer<WorkEntry.Kind, String> said) {
    super(8);
    this.session = session;
    this.said = said;
    reason.setId("cut-reason");
    reason.getStyleClass().add("cut-reason");
    HBox.setHgrow(reason, Priority.ALWAYS);
    Button keep = new Button(session.say("cut.keep"));
    keep.setId("cut-keep");
    keep.setMinWidth(Region.USE_PREF_SIZE);
    keep.setOnAction(e -> keep());
    reason.setOnAction(e -> keep());
    getChildren().setAll(reason, keep);
    setAlignment(Pos.CENTER_LEFT);
    setStyle("-fx-padding: 0 16 0 16;");
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  void ask(WorkEntry.Kind kind) {
    asked = Optional.of(kind);
    reason.clear();
    String words =
        session.say(kind == WorkEntry.Kind.PROBLEM ? "cut.reason.problem" : "cut.reason.accept");
    reason.setPromptText(words);
    reason.setAccessibleText(words);
    setVisible(true);
    reason.requestFocus();
  }

  /** Nothing is asked any more. */
  void close() {
    asked = Optional.empty();
    setVisible(false);
  }

  boolean isField(TextField field) {
    return field == reason;
  }

  private void keep() {
    if (asked.isEmpty()) {
      return;
    }
    if (reason.getText().isBlank()) {
      session.messages().refuse("cut-reason", session.say("cut.reason.missing"));
      return;
    }
    said.accept(asked.get(), reason.getText());
  }
}
