package finebore.desk.plan;

import finebore.code.Term;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.flow.FlowChange;
import finebore.job.Group;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
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

/** One variant: what it changes of the flow, what that rests on, its sizes and its faults. */
final class VariantCard extends VBox {

  private final Words words;
  private final PlanStudy study;
  private final boolean isPlan;
  private final SmallStrip strip;
  private final Label flow;
  private final Label basis;

  VariantCard(
      JobSession session,
      SeatView work,
      int index,
      PlanStudy study,
      int faults,
      Supplier<Palette> palette) {
    super(3);
    words = work.words();
    this.study = study;
    isPlan = index == work.group().chosen();
    String name = Group.planName(index);
    Label title = new Label(isPlan ? words.text("variants.isPlan", "name", name) : name);
    title.getStyleClass().add("title");
    title.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(title, Priority.ALWAYS);
    Button choose = new Button(words.text("variants.choose"));
    choose.setId("choose-" + name);
    choose.setMinWidth(Region.USE_PREF_SIZE);
    choose.setVisible(!isPlan);
    choose.setOnAction(
        e ->
            session.edit(
                "", job -> job.withGroup(work.port(), job.group(work.port()).withChosen(index))));
    strip = new SmallStrip(palette, words);
    flow = wrapped("variant-flow-" + name, "figure");
    basis = wrapped("variant-basis-" + name, "muted");
    Label sizes = wrapped("variant-sizes-" + name, "muted");
    sizes.setText(sizes());
    Label state = wrapped("variant-state-" + name, faults == 0 ? "good" : "fault");
    state.setText(
        faults == 0
            ? words.text("variants.noFault")
            : "\u2717 " + words.text("variants.faults", "count", faults));
    getChildren().addAll(new HBox(8, title, choose), flow, basis, sizes, state);
    if (study.change().isPresent()) {
      getChildren().add(1, strip);
    }
    getStyleClass().add("card");
    setPrefWidth(340);
    HBox.setHgrow(this, Priority.ALWAYS);
  }

  private static Label wrapped(String id, String style) {
    Label label = new Label();
    label.setId(id);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().addAll("small", style);
    return label;
  }

  PlanStudy study() {
    return study;
  }

  boolean isPlan() {
    return isPlan;
  }

  /**
   * Shows its change of flow.
   *
   * @param change in which what is solved counts
   * @param solved what is
   * @param isSolving whether what is not solved yet is on its way
   * @param reach largest change among all cards, as a share
   */
  void show(Optional<FlowChange> change, SolvedChange solved, boolean isSolving, double reach) {
    flow.setText(ChangeWords.of(change, words));
    change.ifPresent(c -> strip.show(c, solved, reach));
    basis.setVisible(change.isPresent());
    basis.setText(
        solved.count() == 0
            ? words.text(isSolving ? "variants.unsolved" : "variants.estimated")
            : words.text(
                "variants.solved",
                "done",
                solved.count(),
                "all",
                change.map(c -> c.steps().size()).orElse(0)));
  }

  private String sizes() {
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
