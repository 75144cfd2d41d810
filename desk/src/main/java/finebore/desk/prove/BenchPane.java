package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.desk.session.BenchSession;
import finebore.desk.session.BenchSession.Phase;
import finebore.desk.session.BenchSession.Status;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.theme.Palette;
import finebore.instruments.RunJournal;
import finebore.instruments.Sample;
import finebore.instruments.SerialLink;
import finebore.instruments.SimulatedBench.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A test taken from the bench: what must be the same, the meter, and what has been read. */
final class BenchPane extends BorderPane {

  private final ProveState state;
  private final JobSession session;
  private final BenchSession bench;
  private final Checklist checklist;
  private final Needle needle;
  private final String simulatedName;
  private final ChoiceBox<String> which = new ChoiceBox<>();
  private final ChoiceBox<Integer> repeats = new ChoiceBox<>();
  private final Button start = new Button();
  private final Button resume = new Button();
  private final Button stop = new Button();
  private final Button plates = new Button();
  private final MenuButton faults = new MenuButton();
  private final Label title = new Label();
  private final Label says = new Label();
  private final Label ranges = new Label();
  private final Label recheck = new Label();
  private final GridPane taken = new GridPane();

  BenchPane(
      ProveState state,
      JobSession session,
      BenchSession bench,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    this.state = state;
    this.session = session;
    this.bench = bench;
    simulatedName = session.say("bench.simulated");
    this.checklist = new Checklist(state, this::enable);
    setId("bench-pane");
    stop.setText(session.say("ui.stop"));
    plates.setText(session.say("bench.plates"));
    faults.setText(session.say("bench.faults"));
    title.getStyleClass().add("title");
    title.setWrapText(true);
    which.getItems().setAll(simulatedName);
    which.getSelectionModel().selectFirst();
    which.setId("bench-which");
    which.setAccessibleText(session.say("bench.which"));
    which.setOnShowing(e -> findPorts());
    which
        .getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              bench.setPort(is == null || is.equals(simulatedName) ? "" : is);
              enable();
            });
    repeats.getItems().setAll(1, 2, 3);
    repeats.getSelectionModel().select(Integer.valueOf(2));
    repeats.setId("bench-repeats");
    repeats.setAccessibleText(session.say("bench.repeats.name"));
    button(start, "bench-start", () -> with(t -> bench.run(t, repeats.getValue())));
    button(resume, "bench-resume", () -> with(bench::resume));
    button(stop, "bench-stop", bench::stop);
    button(plates, "bench-plates", () -> with(bench::checkPlates));
    start.setDefaultButton(false);
    faults.setId("bench-faults");
    for (Fault fault : Fault.values()) {
      MenuItem item = new MenuItem(session.words().label(fault));
      item.setOnAction(e -> bench.fault(fault));
      faults.getItems().add(item);
    }
    says.setId("bench-says");
    says.setWrapText(true);
    says.setMinHeight(Region.USE_PREF_SIZE);
    says.getStyleClass().add("note");
    ranges.getStyleClass().addAll("small", "muted");
    ranges.setWrapText(true);
    ranges.setMinHeight(Region.USE_PREF_SIZE);
    recheck.setId("bench-recheck");
    recheck.getStyleClass().add("caution");
    recheck.setWrapText(true);
    recheck.setMinHeight(Region.USE_PREF_SIZE);
    recheck.managedProperty().bind(recheck.textProperty().isNotEmpty());
    start.setTooltip(new Tooltip(session.say("bench.start.tip")));
    GridPane settings = new GridPane();
    settings.setHgap(8);
    settings.setVgap(4);
    settings.addRow(0, small(session.say("bench.label")), which);
    settings.addRow(1, small(session.say("bench.repeats")), repeats);
    which.setMinWidth(0);
    repeats.setMinWidth(0);
    FlowPane buttons = new FlowPane(8, 6, start, resume, stop, plates, faults);
    Label care = new Label(session.say("bench.care"));
    care.getStyleClass().addAll("small", "muted");
    care.setWrapText(true);
    care.setMinHeight(Region.USE_PREF_SIZE);
    VBox left = new VBox(10, title, checklist, settings, buttons, says, recheck, ranges, care);
    left.getStyleClass().add("column");
    ScrollPane scroll = new ScrollPane(left);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.prefWidthProperty().bind(widthProperty().multiply(0.34));
    setLeft(scroll);
    needle = new Needle(bench, session, palette, textScale);
    setCenter(needle);
    taken.setHgap(14);
    taken.setVgap(3);
    Label heading = new Label(session.say("bench.read"));
    heading.getStyleClass().add("heading");
    ScrollPane readings = new ScrollPane(taken);
    VBox.setVgrow(readings, Priority.ALWAYS);
    VBox right = new VBox(6, heading, readings);
    right.getStyleClass().addAll("column", "right-column");
    right.prefWidthProperty().bind(widthProperty().multiply(0.2));
    setRight(right);
    bench
        .status()
        .addListener(
            (o, was, is) -> {
              status(is);
              if (!lift(is).equals(lift(was)) && state.shown().get() != null) {
                readings(state.shown().get());
              }
            });
    status(bench.status().get());
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().addAll("small", "muted");
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  private static void button(Button button, String id, Runnable action) {
    button.setId(id);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
  }

  private void with(java.util.function.Consumer<FlowTest> action) {
    state.shown().get().test().ifPresent(action);
  }

  private void findPorts() {
    String chosen = which.getValue();
    List<String> names = new ArrayList<>(List.of(simulatedName));
    names.addAll(SerialLink.ports());
    which.getItems().setAll(names);
    which.getSelectionModel().select(names.contains(chosen) ? chosen : simulatedName);
  }

  private static Optional<Double> lift(Status status) {
    return status.phase() == Phase.RUNNING ? status.sample().map(Sample::liftMm) : Optional.empty();
  }

  private void status(Status now) {
    says.setText(now.words().isEmpty() ? session.say("bench.idle") : now.words());
    finebore.desk.controls.Styles.state(
        says, now.trouble() ? "fault" : now.phase() == Phase.IDLE ? "note" : "good");
    enable();
  }

  private void enable() {
    boolean idle = bench.status().get().phase() == Phase.IDLE;
    Shown shown = state.shown().get();
    boolean test = shown != null && shown.test().isPresent();
    Optional<RunJournal.Contents> kept =
        test && idle ? bench.unfinished(shown.test().get()) : Optional.empty();
    boolean hasReadings = test && !shown.test().get().lifts().isEmpty();
    start.setDisable(!idle || !test || !checklist.isAnswered());
    start.setText(session.say(hasReadings ? "bench.startAgain" : "bench.start"));
    resume.setVisible(kept.isPresent());
    resume.setManaged(kept.isPresent());
    kept.ifPresent(k -> resume.setText(session.say("bench.resume", "count", k.taken().size())));
    stop.setDisable(idle);
    plates.setDisable(!idle || !test);
    which.setDisable(!idle);
    repeats.setDisable(!idle);
    boolean simulated = simulatedName.equals(which.getValue());
    faults.setVisible(simulated);
    faults.setManaged(simulated);
    faults.setDisable(idle);
  }

  void show(Shown shown) {
    checklist.show(shown);
    title.setText(
        shown
            .test()
            .map(
                t ->
                    shown.job().bench().numberOf(t)
                        + "  "
                        + t.name()
                        + (t.changed().isBlank() ? "" : ": " + t.changed()))
            .orElse(session.say("bench.noTestYet")));
    ranges.setText(
        shown.job().bench().ranges().isEmpty()
            ? session.say("bench.noPlates")
            : session.say(
                "bench.ranges",
                "ranges",
                shown.job().bench().ranges().stream()
                    .map(
                        r ->
                            session.say(
                                "bench.range",
                                "name",
                                r.name(),
                                "flow",
                                shown.units().flowText(r.fullFlowM3s(Optional.empty()).orElse(0)),
                                "day",
                                r.checks().getLast().date().toString()))
                    .collect(java.util.stream.Collectors.joining("; "))));
    rechecks(shown);
    readings(shown);
    enable();
  }

  /** Ranges that ask for their check plates before this test, the first in words. */
  private void rechecks(Shown shown) {
    List<String> ask =
        shown.test().stream()
            .flatMap(
                t ->
                    shown.job().bench().ranges().stream()
                        .flatMap(
                            r -> r.recheck(t.date(), t.air()).map(shown.words()::say).stream()))
            .toList();
    recheck.setText(
        ask.isEmpty()
            ? ""
            : "! "
                + session.say("bench.rechecks", "first", ask.getFirst(), "more", ask.size() - 1));
  }

  void restyle() {
    needle.requestLayout();
  }

  private void readings(Shown shown) {
    taken.getChildren().clear();
    if (shown.test().isEmpty()) {
      return;
    }
    FlowTest test = shown.test().get();
    double now = lift(bench.status().get()).orElse(-1.0);
    int row = 0;
    for (double lift : shown.liftsMm()) {
      Label height = new Label(shown.units().shortLength(lift));
      height.getStyleClass().add("figure");
      String flow = TestSheet.comesTo(test, lift, shown);
      String words = flow.isEmpty() ? Math.abs(now - lift) < 0.01 ? "..." : "–" : flow;
      Label read = new Label(words);
      read.getStyleClass().add("figure");
      taken.addRow(row++, height, read);
    }
  }
}
