package finebore.desk.found;

import finebore.desk.session.JobSession;
import finebore.desk.theme.Palette;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.practice.FoundFindings;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
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
  private final Label title = new Label();
  private final Label assumed = new Label();
  private final Label told = new Label();
  private final TextField material = new TextField();
  private final Button exception = new Button();
  private final Label heading = new Label();
  private final VBox rows = new VBox();
  private List<Finding> findings = List.of();
  private boolean visible;

  public FoundStation(JobSession session, Supplier<Palette> palette, Supplier<Double> textScale) {
    this.session = session;
    setId("found-station");
    plan = new HeadPlanView(session, palette, textScale, this::doubtful);
    section = new FoundSection(session, palette, textScale);
    sheet = new ReadingSheet(session, this::tell);
    figures = new HeadFigures(session);
    title.getStyleClass().add("title");
    title.setId("found-title");
    assumed.setId("assumed");
    assumed.setWrapText(true);
    assumed.setMinHeight(Region.USE_PREF_SIZE);
    assumed.getStyleClass().addAll("small", "muted");
    told.setId("reading-message");
    told.setWrapText(true);
    told.setMinHeight(Region.USE_PREF_SIZE);
    told.getStyleClass().add("fault");
    told.managedProperty().bind(told.textProperty().isNotEmpty());
    exception.setId("found-exception");
    exception.setMinWidth(Region.USE_PREF_SIZE);
    material.setId("found-ring-material");
    material.setPromptText("ring material");
    material.setAccessibleText("Material of the seat's insert ring");
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
    HBox head = new HBox(8, title, material, exception);
    head.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    VBox left = new VBox(6, plan, head, section, assumed);
    left.setStyle("-fx-padding: 8;");
    left.setPrefWidth(450);
    VBox.setVgrow(section, Priority.ALWAYS);
    plan.setPrefHeight(250);
    Label how =
        new Label("Readings, in the order of the hand: Enter goes on along the row. (Assumed.)");
    how.getStyleClass().addAll("small", "muted");
    VBox middle = new VBox(6, figures, how, told, sheet);
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

  private void tell(String words) {
    told.setText(words);
  }

  private Set<String> doubtful() {
    return findings.stream()
        .filter(f -> f.severity() != Finding.Severity.NOTE)
        .map(Finding::where)
        .collect(Collectors.toSet());
  }

  private void refresh() {
    if (!visible) {
      return;
    }
    Job job = session.job();
    SeatPlace place = session.seat().get();
    findings = FoundFindings.of(job, PracticeFiles.orDefault(job.practice()));
    figures.show(job);
    sheet.show(job);
    var metal = finebore.study.PlanStudy.foundSeat(job, place);
    title.setText(place.label() + "  " + place.port().word() + " as found");
    assumed.setText(
        metal.assumed().isEmpty()
            ? "Everything measured."
            : "Assumed: "
                + metal.assumed().stream()
                    .map(
                        a ->
                            a.measure().label()
                                + " "
                                + FoundFindings.text(a.measure(), a.value(), job.units()))
                    .limit(6)
                    .collect(Collectors.joining(", "))
                + (metal.assumed().size() > 6
                    ? " and " + (metal.assumed().size() - 6) + " more"
                    : ""));
    material.setVisible(metal.ring().isPresent());
    material.setManaged(metal.ring().isPresent());
    if (!material.isFocused()) {
      material.setText(job.head().readingsOf(place.label()).ringMaterial());
    }
    boolean own = job.isException(place);
    exception.setText(own ? "Follow the others" : "Make an exception");
    exception.setTooltip(
        new Tooltip(own ? "Drops its own plan" : "Gives " + place.label() + " a plan of its own"));
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
  }

  private void showFindings() {
    heading.setText(findings.isEmpty() ? "READINGS AGREE" : "TO BE LOOKED AT: " + findings.size());
    rows.getChildren().clear();
    for (Finding finding : findings) {
      Label where = new Label(finding.where());
      where.setMinWidth(46);
      where.getStyleClass().add("figure");
      Label severity =
          new Label(
              switch (finding.severity()) {
                    case FAULT -> "✗ ";
                    case CAUTION -> "! ";
                    case NOTE -> "· ";
                  }
                  + finding.severity().word());
      severity.setMinWidth(78);
      severity.getStyleClass().add(finding.severity().name().toLowerCase(Locale.ROOT));
      Label what = new Label(finding.what() + " " + finding.why());
      what.setWrapText(true);
      what.setMinHeight(Region.USE_PREF_SIZE);
      HBox.setHgrow(what, Priority.ALWAYS);
      HBox row = new HBox(8, where, severity, what);
      row.getStyleClass().add("finding-row");
      rows.getChildren().add(row);
    }
  }
}
