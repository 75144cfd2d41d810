package finebore.desk.cut;

import finebore.desk.controls.MessageLine;
import finebore.desk.session.GaugeSession;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.desk.theme.Palette;
import finebore.job.Engine.SeatPlace;
import finebore.machine.Quote;
import finebore.machine.RunStep;
import finebore.machine.StepState;
import finebore.words.Words;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * For a person who stands at a machine: one step at a time in large figures, what to set, how far
 * to go, what to read back. Three keys do all, on the numeric pad too: Enter takes and goes on, /
 * goes back, * says that something is wrong.
 */
public final class CutStation extends BorderPane {

  private final JobSession session;
  private final WorkSession work;
  private final GaugeBar gauges;
  private final Label where = new Label();
  private final Label title = new Label();
  private final StepFigures figures;
  private final StepBeside beside;
  private final CautionBar cautions;
  private final ReasonRow reason;
  private final VBox readings = new VBox(8);
  private final Label advice = new Label();
  private final Label state = new Label();
  private final TextField who = new TextField();
  private final Button back = new Button();
  private final Button problem = new Button();
  private final Button done = new Button();
  private final Button again = new Button();
  private Optional<RunStep> shown = Optional.empty();
  private boolean visible;
  private boolean following;

  public CutStation(
      JobSession session,
      WorkSession work,
      GaugeSession gauges,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    this.session = session;
    this.work = work;
    this.gauges = new GaugeBar(session, gauges, this::target);
    setId("cut-station");
    figures = new StepFigures(session, work);
    beside = new StepBeside(session, work, palette, textScale);
    beside.prefWidthProperty().bind(widthProperty().multiply(0.38));
    cautions = new CautionBar(session);
    reason = new ReasonRow(session, this::say);
    setTop(toolbar());
    setCenter(card());
    setRight(beside);
    setBottom(cautions);
    addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    session.seat().addListener((o, was, is) -> seatChosen(is));
    session.work().addListener((o, was, is) -> refresh());
  }

  private MessageLine message() {
    MessageLine line = new MessageLine("cut-message", session.messages());
    line.setStyle("-fx-padding: 2 16 2 16;");
    return line;
  }

  private Node toolbar() {
    where.setId("cut-where");
    where.getStyleClass().add("cut-where");
    who.setId("cut-who");
    who.setPromptText(session.say("cut.who"));
    who.setAccessibleText(session.say("cut.who"));
    who.setTooltip(new Tooltip(session.say("cut.who.tip")));
    who.setPrefColumnCount(14);
    who.setText(work.who());
    who.textProperty().addListener((o, was, is) -> work.setWho(is));
    FlowPane bar = new FlowPane(14, 6, where, tools(new HBox(8, who, gauges)));
    bar.getChildren().forEach(n -> ((Region) n).setMinWidth(Region.USE_PREF_SIZE));
    bar.setAlignment(Pos.CENTER_LEFT);
    bar.setRowValignment(VPos.CENTER);
    bar.getStyleClass().add("top-bar");
    return bar;
  }

  private static HBox tools(HBox tools) {
    tools.setAlignment(Pos.CENTER_LEFT);
    return tools;
  }

  private Node card() {
    title.setId("cut-title");
    title.getStyleClass().add("cut-title");
    title.setWrapText(true);
    title.setMinHeight(Region.USE_PREF_SIZE);
    state.setId("cut-state");
    state.getStyleClass().add("cut-state");
    advice.setId("cut-advice");
    advice.setWrapText(true);
    advice.setMinHeight(Region.USE_PREF_SIZE);
    advice.getStyleClass().add("cut-advice");
    advice.managedProperty().bind(advice.textProperty().isNotEmpty());
    HBox which = new HBox(16, title, state);
    which.setAlignment(Pos.BASELINE_LEFT);
    which.setStyle("-fx-padding: 8 16 0 16;");
    state.setMinWidth(Region.USE_PREF_SIZE);
    VBox card =
        new VBox(10, figures.findings(), figures.large(), readings, advice, figures.small());
    card.setStyle("-fx-padding: 0 16 10 16;");
    ScrollPane scroll = new ScrollPane(card);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    VBox all = new VBox(6, which, message(), scroll, reason, buttons());
    all.setStyle("-fx-padding: 0 0 8 0;");
    return all;
  }

  private Node buttons() {
    large(back, "cut-back", "cut.back", this::goBack);
    large(problem, "cut-problem", "cut.problem", () -> reason.ask(WorkEntry.Kind.PROBLEM));
    large(again, "cut-again", "cut.again", () -> say(WorkEntry.Kind.REOPENED, ""));
    large(done, "cut-done", "cut.done", this::finish);
    again.managedProperty().bind(again.visibleProperty());
    HBox.setHgrow(done, Priority.ALWAYS);
    HBox row = new HBox(10, back, problem, again, done);
    row.setStyle("-fx-padding: 0 16 0 16;");
    return row;
  }

  private void large(Button button, String id, String key, Runnable action) {
    button.setId(id);
    button.setText(session.say(key));
    button.getStyleClass().add("cut-button");
    button.setMaxWidth(Double.MAX_VALUE);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
  }

  /** Begins to follow the job: nothing is built for a station nobody looks at. */
  public void setShown(boolean is) {
    visible = is;
    gauges.listen(is);
    refresh();
  }

  /** Puts the keyboard where the next reading is due. */
  public void focus() {
    Platform.runLater(this::focusNext);
  }

  public void restyle() {
    beside.restyle();
  }

  private void refresh() {
    if (!visible) {
      return;
    }
    Optional<RunStep> current = work.current();
    boolean other = !current.map(RunStep::id).equals(shown.map(RunStep::id));
    shown = current;
    if (other) {
      reason.close();
      current.ifPresent(this::follow);
    }
    show();
    if (other) {
      Platform.runLater(this::focusNext);
    }
  }

  private void follow(RunStep step) {
    if (!session.seat().get().equals(step.seat())) {
      following = true;
      session.select(step.seat());
      following = false;
    }
  }

  /** Another seat was chosen in the strip: its next open step. */
  private void seatChosen(SeatPlace seat) {
    boolean other = shown.filter(s -> !s.seat().equals(seat)).isPresent();
    if (visible && !following && other) {
      work.sheet().of(seat).stream()
          .filter(s -> !work.state(s).isPast())
          .findFirst()
          .ifPresent(work::pick);
    }
  }

  private void show() {
    int all = work.sheet().steps().size();
    Words words = session.words();
    boolean ready = session.job().planOf(session.seat().get()).ready();
    where.setText(
        shown
                .map(s -> words.text("cut.where", "number", work.number(s), "all", all))
                .orElse(words.text("cut.allDone", "all", all))
            + "   "
            + words.text("cut.progress", "past", work.past(), "left", left(words))
            + (ready ? "" : "   " + words.text("cut.notReady")));
    boolean open = shown.isPresent();
    for (Button button : List.of(problem, done)) {
      button.setDisable(!open);
    }
    if (shown.isEmpty()) {
      title.setText(words.text("cut.finished"));
      state.setText("");
      advice.setText(words.text("cut.finished.next"));
      figures.clear();
      readings.getChildren().clear();
      again.setVisible(false);
      beside.clear();
      cautions.show(shown);
      return;
    }
    showStep(shown.get(), words);
  }

  private String left(Words words) {
    double minutes =
        Quote.of(session.job(), work.sheet())
            .minutesLeft(session.job().shop(), work.sheet(), s -> work.state(s).isPast());
    return words.text(
        "cut.hours", "hours", (int) (minutes / 60), "minutes", (int) Math.round(minutes % 60));
  }

  private void showStep(RunStep step, Words words) {
    title.setText(StepWords.title(step, words));
    StepState now = work.state(step);
    state.setText(words.label(now) + lastSaid(step));
    state.getStyleClass().setAll("label", "cut-state", styleOf(now));
    again.setVisible(now != StepState.WAITING);
    done.setText(session.say(now == StepState.OUT_OF_LIMIT ? "cut.accept" : "cut.done"));
    figures.show(step);
    showReadings(step);
    advice.setText(
        step.kind() == StepKind.CONTACT ? StepWords.outward(work.outward(step), words) : "");
    beside.show(step);
    cautions.show(shown);
  }

  private static String styleOf(StepState state) {
    return switch (state) {
      case WAITING -> "muted";
      case DONE -> "good";
      case ACCEPTED -> "caution";
      case PROBLEM, OUT_OF_LIMIT -> "fault";
    };
  }

  private String lastSaid(RunStep step) {
    return session
        .job()
        .log()
        .lastOf(step.id())
        .map(WorkEntry::reason)
        .orElse("")
        .transform(r -> r.isBlank() ? "" : ": " + r);
  }

  private void showReadings(RunStep step) {
    boolean same =
        readings.getChildren().size() == step.targets().size()
            && readings.getChildren().stream().allMatch(n -> ((ReadingRow) n).isOf(step));
    if (!same) {
      readings.getChildren().clear();
      for (RunStep.Target target : step.targets()) {
        readings.getChildren().add(new ReadingRow(session, work, step, target, this::focusNext));
      }
    }
    rows().forEach(r -> r.show(step));
  }

  private List<ReadingRow> rows() {
    return readings.getChildren().stream().map(ReadingRow.class::cast).toList();
  }

  /** The keyboard goes to the first reading that is due, or to what ends the step. */
  private void focusNext() {
    if (!visible) {
      return;
    }
    Optional<ReadingRow> due = rows().stream().filter(ReadingRow::isDue).findFirst();
    if (due.isPresent()) {
      due.get().focus();
    } else {
      done.requestFocus();
    }
  }

  private void pressed(KeyEvent e) {
    if (e.isShortcutDown() || e.isAltDown() || typing()) {
      return;
    }
    boolean problemKey = e.getCode() == KeyCode.MULTIPLY || e.getText().equals("*");
    boolean backKey = e.getCode() == KeyCode.DIVIDE || e.getText().equals("/");
    if (problemKey && !problem.isDisabled()) {
      reason.ask(WorkEntry.Kind.PROBLEM);
      e.consume();
    } else if (backKey) {
      goBack();
      e.consume();
    } else if (e.getCode() == KeyCode.ENTER && done.isFocused()) {
      finish();
      e.consume();
    }
  }

  /** Whether a field holds what a hand has begun to write; then its keys are its own. */
  private boolean typing() {
    return getScene() != null
        && getScene().getFocusOwner() instanceof TextField field
        && (field == who || reason.isField(field) || !isUntouched(field));
  }

  private boolean isUntouched(TextField field) {
    return field.getText().isBlank()
        || rows().stream().anyMatch(r -> r.isField(field) && r.isUntouched());
  }

  private void goBack() {
    reason.close();
    session.messages().clear();
    if (work.back()) {
      refresh();
      focusNext();
    }
  }

  private void say(WorkEntry.Kind kind, String why) {
    reason.close();
    session.messages().clear();
    shown.ifPresent(s -> work.say(s, kind, why));
    refresh();
    focusNext();
  }

  /** Done; what is out of its limit is not, until someone takes it on with a reason. */
  private void finish() {
    if (shown.isEmpty()) {
      return;
    }
    Optional<ReadingRow> refused = rows().stream().filter(r -> !r.take()).findFirst();
    if (refused.isPresent()) {
      refused.get().focus();
      return;
    }
    if (work.state(shown.get()) == StepState.OUT_OF_LIMIT) {
      reason.ask(WorkEntry.Kind.ACCEPTED);
      return;
    }
    say(WorkEntry.Kind.DONE, "");
    if (shown.isPresent() && work.state(shown.get()) == StepState.OUT_OF_LIMIT) {
      reason.ask(WorkEntry.Kind.ACCEPTED);
    }
  }

  private Optional<ReadingRow> target() {
    return rows().stream()
        .filter(ReadingRow::isFocusedWithin)
        .findFirst()
        .or(() -> rows().stream().filter(ReadingRow::isDue).findFirst());
  }
}
