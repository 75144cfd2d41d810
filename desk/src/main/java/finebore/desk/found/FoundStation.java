package finebore.desk.found;

import finebore.desk.controls.MessageLine;
import finebore.desk.controls.RoomView;
import finebore.desk.session.JobSession;
import finebore.desk.theme.Palette;
import finebore.finding.Severity;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.rules.HeadFindings;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * What lies on the bench: the head in plan, a sheet for a person with a gauge, the seat's section
 * as it grows, and what does not fit.
 */
public final class FoundStation extends BorderPane {

  private final JobSession session;
  private final HeadPlanView plan;
  private final FoundSection section;
  private final ReadingSheet sheet;
  private final HeadFigures figures;
  private final RoomView chamber;
  private final DoubleProperty lift = new SimpleDoubleProperty(1);
  private final ToggleButton showChamber = new ToggleButton();
  private final TraceView trace;
  private final OutlineBar outline;
  private final BooleanProperty tracing = new SimpleBooleanProperty();
  private final Label said = new Label();
  private final Label title = new Label();
  private final Label assumed = new Label();
  private final TextField material = new TextField();
  private final Button exception = new Button();
  private final Label heading = new Label();
  private final VBox rows = new VBox();
  private List<Finding> findings = List.of();
  private boolean visible;

  /** Where outlines and photographs of chambers come from. */
  public interface Outlines {
    Optional<Path> outline();

    Optional<Path> picture();
  }

  public FoundStation(JobSession session, Supplier<Palette> palette, Supplier<Double> textScale) {
    this.session = session;
    setId("found-station");
    plan = new HeadPlanView(session, palette, textScale, this::doubtful);
    section = new FoundSection(session, palette, textScale);
    sheet = new ReadingSheet(session, textScale);
    chamber =
        new RoomView("chamber", session, lift, w -> w.plan().found(), true, palette, textScale);
    KnownPlaces known = new KnownPlaces(session);
    trace = new TraceView(session, known, palette, textScale);
    outline = new OutlineBar(session, trace, known);
    figures = new HeadFigures(session);
    title.getStyleClass().add("title");
    title.setId("found-title");
    assumed.setId("assumed");
    assumed.setWrapText(true);
    assumed.setMinHeight(Region.USE_PREF_SIZE);
    assumed.getStyleClass().addAll("small", "muted");
    exception.setId("found-exception");
    exception.setMinWidth(Region.USE_PREF_SIZE);
    material.setId("found-ring-material");
    material.setPromptText(session.say("found.ringMaterial"));
    material.setAccessibleText(session.say("found.ringMaterial.name"));
    material.setPrefColumnCount(8);
    material.setOnAction(e -> takeMaterial());
    material
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                takeMaterial();
              }
            });
    HBox about = new HBox(8, material, showChamber, exception);
    about.setAlignment(Pos.CENTER_RIGHT);
    // Beside the name while there is room for both, under it otherwise.
    FlowPane head = new FlowPane(8, 4, title, about);
    head.setRowValignment(VPos.CENTER);
    chamber();
    VBox left = new VBox(6, plan, head, section, chamber, trace, outline, said, assumed);
    VBox.setVgrow(chamber, Priority.ALWAYS);
    left.setStyle("-fx-padding: 8;");
    left.setPrefWidth(450);
    VBox.setVgrow(section, Priority.ALWAYS);
    plan.setPrefHeight(250);
    Label how = new Label(session.say("found.how"));
    how.setWrapText(true);
    how.setMinHeight(Region.USE_PREF_SIZE);
    how.getStyleClass().addAll("small", "muted");
    how.setMaxWidth(Double.MAX_VALUE);
    Region says = new MessageLine("reading-message", session.messages()).inPlaceOf(how);
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox above = new HBox(8, says, moreRows());
    VBox middle = new VBox(6, figures, above, sheet);
    middle.getStyleClass().add("column");
    VBox.setVgrow(sheet, Priority.ALWAYS);
    heading.getStyleClass().add("heading");
    heading.setStyle("-fx-padding: 4 10 2 10;");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    VBox box = new VBox(heading, scroll);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    box.setId("found-findings");
    box.getStyleClass().add("findings-box");
    box.setPrefHeight(138);
    setLeft(left);
    setCenter(middle);
    setBottom(box);
    session.work().addListener((o, was, is) -> refresh());
  }

  /** What of the sheet's rows only some heads want. */
  private MenuButton moreRows() {
    MenuButton more = new MenuButton(session.say("found.rows"));
    more.setId("found-rows");
    more.setTooltip(new Tooltip(session.say("found.rows.tip")));
    more.setMinWidth(Region.USE_PREF_SIZE);
    for (Measure.Rows rows : Measure.Rows.values()) {
      if (rows != Measure.Rows.ALWAYS) {
        String key = rows.name().toLowerCase(Locale.ROOT);
        CheckMenuItem item = new CheckMenuItem(session.say("found.rows." + key));
        item.setId("found-rows-" + key);
        item.setOnAction(e -> sheet.showRows(rows, item.isSelected()));
        more.getItems().add(item);
      }
    }
    return more;
  }

  /** The chamber at full height takes the place of head and section. */
  private void chamber() {
    showChamber.setId("show-chamber");
    showChamber.setText(session.say("found.chamber"));
    showChamber.setTooltip(new Tooltip(session.say("room.show.tip")));
    showChamber.setMinWidth(Region.USE_PREF_SIZE);
    said.setId("chamber-text");
    said.setWrapText(true);
    said.setMinHeight(Region.USE_PREF_SIZE);
    said.getStyleClass().add("small");
    chamber.onLook(this::say);
    for (Region one : List.of(plan, section)) {
      one.visibleProperty().bind(showChamber.selectedProperty().not());
      one.managedProperty().bind(one.visibleProperty());
    }
    chamber.visibleProperty().bind(showChamber.selectedProperty().and(tracing.not()));
    trace.visibleProperty().bind(showChamber.selectedProperty().and(tracing));
    said.visibleProperty().bind(chamber.visibleProperty());
    outline.visibleProperty().bind(showChamber.selectedProperty());
    for (Region one : List.of(chamber, trace, said, outline)) {
      one.managedProperty().bind(one.visibleProperty());
    }
    VBox.setVgrow(trace, Priority.ALWAYS);
    outline.onBegin(() -> tracing.set(true));
    trace.onDone(() -> tracing.set(false));
    tracing.addListener((o, was, is) -> outline.tracing(is));
    showChamber
        .selectedProperty()
        .addListener(
            (o, was, is) -> {
              say();
              // The cells have their places only after the next layout.
              javafx.application.Platform.runLater(
                  () -> sheet.show(is ? Measure.WALL_12 : Measure.THROAT_12));
            });
  }

  private void say() {
    lift.set(session.job().group(session.seat().get().port()).cam().maxLiftMm());
    said.setText(showChamber.isSelected() ? String.join(" ", chamber.said()) : "");
  }

  /** Where outlines and photographs are picked. */
  public void pickFrom(Outlines outlines) {
    outline.pickFrom(outlines);
  }

  /** Shows the chamber instead of head and section. */
  public void showChamber() {
    showChamber.setSelected(true);
  }

  /** Begins to follow the job: nothing is built for a station nobody looks at. */
  public void setShown(boolean shown) {
    visible = shown;
    refresh();
  }

  /** Puts the keyboard where the next reading is due. */
  public void focus() {
    // The sheet may have been put into the window only just now.
    javafx.application.Platform.runLater(sheet::focusFirst);
  }

  public void restyle() {
    plan.requestLayout();
    section.requestLayout();
    chamber.requestLayout();
    trace.requestLayout();
    sheet.restyle();
  }

  /** A ring's material belongs to the seat whose ring was measured. */
  private void takeMaterial() {
    String label = session.seat().get().label();
    var readings = session.job().head().readingsOf(label);
    String words = material.getText().strip();
    if (material.isVisible() && !readings.ringMaterial().equals(words)) {
      session.edit(
          "",
          job -> job.withHead(job.head().withReadings(label, readings.withRingMaterial(words))));
    }
  }

  private Set<String> doubtful() {
    return findings.stream()
        .filter(f -> f.severity() != Severity.NOTE)
        .map(Finding::seat)
        .collect(Collectors.toSet());
  }

  private void refresh() {
    if (!visible) {
      return;
    }
    Job job = session.job();
    SeatPlace place = session.seat().get();
    findings = HeadFindings.of(job, session.practice());
    figures.show(job);
    sheet.show(job);
    var metal = job.foundSeat(place);
    title.setText(
        session.say(
            "section.title",
            "seat",
            place.label(),
            "port",
            place.port(),
            "state",
            session.say("section.asFound")));
    assumed.setText(known(metal, job.head().readingsOf(place.label())));
    material.setVisible(metal.ring().isPresent());
    material.setManaged(metal.ring().isPresent());
    if (!material.isFocused()) {
      material.setText(job.head().readingsOf(place.label()).ringMaterial());
    }
    boolean own = job.isException(place);
    exception.setText(session.say(own ? "operations.follow" : "operations.except"));
    exception.setTooltip(
        new Tooltip(
            session.say(
                own ? "operations.follow.tip" : "operations.except.tip", "seat", place.label())));
    exception.setOnAction(
        e ->
            session.edit(
                "",
                j ->
                    own
                        ? j.withoutException(place)
                        : j.withException(place, j.planOf(place).withReady(false))));
    showFindings();
    plan.requestLayout();
    section.requestLayout();
    say();
  }

  private String headingText() {
    boolean measured =
        session.job().head().readings().values().stream().anyMatch(r -> !r.values().isEmpty());
    if (!measured) {
      return session.say("found.nothing");
    }
    return findings.isEmpty()
        ? session.say("found.agree")
        : session.say("found.lookAt", "count", findings.size());
  }

  /** What is measured of a seat, and what is assumed. */
  private String known(FoundSeat metal, SeatReadings readings) {
    Words words = session.words();
    String measured = words.text("found.measured", "count", readings.values().size());
    List<String> assumptions =
        metal.assumed().stream()
            .map(
                a ->
                    words.label(a.measure())
                        + " "
                        + words.figure(a.measure().quantity().dimension(), a.value()))
            .toList();
    return measured
        + " "
        + (assumptions.isEmpty()
            ? words.text("found.allMeasured")
            : words.text("found.assumed", "what", String.join(", ", assumptions)));
  }

  private void showFindings() {
    heading.setText(headingText());
    rows.getChildren().clear();
    for (Finding finding : findings) {
      Label where = new Label(finding.seat());
      where.setMinWidth(46);
      where.getStyleClass().add("figure");
      Label severity =
          new Label(
              switch (finding.severity()) {
                    case FAULT -> "✗ ";
                    case CAUTION -> "! ";
                    case NOTE -> "· ";
                  }
                  + session.words().label(finding.severity()));
      severity.setMinWidth(78);
      severity.getStyleClass().add(finding.severity().key());
      Label what =
          new Label(session.words().say(finding.what()) + " " + session.words().say(finding.why()));
      what.setWrapText(true);
      what.setMinHeight(Region.USE_PREF_SIZE);
      HBox.setHgrow(what, Priority.ALWAYS);
      HBox row = new HBox(8, where, severity, what);
      row.getStyleClass().add("finding-row");
      rows.getChildren().add(row);
    }
  }
}
