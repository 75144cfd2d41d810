package finebore.desk.plan;

import finebore.code.RuleViolation;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.quantity.Quantity;
import finebore.seat.Cut;
import finebore.units.Dimension;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The cuts behind the valve face: any number of them, face first. */
final class BackCutEditor extends VBox {

  /** Less is as found. */
  private static final double LEAST_MM = 0.005;

  private final JobSession session;
  private final VBox list = new VBox(4);
  private final List<EntryField<OptionalDouble>> angles = new ArrayList<>();
  private final List<EntryField<OptionalDouble>> widths = new ArrayList<>();
  private final Label problem = new Label();
  private final Label thickness = new Label();

  BackCutEditor(JobSession session) {
    super(4);
    this.session = session;
    setId("back-cuts");
    problem.getStyleClass().addAll("small", "fault");
    problem.setWrapText(true);
    Button add = new Button(session.say("backCuts.add"));
    add.setId("add-back-cut");
    add.setTooltip(new Tooltip(session.say("backCuts.add.tip")));
    add.setOnAction(e -> add());
    thickness.setId("valve-thickness");
    thickness.getStyleClass().addAll("small", "muted");
    thickness.setWrapText(true);
    thickness.setTooltip(new Tooltip(session.say("backCuts.thickness.tip")));
    getChildren().addAll(list, problem, add, thickness);
    session.work().addListener((o, was, is) -> show());
    say("");
    show();
  }

  private void edit(String gesture, UnaryOperator<Valve> change) {
    session.editPairing(gesture, p -> p.withValve(change.apply(p.valve())));
    say("");
  }

  private void say(String words) {
    problem.setText(words);
    problem.setVisible(!words.isEmpty());
    problem.setManaged(!words.isEmpty());
  }

  private void add() {
    try {
      edit(
          "",
          valve -> {
            List<Cut> cuts = new ArrayList<>(valve.backCuts());
            double angle =
                cuts.isEmpty()
                    ? Math.min(30, valve.faceAngleDeg() - 10)
                    : cuts.getLast().angleDeg() - 10;
            cuts.add(new Cut(Math.max(5, angle), 1));
            return valve.withBackCuts(cuts);
          });
    } catch (RuleViolation e) {
      say("✗ " + session.words().say(e));
    }
  }

  private void remove(int index) {
    edit(
        "",
        valve -> {
          List<Cut> cuts = new ArrayList<>(valve.backCuts());
          cuts.remove(index);
          return valve.withBackCuts(cuts);
        });
  }

  private void show() {
    List<Cut> cuts = session.work().get().pairing().valve().backCuts();
    if (cuts.size() != angles.size()) {
      angles.clear();
      widths.clear();
      list.getChildren().clear();
      for (int k = 0; k < cuts.size(); k++) {
        list.getChildren().add(row(k));
      }
      say("");
    }
    sayThickness(session.work().get());
    for (int k = 0; k < cuts.size(); k++) {
      angles.get(k).show(OptionalDouble.of(cuts.get(k).angleDeg()));
      widths.get(k).show(OptionalDouble.of(cuts.get(k).widthMm()));
    }
  }

  /** What a cut drags along when it is typed, beside the valve as found. */
  private void sayThickness(SeatView now) {
    double mm = now.pairing().valve().thicknessAtStemMm();
    double more = mm - now.job().foundValve(now.place()).thicknessAtStemMm();
    String key = "backCuts.thickness";
    if (Math.abs(more) >= LEAST_MM) {
      key = more > 0 ? "backCuts.thicker" : "backCuts.thinner";
    }
    thickness.setText(session.say(key, "now", length(mm), "by", length(Math.abs(more))));
  }

  private String length(double mm) {
    return session.words().figure(Dimension.LENGTH, mm);
  }

  private EntryField<OptionalDouble> field(
      String id, Quantity quantity, String name, BiFunction<Valve, Double, Valve> with) {
    return EntryField.of(
            id,
            Grammar.number(quantity),
            session::words,
            session.messages(),
            (gesture, value) -> edit(gesture, v -> with.apply(v, value.orElseThrow())))
        .namedBeside(name)
        .onGestureEnd(session::endGesture);
  }

  private HBox row(int k) {
    String name = session.say("backCuts.cut", "number", k + 1);
    String id = "field-back-cut-" + (k + 1);
    EntryField<OptionalDouble> angle =
        field(
            id + "-angle",
            Quantity.CUT_ANGLE,
            session.say("cuts.angle", "cut", name),
            (v, deg) -> v.withBackCut(k, v.backCuts().get(k).withAngle(deg)));
    EntryField<OptionalDouble> width =
        field(
            id + "-width",
            Quantity.CUT_WIDTH,
            session.say("cuts.width", "cut", name),
            (v, mm) -> v.withBackCut(k, v.backCuts().get(k).withWidth(mm)));
    angle.cell().setPrefColumnCount(3);
    HBox.setHgrow(width, Priority.ALWAYS);
    angles.add(angle);
    widths.add(width);
    Button remove = new Button("✕");
    remove.getStyleClass().add("icon-button");
    remove.setId("back-cut-" + (k + 1) + "-remove");
    remove.setAccessibleText(session.say("cuts.remove", "cut", name));
    remove.setTooltip(new Tooltip(session.say("cuts.remove", "cut", name)));
    remove.setOnAction(e -> remove(k));
    HBox row = new HBox(3, angle, width, remove);
    row.setAlignment(Pos.TOP_LEFT);
    return row;
  }
}
