package finebore.desk.cut;

import finebore.card.Cautions;
import finebore.desk.session.JobSession;
import finebore.machine.RunStep;
import finebore.work.StepKind;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What can hurt or ruin at a step, until it was seen once for that kind of step. */
final class CautionBar extends HBox {

  private final JobSession session;
  private final Label caution = new Label();
  private final Set<StepKind> seen = EnumSet.noneOf(StepKind.class);
  private Optional<RunStep> shown = Optional.empty();

  CautionBar(JobSession session) {
    super(8);
    this.session = session;
    caution.setId("cut-caution");
    caution.setWrapText(true);
    caution.setMinHeight(Region.USE_PREF_SIZE);
    caution.getStyleClass().add("caution");
    HBox.setHgrow(caution, Priority.ALWAYS);
    caution.setMaxWidth(Double.MAX_VALUE);
    Button button = new Button(session.say("cut.caution.seen"));
    button.setId("cut-caution-seen");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setTooltip(new Tooltip(session.say("cut.caution.tip")));
    button.setOnAction(
        e -> {
          shown.ifPresent(s -> seen.add(s.kind()));
          show(shown);
        });
    getChildren().setAll(caution, button);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().add("findings-box");
    setStyle("-fx-padding: 6 12 6 12;");
    managedProperty().bind(visibleProperty());
  }

  /** Cautions of a step; gone where there is none. */
  void show(Optional<RunStep> step) {
    shown = step;
    boolean due = step.filter(s -> !seen.contains(s.kind())).isPresent();
    setVisible(due);
    if (due) {
      String own = step.orElseThrow().caution().map(c -> session.words().say(c) + " ").orElse("");
      caution.setText(
          own
              + String.join(
                  " ", Cautions.of(step.orElseThrow().kind()).stream().map(session::say).toList()));
    }
  }
}
