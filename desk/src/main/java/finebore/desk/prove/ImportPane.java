package finebore.desk.prove;

import finebore.bench.SetUp.TestedState;
import finebore.desk.session.JobSession;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.TestImport;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.ColumnUnit;
import finebore.formats.TestImport.Rejected;
import finebore.formats.TestImport.Role;
import finebore.formats.TestTaking;
import finebore.job.Job;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
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
  private final Button take = new Button("Take it in");
  private final ChoiceBox<String> state = new ChoiceBox<>();
  private Optional<TestImport.Result> result = Optional.empty();

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
    Label title = new Label("Flow tests out of " + name);
    title.getStyleClass().add("title");
    title.setWrapText(true);
    Label how =
        new Label(
            "Say what each column holds. Rows at the same lift are repeats; a column for each test"
                + " is fine too.");
    how.getStyleClass().addAll("small", "muted");
    how.setWrapText(true);
    GridPane grid = new GridPane();
    grid.setHgap(10);
    grid.setVgap(4);
    grid.addRow(0, heading("Column"), heading("Holds"), heading("Unit"), heading("For example"));
    for (int k = 0; k < columns.size(); k++) {
      row(grid, k);
    }
    ScrollPane mapping = new ScrollPane(grid);
    mapping.setPrefHeight(230);
    mapping.setMinHeight(90);
    state.getItems().setAll("as found", "finished", "blended");
    state.getSelectionModel().selectFirst();
    state.setId("import-state");
    outcome.setId("import-outcome");
    outcome.setWrapText(true);
    outcome.setMinHeight(Region.USE_PREF_SIZE);
    rejected.setId("import-rejected");
    ScrollPane refusals = new ScrollPane(rejected);
    refusals.setFitToWidth(true);
    VBox.setVgrow(refusals, Priority.ALWAYS);
    take.setId("import-take");
    take.setOnAction(e -> take());
    Button leave = new Button("Leave it");
    leave.setId("import-leave");
    leave.setOnAction(e -> closed.run());
    HBox buttons =
        new HBox(
            8, new Label("Seat " + session.seat().get().label() + ", tested"), state, take, leave);
    buttons.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren().addAll(title, how, mapping, outcome, refusals, buttons);
    read();
  }

  private static Label heading(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("heading");
    return label;
  }

  private void row(GridPane grid, int at) {
    Column column = columns.get(at);
    Label heading = new Label((column.known() ? "" : "? ") + column.heading());
    heading.getStyleClass().add(column.known() ? "figure" : "caution");
    ChoiceBox<String> role = new ChoiceBox<>();
    role.setId("import-role-" + at);
    role.setAccessibleText("What column " + column.heading() + " holds");
    role.getItems().setAll(Arrays.stream(Role.values()).map(Role::words).toList());
    role.getSelectionModel().select(column.role().ordinal());
    ChoiceBox<String> unit = new ChoiceBox<>();
    unit.setId("import-unit-" + at);
    unit.setAccessibleText("Unit of column " + column.heading());
    units(unit, column);
    role.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              columns.set(at, columns.get(at).as(Role.values()[is.intValue()]));
              units(unit, columns.get(at));
              read();
            });
    unit.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              List<ColumnUnit> fit = ColumnUnit.of(columns.get(at).role());
              if (is.intValue() >= 0 && is.intValue() < fit.size()) {
                columns.set(at, columns.get(at).in(fit.get(is.intValue())));
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

  private static void units(ChoiceBox<String> box, Column column) {
    List<ColumnUnit> fit = ColumnUnit.of(column.role());
    box.getItems().setAll(fit.stream().map(ColumnUnit::symbol).toList());
    box.getSelectionModel().select(fit.indexOf(column.unit()));
    box.setDisable(fit.isEmpty());
  }

  private void read() {
    rejected.getChildren().clear();
    try {
      TestImport.Result read = TestImport.read(table, columns, name.replaceFirst("\\.[^.]*$", ""));
      result = Optional.of(read);
      int readings =
          read.tests().stream()
              .flatMap(t -> t.lifts().stream())
              .mapToInt(l -> l.readings().size())
              .sum();
      outcome.setText(
          readings
              + " readings in "
              + read.tests().size()
              + (read.tests().size() == 1 ? " test" : " tests")
              + (read.rejected().isEmpty()
                  ? "; every row can be taken."
                  : "; " + read.rejected().size() + " rows will not be taken:"));
      outcome.getStyleClass().setAll("label", read.rejected().isEmpty() ? "good" : "caution");
      for (Rejected row : read.rejected()) {
        Label label =
            new Label("✗ row " + row.row() + ": " + row.reason() + "   [" + row.text() + "]");
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("fault");
        rejected.getChildren().add(label);
      }
    } catch (FileProblem e) {
      result = Optional.empty();
      outcome.setText("✗ " + e.getMessage());
      outcome.getStyleClass().setAll("label", "fault");
    }
    take.setDisable(result.filter(r -> !r.tests().isEmpty()).isEmpty());
  }

  private TestedState tested() {
    return switch (state.getSelectionModel().getSelectedIndex()) {
      case 1 -> TestedState.FINISHED;
      case 2 -> new TestedState(TestedState.Kind.BLENDED, 0);
      default -> TestedState.AS_FOUND;
    };
  }

  private void take() {
    result.ifPresent(
        r -> {
          Job before = session.job();
          session.edit("", job -> TestTaking.into(job, r, session.seat().get(), tested()));
          closed.run();
          TestTaking.firstNew(before, session.job()).ifPresent(t -> taken.accept(t.id()));
        });
  }
}
