package finebore.desk.plan;

import finebore.desk.controls.FieldGrid;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Figures;
import finebore.quantity.Setting;
import finebore.valve.Pairing;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The left column: operations, seat and valve as planned or as found. */
final class EditorColumn extends VBox {

  private final JobSession session;
  private final ScrollPane scroll = new ScrollPane();
  private final VBox pairing = new VBox(6);
  private final OperationsPane operations;
  private final ToggleButton steps;
  private final ToggleButton planned;
  private final ToggleButton found;
  private final Label standsIn;
  private final Label underhead = new Label();
  private final Button sameAsFound;

  EditorColumn(JobSession session) {
    super(8);
    this.session = session;
    this.operations = new OperationsPane(session);
    steps = tab("plan.operations", "show-operations");
    planned = tab("plan.planned", "show-planned");
    found = tab("plan.found", "show-found");
    getStyleClass().addAll("column", "left-column");
    ToggleGroup group = new ToggleGroup();
    List.of(steps, planned, found).forEach(b -> b.setToggleGroup(group));
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
    HBox tabs = new HBox(2, steps, planned, found);
    tabs.getStyleClass().add("tabs");
    standsIn = new Label(session.say("plan.standsIn"));
    standsIn.setWrapText(true);
    standsIn.setMinHeight(USE_PREF_SIZE);
    standsIn.getStyleClass().addAll("small", "muted");
    standsIn.managedProperty().bind(standsIn.visibleProperty());
    sameAsFound = new Button(session.say("plan.sameAsFound"));
    sameAsFound.setId("same-as-found");
    sameAsFound.setTooltip(new Tooltip(session.say("plan.sameAsFound.tip")));
    sameAsFound.setMaxWidth(Double.MAX_VALUE);
    sameAsFound.managedProperty().bind(sameAsFound.visibleProperty());
    sameAsFound.setOnAction(
        e ->
            session.editPlan(
                "", p -> p.following(session.job().typical(session.work().get().port()))));
    underhead.getStyleClass().add("heading");
    pairing
        .getChildren()
        .addAll(
            standsIn,
            sameAsFound,
            new CutStackEditor(session),
            heading("plan.seat"),
            fields(Figures.SEAT),
            heading("plan.valve"),
            fields(Figures.VALVE),
            heading("plan.backCuts"),
            new BackCutEditor(session),
            underhead,
            fields(Figures.UNDERHEAD));
    scroll.setFitToWidth(true);
    scroll.setContent(pairing);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    VBox.setVgrow(operations, Priority.ALWAYS);
    getChildren().addAll(tabs, operations);
    session.work().addListener((o, was, is) -> show(is));
    show(session.work().get());
  }

  private ToggleButton tab(String key, String id) {
    ToggleButton tab = new ToggleButton(session.say(key));
    tab.setMaxWidth(Double.MAX_VALUE);
    tab.setId(id);
    return tab;
  }

  private void choose(ToggleButton button) {
    Node page = button == steps ? operations : scroll;
    getChildren().set(1, page);
    if (button == steps) {
      return;
    }
    if (session.isShowingFound() != (button == found)) {
      session.showFound(button == found);
    }
  }

  private void show(SeatView work) {
    standsIn.setVisible(work.showFound());
    sameAsFound.setVisible(
        !work.showFound() && !work.pairing().equals(work.job().typical(work.port())));
    if (!steps.isSelected()) {
      (work.showFound() ? found : planned).setSelected(true);
    }
    underhead.setText(
        session.say("plan.underhead", "form", work.pairing().valve().underhead().form()));
  }

  private Label heading(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().add("heading");
    return label;
  }

  private FieldGrid fields(List<Setting<Pairing>> settings) {
    FieldGrid grid = new FieldGrid(session);
    settings.forEach(grid::pairing);
    return grid;
  }
}
