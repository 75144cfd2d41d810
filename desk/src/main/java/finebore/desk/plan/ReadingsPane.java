package finebore.desk.plan;

import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.practice.Range;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The readings of the state looked at: figure, where it lies in the wanted range, and a word for
 * it.
 */
public final class ReadingsPane extends ScrollPane {

  private final JobSession session;
  private final VBox column = new VBox(0);
  private final Label heading = new Label();
  private final Label school = new Label();
  private final List<Row> rows = new ArrayList<>();

  public ReadingsPane(JobSession session) {
    this.session = session;
    setId("readings");
    setFitToWidth(true);
    setFitToHeight(true);
    heading.getStyleClass().add("heading");
    school.setId("readings-practice");
    school.getStyleClass().addAll("muted", "small");
    column.getStyleClass().addAll("column", "right-column");
    column.getChildren().addAll(heading, school);
    setContent(column);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    SeatView work = session.work().get();
    heading.setText("READINGS, " + (work.showFound() ? "AS FOUND" : "AS PLANNED"));
    school.setText("wanted by: " + work.practice().name());
    List<Reading> readings = work.shown().readings();
    boolean same =
        rows.stream().map(Row::kind).toList().equals(readings.stream().map(Reading::kind).toList());
    if (!same) {
      column.getChildren().removeAll(rows);
      rows.clear();
      readings.forEach(r -> rows.add(new Row(r.kind())));
      column.getChildren().addAll(rows);
    }
    for (int k = 0; k < rows.size(); k++) {
      rows.get(k).show(work, readings.get(k));
    }
  }

  /** One reading; kept while it changes, so that a drag does not build the pane anew. */
  private static final class Row extends HBox {
    private final ReadingKind kind;
    private final Label value = new Label();
    private final Label state = new Label();
    private final Scale scale = new Scale();
    private final Tooltip tip = new Tooltip();

    Row(ReadingKind kind) {
      super(6);
      this.kind = kind;
      Label name = new Label(kind.label());
      name.setMinWidth(80);
      name.setMaxWidth(Double.MAX_VALUE);
      HBox.setHgrow(name, Priority.ALWAYS);
      value.setId("reading-" + kind.key());
      value.getStyleClass().addAll("figure", "small");
      value.setMinWidth(USE_PREF_SIZE);
      state.getStyleClass().addAll("small", "state-word", "muted");
      getChildren().addAll(name, value, scale, state);
      setAlignment(Pos.CENTER_LEFT);
      getStyleClass().add("reading-row");
      setMinHeight(25);
      tip.setWrapText(true);
      tip.setMaxWidth(340);
      Tooltip.install(this, tip);
    }

    ReadingKind kind() {
      return kind;
    }

    void show(SeatView work, Reading reading) {
      Optional<Range> range = work.practice().wanted(work.port(), kind);
      value.setText(reading.text(work.job().units()));
      state.setText(stateWord(range, reading));
      Styles.state(
          state,
          range.isEmpty() ? "muted" : range.get().holds(reading.value()) ? "good" : "caution");
      scale.show(range, reading.value());
      String wanted =
          range
              .map(
                  r ->
                      "\nWanted: "
                          + kind.quantity().text(r.min(), work.job().units())
                          + " to "
                          + kind.quantity().text(r.max(), work.job().units())
                          + " ("
                          + work.practice().name()
                          + "; "
                          + r.basis()
                          + ")")
              .orElse("");
      tip.setText(kind.meaning() + wanted);
    }

    private static String stateWord(Optional<Range> range, Reading reading) {
      return range
          .map(r -> r.holds(reading.value()) ? "ok" : reading.value() > r.max() ? "high" : "low")
          .orElse("");
    }
  }

  /** A small scale: the wanted range as a band in the middle, the value as a mark. */
  private static final class Scale extends Pane {
    private static final double WIDTH = 46;
    private static final double HEIGHT = 12;
    private final Region line = box(0, HEIGHT / 2 - 1, WIDTH, 2);
    private final Region band = box(WIDTH / 3, 2, WIDTH / 3, HEIGHT - 4);
    private final Region mark = box(0, 0, 3, HEIGHT);

    Scale() {
      setMinSize(WIDTH, HEIGHT);
      setPrefSize(WIDTH, HEIGHT);
      setMaxSize(WIDTH, HEIGHT);
      line.setStyle("-fx-background-color: -fb-line;");
      getChildren().addAll(line, band, mark);
    }

    void show(Optional<Range> range, double value) {
      setVisible(range.isPresent());
      range.ifPresent(
          r -> {
            boolean holds = r.holds(value);
            double span = Math.max(r.max() - r.min(), 1e-9);
            mark.setLayoutX(
                Math.clamp(WIDTH / 3 + (value - r.min()) / span * WIDTH / 3, 2, WIDTH - 2) - 1.5);
            Styles.inline(
                mark, "-fx-background-color: " + (holds ? "-fb-green" : "-fb-vermilion") + ";");
            Styles.inline(
                band,
                "-fx-border-color: -fb-strong-line; -fx-background-color: "
                    + (holds ? "-fb-green-wash" : "-fb-amber-wash")
                    + ";");
          });
    }

    private static Region box(double x, double y, double w, double h) {
      Region box = new Region();
      box.setLayoutX(x);
      box.setLayoutY(y);
      box.setPrefSize(w, h);
      return box;
    }
  }
}
