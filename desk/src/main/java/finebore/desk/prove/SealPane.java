package finebore.desk.prove;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.DoubtWords;
import finebore.desk.session.JobSession;
import finebore.desk.session.SealSession;
import finebore.desk.session.WorkSession;
import finebore.desk.theme.Palette;
import finebore.instruments.SimulatedVacuum;
import finebore.instruments.VacuumRun;
import finebore.job.Engine.SeatPlace;
import finebore.machine.PortSeal;
import finebore.machine.ReadingDoubt;
import finebore.planning.SeatOutcome;
import finebore.seal.GuideState;
import finebore.seal.SealVerdict;
import finebore.seal.VacuumReading;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.ReadBack;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.Node;
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
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** Proving the seal: the ports as a row, dry and oiled, the needle, the verdict and its cause. */
final class SealPane extends BorderPane {

  private final JobSession session;
  private final WorkSession work;
  private final SealSession seal;
  private final FlowPane ports = new FlowPane(8, 8);
  private final VacuumDial dial;
  private final Label title = new Label();
  private final Label verdict = new Label();
  private final Label cause = new Label();
  private final Label ring = new Label();
  private final Button dry = new Button();
  private final Button oiled = new Button();
  private final Button stop = new Button();
  private final MenuButton faults = new MenuButton();
  private final ChoiceBox<String> tester = new ChoiceBox<>();
  private final Map<ReadBack, EntryField<OptionalDouble>> fields = new LinkedHashMap<>();
  private final Timeline looking;
  private String said = "";

  /** What was asked about: entered again, it is meant. */
  private record Asked(SeatPlace seat, ReadBack what, double value) {}

  private Optional<Asked> questioned = Optional.empty();

  SealPane(JobSession session, WorkSession work, SealSession seal, Supplier<Palette> palette) {
    this.session = session;
    this.work = work;
    this.seal = seal;
    setId("seal-pane");
    dial = new VacuumDial(palette, session::words, session.say("seal.dial"));
    looking = new Timeline(new KeyFrame(Duration.seconds(VacuumRun.LOOK_SECONDS), e -> look()));
    looking.setCycleCount(Timeline.INDEFINITE);
    ports.setId("seal-ports");
    ports.setStyle("-fx-padding: 10;");
    ScrollPane row = new ScrollPane(ports);
    row.setFitToWidth(true);
    row.setMaxHeight(300);
    setTop(row);
    setCenter(test());
    setRight(byHand());
    session
        .work()
        .addListener(
            (o, was, is) -> {
              if (getScene() != null) {
                show();
              }
            });
  }

  private Node test() {
    title.setId("seal-title");
    title.getStyleClass().add("title");
    verdict.setId("seal-verdict");
    verdict.getStyleClass().add("seal-verdict");
    verdict.setWrapText(true);
    verdict.setMinHeight(Region.USE_PREF_SIZE);
    cause.setId("seal-cause");
    cause.setWrapText(true);
    cause.setMinHeight(Region.USE_PREF_SIZE);
    button(dry, "seal-dry", "seal.dry", () -> begin(GuideState.DRY));
    button(oiled, "seal-oiled", "seal.oiled", () -> begin(GuideState.OILED));
    button(stop, "seal-stop", "ui.stop", this::stop);
    tester.setId("seal-tester");
    tester.setAccessibleText(session.say("seal.tester"));
    tester.getItems().setAll(session.say("seal.simulated"));
    tester.getSelectionModel().selectFirst();
    tester.setOnShowing(e -> findPorts());
    tester
        .getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) ->
                seal.setPort(is.intValue() <= 0 ? "" : tester.getItems().get(is.intValue())));
    faults.setId("seal-faults");
    faults.setText(session.say("cut.faults"));
    for (SimulatedVacuum.Fault fault : SimulatedVacuum.Fault.values()) {
      MenuItem item = new MenuItem(session.words().label(fault));
      item.setId("seal-fault-" + fault.name().toLowerCase(Locale.ROOT));
      item.setOnAction(e -> seal.fail(fault));
      faults.getItems().add(item);
    }
    FlowPane buttons = new FlowPane(8, 6, dry, oiled, stop, tester, faults);
    buttons.setAlignment(Pos.CENTER_LEFT);
    VBox.setVgrow(dial, Priority.ALWAYS);
    VBox box = new VBox(8, title, buttons, dial, verdict, cause);
    box.setStyle("-fx-padding: 10 14 10 14;");
    // In a low window it scrolls; nothing may lie over the tools above it.
    ScrollPane scroll = new ScrollPane(box);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    return scroll;
  }

  private void button(Button button, String id, String key, Runnable action) {
    button.setId(id);
    button.setText(session.say(key));
    button.setTooltip(new Tooltip(session.say(key + ".tip")));
    button.getStyleClass().add("seal-button");
    button.setOnAction(e -> action.run());
  }

  private void findPorts() {
    String chosen = tester.getValue();
    tester.getItems().setAll(session.say("seal.simulated"));
    tester.getItems().addAll(seal.ports());
    tester
        .getSelectionModel()
        .select(tester.getItems().contains(chosen) ? chosen : tester.getItems().getFirst());
  }

  /** What is read without a tester: dial and lapped ring. */
  private Node byHand() {
    GridPane grid = new GridPane();
    grid.setHgap(10);
    grid.setVgap(6);
    int row = 0;
    grid.add(heading("seal.byHand"), 0, row++, 2, 1);
    grid.add(field(ReadBack.SEAT_RUNOUT), 0, row++, 2, 1);
    grid.add(heading("seal.ring"), 0, row++, 2, 1);
    for (int k = 0; k < ReadBack.RING_WIDTHS.size(); k++) {
      grid.add(field(ReadBack.RING_WIDTHS.get(k)), 0, row);
      grid.add(field(ReadBack.RING_PLACES.get(k)), 1, row++);
    }
    ring.setId("seal-ring");
    ring.setWrapText(true);
    ring.setMinHeight(Region.USE_PREF_SIZE);
    grid.add(ring, 0, row++, 2, 1);
    grid.add(heading("seal.written"), 0, row++, 2, 1);
    for (ReadBack what :
        List.of(
            ReadBack.VACUUM_DRY,
            ReadBack.FALL_DRY,
            ReadBack.VACUUM_OILED,
            ReadBack.FALL_OILED,
            ReadBack.AMBIENT)) {
      boolean first = what == ReadBack.VACUUM_DRY || what == ReadBack.VACUUM_OILED;
      grid.add(field(what), first || what == ReadBack.AMBIENT ? 0 : 1, row);
      row += first ? 0 : 1;
    }
    grid.setStyle("-fx-padding: 8 12 8 12;");
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().addAll("column", "right-column");
    scroll.prefWidthProperty().bind(widthProperty().multiply(0.3));
    return scroll;
  }

  private Label heading(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().add("heading");
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  private Node field(ReadBack what) {
    EntryField<OptionalDouble> field =
        EntryField.of(
            "seal-" + what.key(),
            Grammar.optional(what.quantity()),
            session::words,
            session.messages(),
            (gesture, value) -> value.ifPresent(v -> keep(what, v)));
    field.named(session.words().label(what));
    fields.put(what, field);
    return field;
  }

  private void keep(ReadBack what, double value) {
    Asked now = new Asked(here(), what, value);
    if (!Optional.of(now).equals(questioned)) {
      Optional<String> doubt =
          work.sheet().outcome(here()).flatMap(seat -> doubt(seat, what, value));
      if (doubt.isPresent()) {
        questioned = Optional.of(now);
        throw RuleViolation.of("questioned").with("why", Term.quote(doubt.get()));
      }
    }
    questioned = Optional.empty();
    work.read(here(), here().label() + ":seal", what, value, "", "");
  }

  private Optional<String> doubt(SeatOutcome seat, ReadBack what, double value) {
    double expected = ReadingDoubt.expectedOfSeal(session.job(), seat, what).orElse(value);
    return ReadingDoubt.ofSeal(session.job(), seat, what, value)
        .map(d -> DoubtWords.why(d, what, value, expected, session.words()));
  }

  private SeatPlace here() {
    return session.seat().get();
  }

  private void begin(GuideState guide) {
    said = "";
    seal.begin(here(), guide);
    looking.play();
    show();
  }

  private void stop() {
    looking.stop();
    seal.stop();
    show();
  }

  private void look() {
    boolean goesOn = seal.look();
    if (!goesOn) {
      looking.stop();
      said = seal.trouble().map(session.words()::say).orElse("");
    }
    if (goesOn) {
      dial();
    } else {
      show();
    }
  }

  /** Looks so many times as often, at a tester whose clock is its looks. */
  void hurry(double rate) {
    looking.setRate(rate);
  }

  /** Stops what runs when nobody looks any more. */
  void leave() {
    if (seal.isRunning()) {
      stop();
    }
  }

  private void dial() {
    String under =
        seal.state()
            .map(s -> session.say("seal.state." + s.name().toLowerCase(Locale.ROOT)))
            .orElse("");
    dial.show(seal.needlePa(), session.job().shop().sealLimits().leastHeldPa(), under);
  }

  /** Shows everything anew. */
  void show() {
    Words words = session.words();
    List<PortSeal> seals = work.seals();
    ports.getChildren().setAll(seals.stream().map(this::port).toList());
    Optional<PortSeal> own = seals.stream().filter(s -> s.seat().equals(here())).findFirst();
    title.setText(session.say("seal.title", "seat", here().label(), "port", here().port()));
    boolean runs = seal.isRunning();
    dry.setDisable(runs);
    oiled.setDisable(runs);
    stop.setDisable(!runs);
    own.ifPresent(s -> showPort(s, words));
    if (!runs) {
      double last = own.flatMap(s -> s.oiled().or(s::dry)).map(VacuumReading::heldPa).orElse(0.0);
      dial.show(
          last,
          session.job().shop().sealLimits().leastHeldPa(),
          last > 0 ? session.say("seal.lastHeld") : "");
    } else {
      dial();
    }
    fields.forEach((what, field) -> field.show(session.job().log().value(here().label(), what)));
  }

  private void showPort(PortSeal port, Words words) {
    verdict.setText(said.isEmpty() ? words.label(port.verdict()) : said);
    verdict
        .getStyleClass()
        .setAll("label", "seal-verdict", said.isEmpty() ? style(port.verdict()) : "fault");
    String runout =
        port.runoutAllowed()
            ? ""
            : " "
                + words.text(
                    "seal.runout",
                    "value",
                    words.figure(Dimension.FINE_LENGTH, port.runoutMm().orElse(0)),
                    "most",
                    words.figure(
                        Dimension.FINE_LENGTH, session.job().shop().sealLimits().mostRunoutMm()));
    cause.setText(words.of(port.verdict(), "cause") + runout);
    ring.setText(words.label(port.ringVerdict()));
    ring.getStyleClass()
        .setAll(
            "label",
            switch (port.ringVerdict()) {
              case NOT_READ, EVEN_SOMEWHERE -> "muted";
              case EVEN -> "good";
              default -> "fault";
            });
  }

  private static String style(SealVerdict verdict) {
    return switch (verdict) {
      case NOT_TESTED -> "muted";
      case SEALS -> "good";
      case GUIDE, OIL_AND_REPEAT, REPEAT_BOTH, WEAKER_THAN_OTHERS -> "caution";
      case SEAT, BOTH, SEAT_AT_LEAST -> "fault";
    };
  }

  private Node port(PortSeal port) {
    Words words = session.words();
    Label name = new Label(port.seat().label());
    name.getStyleClass().addAll("title", "figure");
    Label sign = new Label(sign(port) + " " + words.of(port.verdict(), "short"));
    sign.getStyleClass().addAll("small", style(port.verdict()));
    VBox figures =
        new VBox(
            line(words.text("seal.shortDry"), port.dry()),
            line(words.text("seal.shortOiled"), port.oiled()));
    Button card = new Button("", new VBox(2, new HBox(8, name), figures, sign));
    card.setId("seal-port-" + port.seat().label());
    card.getStyleClass().setAll("button", "seal-port");
    if (port.seat().equals(here())) {
      card.getStyleClass().add("chosen");
    }
    card.setAccessibleText(port.seat().label() + ", " + words.label(port.verdict()));
    card.setOnAction(
        e -> {
          said = "";
          session.select(port.seat());
        });
    return card;
  }

  private static String sign(PortSeal port) {
    return switch (port.verdict()) {
      case NOT_TESTED -> "○";
      case SEALS -> "✓";
      case GUIDE, OIL_AND_REPEAT, REPEAT_BOTH, WEAKER_THAN_OTHERS -> "!";
      case SEAT, BOTH, SEAT_AT_LEAST -> "✗";
    };
  }

  private Label line(String name, Optional<VacuumReading> reading) {
    Label label =
        new Label(
            name
                + " "
                + reading
                    .map(r -> session.words().units().barometerNumber(r.heldPa()))
                    .orElse("-"));
    label.getStyleClass().addAll("figure");
    return label;
  }
}
