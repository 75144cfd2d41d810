package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.flow.FlowChange;
import finebore.job.Group;
import finebore.job.Plan;
import finebore.practice.PlanFindings;
import finebore.study.PlanStudy;
import finebore.study.ReadingKind;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The variants of a group side by side, each held against the seat as found. */
final class VariantsPane extends HBox {

  private final JobSession session;
  private final Supplier<Palette> palette;

  VariantsPane(JobSession session, Supplier<Palette> palette) {
    super(10);
    this.session = session;
    this.palette = palette;
    setId("variants");
    setStyle("-fx-padding: 4 10 8 10;");
  }

  void show(SeatView work) {
    Group group = work.group();
    List<PlanStudy> studies = new ArrayList<>();
    for (Plan plan : group.plans()) {
      studies.add(
          plan.equals(work.plan().plan())
              ? work.plan()
              : PlanStudy.of(work.job(), work.place(), plan, Optional.of(work.found())));
    }
    double reach =
        studies.stream()
            .flatMap(s -> s.change().stream())
            .flatMap(c -> c.steps().stream())
            .mapToDouble(s -> Math.abs(s.share()))
            .max()
            .orElse(0);
    getChildren().clear();
    for (int k = 0; k < studies.size(); k++) {
      getChildren().add(card(work, k, studies.get(k), reach));
    }
    if (group.plans().size() < Group.MOST_PLANS) {
      Label more =
          new Label(
              "Keep this plan and go on with a copy: the + beside the letters of the operations, or a suggestion kept as a variant.");
      more.setWrapText(true);
      more.setPrefWidth(170);
      more.getStyleClass().addAll("muted", "small");
      getChildren().add(more);
    }
  }

  private VBox card(SeatView work, int index, PlanStudy study, double reach) {
    UnitSystem units = work.job().units();
    boolean chosen = index == work.group().chosen();
    Label title = new Label(Group.planName(index) + (chosen ? ", the plan" : ""));
    title.getStyleClass().add("title");
    title.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(title, Priority.ALWAYS);
    Button choose = new Button("Make it the plan");
    choose.setId("choose-" + Group.planName(index));
    choose.setMinWidth(Region.USE_PREF_SIZE);
    choose.setVisible(!chosen);
    choose.setOnAction(
        e ->
            session.edit(
                "",
                job -> {
                  Group g = job.group(work.port());
                  return job.withGroup(work.port(), g.withPlans(g.plans(), index));
                }));
    Label flow = new Label(ChangeWords.of(study.change()));
    flow.setWrapText(true);
    flow.setMinHeight(Region.USE_PREF_SIZE);
    flow.getStyleClass().addAll("figure", "small");
    flow.setId("variant-flow-" + Group.planName(index));
    Label sizes = new Label(sizes(study, units));
    sizes.setWrapText(true);
    sizes.setMinHeight(Region.USE_PREF_SIZE);
    sizes.getStyleClass().addAll("small", "muted");
    int faults = PlanFindings.blockers(PlanFindings.of(study, work.practice(), units)).size();
    Label state = new Label(faults == 0 ? "no fault" : "✗ " + faults + " to be mended");
    state.getStyleClass().addAll("small", faults == 0 ? "good" : "fault");
    VBox card = new VBox(3, new HBox(8, title, choose));
    Optional<FlowChange> change = study.change();
    change.ifPresent(c -> card.getChildren().add(new SmallStrip(palette, units, c, reach)));
    card.getChildren().addAll(flow, sizes, state);
    card.getStyleClass().add("card");
    card.setPrefWidth(340);
    HBox.setHgrow(card, Priority.ALWAYS);
    return card;
  }

  private static String sizes(PlanStudy study, UnitSystem units) {
    List<String> words = new ArrayList<>();
    words.add("valve " + units.lengthText(study.plan().wanted().valve().headDiameterMm()));
    for (ReadingKind kind :
        List.of(
            ReadingKind.THROAT_RATIO,
            ReadingKind.SEAT_WIDTH,
            ReadingKind.SINK,
            ReadingKind.WATER,
            ReadingKind.REMOVED)) {
      study
          .finished()
          .reading(kind)
          .ifPresent(
              v ->
                  words.add(
                      kind.label().toLowerCase(java.util.Locale.ROOT)
                          + " "
                          + kind.quantity().text(v, units)));
    }
    return String.join(", ", words);
  }
}
