package finebore.desk.prove;

import finebore.bench.LiftReadings;
import finebore.bench.LiftReadings.Place;
import finebore.desk.controls.EntryField;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.units.Notation;
import finebore.units.UnitSystem;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What was noticed at the lift looked at: noise, swirl, local speeds, the probe ball, wet flow. */
final class LiftPane extends ScrollPane {

  private final ProveState state;
  private final Label title = new Label();
  private final CheckBox noisy = new CheckBox("loud or rough here ♪");
  private final BoundFields<LiftReadings> fields;

  LiftPane(ProveState state, JobSession session) {
    this.state = state;
    fields = new BoundFields<>(session::units, state::editLift);
    setId("lift-pane");
    setFitToWidth(true);
    title.getStyleClass().add("title");
    title.setId("lift-title");
    noisy.setId("lift-noisy");
    noisy.setOnAction(e -> state.editLift(l -> l.withNoisy(noisy.isSelected())));
    EntryField swirl =
        fields.number(
            "Swirl",
            u -> "rpm, - the other way",
            (l, u) -> BoundFields.optional(l.swirlRpm(), v -> UnitSystem.fixed(v, 0)),
            (s, u) -> Notation.number(s),
            LiftReadings::withSwirl);
    EntryField remarks =
        fields
            .text("Seen here", LiftReadings::remarks, LiftReadings::withRemarks)
            .prompt("wet patterns, whistles");
    HBox first = new HBox(12, swirl, remarks);
    HBox.setHgrow(remarks, Priority.ALWAYS);
    GridPane places = new GridPane();
    places.setHgap(8);
    places.setVgap(3);
    for (Place place : Place.values()) {
      int column = place.ordinal();
      EntryField speed =
          fields.number(
              "Speed " + place.words(),
              u -> u.speed().symbol(),
              (l, u) -> at(l.speedsMs().get(place), u::speedNumber),
              Notation::speed,
              (l, v) -> l.withSpeed(place, v));
      EntryField drop =
          fields.number(
              "Ball " + place.words(),
              u -> "-" + u.flow().symbol(),
              (l, u) ->
                  at(l.probeDropsM3s().get(place), d -> UnitSystem.fixed(u.flow().fromBase(d), 1)),
              Notation::flow,
              (l, v) -> l.withProbeDrop(place, v));
      places.add(speed, column, 0);
      places.add(drop, column, 1);
    }
    VBox all = new VBox(6, new HBox(16, title, noisy), first, places);
    all.setStyle("-fx-padding: 6 10 8 10;");
    setContent(all);
  }

  private static String at(Double value, Function<Double, String> words) {
    return Optional.ofNullable(value).map(words).orElse("");
  }

  void show(Shown shown) {
    setDisable(shown.test().isEmpty());
    UnitSystem units = shown.job().units();
    LiftReadings lift = shown.atLift();
    title.setText(
        "At "
            + units.lengthText(lift.liftMm())
            + shown.test().map(t -> ", test " + shown.job().bench().numberOf(t)).orElse(""));
    noisy.setSelected(lift.noisy());
    fields.show(lift);
  }
}
