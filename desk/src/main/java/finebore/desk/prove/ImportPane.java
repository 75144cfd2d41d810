package finebore.desk.prove;

import finebore.bench.SetUp.TestedState;
import finebore.desk.session.JobSession;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.TestImport;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.Rejected;
import finebore.formats.TestImport.Role;
import finebore.formats.TestTaking;
import finebore.units.Unit;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * A table that is about to be taken in: what each column holds, what will come of it, and every row
 * that will not be taken, with its reason.
 */
final class ImportPane extends VBox {

  private final JobSession session;
  private final String name;
  private final CsvTable table;
  private final IntConsumer taken;
  private final Runnable closed;
  private final List<Column> columns;
  private final Label outcome = new Label();
  private final VBox rejected = new VBox(2);
  private final Button take = new Button();
  private final ChoiceBox<String> state = new ChoiceBox<>();
  private final CheckBox unitsAreRight = new CheckBox();
  private Optional<TestTaking> taking = Optional.empty();

  /**
   * A table on its way in.
   *
   * @param taken told the id of the first test that was added
   * @param closed called when it is left
   */
  ImportPane(JobSession session, String name, CsvTable table, IntConsumer taken, Runnable closed) {
    super(8);
    this.session = session;
    this.name = name;
    this.table = table;
    this.taken = taken;
    this.closed = closed;
    this.columns = new ArrayList<>(TestImport.guess(table));
    setId("import-pane");
    getStyleClass().add("column");
    Label title = new Label(session.say("import.title", "file", name));
    title.getStyleClass().add("title");
    title.setWrapText(true);
    Label how = new Label(session.say("import.how"));
    how.getStyleClass().addAll("small", "muted");
    how.setWrapText(true);
    GridPane grid = new GridPane();
    grid.setHgap(10);
    grid.setVgap(4);
    grid.addRow(
        0,
        heading("import.heading.column"),
        heading("import.heading.holds"),
        heading("import.heading.unit"),
        heading("import.heading.example"));
    for (int k = 0; k < columns.size(); k++) {
      row(grid, k);
    }
    ScrollPane mapping = new ScrollPane(grid);
    mapping.setPrefHeight(230);
    mapping.setMinHeight(90);
    state
        .getItems()
        .setAll(
            session.say("state.found"),
            session.say("state.finished"),
            session.say("state.blended"));
    state.getSelectionModel().selectFirst();
    state.setId("import-state");
    outcome.setId("import-outcome");
    outcome.setWrapText(true);
    outcome.setMinHeight(Region.USE_PREF_SIZE);
    rejected.setId("import-rejected");
    ScrollPane refusals = new ScrollPane(rejected);
    refusals.setFitToWidth(true);
    VBox.setVgrow(refusals, Priority.ALWAYS);
    unitsAreRight.setId("import-units-are-right");
    unitsAreRight.setText(session.say("import.unitsAreRight"));
    unitsAreRight.setOnAction(e -> enable());
    state.getSelectionModel().selectedIndexProperty().addListener((o, was, is) -> read());
    take.setId("import-take");
    take.setText(session.say("import.take"));
    take.setOnAction(e -> take());
    Button leave = new Button(session.say("import.leave"));
    leave.setId("import-leave");
    leave.setOnAction(e -> closed.run());
    HBox buttons =
        new HBox(
            8,
            new Label(session.say("import.seat", "seat", session.seat().get().label())),
            state,
            take,
            leave);
    buttons.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren().addAll(title, how, mapping, outcome, refusals, unitsAreRight, buttons);
    read();
  }

  private Label heading(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().add("heading");
    return label;
  }

  private void row(GridPane grid, int at) {
    Column column = columns.get(at);
    Label heading = new Label(column.heading());
    heading.getStyleClass().add("figure");
    ChoiceBox<String> role = new ChoiceBox<>();
    role.setId("import-role-" + at);
    role.setAccessibleText(session.say("import.role.name", "column", column.heading()));
    role.getItems().add(session.say("import.notSaid"));
    for (Role each : Role.values()) {
      role.getItems().add(session.words().label(each));
    }
    role.getSelectionModel().select(column.role().map(r -> r.ordinal() + 1).orElse(0));
    ChoiceBox<String> unit = new ChoiceBox<>();
    unit.setId("import-unit-" + at);
    unit.setAccessibleText(session.say("import.unit.name", "column", column.heading()));
    units(unit, column);
    role.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              if (is.intValue() > 0) {
                columns.set(at, columns.get(at).as(Role.values()[is.intValue() - 1]));
                units(unit, columns.get(at));
                read();
              }
            });
    unit.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              List<Unit> fit = fitting(columns.get(at));
              if (is.intValue() > 0 && is.intValue() <= fit.size()) {
                columns.set(at, columns.get(at).in(fit.get(is.intValue() - 1)));
                read();
              }
            });
    String example =
        table.rows().stream()
            .map(r -> r.cell(at))
            .filter(c -> !c.isEmpty())
            .limit(3)
            .collect(Collectors.joining(", "));
    Label shown = new Label(example.length() > 60 ? example.substring(0, 59) + "…" : example);
    shown.getStyleClass().addAll("figure", "small");
    grid.addRow(at + 1, heading, role, unit, shown);
  }

  private static List<Unit> fitting(Column column) {
    return column.role().map(Role::units).orElse(List.of());
  }

  /** Nothing is taken for granted: a unit nobody has said stays open. */
  private void units(ChoiceBox<String> box, Column column) {
    List<Unit> fit = fitting(column);
    box.getItems().setAll(fit.isEmpty() ? "" : session.say("import.notSaid"));
    fit.forEach(u -> box.getItems().add(u.symbol()));
    box.getSelectionModel().select(column.unit().map(u -> fit.indexOf(u) + 1).orElse(0));
    box.setDisable(fit.isEmpty());
  }

  private void read() {
    rejected.getChildren().clear();
    Words words = session.words();
    taking = Optional.empty();
    try {
      TestImport.Result read = TestImport.read(table, columns, name.replaceFirst("\\.[^.]*$", ""));
      TestTaking tried = TestTaking.into(session.job(), read, session.seat().get(), tested());
      taking = Optional.of(tried);
      int readings =
          read.tests().stream()
              .flatMap(t -> t.lifts().stream())
              .mapToInt(l -> l.readings().size())
              .sum();
      outcome.setText(
          words.text(
              "import.outcome",
              "readings",
              readings,
              "tests",
              tried.tests().size(),
              "rejected",
              read.rejected().size()));
      boolean clean = read.rejected().isEmpty() && tried.refused().isEmpty();
      outcome.getStyleClass().setAll("label", clean ? "good" : "caution");
      tried.questions().forEach(q -> note("? " + words.say(q.message()), "caution"));
      tried.refused().forEach(m -> note("\u2717 " + words.say(m), "fault"));
      for (Rejected row : read.rejected()) {
        note(
            "\u2717 "
                + words.text(
                    "import.rejected",
                    "row",
                    String.valueOf(row.row()),
                    "reason",
                    words.say(row.reason()),
                    "text",
                    row.text()),
            "fault");
      }
      unitsAreRight.setVisible(!tried.questions().isEmpty());
      unitsAreRight.setManaged(!tried.questions().isEmpty());
    } catch (FileProblem e) {
      outcome.setText("\u2717 " + words.say(e));
      outcome.getStyleClass().setAll("label", "fault");
      unitsAreRight.setVisible(false);
      unitsAreRight.setManaged(false);
    }
    enable();
  }

  private void note(String words, String style) {
    Label label = new Label(words);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().add(style);
    rejected.getChildren().add(label);
  }

  /** A question about the unit is to be answered before anything goes in. */
  private void enable() {
    take.setDisable(
        taking
            .filter(t -> !t.tests().isEmpty())
            .filter(t -> t.questions().isEmpty() || unitsAreRight.isSelected())
            .isEmpty());
  }

  private TestedState tested() {
    return switch (state.getSelectionModel().getSelectedIndex()) {
      case 1 -> TestedState.FINISHED;
      case 2 -> new TestedState(TestedState.Kind.BLENDED, 0);
      default -> TestedState.AS_FOUND;
    };
  }

  private void take() {
    taking.ifPresent(
        t -> {
          session.edit("", job -> t.job());
          closed.run();
          taken.accept(t.tests().getFirst().id());
        });
  }
}
