package finebore.desk.prove;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReadingNotation;
import finebore.bench.SuspectReading;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.flow.Bands.Band;
import finebore.seat.Cut;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Tests as columns, lifts as rows; beside each reading what it is against the reference. */
final class TestSheet extends VBox implements TestCell.Sheet {

  private static final double COLUMN_PX = 141;
  private static final double MARK_PX = 66;
  private static final double LIFT_PX = 64;

  private final ProveState state;
  private final Consumer<String> told;
  private final Supplier<Double> textScale;
  private final GridPane grid = new GridPane();
  private final ScrollPane scroll = new ScrollPane(grid);
  private final Button earlier = new Button("◀");
  private final Button later = new Button("▶");
  private final Label which = new Label();
  private final Map<String, TestCell> cells = new HashMap<>();
  private final Map<String, Label> marks = new HashMap<>();
  private final List<Label> heads = new ArrayList<>();
  private final List<Label> liftLabels = new ArrayList<>();
  private List<Integer> columns = List.of();
  private List<Double> rows = List.of();
  private int first;
  private int lastLookedAt = -1;
  private int lastRoom;

  TestSheet(ProveState state, Consumer<String> told, Supplier<Double> textScale) {
    super(4);
    this.textScale = textScale;
    this.state = state;
    this.told = told;
    setId("test-sheet");
    grid.getStyleClass().add("reading-grid");
    grid.setHgap(3);
    grid.setVgap(2);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    earlier.setId("tests-earlier");
    later.setId("tests-later");
    earlier.setAccessibleText("Earlier tests");
    later.setAccessibleText("Later tests");
    earlier.getStyleClass().add("icon-button");
    later.getStyleClass().add("icon-button");
    earlier.setOnAction(e -> turn(-1));
    later.setOnAction(e -> turn(1));
    which.getStyleClass().addAll("small", "muted");
    HBox.setHgrow(which, Priority.ALWAYS);
    which.setMaxWidth(Double.MAX_VALUE);
    HBox pages = new HBox(6, which, earlier, later);
    pages.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren().addAll(pages, scroll);
    widthProperty().addListener((o, was, is) -> again());
    state.shown().addListener((o, was, is) -> show(is));
  }

  private void again() {
    if (state.shown().get() != null) {
      show(state.shown().get());
    }
  }

  /** Builds everything anew, for another size of text. */
  void restyle() {
    columns = List.of();
    again();
  }

  private void turn(int by) {
    first += by;
    again();
  }

  private int room() {
    double scale = textScale.get();
    return Math.max(1, (int) ((getWidth() - LIFT_PX * scale - 16) / (COLUMN_PX * scale)));
  }

  private void show(Shown shown) {
    List<FlowTest> visible = window(shown);
    Runnable putBack = () -> {};
    List<Integer> ids = visible.stream().map(FlowTest::id).toList();
    if (!ids.equals(columns) || !shown.liftsMm().equals(rows)) {
      columns = ids;
      rows = shown.liftsMm();
      putBack = build(shown, visible);
    }
    which.setText(
        shown.tests().isEmpty()
            ? "No flow tests of the " + shown.port().word() + " yet."
            : "Flow brought to "
                + shown.job().units().pressureText(shown.job().test().depressionPa())
                + ", "
                + shown.job().units().flow().symbol()
                + "; a cell opens to what was read.");
    boolean pages = shown.tests().size() > visible.size();
    earlier.setVisible(pages);
    later.setVisible(pages);
    earlier.setDisable(first <= 0);
    later.setDisable(first + visible.size() >= shown.tests().size());
    for (int k = 0; k < visible.size(); k++) {
      head(heads.get(k), visible.get(k), shown);
    }
    for (int k = 0; k < rows.size(); k++) {
      boolean begins = k == 0 || band(rows.get(k - 1), shown) != band(rows.get(k), shown);
      lift(liftLabels.get(k), rows.get(k), begins, shown);
    }
    for (FlowTest test : visible) {
      column(test, shown);
    }
    putBack.run();
  }

  /** As many tests as there is room for, the one looked at among them. */
  private List<FlowTest> window(Shown shown) {
    int room = Math.min(room(), shown.tests().size());
    int most = shown.tests().size() - room;
    first = Math.clamp(first, 0, Math.max(0, most));
    int at = shown.test().map(shown.tests()::indexOf).orElse(0);
    if ((at != lastLookedAt || room != lastRoom) && room > 0) {
      lastLookedAt = at;
      lastRoom = room;
      first = Math.clamp(first, Math.max(0, at - room + 1), Math.min(at, most));
    }
    return shown.tests().subList(first, first + room);
  }

  /**
   * Builds the cells anew.
   *
   * @return puts the keyboard and what was half typed back, once the cells show something
   */
  private Runnable build(Shown shown, List<FlowTest> visible) {
    Map<String, String> halfTyped = new HashMap<>();
    Optional<String> focused =
        Optional.ofNullable(getScene())
            .map(Scene::getFocusOwner)
            .map(Node::getId)
            .filter(cells::containsKey);
    cells.values().forEach(c -> c.halfTyped().ifPresent(t -> halfTyped.put(c.getId(), t)));
    fill(shown, visible);
    return () -> {
      focused.map(cells::get).ifPresent(TestCell::requestFocus);
      halfTyped.forEach(
          (id, text) -> Optional.ofNullable(cells.get(id)).ifPresent(c -> c.setText(text)));
    };
  }

  private void fill(Shown shown, List<FlowTest> visible) {
    grid.getChildren().clear();
    cells.clear();
    marks.clear();
    heads.clear();
    liftLabels.clear();
    for (int k = 0; k < visible.size(); k++) {
      FlowTest test = visible.get(k);
      Label head = new Label();
      head.setId("test-head-" + test.id());
      head.setMaxWidth(COLUMN_PX * textScale.get() - 6);
      head.setTooltip(new Tooltip());
      head.setOnMouseClicked(e -> state.select(test.id()));
      heads.add(head);
      grid.add(head, 1 + 2 * k, 0, 2, 1);
    }
    for (int row = 0; row < rows.size(); row++) {
      double lift = rows.get(row);
      Label label = new Label();
      label.getStyleClass().add("figure");
      label.setMinWidth(LIFT_PX * textScale.get());
      label.setAlignment(javafx.geometry.Pos.CENTER_RIGHT);
      GridPane.setHalignment(label, HPos.RIGHT);
      liftLabels.add(label);
      grid.add(label, 0, row + 1);
      for (int k = 0; k < visible.size(); k++) {
        TestCell cell = new TestCell(this, visible.get(k), lift);
        Label mark = new Label();
        mark.setId("mark-" + visible.get(k).id() + "-" + Math.round(lift * 1000));
        mark.getStyleClass().addAll("figure", "small", "within");
        mark.setPrefWidth(MARK_PX * textScale.get());
        cells.put(cell.getId(), cell);
        marks.put(mark.getId(), mark);
        grid.add(cell, 1 + 2 * k, row + 1);
        grid.add(mark, 2 + 2 * k, row + 1);
      }
    }
  }

  private static void head(Label head, FlowTest test, Shown shown) {
    boolean looked = shown.test().filter(t -> t.id() == test.id()).isPresent();
    boolean against = shown.reference().filter(t -> t.id() == test.id()).isPresent();
    int number = shown.job().bench().numberOf(test);
    head.setText((against ? "vs " : "") + number + " " + test.name());
    head.getTooltip()
        .setText(
            number
                + " "
                + test.name()
                + "\n"
                + test.setUp().seat()
                + ", "
                + test.setUp().state().words()
                + test.date().map(d -> ", " + d).orElse("")
                + (test.changed().isBlank() ? "" : "\n" + test.changed()));
    head.setStyle(
        looked
            ? "-fx-text-fill: -fb-blue; -fx-font-weight: 600;"
            : against ? "-fx-font-weight: 600;" : "");
  }

  private static Band band(double lift, Shown shown) {
    return shown.job().test().bands().of(lift, shown.headDiameterMm());
  }

  /** A lift, the first of each band with the band's name. */
  private static void lift(Label label, double lift, boolean first, Shown shown) {
    Band band = band(lift, shown);
    UnitSystem units = shown.job().units();
    String number = units == UnitSystem.METRIC ? Cut.angleText(lift) : units.shortLength(lift);
    label.setText(first ? band.name().toLowerCase(Locale.ROOT) + "  " + number : number);
    boolean past = lift > shown.job().group(shown.port()).cam().maxLiftMm() + 1e-6;
    label.setStyle(past ? "-fx-text-fill: -fb-muted;" : "");
  }

  private void column(FlowTest test, Shown shown) {
    boolean looked = shown.test().filter(t -> t.id() == test.id()).isPresent();
    Optional<Comparison> comparison =
        looked
            ? shown.comparison()
            : shown
                .reference()
                .filter(r -> r.id() != test.id())
                .map(r -> shown.book().compare(r, test));
    for (double lift : rows) {
      Optional<LiftReadings> noted = test.at(lift);
      Optional<String> doubt =
          looked
              ? shown.doubts().stream()
                  .filter(d -> Math.abs(d.liftMm() - lift) < FlowTest.SAME_LIFT_MM)
                  .map((SuspectReading d) -> shown.book().words(d))
                  .findFirst()
              : Optional.empty();
      cells.get(TestCell.idOf(test.id(), lift)).show(noted, comesTo(test, lift, shown), doubt);
      mark(
          marks.get("mark-" + test.id() + "-" + Math.round(lift * 1000)),
          noted,
          comparison.flatMap(c -> c.at(lift)),
          shown.job().units());
    }
  }

  /** Flow at the standard depression, with how often it was read. */
  static String comesTo(FlowTest test, double lift, Shown shown) {
    return shown
        .book()
        .reduced(test)
        .at(lift)
        .map(
            l ->
                shown.job().units().flowNumber(l.meanM3s())
                    + (l.flowsM3s().size() > 1 ? " ×" + l.flowsM3s().size() : ""))
        .orElse(
            test.at(lift)
                .filter(n -> !n.readings().isEmpty())
                .map(n -> ReadingNotation.text(n.readings(), shown.job().units()))
                .orElse(""));
  }

  private static void mark(
      Label label, Optional<LiftReadings> noted, Optional<Comparison.Line> line, UnitSystem units) {
    StringBuilder words = new StringBuilder();
    line.ifPresent(
        l ->
            words
                .append(UnitSystem.signed(units.flow().fromBase(l.changeM3s()), 1))
                .append(' ')
                .append(ProveWords.sign(l.verdict())));
    noted.filter(LiftReadings::noisy).ifPresent(n -> words.append(" ♪"));
    noted
        .filter(n -> n.swirlRpm().isPresent())
        .ifPresent(n -> words.append(n.swirlRpm().getAsDouble() < 0 ? " ↺" : " ↻"));
    label.setText(words.toString());
    finebore.desk.controls.Styles.state(
        label, line.map(l -> ProveWords.style(l.verdict())).orElse("within"));
  }

  @Override
  public UnitSystem units() {
    return state.shown().get().job().units();
  }

  @Override
  public void take(TestCell cell, List<BenchReading> readings) {
    state.edit(book -> with(book, cell.test(), cell.liftMm(), readings));
  }

  private static BenchBook with(
      BenchBook book, int test, double lift, List<BenchReading> readings) {
    return book.test(test)
        .map(t -> book.with(t.with(t.noted(lift).withReadings(readings))))
        .orElse(book);
  }

  @Override
  public void tell(String words) {
    told.accept(words);
  }

  @Override
  public void lookAt(TestCell cell) {
    if (state.shown().get().test().filter(t -> t.id() == cell.test()).isEmpty()) {
      state.select(cell.test());
    }
    state.lookAt(cell.liftMm());
  }

  @Override
  public void go(TestCell from, int downBy, int rightBy) {
    int row = rows.indexOf(from.liftMm()) + downBy;
    int column = columns.indexOf(from.test()) + rightBy;
    if (row >= 0 && row < rows.size() && column >= 0 && column < columns.size()) {
      focus(columns.get(column), rows.get(row));
    }
  }

  private void focus(int test, double lift) {
    TestCell cell = cells.get(TestCell.idOf(test, lift));
    if (cell != null) {
      cell.requestFocus();
      reveal(cell);
    }
  }

  private void reveal(TestCell cell) {
    double height = grid.getHeight() - scroll.getViewportBounds().getHeight();
    if (height > 0) {
      double wanted =
          cell.getBoundsInParent().getMinY() - scroll.getViewportBounds().getHeight() / 2;
      scroll.setVvalue(Math.clamp(wanted / height, 0, 1));
    }
  }

  /** Puts the keyboard on the first reading that is missing of the test looked at, or its first. */
  void focusFirst() {
    Shown shown = state.shown().get();
    shown
        .test()
        .filter(t -> columns.contains(t.id()))
        .ifPresent(
            t ->
                focus(
                    t.id(),
                    rows.stream()
                        .filter(l -> t.at(l).map(n -> n.readings().isEmpty()).orElse(true))
                        .findFirst()
                        .orElse(rows.getFirst())));
  }

  /** A block goes down the lifts and along the tests, as one edit; what does not fit is said. */
  @Override
  public void paste(TestCell from, String block) {
    List<String> refused = new ArrayList<>();
    int row = rows.indexOf(from.liftMm());
    int column = columns.indexOf(from.test());
    BenchBook book = state.shown().get().job().bench();
    BenchBook changed = book;
    int taken = 0;
    String[] lines = block.strip().split("\\R");
    for (int r = 0; r < lines.length; r++) {
      String[] texts = lines[r].split("\t", -1);
      for (int c = 0; c < texts.length; c++) {
        if (texts[c].isBlank()) {
          continue;
        }
        if (row + r >= rows.size() || column + c >= columns.size()) {
          refused.add(
              "row " + (r + 1) + " \"" + texts[c].strip() + "\": past the end of the sheet");
          continue;
        }
        try {
          List<BenchReading> readings = ReadingNotation.read(texts[c], units(), List.of());
          changed = with(changed, columns.get(column + c), rows.get(row + r), readings);
          taken++;
        } catch (NotationException | IllegalArgumentException e) {
          refused.add("row " + (r + 1) + ": " + e.getMessage());
        }
      }
    }
    BenchBook all = changed;
    state.edit(b -> all);
    told.accept(
        (refused.isEmpty() ? "" : "✗ ")
            + taken
            + " readings pasted"
            + (refused.isEmpty() ? "" : ", not taken: " + String.join("; ", refused)));
  }
}
