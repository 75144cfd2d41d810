package finebore.desk.plan;

import finebore.code.RuleViolation;
import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.Tabs;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Figures;
import finebore.job.Job;
import finebore.job.PairingPart;
import finebore.job.Plan;
import finebore.quantity.Setting;
import finebore.valve.Pairing;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
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
  private final Label cuts = new Label();
  private final Map<PairingPart, Hyperlink> backs = new EnumMap<>(PairingPart.class);
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
    Tabs.keepOne(group, tab -> choose((ToggleButton) tab));
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
    sameAsFound.setOnAction(e -> takeFound(sameAsFound.getId(), p -> typical(session.job())));
    pairing
        .getChildren()
        .addAll(
            standsIn,
            sameAsFound,
            heading(PairingPart.CUTS, cuts),
            new CutStackEditor(session),
            heading(PairingPart.SEAT, new Label(session.say("plan.seat"))),
            fields(Figures.SEAT),
            heading(PairingPart.VALVE, new Label(session.say("plan.valve"))),
            fields(Figures.VALVE),
            heading(PairingPart.BACK_CUTS, new Label(session.say("plan.backCuts"))),
            new BackCutEditor(session),
            heading(PairingPart.UNDERHEAD, underhead),
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
    Pairing asFound = work.job().typical(work.port());
    sameAsFound.setVisible(!work.showFound() && !work.pairing().equals(asFound));
    backs.forEach(
        (part, back) ->
            back.setVisible(!work.showFound() && !part.isSame(work.pairing(), asFound)));
    cuts.setText(session.say("cuts.heading", "unit", session.units().length().symbol()));
    if (!steps.isSelected()) {
      (work.showFound() ? found : planned).setSelected(true);
    }
    underhead.setText(
        session.say("plan.underhead", "form", work.pairing().valve().underhead().form()));
  }

  /** The heading of a group of figures, with a way back to what was found. */
  private HBox heading(PairingPart part, Label name) {
    name.getStyleClass().add("heading");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Hyperlink back = new Hyperlink(session.say("plan.sameAsFound"));
    back.setId("same-as-found-" + part.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    back.setAccessibleText(
        session.say("plan.sameAsFound.part", "part", name.getText(), "found", back.getText()));
    back.setOnAction(
        e -> takeFound(back.getId(), plan -> part.take(plan.wanted(), typical(session.job()))));
    HBox line = new HBox(4, name, gap, back);
    line.setAlignment(Pos.BASELINE_LEFT);
    backs.put(part, back);
    return line;
  }

  private Pairing typical(Job job) {
    return job.typical(session.work().get().port());
  }

  private void takeFound(String id, Function<Plan, Pairing> wanted) {
    try {
      session.editPlan("", p -> p.following(wanted.apply(p)));
      session.messages().clear(id);
    } catch (RuleViolation e) {
      session.messages().refuse(id, session.words().say(e));
    }
  }

  private FieldGrid fields(List<Setting<Pairing>> settings) {
    FieldGrid grid = new FieldGrid(session);
    settings.forEach(grid::pairing);
    return grid;
  }
}
