package finebore.desk.plan;

import finebore.code.RuleViolation;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.seat.ShownElement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;
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
    add.setOnAction(e -> add(angle -> new Cut(angle, 1)));
    Button arc = new Button(session.say("cuts.arc"));
    arc.setId("add-cut-arc");
    arc.setTooltip(new Tooltip(session.say("cuts.arc.tip")));
    arc.setOnAction(e -> add(angle -> new Arc(Math.min(85, angle), 90, 5)));
    getChildren().addAll(list, new HBox(4, add, arc));
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private Seat seat() {
    return session.work().get().pairing().seat();
  }

  private void edit(String gesture, UnaryOperator<Seat> change) {
    session.editPairing(gesture, p -> p.withSeat(change.apply(p.seat())));
  }

  /** Adds an element below the last one. */
  private void add(DoubleFunction<Element> element) {
    edit(
        "",
        seat -> {
          double angle = Math.min(75, seat.cuts().getLast().angleDeg()) + 15;
          List<Element> changed = new ArrayList<>(seat.stack().elements());
          changed.add(element.apply(angle));
          return seat.withStack(new CutStack(changed, seat.stack().sealingElement()));
        });
    rows.getLast().last().cell().requestFocus();
  }

  private void show() {
    List<Element> elements = seat().stack().elements();
    while (rows.size() > elements.size()) {
      rows.removeLast();
    }
    for (int k = 0; k < elements.size(); k++) {
      boolean arc = elements.get(k) instanceof Arc;
      if (k == rows.size()) {
        rows.add(new Row(k, arc));
      } else if (rows.get(k).arc != arc) {
        rows.set(k, new Row(k, arc));
      }
    }
    if (!list.getChildren().equals(rows)) {
      list.getChildren().setAll(rows);
    }
    rows.forEach(Row::show);
  }

  private final class Row extends VBox {
    private final int index;
    private final boolean arc;
    private final RadioButton seals = new RadioButton();
    private final Map<EntryField<OptionalDouble>, ToDoubleFunction<Element>> fields =
        new LinkedHashMap<>();
    private final Button up;
    private final Button down;
    private final Button remove;
    private final Label remark = new Label();

    Row(int index, boolean arc) {
      this.index = index;
      this.arc = arc;
      String name = session.say("cuts.cut", "number", index + 1);
      String id = "cut-" + (index + 1);
      if (arc) {
        field("from", Quantity.ARC_FROM, e -> ((Arc) e).fromDeg(), Arc.class, Arc::withFrom);
        field("to", Quantity.ARC_TO, e -> ((Arc) e).toDeg(), Arc.class, Arc::withTo);
        field("radius", Quantity.ARC_RADIUS, e -> ((Arc) e).radiusMm(), Arc.class, Arc::withRadius);
      } else {
        field("angle", Quantity.CUT_ANGLE, e -> ((Cut) e).angleDeg(), Cut.class, Cut::withAngle);
        field("width", Quantity.CUT_WIDTH, e -> ((Cut) e).widthMm(), Cut.class, Cut::withWidth);
      }
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
      seals.setId(id + "-seals");
      seals.setDisable(arc);
      seals.setAccessibleText(session.say("cuts.seals", "cut", name));
      seals.setTooltip(new Tooltip(session.say("cuts.seals.tip")));
      seals.setOnAction(e -> seal());
      seals.setStyle("-fx-padding: 4 0 0 0;");
      HBox line = new HBox(3, seals);
      line.getChildren().addAll(fields.keySet());
      line.getChildren().addAll(up, down, remove);
      HBox.setHgrow(last(), Priority.ALWAYS);
      line.setAlignment(Pos.TOP_LEFT);
      remark.getStyleClass().addAll("small", "caution");
      getChildren().addAll(line, remark);
    }

    /** The field that grows. */
    EntryField<OptionalDouble> last() {
      return List.copyOf(fields.keySet()).getLast();
    }

    private <E extends Element> void field(
        String what,
        Quantity quantity,
        ToDoubleFunction<Element> value,
        Class<E> kind,
        BiFunction<E, Double, E> with) {
      String name = session.say("cuts.cut", "number", index + 1);
      EntryField<OptionalDouble> field =
          EntryField.of(
                  "field-cut-" + (index + 1) + "-" + what,
                  Grammar.number(quantity),
                  session::words,
                  session.messages(),
                  (gesture, typed) ->
                      edit(
                          gesture,
                          s -> {
                            E before = kind.cast(s.stack().elements().get(index));
                            E after = with.apply(before, typed.orElseThrow());
                            return s.withStack(s.stack().withElement(index, after));
                          }))
              .namedBeside(session.say("cuts." + what, "cut", name))
              .withoutUnit()
              .onGestureEnd(session::endGesture);
      field.cell().setPrefColumnCount(arc ? 2 : 3);
      field.cell().setTooltip(new Tooltip(session.say("cuts." + what, "cut", name)));
      fields.put(field, value);
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

    private void seal() {
      try {
        edit("", s -> s.withStack(s.stack().sealedBy(index)));
      } catch (RuleViolation e) {
        say("✗ " + session.words().say(e));
        CutStackEditor.this.rows.get(seat().stack().sealingElement()).seals.setSelected(true);
      }
    }

    private void say(String words) {
      remark.setText(words);
      remark.setVisible(!words.isEmpty());
      remark.setManaged(!words.isEmpty());
    }

    /** What became of it in the metal, where that is not what was asked for. */
    private String came() {
      CutStack stack = seat().stack();
      Element element = stack.elements().get(index);
      int first = stack.firstCutOf(index);
      double asked = 0;
      double shown = 0;
      for (int k = first; k < first + element.cuts().size(); k++) {
        Optional<ShownCut> cut = session.work().get().shownOf(k);
        if (cut.isEmpty()) {
          return "";
        }
        asked += cut.get().cut().widthMm();
        shown += cut.get().shownMm();
      }
      ShownElement whole = new ShownElement(index, element, first, asked, shown);
      return whole.neverTouches()
          ? session.say("cuts.never")
          : whole.isShort()
              ? session.say("cuts.shows", "width", session.units().lengthText(shown))
              : "";
    }

    void show() {
      CutStack stack = seat().stack();
      Element element = stack.elements().get(index);
      fields.forEach((field, value) -> field.show(OptionalDouble.of(value.applyAsDouble(element))));
      seals.setSelected(stack.sealingElement() == index);
      up.setDisable(index == 0);
      down.setDisable(index == stack.elements().size() - 1);
      remove.setDisable(stack.elements().size() == 1);
      say(came());
    }
  }
}
