package finebore.desk.plan;

import finebore.desk.controls.Named;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.OldOverrule;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.practice.Finding;
import finebore.reports.GroupFindings;
import finebore.rules.PlanFindings;
import finebore.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Marks a plan ready to cut, which faults and missing readings at any of its seats prevent until
 * each is mended or accepted with a reason. Each is accepted on its own, at its seat.
 */
final class ReadyBox extends VBox {

  private final JobSession session;
  private final CheckBox ready = new CheckBox();
  private final Label why = new Label();
  private final ComboBox<Finding> which = new ComboBox<>();
  private final TextField reason = new TextField();
  private final Button overrule = new Button();
  private final Button everywhere = new Button();
  private final VBox record = new VBox(2);
  private final VBox asking;
  private List<Finding> blockers = List.of();

  ReadyBox(JobSession session) {
    super(3);
    this.session = session;
    ready.setId("ready");
    ready.setText(session.say("ready.mark"));
    ready.setTooltip(new Tooltip(session.say("ready.mark.tip")));
    ready.setOnAction(e -> session.editPlan("", p -> p.withReady(ready.isSelected())));
    why.setId("ready-why");
    wrapped(why);
    why.getStyleClass().addAll("small", "fault");
    which.setId("overrule-which");
    which.setAccessibleText(session.say("ready.which"));
    which.setMaxWidth(Double.MAX_VALUE);
    which.setConverter(new Named<>(finding -> at(finding) + spoken(finding)));
    reason.setId("overrule-reason");
    reason.setPromptText(session.say("ready.reason"));
    reason.setAccessibleText(session.say("ready.reason.name"));
    overrule.setId("overrule");
    overrule.setText(session.say("ready.accept"));
    overrule.setTooltip(new Tooltip(session.say("ready.accept.tip")));
    overrule.setOnAction(e -> accept(false));
    everywhere.setId("overrule-everywhere");
    everywhere.setText(session.say("ready.acceptAll"));
    everywhere.setTooltip(new Tooltip(session.say("ready.acceptAll.tip")));
    everywhere.setOnAction(e -> accept(true));
    reason.setOnAction(e -> accept(false));
    for (Button button : List.of(overrule, everywhere)) {
      button.setMinWidth(Region.USE_PREF_SIZE);
      button.disableProperty().bind(reason.textProperty().isEmpty());
    }
    HBox.setHgrow(reason, Priority.ALWAYS);
    HBox buttons = new HBox(4, overrule, everywhere);
    buttons.setAlignment(Pos.CENTER_LEFT);
    asking = new VBox(3, which, reason, buttons);
    getChildren().addAll(ready, why, asking, record);
  }

  private static void wrapped(Label label) {
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
  }

  private static String at(Finding finding) {
    return finding.seat().isEmpty() ? "" : finding.seat() + ": ";
  }

  private String spoken(Finding finding) {
    return session.words().say(finding.what());
  }

  void show(SeatView work) {
    GroupFindings group = session.group();
    blockers = work.showFound() ? List.of() : group.blockers();
    boolean stands = !blockers.isEmpty();
    Words words = work.words();
    ready.setDisable(work.showFound() || stands);
    ready.setSelected(work.plan().plan().ready());
    why.setVisible(stands);
    why.setManaged(stands);
    asking.setVisible(stands);
    asking.setManaged(stands);
    if (stands) {
      why.setText("\u2717 " + words.text("ready.blocked", "count", blockers.size()));
      chooseFrom(blockers);
    }
    Plan plan = work.plan().plan();
    Map<Overrule, Overrule.State> expired = group.expired();
    record.getChildren().clear();
    for (Overrule accepted : plan.overrules()) {
      Overrule.State state = expired.getOrDefault(accepted, Overrule.State.HOLDS);
      record(
          words.text(
              "overrule." + state.name().toLowerCase(Locale.ROOT),
              "seat",
              accepted.seat(),
              "fault",
              words.of(accepted.code(), "name"),
              "reason",
              accepted.reason()),
          state == Overrule.State.HOLDS || state == Overrule.State.GONE ? "caution" : "fault",
          accepted.seat() + "-" + accepted.code().key(),
          p -> p.withoutOverrule(accepted));
    }
    for (OldOverrule old : plan.toConfirm()) {
      record(
          words.text("overrule.toConfirm", "where", old.where(), "reason", old.reason()),
          "fault",
          "old",
          p -> p.withoutOld(old));
    }
  }

  /** Keeps the choice where that fault still stands. */
  private void chooseFrom(List<Finding> open) {
    Finding chosen = which.getValue();
    if (!which.getItems().equals(open)) {
      which.getItems().setAll(open);
    }
    which.setValue(
        open.stream().filter(f -> isSame(f, chosen)).findFirst().orElse(open.getFirst()));
  }

  private static boolean isSame(Finding one, Finding other) {
    return other != null
        && one.code() == other.code()
        && one.seat().equals(other.seat())
        && one.subject().equals(other.subject());
  }

  private void record(
      String words, String style, String id, java.util.function.UnaryOperator<Plan> without) {
    Label label = new Label(words);
    wrapped(label);
    label.getStyleClass().addAll("small", style);
    HBox.setHgrow(label, Priority.ALWAYS);
    label.setMaxWidth(Double.MAX_VALUE);
    Button back =
        OperationsPane.small(
            "\u2715",
            "take-back-" + id,
            session.say("ready.takeBack"),
            () -> session.editPlan("", without));
    record.getChildren().add(new HBox(4, label, back));
  }

  /** Accepts the chosen fault at its seat, or the same fault at every seat that has it. */
  private void accept(boolean atAll) {
    String because = reason.getText().strip();
    Finding chosen = which.getValue();
    if (because.isEmpty() || chosen == null) {
      return;
    }
    List<Finding> accepted =
        blockers.stream()
            .filter(
                f ->
                    atAll
                        ? f.code() == chosen.code() && f.subject().equals(chosen.subject())
                        : isSame(f, chosen))
            .toList();
    session.editPlan(
        "",
        plan -> {
          Plan next = plan;
          for (Finding finding : accepted) {
            next = next.withOverrule(PlanFindings.overrule(finding, plan, because));
          }
          return next;
        });
    reason.clear();
  }
}
