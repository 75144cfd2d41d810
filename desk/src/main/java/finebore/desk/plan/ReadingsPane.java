package finebore.desk.plan;

import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.practice.Range;
import finebore.reports.Spoken;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.words.Words;
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
    setHbarPolicy(ScrollBarPolicy.NEVER);
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
    heading.setText(
        work.words()
            .text(
                work.showFound() ? "readings.found" : "readings.planned",
                "seat",
                work.place().label()));
    school.setText(
        work.words()
            .text("readings.wantedBy", "practice", work.words().term(work.practice().term())));
    List<Reading> readings = work.shown().readings();
    boolean same =
        rows.stream().map(Row::kind).toList().equals(readings.stream().map(Reading::kind).toList());
    if (!same) {
      column.getChildren().removeAll(rows);
      rows.clear();
      readings.forEach(r -> rows.add(new Row(r.kind(), work.words())));
      column.getChildren().addAll(rows);
    }
    for (int k = 0; k < rows.size(); k++) {
      rows.get(k).show(work, readings.get(k));
    }
  }

  /** One reading; kept while it changes, so that a drag does not build the pane anew. */
  private static final class Row extends HBox {
    private static final int LONG = 14;
    private final ReadingKind kind;
    private final Label value = new Label();
    private final Label state = new Label();
    private final Scale scale = new Scale();
    private final Tooltip tip = new Tooltip();

    Row(ReadingKind kind, Words words) {
      super(6);
      this.kind = kind;
      Label name = new Label(words.label(kind));
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
      value.setText(Spoken.reading(reading, work.words()));
      // A long value takes the room of a scale that has nothing to show.
      scale.setManaged(range.isPresent() || value.getText().length() < LONG);
      state.setManaged(scale.isManaged());
      state.setText(stateWord(range, reading, work.words()));
      Styles.state(
          state,
          range.isEmpty() ? "muted" : range.get().holds(reading.value()) ? "good" : "caution");
      scale.show(range, reading.value());
      Words words = work.words();
      String wanted =
          range
              .map(
                  r ->
                      "\n"
                          + words.text(
                              "readings.wanted",
                              "range",
                              words.say(r.message(kind)),
                              "practice",
                              words.term(work.practice().term()),
                              "basis",
                              words.text(r.basis().code(), "source", r.basis().source())))
              .orElse("");
      tip.setText(words.of(kind, "meaning") + wanted);
    }

    private static String stateWord(Optional<Range> range, Reading reading, Words words) {
      return range
          .map(
              r ->
                  words.text(
                      r.holds(reading.value())
                          ? "readings.ok"
                          : r.isAbove(reading.value()) ? "readings.high" : "readings.low"))
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
            // A range open to one side is drawn as wide as what limits it.
            double least = r.min().orElse(r.max().orElse(0) - open(r));
            double most = r.max().orElse(r.min().orElse(0) + open(r));
            double span = Math.max(most - least, 1e-9);
            mark.setLayoutX(
                Math.clamp(WIDTH / 3 + (value - least) / span * WIDTH / 3, 2, WIDTH - 2) - 1.5);
            Styles.inline(
                mark, "-fx-background-color: " + (holds ? "-fb-green" : "-fb-vermilion") + ";");
            Styles.inline(
                band,
                "-fx-border-color: -fb-strong-line; -fx-background-color: "
                    + (holds ? "-fb-green-wash" : "-fb-amber-wash")
                    + ";");
          });
    }

    private static double open(Range range) {
      double limit = range.min().orElse(range.max().orElse(1));
      return Math.max(Math.abs(limit), 1e-3);
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
