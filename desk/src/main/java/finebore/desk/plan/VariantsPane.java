package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.flow.FlowChange;
import finebore.job.Group;
import finebore.job.Plan;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
import finebore.reports.GroupFindings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** The variants of a group side by side, each held against the seat as found. */
final class VariantsPane extends HBox {

  private final JobSession session;
  private final AirOverlay air;
  private final Supplier<Palette> palette;
  private List<VariantCard> cards = List.of();

  VariantsPane(JobSession session, AirOverlay air, Supplier<Palette> palette) {
    super(10);
    this.session = session;
    this.air = air;
    this.palette = palette;
    setId("variants");
    setStyle("-fx-padding: 4 10 8 10;");
    air.whenSolved(
        () -> {
          if (getScene() != null) {
            follow();
          }
        });
    air.layerProperty()
        .addListener(
            (o, was, is) -> {
              if (getScene() != null) {
                ask();
                follow();
              }
            });
  }

  void show(SeatView work) {
    List<VariantCard> fresh = new ArrayList<>();
    List<Plan> plans = work.group().plans();
    for (int k = 0; k < plans.size(); k++) {
      PlanStudy study =
          plans.get(k).equals(work.plan().plan())
              ? work.plan()
              : PlanStudy.of(work.job(), work.place(), plans.get(k), work.found());
      fresh.add(new VariantCard(session, work, k, study, faults(work, study.plan()), palette));
    }
    cards = fresh;
    getChildren().setAll(cards);
    if (cards.size() < Group.MOST_PLANS) {
      Label more = new Label(session.say("variants.more"));
      more.setWrapText(true);
      more.setPrefWidth(170);
      more.getStyleClass().addAll("muted", "small");
      getChildren().add(more);
    }
    ask();
    follow();
  }

  /** Has them solved; the plan itself is asked for by the strip. */
  private void ask() {
    air.alsoAsk(cards.stream().filter(c -> !c.isPlan()).map(VariantCard::study).toList());
  }

  private static int faults(SeatView work, Plan plan) {
    return GroupFindings.of(
            GroupOutcome.of(work.job().withPlan(work.place(), plan), work.place()), work.practice())
        .blockers()
        .size();
  }

  /** Follows what has been solved. */
  private void follow() {
    List<SolvedChange> solved = cards.stream().map(c -> air.known(c.study())).toList();
    List<Optional<FlowChange>> changes = new ArrayList<>();
    double reach = 0;
    for (int k = 0; k < cards.size(); k++) {
      changes.add(cards.get(k).study().counted(solved.get(k)));
      for (FlowChange.Step step : changes.get(k).map(FlowChange::steps).orElse(List.of())) {
        reach = step.isKnown() ? Math.max(reach, Math.abs(step.share())) : reach;
      }
    }
    for (int k = 0; k < cards.size(); k++) {
      cards.get(k).show(changes.get(k), solved.get(k), air.isShown(), reach);
    }
  }
}
