package finebore.desk.plan;

import finebore.code.Term;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.flow.FlowChange;
import finebore.job.Group;
import finebore.job.Plan;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.reports.GroupFindings;
import finebore.study.ReadingKind;
import finebore.words.Words;
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
              : PlanStudy.of(work.job(), work.place(), plan, work.found()));
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
      Label more = new Label(session.say("variants.more"));
      more.setWrapText(true);
      more.setPrefWidth(170);
      more.getStyleClass().addAll("muted", "small");
      getChildren().add(more);
    }
  }

  private VBox card(SeatView work, int index, PlanStudy study, double reach) {
    Words words = work.words();
    boolean chosen = index == work.group().chosen();
    Label title =
        new Label(
            chosen
                ? words.text("variants.isPlan", "name", Group.planName(index))
                : Group.planName(index));
    title.getStyleClass().add("title");
    title.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(title, Priority.ALWAYS);
    Button choose = new Button(words.text("variants.choose"));
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
    Label flow = new Label(ChangeWords.of(study.change(), words));
    flow.setWrapText(true);
    flow.setMinHeight(Region.USE_PREF_SIZE);
    flow.getStyleClass().addAll("figure", "small");
    flow.setId("variant-flow-" + Group.planName(index));
    Label sizes = new Label(sizes(study, words));
    sizes.setWrapText(true);
    sizes.setMinHeight(Region.USE_PREF_SIZE);
    sizes.getStyleClass().addAll("small", "muted");
    GroupFindings findings =
        GroupFindings.of(
            GroupOutcome.of(work.job().withPlan(work.place(), study.plan()), work.place()),
            work.practice());
    int faults = findings.blockers().size();
    Label state =
        new Label(
            faults == 0
                ? words.text("variants.noFault")
                : "\u2717 " + words.text("variants.faults", "count", faults));
    state.getStyleClass().addAll("small", faults == 0 ? "good" : "fault");
    VBox card = new VBox(3, new HBox(8, title, choose));
    Optional<FlowChange> change = study.change();
    change.ifPresent(c -> card.getChildren().add(new SmallStrip(palette, words, c, reach)));
    card.getChildren().addAll(flow, sizes, state);
    card.getStyleClass().add("card");
    card.setPrefWidth(340);
    HBox.setHgrow(card, Priority.ALWAYS);
    return card;
  }

  private static String sizes(PlanStudy study, Words words) {
    List<String> parts = new ArrayList<>();
    parts.add(
        words.text(
            "variants.valve",
            "head",
            words.units().lengthText(study.plan().wanted().valve().headDiameterMm())));
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
                  parts.add(
                      words.label(kind) + " " + words.term(new Term.Figure(kind.dimension(), v))));
    }
    return String.join(", ", parts);
  }
}
