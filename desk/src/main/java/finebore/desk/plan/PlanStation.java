package finebore.desk.plan;

import finebore.desk.controls.MessageLine;
import finebore.desk.controls.RoomView;
import finebore.desk.session.AirWatch;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.flow.Losses;
import finebore.reports.AirColours.Layer;
import finebore.units.Dimension;
import finebore.words.LossWords;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The heart of the desk: one seat in section, its cuts and valve, what follows from them, and the
 * flow.
 */
public final class PlanStation extends BorderPane {

  private static final double NARROW = 1150;

  private Optional<Boolean> editorsShown = Optional.empty();
  private Optional<Boolean> readingsShown = Optional.empty();

  /** What the room round the valve takes of the drawing's width while it is shown. */
  private static final double ROOM_SHARE = 0.46;

  private final JobSession session;
  private final Supplier<Double> textScale;
  private final SectionView section;
  private final RoomView room;
  private final ToggleButton showRoom = new ToggleButton();
  private final Label roomText = new Label();
  private final LiftStrip strip;
  private final Slider lever = new Slider(0, 12, 3);
  private final Label leverText = new Label();
  private final Label title = new Label();
  private final Label gateText = new Label();
  private final Label lossText = new Label();
  private final Label airText = new Label();
  private final Button saveAir = new Button("\u2913");
  private final MessageLine message;
  private final HBox trying = new HBox(10);
  private final Label tryingText = new Label();
  private final EditorColumn editors;
  private final ReadingsPane readings;
  private final BelowPane below;
  private final SizesPane sizes;
  private final ToggleButton showSizes = new ToggleButton();

  public PlanStation(
      JobSession session, AirWatch watch, Supplier<Palette> palette, Supplier<Double> textScale) {
    this.session = session;
    this.textScale = textScale;
    setId("plan-station");
    section = new SectionView(session, watch, palette, textScale);
    room =
        new RoomView(
            "room", session, section.liftProperty(), SeatView::shown, false, palette, textScale);
    strip = new LiftStrip(session, section.liftProperty(), section.air(), palette, textScale);
    editors = new EditorColumn(session);
    readings = new ReadingsPane(session);
    below = new BelowPane(session, section.air(), palette, textScale);
    sizes = new SizesPane(session, palette, textScale);
    strip.fit();

    title.getStyleClass().add("title");
    title.setId("section-title");
    gateText.setId("gate-text");
    gateText.setMinHeight(Region.USE_PREF_SIZE);
    lossText.setId("loss-text");
    lossText.setMinHeight(Region.USE_PREF_SIZE);
    message = new MessageLine("section-message", session.messages());

    saveAir.setId("air-save");
    saveAir.getStyleClass().add("icon-button");
    saveAir.setMinWidth(Region.USE_PREF_SIZE);
    saveAir.setAccessibleText(session.say("section.air.save"));
    saveAir.setTooltip(new Tooltip(session.say("section.air.save")));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head =
        new HBox(
            4,
            title,
            gap,
            showRoom,
            showSizes,
            layer(Layer.SPEED, "A"),
            layer(Layer.LOST, "L"),
            saveAir,
            viewButton(session.say("section.fit"), "F", "fit", section::fit),
            viewButton(session.say("section.whole"), "W", "whole", section::fitWhole),
            viewButton("+", "+", "zoom-in", () -> section.zoom(1.25)),
            viewButton("−", "-", "zoom-out", () -> section.zoom(0.8)),
            fold("\u25e7", "fold-editors", () -> editorsShown = flip(editors)),
            fold("\u25e8", "fold-readings", () -> readingsShown = flip(readings)));
    head.setAlignment(Pos.CENTER_LEFT);
    head.setStyle("-fx-padding: 4 8 4 10;");

    lever();
    VBox leverBox = new VBox(3, leverText, lever);
    leverBox.setAlignment(Pos.TOP_CENTER);
    leverBox.setMinWidth(62);
    leverBox.setStyle("-fx-padding: 4 4 4 4;");
    VBox.setVgrow(lever, Priority.ALWAYS);
    roomToggle();
    HBox drawing = new HBox(room, section, leverBox);
    sizesToggle(drawing);
    room.prefWidthProperty().bind(drawing.widthProperty().multiply(ROOM_SHARE));
    HBox.setHgrow(section, Priority.ALWAYS);
    VBox.setVgrow(drawing, Priority.ALWAYS);

    gateText.setWrapText(true);
    lossText.setWrapText(true);
    airText.setId("air-text");
    airText.setWrapText(true);
    section.air().whenNews(this::showAir);
    roomText.setId("room-text");
    roomText.setWrapText(true);
    roomText.setMinHeight(Region.USE_PREF_SIZE);
    roomText.managedProperty().bind(roomText.textProperty().isNotEmpty());
    // What is said takes the place of what the section says, so that the drawing keeps its room.
    Region says = message.inPlaceOf(new VBox(gateText, lossText));
    section.liftProperty().addListener((o, was, is) -> session.messages().clear());
    VBox foot = new VBox(says, airText, roomText);
    foot.setStyle("-fx-padding: 3 10 3 10;");
    foot.visibleProperty().bind(showSizes.selectedProperty().not());
    foot.managedProperty().bind(foot.visibleProperty());
    trying.getStyleClass().addAll("banner", "preview");
    trying.setAlignment(Pos.CENTER_LEFT);
    Button keep = new Button(session.say("try.keep"));
    keep.setId("keep-tried");
    keep.setOnAction(e -> session.keepTried());
    Button back = new Button(session.say("try.back"));
    back.setId("put-back");
    back.setOnAction(e -> session.putBack());
    tryingText.setWrapText(true);
    HBox.setHgrow(tryingText, Priority.ALWAYS);
    tryingText.setMaxWidth(Double.MAX_VALUE);
    keep.setMinWidth(Region.USE_PREF_SIZE);
    back.setMinWidth(Region.USE_PREF_SIZE);
    trying.getChildren().addAll(tryingText, keep, back);

    VBox middle = new VBox(trying, head, sizes, drawing, foot, strip);
    BorderPane work = new BorderPane();
    work.setCenter(middle);
    work.setRight(readings);
    work.setBottom(below);
    setLeft(editors);
    setCenter(work);
    widthProperty().addListener((o, was, is) -> widths(is.doubleValue()));
    widths(NARROW);
    section.liftProperty().addListener((o, was, is) -> showLift());
    session.work().addListener((o, was, is) -> show(is));
    // Keeping a tried cure leaves all figures as they are, so the work itself does not change then.
    session.tried().addListener((o, was, is) -> show(session.work().get()));
    show(session.work().get());
  }

  private void roomToggle() {
    showRoom.setText(session.say("room.show"));
    showRoom.setId("show-room");
    showRoom.getStyleClass().add("icon-button");
    showRoom.setMinWidth(Region.USE_PREF_SIZE);
    showRoom.setTooltip(new Tooltip(session.say("room.show.tip") + " (R)"));
    room.managedProperty().bind(showRoom.selectedProperty());
    room.visibleProperty().bind(showRoom.selectedProperty());
    section.onRoom(showRoom::fire);
    room.onLook(this::showRoomText);
    showRoom
        .selectedProperty()
        .addListener(
            (o, was, is) -> {
              showRoomText();
              widths(getWidth());
            });
  }

  /** The chart of sizes takes the place of the drawings. */
  private void sizesToggle(HBox drawing) {
    showSizes.setText(session.say("sizes.show"));
    showSizes.setId("show-sizes");
    showSizes.getStyleClass().add("icon-button");
    showSizes.setMinWidth(Region.USE_PREF_SIZE);
    showSizes.setTooltip(new Tooltip(session.say("sizes.show.tip") + " (V)"));
    sizes.visibleProperty().bind(showSizes.selectedProperty());
    sizes.managedProperty().bind(sizes.visibleProperty());
    drawing.visibleProperty().bind(showSizes.selectedProperty().not());
    drawing.managedProperty().bind(drawing.visibleProperty());
    VBox.setVgrow(sizes, Priority.ALWAYS);
    section.onSizes(showSizes::fire);
    sizes.addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.V) {
            showSizes.fire();
            section.requestFocus();
            e.consume();
          }
        });
    showSizes.selectedProperty().addListener((o, was, is) -> widths(getWidth()));
  }

  private void showRoomText() {
    roomText.setText(showRoom.isSelected() ? String.join(" ", room.said()) : "");
  }

  private Button fold(String sign, String id, Runnable action) {
    String tip = session.say("section." + id);
    Button button = new Button(sign);
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.setOnAction(
        e -> {
          action.run();
          widths(getWidth());
        });
    return button;
  }

  private ToggleButton layer(Layer layer, String key) {
    String code = layer.name().toLowerCase(Locale.ROOT);
    String words = session.say("section.air." + code);
    ToggleButton button = new ToggleButton(words);
    button.setId("air-" + code);
    button.getStyleClass().add("icon-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setTooltip(new Tooltip(session.say("section.air." + code + ".tip") + " (" + key + ")"));
    button.setOnAction(e -> section.air().toggle(layer));
    section
        .air()
        .layerProperty()
        .addListener((o, was, is) -> button.setSelected(is.equals(Optional.of(layer))));
    return button;
  }

  private void showAir() {
    List<String> said = section.air().said();
    airText.setText(String.join(" ", said));
    airText.setVisible(!said.isEmpty());
    airText.setManaged(!said.isEmpty());
    saveAir.setDisable(section.air().flow().isEmpty());
    saveAir.setVisible(section.air().isShown());
    saveAir.setManaged(section.air().isShown());
  }

  /** What is to happen when the picture of the air is to be kept. */
  public void onSaveAir(Runnable save) {
    saveAir.setOnAction(e -> save.run());
  }

  /** Shows a layer of the solved air. */
  public void showAir(Layer layer) {
    section.air().layerProperty().set(Optional.of(layer));
  }

  /** Whether all the air that was asked for is solved and shown. */
  public boolean isAirSolved() {
    return section.air().isDone();
  }

  /** Whether the sizes of what is planned now are shown, where they are. */
  public boolean isSized() {
    return sizes.isWorkedOut();
  }

  /** The picture of the air, or its figures, for a file of a name. */
  public Optional<byte[]> airFile(String name) {
    return section.air().file(name);
  }

  private static Optional<Boolean> flip(Region column) {
    return Optional.of(!column.isManaged());
  }

  /**
   * The section keeps its room; what is folded away for that, or by choice, comes back by choice.
   */
  private void foldColumns(double width) {
    // Two drawings beside each other need what the readings take.
    boolean roomy =
        width >= NARROW * textScale.get() && !showRoom.isSelected() && !showSizes.isSelected();
    show(editors, editorsShown.orElse(true));
    show(readings, readingsShown.orElse(roomy));
  }

  private static void show(Region column, boolean shown) {
    column.setVisible(shown);
    column.setManaged(shown);
  }

  private void widths(double width) {
    foldColumns(width);
    for (Region column : List.of(editors, readings)) {
      column.getStyleClass().remove("narrow");
      if (width < NARROW * textScale.get()) {
        column.getStyleClass().add("narrow");
      }
    }
  }

  private static Button viewButton(String words, String key, String id, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setTooltip(new Tooltip(words + " (" + key + ")"));
    button.setOnAction(e -> action.run());
    return button;
  }

  private void lever() {
    lever.setOrientation(Orientation.VERTICAL);
    lever.setId("lift-lever");
    lever.setAccessibleText(session.say("section.lever"));
    lever.setTooltip(new Tooltip(session.say("section.lever.tip")));
    lever.valueProperty().bindBidirectional(section.liftProperty());
    lever.setBlockIncrement(0.5);
    leverText.getStyleClass().addAll("figure", "small");
    leverText.setId("lift-text");
    leverText.setMinWidth(Region.USE_PREF_SIZE);
  }

  /** Fits the columns and drawings to another look or text size. */
  public void restyle() {
    widths(getWidth());
    section.redraw();
    room.requestLayout();
    sizes.restyle();
    strip.fit();
    strip.requestLayout();
  }

  /** Shows a part of the station: plan, variants or suggest. */
  public void show(String view) {
    if (view.equals("room")) {
      showRoom.setSelected(true);
    } else if (view.equals("sizes")) {
      showSizes.setSelected(true);
    } else {
      below.show(view);
    }
  }

  /** The section, for keys that belong to it. */
  public SectionView section() {
    return section;
  }

  private void show(SeatView work) {
    double top = Math.max(work.job().test().liftsMm().getLast(), work.group().cam().maxLiftMm());
    lever.setMax(top);
    title.setText(
        work.words()
            .text(
                "section.title",
                "seat",
                session.seat().get().label(),
                "port",
                work.port(),
                "state",
                state(work)));
    boolean tries = session.tried().get().isPresent();
    trying.setVisible(tries);
    trying.setManaged(tries);
    session
        .tried()
        .get()
        .ifPresent(
            cure ->
                tryingText.setText(
                    session.say("try.text", "cure", session.words().say(cure.message()))));
    showLift();
  }

  private static String state(SeatView work) {
    Words words = work.words();
    if (work.showFound()) {
      return words.text("section.asFound");
    }
    if (work.isScrubbed()) {
      return work.steps() == 0
          ? words.text("section.foundUnderPlanned")
          : words.text("section.afterOperation", "number", work.steps());
    }
    return work.job().isException(work.place())
        ? words.text("section.exception")
        : words.text("section.asPlanned", "count", work.job().alike(work.place()).size());
  }

  private void showLift() {
    showRoomText();
    showAir();
    SeatView work = session.work().get();
    UnitSystem units = work.units();
    Words words = work.words();
    double lift = section.liftProperty().get();
    lossText.setText("");
    leverText.setText(units.shortLength(lift) + " " + units.length().symbol());
    if (work.shown().seated().isEmpty()) {
      gateText.setText(words.text("gate.fallsThrough"));
    } else if (lift <= 0) {
      gateText.setText(words.text("gate.closed"));
    } else {
      Losses losses = work.shown().lossesAt(lift);
      gateText.setText(
          words.text(
              "gate.text",
              "area",
              words.figure(Dimension.AREA, losses.gate().areaMm2()),
              "place",
              words.say(losses.gate().place().message()),
              "effective",
              words.figure(Dimension.AREA, losses.effectiveAreaMm2())));
      lossText.setText(
          words.text(
              "gate.losses", "losses", LossWords.of(losses.parts(), work.calibration(), words)));
    }
  }
}
