package finebore.desk.found;

import finebore.desk.session.JobSession;
import finebore.found.Assumed;
import finebore.found.Contradiction;
import finebore.found.Family;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.Measure.Rows;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.SeatPlaces;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/**
 * All readings of all seats: one row for each measure in the order of the hand, one column for each
 * seat. Enter goes along the row, then to the next. The names of seats and rows stay in sight
 * however it is scrolled.
 */
final class ReadingSheet extends BorderPane {

  private static final double ROW_PX = 27;
  private static final double COLUMN_PX = 74;
  private static final double GAP_PX = 2;

  private final JobSession session;
  private final Supplier<Double> textScale;
  private final GridPane grid = new GridPane();
  private final ScrollPane scroll = new ScrollPane(grid);
  private final Pane rowNames = new Pane();
  private final HBox seatNames = new HBox(GAP_PX);
  private final Region corner = new Region();
  private final List<ReadingCell> cells = new ArrayList<>();
  private final Map<String, Label> heads = new HashMap<>();
  private final List<Label> names = new ArrayList<>();
  private List<SeatPlace> seats = List.of();
  private List<Measure> measures = List.of();
  private final Set<Rows> wanted = EnumSet.of(Rows.ALWAYS);

  ReadingSheet(JobSession session, Supplier<Double> textScale) {
    this.session = session;
    this.textScale = textScale;
    setId("reading-sheet");
    grid.setHgap(GAP_PX);
    grid.setVgap(GAP_PX);
    Pane seatWindow = new Pane(seatNames);
    clip(seatWindow);
    Pane rowWindow = new Pane(rowNames);
    clip(rowWindow);
    rowWindow.prefWidthProperty().bind(rowNames.widthProperty());
    rowWindow.setMinWidth(Region.USE_PREF_SIZE);
    corner.minWidthProperty().bind(rowNames.widthProperty());
    HBox top = new HBox(corner, seatWindow);
    HBox.setHgrow(seatWindow, javafx.scene.layout.Priority.ALWAYS);
    setTop(top);
    setLeft(rowWindow);
    setCenter(scroll);
    scroll.viewportBoundsProperty().addListener((o, was, is) -> follow());
    scroll.hvalueProperty().addListener((o, was, is) -> follow());
    scroll.vvalueProperty().addListener((o, was, is) -> follow());
    grid.layoutBoundsProperty().addListener((o, was, is) -> follow());
  }

  private static void clip(Region window) {
    Rectangle shown = new Rectangle();
    shown.widthProperty().bind(window.widthProperty());
    shown.heightProperty().bind(window.heightProperty());
    window.setClip(shown);
  }

  /** Moves the names along with the cells. */
  private void follow() {
    double wide = Math.max(0, grid.getWidth() - scroll.getViewportBounds().getWidth());
    double high = Math.max(0, grid.getHeight() - scroll.getViewportBounds().getHeight());
    seatNames.setTranslateX(-wide * scroll.getHvalue());
    rowNames.setTranslateY(-high * scroll.getVvalue());
  }

  /** Shows the readings of a job; the cells stay while the seats are the same. */
  void show(Job job) {
    List<Measure> wanted = measures(job);
    if (!job.engine().seats().equals(seats) || !wanted.equals(measures)) {
      seats = job.engine().seats();
      measures = wanted;
      build();
    }
    Words words = session.words();
    for (int k = 0; k < names.size(); k++) {
      Measure measure = measures.get(k);
      names
          .get(k)
          .setText(
              words.label(measure) + ", " + words.units().unit(measure.quantity().dimension()));
    }
    heads.forEach(
        (label, head) ->
            head.setStyle(
                label.equals(session.seat().get().label())
                    ? "-fx-text-fill: -fb-blue; -fx-font-weight: 600;"
                    : ""));
    Map<String, FoundSeat> found = new HashMap<>();
    seats.forEach(s -> found.put(s.label(), job.foundSeat(s)));
    Map<String, String> doubts = doubts(job, found, words);
    Map<Integer, SeatPlaces> places = new HashMap<>();
    seats.forEach(s -> places.computeIfAbsent(s.cylinder(), c -> SeatPlaces.of(job, c)));
    for (ReadingCell cell : cells) {
      String label = cell.place().label();
      SeatReadings readings = job.head().readingsOf(label);
      Optional<Assumed> assumed =
          Stream.concat(found.get(label).assumed().stream(), placed(places, cell.place()))
              .filter(a -> a.measure() == cell.measure())
              .findFirst();
      cell.showReading(
          readings.value(cell.measure()),
          assumed,
          doubts.getOrDefault(label + cell.measure().key(), ""));
    }
  }

  /**
   * Rows that only some heads want stand where they are asked for, or something was read there; a
   * distance to a valve that the cylinders do not have never.
   */
  private List<Measure> measures(Job job) {
    Set<Rows> shown = EnumSet.copyOf(wanted);
    job.head().readings().values().stream()
        .flatMap(r -> r.values().keySet().stream())
        .forEach(m -> shown.add(m.rows()));
    return Stream.of(Measure.values())
        .filter(m -> shown.contains(m.rows()) && job.engine().has(m))
        .toList();
  }

  /** Shows or hides rows that only some heads want. */
  void showRows(Rows rows, boolean are) {
    if (are) {
      wanted.add(rows);
    } else {
      wanted.remove(rows);
    }
    show(session.job());
  }

  /** Coordinates that follow from distances. */
  private static Stream<Assumed> placed(Map<Integer, SeatPlaces> places, SeatPlace seat) {
    SeatPlaces own = places.get(seat.cylinder());
    return own.isWorkedOut(seat)
        ? own.at(seat).stream()
            .flatMap(
                p ->
                    Stream.of(
                        new Assumed(Measure.AXIS_ALONG, p.alongMm(), Assumed.Basis.DISTANCES),
                        new Assumed(Measure.AXIS_ACROSS, p.acrossMm(), Assumed.Basis.DISTANCES)))
        : Stream.empty();
  }

  /** What is the matter with which cell. */
  private Map<String, String> doubts(Job job, Map<String, FoundSeat> found, Words words) {
    Map<String, String> doubts = new HashMap<>();
    for (Port port : Port.values()) {
      Map<String, SeatReadings> family = new LinkedHashMap<>();
      seats.stream()
          .filter(s -> s.port() == port)
          .forEach(s -> family.put(s.label(), job.head().readingsOf(s.label())));
      for (Family.Outlier o : Family.outliers(family)) {
        doubts.put(
            o.seat() + o.measure().key(),
            words.text(
                "found.outOfFamily",
                "others",
                words.figure(o.measure().quantity().dimension(), o.median())));
      }
    }
    found.forEach(
        (label, seat) -> {
          for (Contradiction c : seat.contradictions()) {
            doubts.put(label + c.measure().key(), words.say(c.message()));
          }
        });
    return doubts;
  }

  private void build() {
    grid.getChildren().clear();
    rowNames.getChildren().clear();
    seatNames.getChildren().clear();
    cells.clear();
    heads.clear();
    names.clear();
    for (SeatPlace seat : seats) {
      Label head = new Label(seat.label());
      head.getStyleClass().add("figure");
      head.setAlignment(javafx.geometry.Pos.CENTER);
      GridPane.setHalignment(head, HPos.CENTER);
      heads.put(seat.label(), head);
      seatNames.getChildren().add(head);
    }
    for (Measure measure : measures) {
      Label name = new Label();
      name.getStyleClass().add("small");
      name.setTooltip(new Tooltip(session.words().of(measure, "how")));
      names.add(name);
      rowNames.getChildren().add(name);
      for (int k = 0; k < seats.size(); k++) {
        int at = cells.size();
        ReadingCell cell = new ReadingCell(session, seats.get(k), measure, () -> focus(at + 1));
        cells.add(cell);
        grid.add(cell, k, measures.indexOf(measure));
      }
    }
    restyle();
  }

  /** Fits rows and columns to the size of text. */
  void restyle() {
    double row = ROW_PX * textScale.get();
    double column = COLUMN_PX * textScale.get();
    for (int k = 0; k < names.size(); k++) {
      names.get(k).setLayoutY(k * (row + GAP_PX));
      names.get(k).setMinHeight(row);
      names.get(k).setStyle("-fx-padding: 0 8 0 0;");
    }
    heads.values().forEach(h -> fix(h, column, row));
    cells.forEach(c -> fix(c, column, row));
  }

  private static void fix(Region region, double width, double height) {
    region.setMinSize(width, height);
    region.setPrefSize(width, height);
    region.setMaxSize(width, height);
  }

  private void focus(int at) {
    if (at < cells.size()) {
      cells.get(at).requestFocus();
      reveal(cells.get(at));
    }
  }

  /** Scrolls so that a cell can be seen. */
  private void reveal(Node cell) {
    double height = grid.getHeight() - scroll.getViewportBounds().getHeight();
    if (height > 0) {
      double y = cell.getBoundsInParent().getMinY();
      double wanted = y - scroll.getViewportBounds().getHeight() / 2;
      scroll.setVvalue(Math.clamp(wanted / height, 0, 1));
    }
    double width = grid.getWidth() - scroll.getViewportBounds().getWidth();
    if (width > 0) {
      double x = cell.getBoundsInParent().getMinX();
      scroll.setHvalue(Math.clamp((x - scroll.getViewportBounds().getWidth() / 2) / width, 0, 1));
    }
  }

  /** Brings the row of a measure of the seat looked at into sight. */
  void show(Measure measure) {
    cells.stream()
        .filter(c -> c.place().equals(session.seat().get()) && c.measure() == measure)
        .findFirst()
        .ifPresent(this::reveal);
  }

  /** Puts the keyboard on the first missing reading of the seat looked at, or on its first. */
  void focusFirst() {
    List<ReadingCell> own =
        cells.stream().filter(c -> c.place().equals(session.seat().get())).toList();
    ReadingCell due =
        own.stream().filter(c -> c.getText().isEmpty()).findFirst().orElse(own.getFirst());
    focus(cells.indexOf(due));
  }
}
