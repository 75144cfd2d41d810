package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.bench.TestFigures;
import finebore.calibration.NextTest;
import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.job.Engine.SeatPlace;
import finebore.quantity.Setting;
import finebore.words.Notation;
import finebore.words.NotationException;
import finebore.words.UnitSystem;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** What was on the bench for the test looked at, all of it open to change. */
final class SetUpPane extends ScrollPane {

  private static final int COLUMNS = 5;

  private final ProveState state;
  private final JobSession session;
  private final FieldGrid fields;
  private final FieldGrid remarks;
  private final ChoiceBox<String> tested = new ChoiceBox<>();
  private final ChoiceBox<String> seat = new ChoiceBox<>();
  private final ChoiceBox<String> inlet = new ChoiceBox<>();
  private final ChoiceBox<String> after = new ChoiceBox<>();
  private final CheckBox valveIsTheChange = new CheckBox();
  private boolean showing;

  SetUpPane(ProveState state, JobSession session) {
    this.state = state;
    this.session = session;
    setId("set-up-pane");
    setFitToWidth(true);
    fields = new FieldGrid(session, COLUMNS);
    text("test-name", FlowTest::name, FlowTest::withName);
    fields.field(
        "test-date",
        session.say("setUp.test-date"),
        new OfDay(),
        () -> test().flatMap(FlowTest::date),
        (gesture, day) -> state.editTest(t -> t.withDate(day)),
        "2026-03-14");
    choice("tested-state", tested, this::withState);
    choice("tested-seat", seat, this::withSeat);
    choice("step-from", after, this::withAfter);
    text("changed", FlowTest::changed, (t, s) -> t.withStep(t.after(), s, t.valveIsTheChange()));
    text("bench", t -> t.setUp().bench(), (t, s) -> t.withSetUp(t.setUp().withBench(s)));
    number(TestFigures.SET_UP.get(0));
    text(
        "valve-name",
        t -> t.setUp().valve().name(),
        (t, s) -> {
          TestedValve valve = t.setUp().valve();
          return t.withSetUp(
              t.setUp().withValve(new TestedValve(valve.headDiameterMm(), s, valve.shape())));
        });
    number(TestFigures.SET_UP.get(1));
    choice("inlet", inlet, SetUpPane::withInlet);
    number(TestFigures.SET_UP.get(2));
    fields.field(
        "pipe",
        session.say("setUp.pipe"),
        new OfPipe(),
        () -> test().flatMap(t -> t.setUp().pipe()),
        (gesture, pipe) -> state.editTest(t -> t.withSetUp(t.setUp().withPipe(pipe))),
        session.say("setUp.pipe.prompt"));
    TestFigures.SET_UP.subList(3, TestFigures.SET_UP.size()).forEach(this::number);
    TestFigures.AIR.forEach(this::number);
    remarks = new FieldGrid(session, 1);
    remarks.field(
        "test-remarks",
        session.say("setUp.test-remarks"),
        Grammar.text(),
        () -> test().map(FlowTest::remarks).orElse(""),
        (gesture, text) -> state.editTest(t -> t.withRemarks(text.strip())),
        "");
    valveIsTheChange.setId("valve-is-the-change");
    valveIsTheChange.setText(session.say("setUp.valveIsTheChange"));
    valveIsTheChange.setTooltip(new Tooltip(session.say("setUp.valveIsTheChange.tip")));
    valveIsTheChange.setOnAction(
        e ->
            state.editTest(t -> t.withStep(t.after(), t.changed(), valveIsTheChange.isSelected())));
    VBox all = new VBox(6, fields, valveIsTheChange, remarks);
    all.setStyle("-fx-padding: 6 10 8 10;");
    setContent(all);
  }

  private Optional<FlowTest> test() {
    return Optional.ofNullable(state.shown().get()).flatMap(Shown::test);
  }

  private void text(
      String id, Function<FlowTest, String> shown, BiFunction<FlowTest, String, FlowTest> with) {
    fields.field(
        id,
        session.say("setUp." + id),
        Grammar.text(),
        () -> test().map(shown).orElse(""),
        (gesture, text) -> state.editTest(t -> with.apply(t, text.strip())),
        "");
  }

  private void number(Setting<FlowTest> setting) {
    fields.number(
        setting,
        session.words().label(setting),
        () -> test().map(setting::of).orElse(OptionalDouble.empty()),
        (gesture, value) -> state.editTest(t -> setting.on(t, value)));
  }

  /** A day, or none. */
  private static final class OfDay implements Grammar<Optional<LocalDate>> {
    @Override
    public Optional<LocalDate> read(String text, UnitSystem units) throws NotationException {
      try {
        return text.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(text));
      } catch (DateTimeParseException e) {
        throw Notation.unread(text, "notation.day");
      }
    }

    @Override
    public String written(Optional<LocalDate> value, UnitSystem units) {
      return value.map(LocalDate::toString).orElse("");
    }
  }

  /** An exhaust pipe as diameter by length, or none. */
  private static final class OfPipe implements Grammar<Optional<Pipe>> {
    @Override
    public Optional<Pipe> read(String text, UnitSystem units) throws NotationException {
      if (text.isEmpty()) {
        return Optional.empty();
      }
      String[] parts = text.split("[x\u00d7]");
      if (parts.length != 2) {
        throw Notation.unread(text, "notation.pipe");
      }
      return Optional.of(
          new Pipe(Notation.length(parts[0], units), Notation.length(parts[1], units)));
    }

    @Override
    public String written(Optional<Pipe> value, UnitSystem units) {
      return value
          .map(p -> units.lengthNumber(p.diameterMm()) + " x " + units.lengthNumber(p.lengthMm()))
          .orElse("");
    }

    @Override
    public String unit(UnitSystem units) {
      return units.length().symbol();
    }
  }

  private void choice(
      String id, ChoiceBox<String> box, BiFunction<FlowTest, Integer, FlowTest> change) {
    Label label = new Label(session.say("setUp." + id));
    label.getStyleClass().addAll("muted", "small");
    label.setLabelFor(box);
    box.setId("choice-" + id);
    box.setAccessibleText(session.say("setUp." + id));
    box.setMaxWidth(Double.MAX_VALUE);
    box.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing && is.intValue() >= 0) {
                state.editTest(t -> change.apply(t, is.intValue()));
              }
            });
    fields.add(new VBox(1, label, box), () -> {});
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
        ? NextTest.withPrediction(session.job(), test, state.shown().get().confidence())
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
        states().stream().map(t -> shown.words().say(t.message())).toList(),
        states().indexOf(setUp.state()));
    fill(
        seat,
        places().stream().map(SeatPlace::label).toList(),
        places().stream().map(SeatPlace::label).toList().indexOf(setUp.seat()));
    fill(
        inlet,
        List.of(Inlet.Kind.values()).stream().map(k -> shown.words().label(k)).toList(),
        setUp.inlet().kind().ordinal());
    List<String> steps = new ArrayList<>(List.of(shown.words().text("setUp.beginning")));
    others(test).forEach(t -> steps.add(shown.job().bench().numberOf(t) + " " + t.name()));
    fill(
        after,
        steps,
        1 + others(test).stream().map(FlowTest::id).toList().indexOf(test.after().orElse(-1)));
    showing = false;
    valveIsTheChange.setSelected(test.valveIsTheChange());
    fields.show();
    remarks.show();
  }

  private static void fill(ChoiceBox<String> box, List<String> words, int at) {
    if (!box.getItems().equals(words)) {
      box.getItems().setAll(words);
    }
    box.getSelectionModel().select(at);
  }
}
