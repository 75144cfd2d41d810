package finebore.desk.prove;

import finebore.bench.Air;
import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.desk.controls.EntryField;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.job.Engine.SeatPlace;
import finebore.seat.Cut;
import finebore.study.NextTest;
import finebore.units.Notation;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;

/** What was on the bench for the test looked at, all of it open to change. */
final class SetUpPane extends ScrollPane {

  private static final double FIELD_PX = 132;

  private final ProveState state;
  private final JobSession session;
  private final BoundFields<FlowTest> fields;
  private final ChoiceBox<String> tested = new ChoiceBox<>();
  private final ChoiceBox<String> seat = new ChoiceBox<>();
  private final ChoiceBox<String> inlet = new ChoiceBox<>();
  private final ChoiceBox<String> after = new ChoiceBox<>();
  private final CheckBox valveIsTheChange = new CheckBox("the valve is what was tried");
  private boolean showing;

  SetUpPane(ProveState state, JobSession session) {
    this.state = state;
    this.session = session;
    fields = new BoundFields<>(session::units, state::editTest);
    setId("set-up-pane");
    setFitToWidth(true);
    TilePane tiles = new TilePane(8, 5);
    tiles.setPrefColumns(4);
    tiles.setPrefTileWidth(FIELD_PX);
    tiles.setTileAlignment(javafx.geometry.Pos.TOP_LEFT);
    tiles
        .getChildren()
        .addAll(
            fields.text("Test name", FlowTest::name, FlowTest::withName),
            fields
                .text("Date", t -> t.date().map(LocalDate::toString).orElse(""), SetUpPane::dated)
                .prompt("2026-03-14"),
            choice("Tested state", tested, this::withState),
            choice("Tested seat", seat, this::withSeat),
            choice("A step from", after, this::withAfter),
            fields.text(
                "What was changed",
                FlowTest::changed,
                (t, s) -> t.withStep(t.after(), s, t.valveIsTheChange())),
            fields.text(
                "Bench", t -> t.setUp().bench(), (t, s) -> t.withSetUp(t.setUp().withBench(s))),
            fields.number(
                "Tested valve",
                u -> u.length().symbol(),
                (t, u) -> u.lengthNumber(t.setUp().valve().headDiameterMm()),
                Notation::length,
                (t, v) ->
                    t.withSetUp(
                        t.setUp()
                            .withValve(
                                new TestedValve(
                                    v.orElseThrow(() -> needed("diameter of the tested valve")),
                                    t.setUp().valve().name())))),
            fields.text(
                "Which valve",
                t -> t.setUp().valve().name(),
                (t, s) ->
                    t.withSetUp(
                        t.setUp()
                            .withValve(new TestedValve(t.setUp().valve().headDiameterMm(), s)))),
            fields.number(
                "Bore fixture",
                u -> u.length().symbol(),
                (t, u) -> BoundFields.optional(t.setUp().boreMm(), u::lengthNumber),
                Notation::length,
                (t, v) -> t.withSetUp(t.setUp().withBore(v))),
            choice("Inlet", inlet, SetUpPane::withInlet),
            fields.number(
                "Inlet radius",
                u -> u.length().symbol(),
                (t, u) -> BoundFields.optional(t.setUp().inlet().radiusMm(), u::lengthNumber),
                Notation::length,
                (t, v) -> t.withSetUp(t.setUp().withInlet(new Inlet(t.setUp().inlet().kind(), v)))),
            fields.text("Exhaust pipe", this::pipe, this::withPipe).prompt("none, or 36 x 250"),
            fields.number(
                "Depression",
                u -> u.pressure().symbol(),
                (t, u) -> BoundFields.optional(t.setUp().depressionPa(), u::pressureNumber),
                Notation::pressure,
                (t, v) -> t.withSetUp(t.setUp().withDepression(v))),
            fields.number(
                "Leakage",
                u -> u.flow().symbol(),
                (t, u) ->
                    BoundFields.optional(
                        t.setUp().leakageM3s(), m3 -> UnitSystem.fixed(u.flow().fromBase(m3), 2)),
                Notation::flow,
                (t, v) -> t.withSetUp(t.setUp().withLeakage(v))),
            fields.number(
                "Air temperature",
                UnitSystem::temperatureUnit,
                (t, u) -> t.air().map(a -> u.temperatureNumber(a.temperatureC())).orElse(""),
                Notation::temperature,
                (t, v) -> air(t, v, (a, c) -> new Air(c, a.pressurePa(), a.humidity()))),
            fields.number(
                "Room pressure",
                u -> u.barometer().symbol(),
                (t, u) -> t.air().map(a -> u.barometerNumber(a.pressurePa())).orElse(""),
                Notation::barometer,
                (t, v) -> air(t, v, (a, p) -> new Air(a.temperatureC(), p, a.humidity()))),
            fields.number(
                "Humidity",
                u -> "%",
                (t, u) -> t.air().map(a -> Cut.angleText(100 * a.humidity())).orElse(""),
                (s, u) -> Notation.number(s) / (s.endsWith("%") ? 1 : 100),
                (t, v) -> air(t, v, (a, h) -> new Air(a.temperatureC(), a.pressurePa(), h))));
    EntryField remarks =
        fields.text("Remarks of the operator", FlowTest::remarks, FlowTest::withRemarks);
    valveIsTheChange.setId("valve-is-the-change");
    valveIsTheChange.setOnAction(
        e ->
            state.editTest(t -> t.withStep(t.after(), t.changed(), valveIsTheChange.isSelected())));
    VBox all = new VBox(6, tiles, valveIsTheChange, remarks);
    all.setStyle("-fx-padding: 6 10 8 10;");
    setContent(all);
  }

  private static IllegalArgumentException needed(String what) {
    return new IllegalArgumentException(what + " is needed");
  }

  private VBox choice(
      String name, ChoiceBox<String> box, BiFunction<FlowTest, Integer, FlowTest> change) {
    Label label = new Label(name);
    label.getStyleClass().addAll("muted", "small");
    label.setLabelFor(box);
    box.setId("choice-" + name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
    box.setAccessibleText(name);
    box.setMaxWidth(Double.MAX_VALUE);
    box.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing && is.intValue() >= 0) {
                state.editTest(t -> change.apply(t, is.intValue()));
              }
            });
    return new VBox(1, label, box);
  }

  private static FlowTest dated(FlowTest test, String typed) {
    try {
      return test.withDate(
          typed.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(typed)));
    } catch (DateTimeParseException e) {
      throw new IllegalArgumentException(
          "cannot read \"" + typed + "\"; expected a day such as 2026-03-14", e);
    }
  }

  private static FlowTest air(
      FlowTest test, OptionalDouble value, BiFunction<Air, Double, Air> change) {
    if (value.isEmpty()) {
      return test.withAir(Optional.empty());
    }
    Air before = test.air().orElse(new Air(20, 101_325, 0.4));
    return test.withAir(Optional.of(change.apply(before, value.getAsDouble())));
  }

  private String pipe(FlowTest test) {
    UnitSystem units = session.units();
    return test.setUp()
        .pipe()
        .map(p -> units.lengthNumber(p.diameterMm()) + " x " + units.lengthNumber(p.lengthMm()))
        .orElse("");
  }

  private FlowTest withPipe(FlowTest test, String typed) {
    if (typed.isEmpty() || typed.equalsIgnoreCase("none")) {
      return test.withSetUp(test.setUp().withPipe(Optional.empty()));
    }
    String[] parts = typed.split("[x×]");
    try {
      if (parts.length == 2) {
        return test.withSetUp(
            test.setUp()
                .withPipe(
                    Optional.of(
                        new Pipe(
                            Notation.length(parts[0], session.units()),
                            Notation.length(parts[1], session.units())))));
      }
    } catch (NotationException e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
    throw new IllegalArgumentException(
        "cannot read \"" + typed + "\"; expected diameter x length, or none");
  }

  /** The states in the order of the choice: found, after each operation, finished, blended. */
  private static List<TestedState> states(int operations) {
    List<TestedState> states = new ArrayList<>(List.of(TestedState.AS_FOUND));
    for (int k = 1; k < operations; k++) {
      states.add(TestedState.after(k));
    }
    states.add(TestedState.FINISHED);
    states.add(new TestedState(TestedState.Kind.BLENDED, 0));
    return states;
  }

  private List<TestedState> states() {
    int operations = session.job().planOf(session.seat().get()).operations().size();
    int used = state.shown().get().test().map(t -> t.setUp().state().operations() + 1).orElse(0);
    return states(Math.max(operations, used));
  }

  private FlowTest withState(FlowTest test, int at) {
    return predictedAnew(test.withSetUp(test.setUp().withState(states().get(at))));
  }

  private FlowTest withSeat(FlowTest test, int at) {
    SeatPlace place = places().get(at);
    return predictedAnew(
        test.withSetUp(test.setUp().withSeat(place.label(), place.port().direction())));
  }

  private List<SeatPlace> places() {
    return session.job().engine().seats().stream()
        .filter(s -> s.port() == session.seat().get().port())
        .toList();
  }

  private FlowTest withAfter(FlowTest test, int at) {
    List<FlowTest> others = others(test);
    return test.withStep(
        at == 0 ? Optional.empty() : Optional.of(others.get(at - 1).id()),
        test.changed(),
        test.valveIsTheChange());
  }

  private List<FlowTest> others(FlowTest test) {
    return state.shown().get().tests().stream().filter(t -> t.id() != test.id()).toList();
  }

  private static FlowTest withInlet(FlowTest test, int at) {
    Inlet before = test.setUp().inlet();
    Inlet.Kind kind = Inlet.Kind.values()[at];
    return test.withSetUp(
        test.setUp()
            .withInlet(
                new Inlet(
                    kind, kind == Inlet.Kind.RADIUS ? before.radiusMm() : OptionalDouble.empty())));
  }

  /** What is to be tested has changed: nothing read yet, so the prediction may follow. */
  private FlowTest predictedAnew(FlowTest test) {
    return test.lifts().isEmpty()
        ? NextTest.withPrediction(session.job(), test, state.shown().get().outlook())
        : test;
  }

  void show(Shown shown) {
    setDisable(shown.test().isEmpty());
    if (shown.test().isEmpty()) {
      return;
    }
    FlowTest test = shown.test().get();
    SetUp setUp = test.setUp();
    showing = true;
    fill(
        tested,
        states().stream().map(TestedState::words).toList(),
        states().indexOf(setUp.state()));
    fill(
        seat,
        places().stream().map(SeatPlace::label).toList(),
        places().stream().map(SeatPlace::label).toList().indexOf(setUp.seat()));
    fill(
        inlet,
        List.of(Inlet.Kind.values()).stream().map(Inlet.Kind::words).toList(),
        setUp.inlet().kind().ordinal());
    List<String> steps = new ArrayList<>(List.of("nothing: a beginning"));
    others(test).forEach(t -> steps.add(shown.job().bench().numberOf(t) + " " + t.name()));
    fill(
        after,
        steps,
        1 + others(test).stream().map(FlowTest::id).toList().indexOf(test.after().orElse(-1)));
    showing = false;
    valveIsTheChange.setSelected(test.valveIsTheChange());
    fields.show(test);
  }

  private static void fill(ChoiceBox<String> box, List<String> words, int at) {
    if (!box.getItems().equals(words)) {
      box.getItems().setAll(words);
    }
    box.getSelectionModel().select(at);
  }
}
