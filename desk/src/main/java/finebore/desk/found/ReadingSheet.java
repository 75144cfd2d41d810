package finebore.desk.found;

import finebore.desk.session.JobSession;
import finebore.found.Assumed;
import finebore.found.Contradiction;
import finebore.found.Family;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.FoundFindings;
import finebore.study.PlanStudy;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;

/**
 * All readings of all seats: one row for each measure in the order of the hand, one column for each
 * seat. Enter goes along the row, then to the next.
 */
final class ReadingSheet extends ScrollPane {

  private final JobSession session;
  private final Consumer<String> told;
  private final GridPane grid = new GridPane();
  private final List<ReadingCell> cells = new ArrayList<>();
  private final Map<String, Label> heads = new HashMap<>();
  private final List<Label> names = new ArrayList<>();
  private List<SeatPlace> seats = List.of();

  ReadingSheet(JobSession session, Consumer<String> told) {
    this.session = session;
    this.told = told;
    setId("reading-sheet");
    grid.getStyleClass().add("reading-grid");
    grid.setHgap(3);
    grid.setVgap(2);
    setContent(grid);
  }

  /** Shows the readings of a job; the cells stay while the seats are the same. */
  void show(Job job) {
    if (!job.engine().seats().equals(seats)) {
      seats = job.engine().seats();
      build();
    }
    for (int k = 0; k < names.size(); k++) {
      Measure measure = Measure.values()[k];
      names.get(k).setText(measure.label() + ", " + ReadingCell.unitOf(measure, job.units()));
    }
    heads.forEach(
        (label, head) ->
            head.setStyle(
                label.equals(session.seat().get().label())
                    ? "-fx-text-fill: -fb-blue; -fx-font-weight: 600;"
                    : ""));
    Map<String, FoundSeat> found = new HashMap<>();
    seats.forEach(s -> found.put(s.label(), PlanStudy.foundSeat(job, s)));
    Map<String, String> doubts = doubts(job, found);
    for (ReadingCell cell : cells) {
      String label = cell.place().label();
      SeatReadings readings = job.head().readingsOf(label);
      Optional<Assumed> assumed =
          found.get(label).assumed().stream()
              .filter(a -> a.measure() == cell.measure())
              .findFirst();
      cell.show(
          readings.value(cell.measure()),
          assumed.map(a -> OptionalDouble.of(a.value())).orElse(OptionalDouble.empty()),
          assumed.map(Assumed::basis).orElse(""),
          doubts.getOrDefault(label + cell.measure().key(), ""));
    }
  }

  /** What is the matter with which cell. */
  private Map<String, String> doubts(Job job, Map<String, FoundSeat> found) {
    Map<String, String> doubts = new HashMap<>();
    for (Port port : Port.values()) {
      Map<String, SeatReadings> family = new LinkedHashMap<>();
      seats.stream()
          .filter(s -> s.port() == port)
          .forEach(s -> family.put(s.label(), job.head().readingsOf(s.label())));
      for (Family.Outlier o : Family.outliers(family)) {
        doubts.put(
            o.seat() + o.measure().key(),
            "Out of family: the others of its kind "
                + FoundFindings.text(o.measure(), o.median(), job.units()));
      }
    }
    found.forEach(
        (label, seat) -> {
          for (Contradiction c : seat.contradictions()) {
            doubts.put(label + c.measure().key(), c.words(job.units()));
          }
        });
    return doubts;
  }

  private void build() {
    grid.getChildren().clear();
    cells.clear();
    heads.clear();
    names.clear();
    for (int k = 0; k < seats.size(); k++) {
      Label head = new Label(seats.get(k).label());
      head.getStyleClass().add("figure");
      GridPane.setHalignment(head, HPos.CENTER);
      heads.put(seats.get(k).label(), head);
      grid.add(head, k + 1, 0);
    }
    for (Measure measure : Measure.values()) {
      int row = measure.ordinal() + 1;
      Label name = new Label();
      name.getStyleClass().add("small");
      name.setMinWidth(USE_PREF_SIZE);
      name.setTooltip(new Tooltip(measure.how()));
      names.add(name);
      grid.add(name, 0, row);
      for (int k = 0; k < seats.size(); k++) {
        int at = cells.size();
        ReadingCell cell =
            new ReadingCell(session, seats.get(k), measure, told, () -> focus(at + 1));
        cells.add(cell);
        grid.add(cell, k + 1, row);
      }
    }
  }

  private void focus(int at) {
    if (at < cells.size()) {
      cells.get(at).requestFocus();
      reveal(cells.get(at));
    }
  }

  /** Scrolls so that a cell can be seen. */
  private void reveal(ReadingCell cell) {
    double height = grid.getHeight() - getViewportBounds().getHeight();
    if (height > 0) {
      double y = cell.getBoundsInParent().getMinY();
      double wanted = y - getViewportBounds().getHeight() / 2;
      setVvalue(Math.clamp(wanted / height, 0, 1));
    }
    double width = grid.getWidth() - getViewportBounds().getWidth();
    if (width > 0) {
      double x = cell.getBoundsInParent().getMinX();
      setHvalue(Math.clamp((x - getViewportBounds().getWidth() / 2) / width, 0, 1));
    }
  }

  /** Puts the keyboard on the first reading that is missing, or the first. */
  void focusFirst() {
    focus(
        Math.max(
            0,
            cells.indexOf(
                cells.stream()
                    .filter(c -> c.getText().isEmpty())
                    .findFirst()
                    .orElse(cells.getFirst()))));
  }
}
