package finebore.desk.prove;

import finebore.bench.LiftReadings;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.TestFigures;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.quantity.Setting;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What was noticed at the lift looked at: noise, swirl, local speeds, the probe ball, wet flow. */
final class LiftPane extends ScrollPane {

  private final ProveState state;
  private final JobSession session;
  private final Label title = new Label();
  private final CheckBox noisy = new CheckBox();
  private final FieldGrid swirl;
  private final EntryField<String> remarks;
  private final FieldGrid places;

  LiftPane(ProveState state, JobSession session) {
    this.state = state;
    this.session = session;
    setId("lift-pane");
    setFitToWidth(true);
    title.getStyleClass().add("title");
    title.setId("lift-title");
    noisy.setId("lift-noisy");
    noisy.setText(session.say("lift.noisy") + " \u266a");
    noisy.setOnAction(e -> state.editLift(l -> l.withNoisy(noisy.isSelected())));
    swirl = new FieldGrid(session, 1);
    field(swirl, TestFigures.SWIRL, session.words().label(TestFigures.SWIRL));
    swirl.setPrefWidth(190);
    remarks =
        new EntryField<>(
                "field-lift-remarks",
                Grammar.text(),
                session::words,
                session.messages(),
                (gesture, text) -> state.editLift(l -> l.withRemarks(text.strip())))
            .named(session.say("lift.remarks"))
            .prompt(session.say("lift.remarks.prompt"));
    HBox first = new HBox(12, swirl, remarks);
    HBox.setHgrow(remarks, Priority.ALWAYS);
    places = new FieldGrid(session, PortPlace.values().length);
    for (PortPlace place : PortPlace.values()) {
      field(places, TestFigures.speed(place), session.say("lift.speed", "place", place));
    }
    for (PortPlace place : PortPlace.values()) {
      field(places, TestFigures.probeDrop(place), session.say("lift.ball", "place", place));
    }
    VBox all = new VBox(6, new HBox(16, title, noisy), first, places);
    all.setStyle("-fx-padding: 6 10 8 10;");
    setContent(all);
  }

  private void field(FieldGrid grid, Setting<LiftReadings> setting, String name) {
    grid.number(
        setting,
        name,
        () -> shown().map(s -> setting.of(s.atLift())).orElse(OptionalDouble.empty()),
        (gesture, value) -> state.editLift(l -> setting.on(l, value)));
  }

  private Optional<Shown> shown() {
    return Optional.ofNullable(state.shown().get());
  }

  void show(Shown shown) {
    setDisable(shown.test().isEmpty());
    LiftReadings lift = shown.atLift();
    String at = shown.units().lengthText(lift.liftMm());
    title.setText(
        shown
            .test()
            .map(
                t ->
                    session.say(
                        "lift.title.test", "lift", at, "number", shown.job().bench().numberOf(t)))
            .orElse(session.say("lift.title", "lift", at)));
    noisy.setSelected(lift.noisy());
    remarks.show(lift.remarks());
    swirl.show();
    places.show();
  }
}
