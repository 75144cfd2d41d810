package finebore.desk.plan;

import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.valve.Underhead;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The left column: seat and valve as planned or as found, and the job itself. */
final class EditorColumn extends VBox {

  private final JobSession session;
  private final ScrollPane scroll = new ScrollPane();
  private final VBox pairing = new VBox(6);
  private final JobEditor job;
  private final OperationsPane operations;
  private final ToggleButton steps = new ToggleButton("Operations");
  private final ToggleButton planned = new ToggleButton("Planned");
  private final ToggleButton found = new ToggleButton("Found");
  private final ToggleButton details = new ToggleButton("Job");
  private final Label standsIn =
      new Label(
          "One seat of its kind: these stand in for what is not measured of a seat. Readings are taken at the Found station.");
  private final Label underhead = heading("UNDERHEAD");

  EditorColumn(JobSession session) {
    super(8);
    this.session = session;
    this.job = new JobEditor(session);
    this.operations = new OperationsPane(session);
    getStyleClass().addAll("column", "left-column");
    ToggleGroup group = new ToggleGroup();
    for (ToggleButton button : new ToggleButton[] {steps, planned, found, details}) {
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setId("show-" + button.getText().toLowerCase(java.util.Locale.ROOT));
    }
    steps.setSelected(true);
    group
        .selectedToggleProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                was.setSelected(true);
              } else {
                choose((ToggleButton) is);
              }
            });
    HBox tabs = new HBox(2, steps, planned, found, details);
    tabs.getStyleClass().add("tabs");

    standsIn.setWrapText(true);
    standsIn.setMinHeight(USE_PREF_SIZE);
    standsIn.getStyleClass().addAll("small", "muted");
    standsIn.managedProperty().bind(standsIn.visibleProperty());
    pairing
        .getChildren()
        .addAll(
            standsIn,
            new CutStackEditor(session),
            heading("SEAT, THROAT, BOWL"),
            seatFields(),
            heading("VALVE"),
            valveFields(),
            heading("BACK CUTS"),
            new BackCutEditor(session),
            underhead,
            underheadFields());
    scroll.setFitToWidth(true);
    scroll.setContent(pairing);
    VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
    VBox.setVgrow(operations, javafx.scene.layout.Priority.ALWAYS);
    getChildren().addAll(tabs, operations);
    session.work().addListener((o, was, is) -> show(is));
    show(session.work().get());
  }

  private void choose(ToggleButton button) {
    getChildren().set(1, button == steps ? operations : scroll);
    if (button == steps) {
      return;
    }
    scroll.setContent(button == details ? job : pairing);
    if (button != details && session.isShowingFound() != (button == found)) {
      session.showFound(button == found);
    }
  }

  private void show(SeatView work) {
    standsIn.setVisible(work.showFound());
    if (!details.isSelected() && !steps.isSelected()) {
      (work.showFound() ? found : planned).setSelected(true);
    }
    underhead.setText(
        "UNDERHEAD, "
            + work.pairing().valve().underhead().form().name().toLowerCase(java.util.Locale.ROOT));
  }

  private static Label heading(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("heading");
    return label;
  }

  private FieldGrid seatFields() {
    return new FieldGrid(session)
        .pairing(
            "Seat outside Ø",
            Kind.LENGTH,
            p -> p.seat().outsideDiameterMm(),
            (p, mm) -> p.withSeat(p.seat().withOutsideDiameter(mm)))
        .pairing(
            "Below head face",
            Kind.LENGTH,
            p -> p.seat().depthMm(),
            (p, mm) -> p.withSeat(p.seat().withDepth(mm)))
        .pairing(
            "Throat Ø",
            Kind.LENGTH,
            p -> p.seat().throatDiameterMm(),
            (p, mm) -> p.withSeat(p.seat().withThroat(mm)))
        .pairing(
            "Throat length",
            Kind.LENGTH,
            p -> p.seat().throatLengthMm(),
            (p, mm) -> p.withSeat(p.seat().withThroatLength(mm)))
        .pairing(
            "Bowl Ø",
            Kind.LENGTH,
            p -> p.seat().bowlDiameterMm(),
            (p, mm) -> p.withSeat(p.seat().withBowl(mm, p.seat().bowlDepthMm())))
        .pairing(
            "Bowl below seat",
            Kind.LENGTH,
            p -> p.seat().bowlDepthMm(),
            (p, mm) -> p.withSeat(p.seat().withBowl(p.seat().bowlDiameterMm(), mm)))
        .pairing(
            "Roof angle",
            Kind.ANGLE,
            p -> p.seat().roofAngleDeg(),
            (p, deg) -> p.withSeat(p.seat().withRoofAngle(deg)));
  }

  private FieldGrid valveFields() {
    return new FieldGrid(session)
        .pairing(
            "Head Ø",
            Kind.LENGTH,
            p -> p.valve().headDiameterMm(),
            (p, mm) -> p.withValve(p.valve().withHeadDiameter(mm)))
        .pairing(
            "Margin",
            Kind.LENGTH,
            p -> p.valve().marginMm(),
            (p, mm) -> p.withValve(p.valve().withMargin(mm)))
        .pairing(
            "Face angle",
            Kind.ANGLE,
            p -> p.valve().faceAngleDeg(),
            (p, deg) -> p.withValve(p.valve().withFace(deg, p.valve().faceWidthMm())))
        .pairing(
            "Face width",
            Kind.LENGTH,
            p -> p.valve().faceWidthMm(),
            (p, mm) -> p.withValve(p.valve().withFace(p.valve().faceAngleDeg(), mm)))
        .pairing(
            "Stem Ø",
            Kind.LENGTH,
            p -> p.valve().stemDiameterMm(),
            (p, mm) -> p.withValve(p.valve().withStemDiameter(mm)))
        .pairing(
            "Edge radius",
            Kind.LENGTH,
            p -> p.valve().edgeRadiusMm(),
            (p, mm) -> p.withValve(p.valve().withEdgeRadius(mm)));
  }

  private FieldGrid underheadFields() {
    return new FieldGrid(session)
        .pairing(
            "Underhead angle",
            Kind.ANGLE,
            p -> p.valve().underhead().angleDeg(),
            (p, deg) ->
                p.withValve(
                    p.valve()
                        .withUnderhead(new Underhead(deg, p.valve().underhead().filletRadiusMm()))))
        .pairing(
            "Radius to stem",
            Kind.LENGTH,
            p -> p.valve().underhead().filletRadiusMm(),
            (p, mm) ->
                p.withValve(
                    p.valve().withUnderhead(new Underhead(p.valve().underhead().angleDeg(), mm))));
  }
}
