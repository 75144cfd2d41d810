package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.desk.session.Work;
import finebore.practice.Range;
import finebore.study.Reading;
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
  private final VBox rows = new VBox(0);

  public ReadingsPane(JobSession session) {
    this.session = session;
    setId("readings");
    setFitToWidth(true);
    setFitToHeight(true);
    rows.getStyleClass().addAll("column", "right-column");
    setContent(rows);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    Work work = session.work().get();
    rows.getChildren().clear();
    Label heading = new Label("READINGS, " + (work.showFound() ? "AS FOUND" : "AS PLANNED"));
    heading.getStyleClass().add("heading");
    Label school = new Label("wanted by: " + work.practice().name());
    school.setId("readings-practice");
    school.getStyleClass().addAll("muted", "small");
    rows.getChildren().addAll(heading, school);
    for (Reading reading : work.shown().readings()) {
      rows.getChildren().add(row(work, reading));
    }
  }

  private HBox row(Work work, Reading reading) {
    Optional<Range> range = work.practice().wanted(work.port(), reading.kind());
    Label name = new Label(reading.kind().label());
    name.setMinWidth(80);
    name.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(name, Priority.ALWAYS);
    Label value = new Label(reading.text(work.job().units()));
    value.setId("reading-" + reading.kind().key());
    value.getStyleClass().addAll("figure", "small");
    value.setMinWidth(Region.USE_PREF_SIZE);
    Label state = new Label(stateWord(range, reading));
    state.getStyleClass().add("small");
    state
        .getStyleClass()
        .add(range.isEmpty() ? "muted" : range.get().holds(reading.value()) ? "good" : "caution");
    state.setPrefWidth(32);
    state.setMinWidth(32);
    HBox row = new HBox(6, name, value, new Scale(range, reading.value()), state);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("reading-row");
    row.setMinHeight(25);
    String wanted =
        range
            .map(
                r ->
                    "\nWanted: "
                        + reading.kind().quantity().text(r.min(), work.job().units())
                        + " to "
                        + reading.kind().quantity().text(r.max(), work.job().units())
                        + " ("
                        + work.practice().name()
                        + "; "
                        + r.basis()
                        + ")")
            .orElse("");
    Tooltip tip = new Tooltip(reading.kind().meaning() + wanted);
    tip.setWrapText(true);
    tip.setMaxWidth(340);
    Tooltip.install(row, tip);
    return row;
  }

  private static String stateWord(Optional<Range> range, Reading reading) {
    return range
        .map(r -> r.holds(reading.value()) ? "ok" : reading.value() > r.max() ? "high" : "low")
        .orElse("");
  }

  /** A small scale: the wanted range as a band in the middle, the value as a mark. */
  private static final class Scale extends Pane {
    private static final double WIDTH = 58;
    private static final double HEIGHT = 12;

    Scale(Optional<Range> range, double value) {
      setMinSize(WIDTH, HEIGHT);
      setPrefSize(WIDTH, HEIGHT);
      setMaxSize(WIDTH, HEIGHT);
      range.ifPresent(
          r -> {
            double span = Math.max(r.max() - r.min(), 1e-9);
            Region line = box(0, HEIGHT / 2 - 1, WIDTH, 2, "-fb-line");
            Region band =
                box(
                    WIDTH / 3,
                    2,
                    WIDTH / 3,
                    HEIGHT - 4,
                    r.holds(value) ? "-fb-green-wash" : "-fb-amber-wash");
            band.setStyle(band.getStyle() + "-fx-border-color: -fb-strong-line;");
            double at = Math.clamp(WIDTH / 3 + (value - r.min()) / span * WIDTH / 3, 2, WIDTH - 2);
            getChildren()
                .addAll(
                    line,
                    band,
                    box(at - 1.5, 0, 3, HEIGHT, r.holds(value) ? "-fb-green" : "-fb-vermilion"));
          });
    }

    private static Region box(double x, double y, double w, double h, String role) {
      Region box = new Region();
      box.setLayoutX(x);
      box.setLayoutY(y);
      box.setPrefSize(w, h);
      box.setStyle("-fx-background-color: " + role + ";");
      return box;
    }
  }
}
