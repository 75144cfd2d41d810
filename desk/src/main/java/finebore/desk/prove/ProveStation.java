package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.FlowArea;
import finebore.calibration.NextTest;
import finebore.desk.controls.MessageLine;
import finebore.desk.controls.Named;
import finebore.desk.controls.Tabs;
import finebore.desk.controls.ToolRow;
import finebore.desk.prove.CurveValues.Mode;
import finebore.desk.session.BenchSession;
import finebore.desk.session.JobSession;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.session.SealSession;
import finebore.desk.session.WorkSession;
import finebore.desk.theme.Palette;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.SafeFile;
import finebore.formats.TableText;
import finebore.formats.TestExport;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Flow tests: entered, taken from the bench, held against each other and against what was said. */
public final class ProveStation extends BorderPane {

  /** Where files come from and go to. */
  public interface Chooser {
    Optional<Path> table();

    Optional<Path> saveTable();

    Optional<Path> picture();
  }

  /** Place of the bench among the views. */
  private static final int BENCH_VIEW = 3;

  private static final int TABLE_VIEW = 1;
  private static final int SEAL_VIEW = 0;

  private final JobSession session;
  private final ProveState state;
  private final BenchSession bench;
  private final SealPane sealPane;
  private final Chooser picker;
  private final TestSheet sheet;
  private final CurveChart chart;
  private final ComparePane compare;
  private final SetUpPane setUp;
  private final LiftPane lift;
  private final PicturesPane pictures;
  private final BenchPane benchPane;
  private final LadderView rungs;
  private final ScrollPane ladder;
  private final BorderPane tests = new BorderPane();
  private final VBox below = new VBox();
  private final ComboBox<FlowTest> test = new ComboBox<>();
  private final ComboBox<FlowTest> reference = new ComboBox<>();
  private final ChoiceBox<String> area = new ChoiceBox<>();
  private final ToggleGroup views = new ToggleGroup();
  private final ToggleGroup modes = new ToggleGroup();
  private final ToggleGroup tabs = new ToggleGroup();
  private final MenuButton more = new MenuButton();
  private final Button fresh = new Button();
  private Optional<Node> importing = Optional.empty();
  private boolean showing;

  public ProveStation(
      JobSession session,
      BenchSession bench,
      WorkSession work,
      SealSession seal,
      Chooser picker,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    this.session = session;
    this.bench = bench;
    this.picker = picker;
    this.state = new ProveState(session);
    setId("prove-station");
    sheet = new TestSheet(state, session, textScale);
    chart = new CurveChart(state, palette, textScale, session.say("chart.name"));
    setUp = new SetUpPane(state, session);
    lift = new LiftPane(state, session);
    pictures = new PicturesPane(state, session, picker::picture);
    sealPane = new SealPane(session, work, seal, palette);
    benchPane = new BenchPane(state, session, bench, palette, textScale);
    rungs = new LadderView(state, palette, textScale, session.say("ladder.name"));
    compare = new ComparePane(palette, textScale, session.say("compareStrip.name"));
    ladder = new ScrollPane(rungs);
    ladder.setFitToWidth(true);
    ladder.setId("ladder-pane");
    MessageLine told = new MessageLine("prove-message", session.messages());
    tests.setLeft(sheet);
    sheet.getStyleClass().add("column");
    sheet.prefWidthProperty().bind(widthProperty().multiply(0.49));
    BorderPane curves = new BorderPane(chart);
    curves.setTop(modeBar());
    tests.setCenter(curves);
    VBox notes = new VBox(tabBar(), below);
    VBox.setVgrow(below, Priority.ALWAYS);
    notes.prefHeightProperty().bind(heightProperty().multiply(0.4));
    notes.getStyleClass().add("findings-box");
    tests.setBottom(notes);
    setTop(told.beside(toolbar()));
    setCenter(tests);
    state.shown().addListener((o, was, is) -> show(is));
    Tabs.keepOne(modes, mode -> chartMode());
    Tabs.keepOne(views, view -> view());
    Tabs.keepOne(tabs, tab -> tab());
    chartMode();
    tab();
  }

  private ToggleButton toggle(String key, String id, ToggleGroup group) {
    ToggleButton button = new ToggleButton(session.say(key));
    button.setId(id);
    button.setToggleGroup(group);
    button.setTooltip(new Tooltip(session.say(key + ".tip")));
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  private ToolRow toolbar() {
    fresh.setText(session.say("prove.new"));
    fresh.setId("new-test");
    fresh.setTooltip(new Tooltip(session.say("prove.new.tip")));
    fresh.setOnAction(e -> newTest());
    chooser(test, "prove-test", session.say("prove.test"), state::select);
    chooser(reference, "prove-reference", session.say("prove.reference"), state::against);
    HBox which = new HBox(6, test, new Label(session.say("prove.against")), reference);
    which.setAlignment(Pos.CENTER_LEFT);
    HBox view =
        new HBox(
            toggle("prove.seal", "view-seal", views),
            toggle("prove.table", "view-table", views),
            toggle("prove.ladder", "view-ladder", views),
            toggle("prove.bench", "view-bench", views));
    views.getToggles().get(TABLE_VIEW).setSelected(true);
    more.setText(session.say("prove.tests"));
    more.setId("tests-menu");
    more.getItems()
        .setAll(
            item(withKey("prove.import", "I"), this::importTable),
            item(withKey("prove.export", "E"), this::exportTests),
            item(session.say("prove.paste"), this::pasteTests),
            item(session.say("prove.delete"), this::deleteTest));
    view.setAlignment(Pos.CENTER_LEFT);
    return new ToolRow(fresh, which, view, more);
  }

  private String withKey(String key, String letter) {
    return session.say(key) + "   (" + session.say("keys.withCtrl", "key", letter) + ")";
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }

  private void chooser(ComboBox<FlowTest> box, String id, String words, Consumer<Integer> chosen) {
    box.setId(id);
    box.setAccessibleText(words);
    box.setPrefWidth(200);
    box.setConverter(new Named<>(this::name));
    box.setOnAction(
        e -> {
          if (!showing && box.getValue() != null) {
            chosen.accept(box.getValue().id());
          }
        });
  }

  private String name(FlowTest test) {
    Shown shown = state.shown().get();
    boolean known = shown != null && shown.job().bench().test(test.id()).isPresent();
    return known ? ProveWords.name(test, shown.job()) : "";
  }

  private HBox modeBar() {
    HBox bar = new HBox();
    for (Mode mode : Mode.values()) {
      bar.getChildren()
          .add(toggle(mode.code(), "mode-" + mode.name().toLowerCase(Locale.ROOT), modes));
    }
    modes.getToggles().getFirst().setSelected(true);
    for (FlowArea each : FlowArea.values()) {
      area.getItems().add(session.words().label(each));
    }
    area.getSelectionModel().selectFirst();
    area.setId("chart-area");
    area.setAccessibleText(session.say("prove.area"));
    area.getSelectionModel().selectedIndexProperty().addListener((o, was, is) -> chartMode());
    Region gap = new Region();
    gap.setMinWidth(12);
    Label on = new Label(session.say("prove.area.on") + " ");
    on.visibleProperty().bind(area.visibleProperty());
    bar.getChildren().addAll(gap, on, area);
    bar.setAlignment(Pos.CENTER_LEFT);
    bar.setStyle("-fx-padding: 4 8 4 8;");
    return bar;
  }

  private HBox tabBar() {
    HBox bar =
        new HBox(
            2,
            toggle("prove.comparison", "tab-comparison", tabs),
            toggle("prove.setUp", "tab-set-up", tabs),
            toggle("prove.lift", "tab-lift", tabs),
            toggle("prove.pictures", "tab-pictures", tabs));
    bar.getStyleClass().add("tabs");
    bar.setStyle("-fx-padding: 4 8 2 8;");
    tabs.getToggles().getFirst().setSelected(true);
    return bar;
  }

  private static int index(ToggleGroup group) {
    return group.getToggles().indexOf(group.getSelectedToggle());
  }

  private void chartMode() {
    Mode mode = Mode.values()[index(modes)];
    area.setVisible(mode == Mode.COEFFICIENT || mode == Mode.SPEED);
    chart.show(mode, FlowArea.values()[area.getSelectionModel().getSelectedIndex()]);
  }

  private void tab() {
    Node shown = List.of(compare, setUp, lift, pictures).get(index(tabs));
    below.getChildren().setAll(shown);
    VBox.setVgrow(shown, Priority.ALWAYS);
    showPages();
  }

  private void view() {
    setCenter(
        importing.orElseGet(() -> List.of(sealPane, tests, ladder, benchPane).get(index(views))));
    showPages();
  }

  /** Begins to follow the job: nothing is built for a station nobody looks at. */
  public void setShown(boolean is) {
    if (!is) {
      sealPane.leave();
    }
    state.setVisible(is);
  }

  /** Puts the keyboard where the work begins. */
  public void focus() {
    // What has never been laid out is not in the window yet, and cannot take the keyboard.
    applyCss();
    layout();
    if (state.shown().get().test().isEmpty()) {
      fresh.requestFocus();
    }
    sheet.focusFirst();
  }

  public void restyle() {
    sheet.restyle();
    chart.requestLayout();
    compare.restyle();
    benchPane.restyle();
    rungs.fit();
  }

  /** What can be shown by name: a view, a kind of chart, or a page below. */
  public static final List<String> VIEWS =
      List.of(
          "prove", "seal", "ladder", "bench", "cd", "gain", "speed", "set-up", "lift", "pictures");

  /** Shows a view, a kind of chart or a page below, by its name in {@link #VIEWS}. */
  public void show(String view) {
    views.selectToggle(
        views
            .getToggles()
            .get(
                view.equals("seal")
                    ? SEAL_VIEW
                    : TABLE_VIEW + Math.max(0, List.of("prove", "ladder", "bench").indexOf(view))));
    select(modes, List.of("flow", "cd", "gain", "speed").indexOf(view));
    select(tabs, List.of("comparison", "set-up", "lift", "pictures").indexOf(view));
  }

  private static void select(ToggleGroup group, int at) {
    if (at >= 0) {
      group.selectToggle(group.getToggles().get(at));
    }
  }

  public ProveState state() {
    return state;
  }

  private void tell(String words) {
    if (words.isEmpty()) {
      session.messages().clear();
    } else {
      session.messages().note("prove-station", words);
    }
  }

  private void refuse(String words) {
    session.messages().refuse("prove-station", words);
  }

  private void show(Shown shown) {
    showing = true;
    fill(test, shown.tests(), shown.test());
    fill(reference, shown.tests(), shown.reference());
    showing = false;
    showPages(shown);
  }

  /** Brings the page and the view that can be seen up to date; the others wait until they are. */
  private void showPages(Shown shown) {
    switch (index(tabs)) {
      case 0 -> compare.show(shown);
      case 1 -> setUp.show(shown);
      case 2 -> lift.show(shown);
      default -> pictures.show(shown);
    }
    if (index(views) == BENCH_VIEW) {
      benchPane.show(shown);
    } else if (index(views) == SEAL_VIEW) {
      sealPane.show();
    }
  }

  private void showPages() {
    Optional.ofNullable(state.shown().get()).ifPresent(this::showPages);
  }

  private static void fill(
      ComboBox<FlowTest> box, List<FlowTest> tests, Optional<FlowTest> chosen) {
    if (!box.getItems().equals(tests)) {
      box.getItems().setAll(tests);
    }
    box.setValue(chosen.orElse(null));
  }

  /** Begins a test of the seat looked at, set up like the last. */
  public void newTest() {
    Shown shown = state.shown().get();
    boolean found =
        shown.tests().stream().noneMatch(t -> t.setUp().state().kind() == TestedState.Kind.FOUND);
    TestedState state = found ? TestedState.AS_FOUND : TestedState.FINISHED;
    FlowTest next =
        NextTest.of(
                session.job(),
                session.seat().get(),
                state,
                session.seat().get().label() + " " + session.words().say(state.message()),
                shown.confidence())
            .withDate(Optional.of(LocalDate.now()));
    bench.begins(next);
    this.state.edit(book -> book.with(next));
    this.state.select(next.id());
    tabs.selectToggle(tabs.getToggles().get(1));
    tell("");
    // What is read next is typed, or pasted, at once.
    focus();
  }

  private void deleteTest() {
    state.shown().get().test().ifPresent(t -> state.edit(book -> book.without(t.id())));
  }

  public void importTable() {
    picker.table().ifPresent(this::importTable);
  }

  /** Takes up a table; what its columns hold is looked at before anything goes in. */
  public void importTable(Path file) {
    try {
      takeUp(CsvTable.of(TableText.read(file)), file.getFileName().toString());
    } catch (FileProblem e) {
      refuse(
          session.say(
              "file.within",
              "file",
              file.getFileName().toString(),
              "problem",
              session.words().say(e)));
    }
  }

  private void pasteTests() {
    String text = javafx.scene.input.Clipboard.getSystemClipboard().getString();
    try {
      takeUp(CsvTable.of(text == null ? "" : text), session.say("import.clipboard"));
    } catch (FileProblem e) {
      refuse(session.words().say(e));
    }
  }

  private void takeUp(CsvTable table, String name) {
    ImportPane pane =
        new ImportPane(
            session,
            name,
            table,
            id -> {
              state.select(id);
              tell(session.say("import.taken", "file", name));
              tabs.selectToggle(tabs.getToggles().get(1));
            },
            () -> {
              importing = Optional.empty();
              view();
            });
    importing = Optional.of(pane);
    tell("");
    view();
  }

  public void exportTests() {
    picker
        .saveTable()
        .ifPresent(
            file -> {
              try {
                SafeFile.write(
                    file, TestExport.csv(session.job()).getBytes(StandardCharsets.UTF_8), false);
                tell(session.say("cli.wrote", "file", file.toString()));
              } catch (FileProblem e) {
                refuse(session.words().say(e));
              }
            });
  }

  /** Lets the simulated vacuum tester run so many times as fast. */
  public void hurrySeal(double rate) {
    sealPane.hurry(rate);
  }

  public BenchSession bench() {
    return bench;
  }
}
