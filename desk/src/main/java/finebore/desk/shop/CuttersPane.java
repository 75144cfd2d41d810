package finebore.desk.shop;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.Cutter;
import finebore.desk.controls.CutterDrawing;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.desk.session.Shop;
import finebore.formats.FileProblem;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.DoubleSupplier;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The form cutters of the shop's rack, drawn, and changed element by element. */
final class CuttersPane extends BorderPane {

  private static final double DRAWING_PX = 220;

  private final JobSession session;
  private final Shop shop;
  private final Changes changes;
  private final ListView<String> list = new ListView<>();
  private final EntryField<String> name;
  private final EntryField<String> use;
  private final CutterDrawing drawing;
  private final VBox rows = new VBox(4);
  private final Button remove = new Button();
  private int chosen;

  CuttersPane(JobSession session, Shop shop, Changes changes) {
    this.session = session;
    this.shop = shop;
    this.changes = changes;
    list.setId("cutters");
    list.setPrefWidth(250);
    list.getSelectionModel()
        .selectedIndexProperty()
        .addListener(
            (o, was, is) -> {
              if (is.intValue() >= 0 && is.intValue() != chosen) {
                chosen = is.intValue();
                show();
              }
            });
    Button copy = new Button();
    button(copy, "copy-cutter", this::copy);
    button(remove, "remove-cutter", this::remove);
    VBox left = new VBox(6, list, copy, remove);
    VBox.setVgrow(list, Priority.ALWAYS);
    left.setStyle("-fx-padding: 0 12 0 0;");
    name = text("cutter-name", (c, s) -> new Cutter(s, c.use(), c.elements(), c.sealing()));
    use = text("cutter-use", (c, s) -> new Cutter(c.name(), s, c.elements(), c.sealing()));
    drawing = new CutterDrawing(session.say("setting.cutter.drawing"));
    drawing.setId("shop-cutter-drawing");
    drawing.setPrefHeight(DRAWING_PX);
    drawing.setMinHeight(DRAWING_PX / 2);
    Button angle = new Button();
    button(angle, "add-angle", () -> add(new Cut(nextAngle(), 1)));
    Button arc = new Button();
    button(arc, "add-arc", () -> add(new Arc(nextAngle(), 90, 5)));
    Label heading = new Label(session.say("shop.profile"));
    heading.getStyleClass().add("heading");
    VBox right = new VBox(6, name, use, drawing, heading, rows, new HBox(6, angle, arc));
    ScrollPane scroll = new ScrollPane(right);
    scroll.setFitToWidth(true);
    setLeft(left);
    setCenter(scroll);
    show();
  }

  private void button(Button button, String id, Changes.Change change) {
    button.setId(id);
    button.setText(session.say("shop." + id));
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(e -> changes.make(id, change));
  }

  /** The cutter with a text set. */
  private interface WithText {
    Cutter of(Cutter cutter, String text);
  }

  private EntryField<String> text(String id, WithText with) {
    return new EntryField<>(
            "field-" + id,
            Grammar.text(),
            session::words,
            session.messages(),
            (gesture, text) -> typed(id, c -> with.of(c, text.strip())))
        .named(session.say("shop." + id));
  }

  private Cutter cutter() {
    return shop.rack().get(chosen);
  }

  /** The angle a further element would begin at. */
  private double nextAngle() {
    Element last = cutter().elements().getLast();
    return switch (last) {
      case Cut cut -> Math.min(85, cut.angleDeg() + 15);
      case Arc arc -> Math.min(85, arc.toDeg());
    };
  }

  private List<Cutter> rackWith(UnaryOperator<Cutter> change) {
    List<Cutter> rack = new ArrayList<>(shop.rack());
    Cutter changed = change.apply(cutter());
    boolean taken = rack.stream().anyMatch(c -> c != cutter() && c.name().equals(changed.name()));
    if (taken) {
      throw RuleViolation.of("cutterNameTaken").with("value", Term.quote(changed.name()));
    }
    rack.set(chosen, changed);
    return rack;
  }

  private void typed(String about, UnaryOperator<Cutter> change) {
    List<Cutter> rack = rackWith(change);
    changes.typed(about, () -> shop.keepRack(rack));
  }

  private void change(String about, UnaryOperator<Cutter> change) {
    changes.make(about, () -> shop.keepRack(rackWith(change)));
  }

  private static UnaryOperator<Cutter> elements(UnaryOperator<List<Element>> change) {
    return c ->
        new Cutter(c.name(), c.use(), change.apply(new ArrayList<>(c.elements())), c.sealing());
  }

  private void add(Element element) throws FileProblem {
    shop.keepRack(
        rackWith(
            elements(
                all -> {
                  all.add(element);
                  return all;
                })));
  }

  private void copy() throws FileProblem {
    Cutter from = cutter();
    List<String> names = shop.rack().stream().map(Cutter::name).toList();
    String copyOf = session.say("shop.copyOf", "practice", from.name());
    String free = copyOf;
    for (int k = 2; names.contains(free); k++) {
      free = copyOf + " " + k;
    }
    List<Cutter> rack = new ArrayList<>(shop.rack());
    rack.add(chosen + 1, new Cutter(free, from.use(), from.elements(), from.sealing()));
    chosen++;
    shop.keepRack(rack);
  }

  private void remove() throws FileProblem {
    List<Cutter> rack = new ArrayList<>(shop.rack());
    rack.remove(chosen);
    chosen = Math.max(0, chosen - 1);
    shop.keepRack(rack);
  }

  void show() {
    chosen = Math.min(chosen, shop.rack().size() - 1);
    List<String> names = shop.rack().stream().map(Cutter::name).toList();
    if (!list.getItems().equals(names)) {
      list.getItems().setAll(names);
    }
    list.getSelectionModel().select(chosen);
    remove.setDisable(names.size() == 1);
    Cutter shown = cutter();
    name.show(shown.name());
    use.show(shown.use());
    drawing.show(Optional.of(shown));
    boolean same = rows.getChildren().size() == shown.elements().size();
    for (int k = 0; same && k < shown.elements().size(); k++) {
      same = ((Row) rows.getChildren().get(k)).isOf(shown.elements().get(k));
    }
    if (!same) {
      ToggleGroup group = new ToggleGroup();
      rows.getChildren().clear();
      for (int k = 0; k < shown.elements().size(); k++) {
        rows.getChildren().add(new Row(k, shown.elements().get(k), group));
      }
    }
    rows.getChildren().forEach(r -> ((Row) r).show(shown));
  }

  /** One element of the profile. */
  private final class Row extends HBox {
    private final int at;
    private final boolean arc;
    private final RadioButton seals = new RadioButton();
    private final List<Runnable> updates = new ArrayList<>();
    private final Button up;
    private final Button down;
    private final Button drop;

    Row(int at, Element element, ToggleGroup group) {
      super(6);
      this.at = at;
      this.arc = element instanceof Arc;
      setAlignment(Pos.CENTER_LEFT);
      seals.setToggleGroup(group);
      seals.setId("element-" + (at + 1) + "-seals");
      seals.setAccessibleText(session.say("shop.seals", "number", at + 1));
      seals.setDisable(arc);
      seals.setOnAction(
          e -> change(seals.getId(), c -> new Cutter(c.name(), c.use(), c.elements(), at)));
      Label kind = new Label(session.say(arc ? "shop.arc" : "shop.cut"));
      kind.setMinWidth(64);
      getChildren().addAll(seals, kind);
      if (arc) {
        number(
            "from",
            Quantity.ARC_FROM,
            () -> arc().fromDeg(),
            v -> new Arc(v, arc().toDeg(), arc().radiusMm()));
        number(
            "to",
            Quantity.ARC_TO,
            () -> arc().toDeg(),
            v -> new Arc(arc().fromDeg(), v, arc().radiusMm()));
        number(
            "radius",
            Quantity.ARC_RADIUS,
            () -> arc().radiusMm(),
            v -> new Arc(arc().fromDeg(), arc().toDeg(), v));
      } else {
        number("angle", Quantity.CUT_ANGLE, () -> cut().angleDeg(), v -> cut().withAngle(v));
        number("width", Quantity.CUT_WIDTH, () -> cut().widthMm(), v -> cut().withWidth(v));
      }
      up = move("\u25b2", "up", -1);
      down = move("\u25bc", "down", 1);
      drop = icon("\u2715", "remove", () -> change(id("remove"), this::without));
      getChildren().addAll(up, down, drop);
    }

    private String id(String what) {
      return "element-" + (at + 1) + "-" + what;
    }

    private Arc arc() {
      return (Arc) cutter().elements().get(at);
    }

    private Cut cut() {
      return (Cut) cutter().elements().get(at);
    }

    boolean isOf(Element element) {
      return arc == element instanceof Arc;
    }

    private void number(
        String what, Quantity quantity, DoubleSupplier value, DoubleFunction<Element> with) {
      EntryField<OptionalDouble> field =
          EntryField.of(
                  "field-" + id(what),
                  Grammar.number(quantity),
                  session::words,
                  session.messages(),
                  (gesture, typed) ->
                      typed(id(what), elements(all -> set(all, with.apply(typed.orElseThrow())))))
              .namedBeside(
                  session.say(
                      "shop.element", "number", at + 1, "what", session.words().name(quantity)));
      field.cell().setPrefColumnCount(4);
      Label label = new Label(session.say("shop." + what));
      label.getStyleClass().addAll("small", "muted");
      getChildren().addAll(label, field);
      updates.add(() -> field.show(OptionalDouble.of(value.getAsDouble())));
    }

    private List<Element> set(List<Element> all, Element element) {
      all.set(at, element);
      return all;
    }

    private Button icon(String sign, String what, Runnable action) {
      Button button = new Button(sign);
      button.getStyleClass().add("icon-button");
      button.setMinWidth(USE_PREF_SIZE);
      button.setId(id(what));
      button.setAccessibleText(session.say("shop.element." + what, "number", at + 1));
      button.setOnAction(e -> action.run());
      return button;
    }

    private Button move(String sign, String what, int by) {
      return icon(sign, what, () -> change(id(what), c -> moved(c, by)));
    }

    /** The sealing element stays the same element. */
    private Cutter moved(Cutter c, int by) {
      List<Element> all = new ArrayList<>(c.elements());
      Collections.swap(all, at, at + by);
      int sealing = c.sealing() == at ? at + by : c.sealing() == at + by ? at : c.sealing();
      return new Cutter(c.name(), c.use(), all, sealing);
    }

    private Cutter without(Cutter c) {
      List<Element> all = new ArrayList<>(c.elements());
      all.remove(at);
      return new Cutter(c.name(), c.use(), all, c.sealing() > at ? c.sealing() - 1 : c.sealing());
    }

    void show(Cutter shown) {
      seals.setSelected(shown.sealing() == at);
      up.setDisable(at == 0);
      down.setDisable(at == shown.elements().size() - 1);
      drop.setDisable(shown.sealing() == at);
      updates.forEach(Runnable::run);
    }
  }
}
