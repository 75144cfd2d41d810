package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Overrule;
import finebore.practice.Finding;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Marks a plan ready to cut, which faults prevent until each is mended or overruled with a reason.
 */
final class ReadyBox extends VBox {

  private final JobSession session;
  private final CheckBox ready = new CheckBox("Ready to cut");
  private final Label why = new Label();
  private final TextField reason = new TextField();
  private final Button overrule = new Button("Overrule");
  private final VBox record = new VBox(2);
  private final HBox asking;

  ReadyBox(JobSession session) {
    super(3);
    this.session = session;
    ready.setId("ready");
    ready.setTooltip(new Tooltip("Any change of the plan takes the mark off"));
    ready.setOnAction(e -> mark());
    why.setId("ready-why");
    why.setWrapText(true);
    why.setMinHeight(Region.USE_PREF_SIZE);
    why.getStyleClass().addAll("small", "fault");
    reason.setId("overrule-reason");
    reason.setPromptText("reason, kept on the record");
    reason.setAccessibleText("Reason for overruling");
    overrule.setId("overrule");
    overrule.setMinWidth(Region.USE_PREF_SIZE);
    overrule.disableProperty().bind(reason.textProperty().isEmpty());
    HBox.setHgrow(reason, Priority.ALWAYS);
    asking = new HBox(4, reason, overrule);
    asking.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(ready, why, asking, record);
  }

  /** A plan holds for all seats that follow it, so a fault of any of them stands in the way. */
  private void mark() {
    Optional<String> blocked = ready.isSelected() ? session.blocked() : Optional.empty();
    if (blocked.isPresent()) {
      ready.setSelected(false);
      why.setText("✗ " + blocked.get());
      why.setVisible(true);
      why.setManaged(true);
    } else {
      session.editPlan("", p -> p.withReady(ready.isSelected()));
    }
  }

  void show(SeatView work) {
    List<Finding> blockers = OperationsPane.blockers(work);
    boolean stands = !blockers.isEmpty();
    ready.setDisable(work.showFound() || stands);
    ready.setSelected(work.plan().plan().ready());
    why.setVisible(stands);
    why.setManaged(stands);
    asking.setVisible(stands);
    asking.setManaged(stands);
    if (stands) {
      Finding first = blockers.getFirst();
      why.setText(
          "✗ "
              + first.what()
              + (blockers.size() > 1 ? " And " + (blockers.size() - 1) + " more." : ""));
      overrule.setOnAction(e -> overrule(first.where()));
      reason.setOnAction(e -> overrule(first.where()));
    }
    record.getChildren().clear();
    for (Overrule overruled : work.plan().plan().overrules()) {
      Label words = new Label("Overruled, " + overruled.where() + ": " + overruled.reason());
      words.setWrapText(true);
      words.setMinHeight(Region.USE_PREF_SIZE);
      words.getStyleClass().addAll("small", "caution");
      HBox.setHgrow(words, Priority.ALWAYS);
      words.setMaxWidth(Double.MAX_VALUE);
      Button back =
          OperationsPane.small(
              "✕",
              "take-back-" + overruled.where().replace(' ', '-'),
              "Takes it back",
              () -> session.editPlan("", p -> p.withoutOverrule(overruled.where())));
      record.getChildren().add(new HBox(4, words, back));
    }
  }

  private void overrule(String where) {
    String words = reason.getText().strip();
    if (!words.isEmpty()) {
      session.editPlan("", p -> p.withOverrule(new Overrule(where, words)));
      reason.clear();
    }
  }
}
