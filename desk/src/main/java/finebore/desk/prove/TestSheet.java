package finebore.desk.prove;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SuspectReading;
import finebore.code.RuleViolation;
import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.desk.session.Messages;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.flow.Bands.Band;
import finebore.reports.Spoken;
import finebore.words.Notation;
import finebore.words.NotationException;
import finebore.words.ReadingNotation;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Tests as columns, lifts as rows; beside each reading what it is against the reference. */
final class TestSheet extends VBox implements TestCell.Sheet {

  private static final double COLUMN_PX = 141;
  private static final double MARK_PX = 66;
  private static final double LIFT_PX = 64;

  private final ProveState state;
  private final JobSession session;
  private final Supplier<Double> textScale;
  private final GridPane grid = new GridPane();
  private final ScrollPane scroll = new ScrollPane(grid);
  private final SheetHead line;
  private final Map<String, TestCell> cells = new HashMap<>();
  private final Map<String, Label> marks = new HashMap<>();
  private final List<Label> heads = new ArrayList<>();
  private final List<Label> liftLabels = new ArrayList<>();
  private List<Integer> columns = List.of();
  private List<Double> rows = List.of();
  private int first;
  private int lastLookedAt = -1;
  private int lastRoom;

  TestSheet(ProveState state, JobSession session, Supplier<Double> textScale) {
    super(4);
    this.textScale = textScale;
    this.state = state;
    this.session = session;
    setId("test-sheet");
    grid.getStyleClass().add("reading-grid");
    grid.setHgap(3);
    grid.setVgap(2);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    line = new SheetHead(session.words(), this::turn, this::putRight);
    getChildren().addAll(line, scroll);
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
    line.show(shown, first, visible.size());
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

  /** Takes the flows in the unit that was meant; the keyboard goes back to the readings. */
  private void putRight() {
    Shown shown = state.shown().get();
    shown.mixUp().ifPresent(m -> state.editTest(m::putRight));
    shown.test().ifPresent(t -> focus(t.id(), shown.liftMm()));
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
    Words words = shown.words();
    String name = number + " " + test.name();
    head.setText(against ? words.text("prove.reference.head", "test", name) : name);
    head.getTooltip()
        .setText(
            number
                + " "
                + test.name()
                + "\n"
                + test.setUp().seat()
                + ", "
                + words.say(test.setUp().state().message())
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
    UnitSystem units = shown.units();
    String number = units == UnitSystem.METRIC ? units.lengthNumber(lift) : units.shortLength(lift);
    label.setText(first ? shown.words().name(band) + "  " + number : number);
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
              ? shown.suspects().stream()
                  .filter(d -> Math.abs(d.liftMm() - lift) < FlowTest.SAME_LIFT_MM)
                  .map((SuspectReading d) -> Spoken.suspect(d, shown.words()))
                  .findFirst()
              : Optional.empty();
      Optional<String> odd =
          noted.stream()
              .flatMap(n -> n.readings().stream())
              .flatMap(r -> r.oddity().stream())
              .map(shown.words()::say)
              .findFirst();
      cells
          .get(TestCell.idOf(test.id(), lift))
          .show(noted, comesTo(test, lift, shown), odd.or(() -> doubt));
      mark(
          marks.get("mark-" + test.id() + "-" + Math.round(lift * 1000)),
          noted,
          comparison.flatMap(c -> c.at(lift)),
          shown.units());
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
                shown.units().flowNumber(l.meanM3s())
                    + (l.flowsM3s().size() > 1 ? " ×" + l.flowsM3s().size() : ""))
        .orElse(
            test.at(lift)
                .filter(n -> !n.readings().isEmpty())
                .map(n -> ReadingNotation.text(n.readings(), shown.units()))
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
    Styles.state(label, line.map(l -> ProveWords.style(l.verdict())).orElse("within"));
  }

  @Override
  public Words words() {
    return session.words();
  }

  @Override
  public Messages messages() {
    return session.messages();
  }

  @Override
  public void take(int test, double liftMm, List<BenchReading> readings) {
    state.edit(book -> with(book, test, liftMm, readings));
  }

  private static BenchBook with(
      BenchBook book, int test, double lift, List<BenchReading> readings) {
    return book.test(test)
        .map(t -> book.with(t.with(t.noted(lift).withReadings(readings))))
        .orElse(book);
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

  /**
   * A block goes down the lifts and along the tests, as one edit; what does not fit is said. Where
   * its first of two columns are lifts, each reading goes to its lift.
   */
  @Override
  public void paste(TestCell from, String block) {
    List<String[]> lines = new ArrayList<>();
    for (String line : block.strip().split("\\R")) {
      lines.add(line.split("\t", -1));
    }
    List<String> refused = new ArrayList<>();
    List<Double> lifts = liftsOf(lines);
    BenchBook changed = state.shown().get().job().bench();
    int taken = 0;
    for (int r = 0; r < lines.size(); r++) {
      String[] texts = lines.get(r);
      for (int c = lifts.isEmpty() ? 0 : 1; c < texts.length; c++) {
        if (texts[c].isBlank()) {
          continue;
        }
        int row = rows.indexOf(from.liftMm()) + r;
        int column = columns.indexOf(from.test()) + c - (lifts.isEmpty() ? 0 : 1);
        if (lifts.isEmpty() && row >= rows.size() || column >= columns.size()) {
          refused.add(session.say("prove.paste.past", "row", r + 1, "text", texts[c].strip()));
          continue;
        }
        try {
          List<BenchReading> readings = ReadingNotation.read(texts[c], session.units(), List.of());
          double lift = lifts.isEmpty() ? rows.get(row) : onSheet(lifts.get(r));
          changed = with(changed, columns.get(column), lift, readings);
          taken++;
        } catch (NotationException e) {
          refused.add(refusal(r, words().say(e)));
        } catch (RuleViolation e) {
          refused.add(refusal(r, words().say(e)));
        }
      }
    }
    BenchBook all = changed;
    state.edit(b -> all);
    String said =
        session.say(lifts.isEmpty() ? "prove.pasted" : "prove.pasted.lifts", "count", taken);
    if (refused.isEmpty()) {
      session.messages().note("test-sheet", said);
    } else {
      session
          .messages()
          .refuse(
              "test-sheet",
              session.say(
                  "prove.pasted.refused", "taken", said, "refused", String.join("; ", refused)));
    }
  }

  private String refusal(int row, String why) {
    return session.say("prove.paste.row", "row", row + 1, "why", why);
  }

  /** The lifts in the first of two columns; none where that column holds something else. */
  private List<Double> liftsOf(List<String[]> lines) {
    if (lines.size() < 2 || lines.stream().anyMatch(l -> l.length != 2)) {
      return List.of();
    }
    List<Double> lifts = new ArrayList<>();
    for (String[] line : lines) {
      try {
        lifts.add(Notation.length(line[0], session.units()));
      } catch (NotationException e) {
        return List.of();
      }
    }
    for (int k = 1; k < lifts.size(); k++) {
      if (lifts.get(k) <= lifts.get(k - 1)) {
        return List.of();
      }
    }
    // Flows rise over lift too, but they do not fall on the sheet's lifts.
    long onRows = lifts.stream().filter(l -> rows.contains(onSheet(l))).count();
    return 2 * onRows >= lifts.size() ? List.copyOf(lifts) : List.of();
  }

  /** The sheet's own lift where it is the same. */
  private double onSheet(double lift) {
    return rows.stream()
        .filter(r -> Math.abs(r - lift) < FlowTest.SAME_LIFT_MM)
        .findFirst()
        .orElse(lift);
  }
}
