package finebore.desk.plan;

import finebore.code.RuleViolation;
import finebore.desk.controls.EntryCell;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.quantity.Quantity;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The stack of cuts, chamber at the top: angle, width, order, which one seals. */
final class CutStackEditor extends VBox {

  private final JobSession session;
  private final List<Row> rows = new ArrayList<>();
  private final VBox list = new VBox(4);
  private final ToggleGroup sealing = new ToggleGroup();

  CutStackEditor(JobSession session) {
    super(4);
    this.session = session;
    setId("cut-stack");
    Button add = new Button(session.say("cuts.add"));
    add.setId("add-cut");
    add.setTooltip(new Tooltip(session.say("cuts.add.tip")));
    add.setOnAction(e -> add());
    getChildren().addAll(list, add);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private Seat seat() {
    return session.work().get().pairing().seat();
  }

  private void edit(String gesture, UnaryOperator<Seat> change) {
    session.editPairing(gesture, p -> p.withSeat(change.apply(p.seat())));
  }

  private void add() {
    edit(
        "",
        seat -> {
          double angle = Math.min(90, seat.cuts().getLast().angleDeg() + 15);
          return seat.withStack(seat.stack().withInserted(seat.cuts().size(), new Cut(angle, 1)));
        });
    rows.getLast().width.cell().requestFocus();
  }

  private void show() {
    Seat seat = seat();
    while (rows.size() < seat.cuts().size()) {
      rows.add(new Row(rows.size()));
    }
    while (rows.size() > seat.cuts().size()) {
      rows.removeLast();
    }
    if (!list.getChildren().equals(rows)) {
      list.getChildren().setAll(rows);
    }
    for (int k = 0; k < rows.size(); k++) {
      rows.get(k).show(seat, session.work().get().shownOf(k));
    }
  }

  private final class Row extends VBox {
    private final int index;
    private final RadioButton seals = new RadioButton();
    private final EntryField<OptionalDouble> angle;
    private final EntryField<OptionalDouble> width;
    private final Button up;
    private final Button down;
    private final Button remove;
    private final Label remark = new Label();

    private EntryField<OptionalDouble> field(
        String id,
        Quantity quantity,
        String key,
        String cut,
        EntryCell.Taker<OptionalDouble> taker) {
      return EntryField.of(
              "field-" + id, Grammar.number(quantity), session::words, session.messages(), taker)
          .namedBeside(session.say(key, "cut", cut))
          .onGestureEnd(session::endGesture);
    }

    Row(int index) {
      this.index = index;
      String name = session.say("cuts.cut", "number", index + 1);
      String id = "cut-" + (index + 1);
      angle = field(id + "-angle", Quantity.CUT_ANGLE, "cuts.angle", name, this::takeAngle);
      width = field(id + "-width", Quantity.CUT_WIDTH, "cuts.width", name, this::takeWidth);
      angle.withoutUnit().cell().setPrefColumnCount(3);
      width.withoutUnit();
      up = button("▲", id + "-up", session.say("cuts.up", "cut", name), () -> swap(index - 1));
      down =
          button("▼", id + "-down", session.say("cuts.down", "cut", name), () -> swap(index + 1));
      remove =
          button(
              "✕",
              id + "-remove",
              session.say("cuts.remove", "cut", name),
              () -> edit("", s -> s.withStack(s.stack().without(index))));
      seals.setToggleGroup(sealing);
      seals.setId("cut-" + (index + 1) + "-seals");
      seals.setAccessibleText(session.say("cuts.seals", "cut", name));
      seals.setTooltip(new Tooltip(session.say("cuts.seals.tip")));
      seals.setOnAction(e -> seal());
      seals.setStyle("-fx-padding: 4 0 0 0;");
      HBox.setHgrow(width, Priority.ALWAYS);
      HBox line = new HBox(3, seals, angle, width, up, down, remove);
      line.setAlignment(Pos.TOP_LEFT);
      remark.getStyleClass().addAll("small", "caution");
      getChildren().addAll(line, remark);
    }

    private Button button(String sign, String id, String name, Runnable action) {
      Button button = new Button(sign);
      button.getStyleClass().add("icon-button");
      button.setMinWidth(USE_PREF_SIZE);
      button.setId(id);
      button.setAccessibleText(name);
      button.setTooltip(new Tooltip(name));
      button.setOnAction(e -> action.run());
      return button;
    }

    private void swap(int other) {
      edit("", s -> s.withStack(s.stack().withSwapped(index, other)));
    }

    private void takeAngle(String gesture, OptionalDouble deg) {
      edit(gesture, s -> s.withCut(index, s.cuts().get(index).withAngle(deg.orElseThrow())));
    }

    private void takeWidth(String gesture, OptionalDouble mm) {
      edit(gesture, s -> s.withCut(index, s.cuts().get(index).withWidth(mm.orElseThrow())));
    }

    private void seal() {
      try {
        edit("", s -> s.withCuts(s.cuts(), index));
      } catch (RuleViolation e) {
        remark.setText("✗ " + session.words().say(e));
        remark.setVisible(true);
        remark.setManaged(true);
        CutStackEditor.this.rows.get(seat().sealing()).seals.setSelected(true);
      }
    }

    private String words(ShownCut shown) {
      return shown.neverTouches()
          ? session.say("cuts.never")
          : shown.isShort()
              ? session.say("cuts.shows", "width", session.units().lengthText(shown.shownMm()))
              : "";
    }

    void show(Seat seat, Optional<ShownCut> came) {
      Cut cut = seat.cuts().get(index);
      angle.show(OptionalDouble.of(cut.angleDeg()));
      width.show(OptionalDouble.of(cut.widthMm()));
      seals.setSelected(seat.sealing() == index);
      up.setDisable(index == 0);
      down.setDisable(index == seat.cuts().size() - 1);
      remove.setDisable(seat.cuts().size() == 1);
      String words = came.map(this::words).orElse("");
      remark.setText(words);
      remark.setVisible(!words.isEmpty());
      remark.setManaged(!words.isEmpty());
    }
  }
}
