package finebore.desk.plan;

import finebore.desk.controls.NumberField;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.seat.Cut;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
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

  private final JobSession session;
  private final VBox list = new VBox(4);
  private final List<NumberField> angles = new ArrayList<>();
  private final List<NumberField> widths = new ArrayList<>();
  private final Label problem = new Label();

  BackCutEditor(JobSession session) {
    super(4);
    this.session = session;
    setId("back-cuts");
    problem.getStyleClass().addAll("small", "fault");
    problem.setWrapText(true);
    Button add = new Button("Add a back cut");
    add.setId("add-back-cut");
    add.setTooltip(new Tooltip("30° and 1 mm wide, or 10° flatter than the one before"));
    add.setOnAction(e -> add());
    getChildren().addAll(list, problem, add);
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
    } catch (IllegalArgumentException e) {
      say("✗ " + e.getMessage());
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
    for (int k = 0; k < cuts.size(); k++) {
      angles.get(k).show(cuts.get(k).angleDeg());
      widths.get(k).show(cuts.get(k).widthMm());
    }
  }

  private HBox row(int k) {
    String name = "Back cut " + (k + 1);
    NumberField angle =
        new NumberField(
            name + " angle",
            Kind.ANGLE,
            session::units,
            (gesture, deg) ->
                edit(gesture, v -> v.withBackCut(k, v.backCuts().get(k).withAngle(deg))),
            session::endGesture);
    NumberField width =
        new NumberField(
            name + " width",
            Kind.LENGTH,
            session::units,
            (gesture, mm) ->
                edit(gesture, v -> v.withBackCut(k, v.backCuts().get(k).withWidth(mm))),
            session::endGesture);
    angle.textField().setPrefColumnCount(3);
    HBox.setHgrow(width, Priority.ALWAYS);
    angles.add(angle);
    widths.add(width);
    Button remove = new Button("✕");
    remove.getStyleClass().add("icon-button");
    remove.setAccessibleText(name + " remove");
    remove.setTooltip(new Tooltip(name + " remove"));
    remove.setOnAction(e -> remove(k));
    HBox row = new HBox(3, angle, width, remove);
    row.setAlignment(Pos.TOP_LEFT);
    return row;
  }
}
