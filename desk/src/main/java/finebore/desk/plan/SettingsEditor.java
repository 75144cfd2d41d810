package finebore.desk.plan;

import finebore.code.Coded;
import finebore.cutting.CutForm;
import finebore.cutting.Cutter;
import finebore.cutting.Cutting;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.Plunge;
import finebore.desk.controls.CutterDrawing;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.controls.Named;
import finebore.desk.session.JobSession;
import finebore.job.Plan;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.reports.Spelled;
import finebore.seat.Seat;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/**
 * The settings of one operation as a machinist sets them, made of how the operation declares them.
 * A setting left open follows the plan or the metal; its field shows what that comes to, and typing
 * makes it a setting of its own.
 */
final class SettingsEditor extends VBox {

  private final JobSession session;
  private final int place;
  private final List<Runnable> updates = new ArrayList<>();
  private boolean showing;

  SettingsEditor(JobSession session, int place) {
    super(4);
    this.session = session;
    this.place = place;
    getStyleClass().add("settings");
    operation().settings().forEach(this::build);
    Label caution = new Label(session.words().of(operation(), "caution"));
    caution.setWrapText(true);
    caution.setMinHeight(Region.USE_PREF_SIZE);
    caution.getStyleClass().addAll("small", "muted");
    getChildren().add(caution);
  }

  private Plan plan() {
    return session.work().get().plan().plan();
  }

  private Operation operation() {
    return plan().operations().get(place);
  }

  private Cutting.Step step() {
    return session.work().get().plan().cutting().steps().get(place);
  }

  private Seat wanted() {
    return plan().wanted().seat();
  }

  void show() {
    showing = true;
    updates.forEach(Runnable::run);
    showing = false;
  }

  private void change(String gesture, Operation changed) {
    if (!showing) {
      session.editPlan(gesture, p -> p.withOperationAt(place, changed));
    }
  }

  private void build(OperationSetting<?> setting) {
    switch (setting) {
      case OperationSetting.Number<?> number -> number(number);
      case OperationSetting.Choice<?, ?> choice -> choice(choice);
      case OperationSetting.Text<?> text -> {
        if (operation() instanceof CutForm) {
          cutter();
        } else {
          text(text);
        }
      }
      case OperationSetting.Depth<?> depth -> depth(depth);
    }
  }

  private EntryField<OptionalDouble> field(
      String id, Grammar<OptionalDouble> grammar, String name, EntryTaker taker) {
    return EntryField.of(
            "field-" + id,
            grammar,
            session::words,
            session.messages(),
            (gesture, value) -> change(gesture, taker.with(value)))
        .namedBeside(name)
        .onGestureEnd(session::endGesture);
  }

  /** The operation with a value set. */
  private interface EntryTaker {
    Operation with(OptionalDouble value);
  }

  private void number(OperationSetting.Number<?> number) {
    Quantity quantity = number.setting().quantity();
    boolean mayBeOpen = number.setting().empty() == Setting.Empty.FOLLOWS;
    String name = session.words().label(number);
    EntryField<OptionalDouble> field =
        field(
            number.id(),
            mayBeOpen ? Grammar.optional(quantity) : Grammar.number(quantity),
            name,
            value -> number.on(operation(), value));
    if (!mayBeOpen) {
      row(name, field);
      updates.add(() -> field.show(number.set(operation())));
      return;
    }
    Button back = new Button(session.say("setting.asPlanned"));
    back.getStyleClass().addAll("icon-button");
    back.setMinWidth(Region.USE_PREF_SIZE);
    back.setTooltip(new Tooltip(session.say("setting.asPlanned.tip")));
    back.setId("field-" + number.id() + "-open");
    back.setOnAction(e -> change("", number.on(operation(), OptionalDouble.empty())));
    HBox both = new HBox(4, field, back);
    HBox.setHgrow(field, Priority.ALWAYS);
    row(name, both);
    updates.add(
        () -> {
          boolean own = number.set(operation()).isPresent();
          OptionalDouble value = number.value(operation(), wanted());
          field.show(value.isPresent() ? value : followed(number));
          back.setVisible(own);
          back.setManaged(own);
        });
  }

  /** What an open setting comes to in the metal: where the tool has stopped, or nothing. */
  private OptionalDouble followed(OperationSetting.Number<?> number) {
    return switch (number.setting().quantity()) {
      case THROAT_CUT_DEPTH, OPENED_BOWL_DEPTH -> step().depthMm();
      default -> OptionalDouble.empty();
    };
  }

  private void choice(OperationSetting.Choice<?, ?> choice) {
    ChoiceBox<Coded> box = new ChoiceBox<>();
    box.getItems().setAll(choice.values());
    box.setConverter(spoken());
    box.setId("choice-" + choice.id());
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(session.words().label(choice));
    updates.add(() -> box.setValue(choice.value(operation())));
    box.setValue(choice.value(operation()));
    box.valueProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing) {
                change("", choice.on(operation(), is));
              }
            });
    row(session.words().label(choice), box);
  }

  private StringConverter<Coded> spoken() {
    return new Named<>(value -> session.words().label(value));
  }

  private void text(OperationSetting.Text<?> text) {
    EntryField<String> field =
        new EntryField<>(
                "field-" + text.id(),
                Grammar.text(),
                session::words,
                session.messages(),
                (gesture, value) -> change(gesture, text.on(operation(), value)))
            .namedBeside(session.words().label(text));
    row(session.words().label(text), field);
    updates.add(() -> field.show(text.value(operation())));
  }

  /** Choosing a cutter brings its cuts into the wanted seat. */
  private void cutter() {
    ChoiceBox<String> box = new ChoiceBox<>();
    String toPlan = session.say("setting.cutter.toPlan");
    box.setId("choice-cutter");
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(session.say("setting.cutter"));
    box.getItems().add(toPlan);
    session.rack().forEach(c -> box.getItems().add(c.name()));
    Label made = new Label();
    made.setWrapText(true);
    made.setMinHeight(Region.USE_PREF_SIZE);
    made.getStyleClass().addAll("small", "muted");
    CutterDrawing drawing = new CutterDrawing(session.say("setting.cutter.drawing"));
    updates.add(
        () -> {
          String name = ((CutForm) operation()).cutter();
          if (!name.isEmpty() && !box.getItems().contains(name)) {
            box.getItems().add(name);
          }
          box.setValue(name.isEmpty() ? toPlan : name);
          made.setText(made(name));
          drawing.show(rackCutter(name));
        });
    box.valueProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing && is != null) {
                choose(is.equals(toPlan) ? "" : is);
              }
            });
    row(session.say("setting.cutter"), box);
    getChildren().addAll(drawing, made);
  }

  private Optional<Cutter> rackCutter(String name) {
    return session.rack().stream().filter(c -> c.name().equals(name)).findFirst();
  }

  private String made(String name) {
    if (name.isEmpty()) {
      return "";
    }
    return rackCutter(name)
        .map(
            c ->
                session.say(
                    c.elements().equals(wanted().stack().elements())
                        ? "setting.cutter.made"
                        : "setting.cutter.differs",
                    "profile",
                    Spelled.profile(c, session.words()),
                    "use",
                    c.use()))
        .orElse(session.say("setting.cutter.notInRack"));
  }

  private void choose(String name) {
    session.editPlan(
        "",
        plan -> {
          CutForm form = (CutForm) plan.operations().get(place);
          Plan named =
              plan.withOperationAt(place, new CutForm(name, form.seatDiameterMm(), form.plunge()));
          return rackCutter(name)
              .map(
                  c ->
                      named.following(
                          named
                              .wanted()
                              .withSeat(named.wanted().seat().withCuts(c.elements(), c.sealing()))))
              .orElse(named);
        });
  }

  /** Ways to say how far a cutter goes. */
  private enum Way implements Coded {
    PLANNED,
    DEPTH,
    CLEAN,
    ALL_CLEAN;

    static Way of(Plunge plunge) {
      return switch (plunge) {
        case Plunge.AsPlanned() -> PLANNED;
        case Plunge.ToDepth(double mm) -> DEPTH;
        case Plunge.UntilClean(double extra, boolean all) -> all ? ALL_CLEAN : CLEAN;
      };
    }

    @Override
    public String code() {
      return "way." + name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  private void depth(OperationSetting.Depth<?> depth) {
    ChoiceBox<Coded> box = new ChoiceBox<>();
    boolean form = operation() instanceof CutForm;
    box.getItems()
        .setAll(form ? List.of(Way.values()) : List.of(Way.PLANNED, Way.DEPTH, Way.CLEAN));
    box.setConverter(spoken());
    box.setId("choice-plunge");
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(session.words().label(depth));
    updates.add(() -> box.setValue(Way.of(depth.value(operation()))));
    box.valueProperty()
        .addListener(
            (o, was, is) -> {
              if (!showing && is instanceof Way way) {
                change("", depth.on(operation(), begin(way)));
              }
            });
    row(session.words().label(depth), box);
    EntryField<OptionalDouble> stop =
        field(
            "depth",
            Grammar.number(Quantity.DEPTH_STOP),
            session.say("setting.depthStop"),
            mm -> depth.on(operation(), new Plunge.ToDepth(mm.orElseThrow())));
    EntryField<OptionalDouble> more =
        field(
            "more",
            Grammar.number(Quantity.PAST_CLEAN_UP),
            session.say("setting.more"),
            mm ->
                depth.on(
                    operation(),
                    new Plunge.UntilClean(
                        mm.orElseThrow(), Way.of(depth.value(operation())) == Way.ALL_CLEAN)));
    Region stopRow = row(session.say("setting.depthStop"), stop);
    Region moreRow = row(session.say("setting.more"), more);
    updates.add(
        () -> {
          Plunge plunge = depth.value(operation());
          boolean clean = plunge instanceof Plunge.UntilClean;
          set(stopRow, !clean);
          set(moreRow, clean);
          stop.show(
              plunge instanceof Plunge.ToDepth(double mm)
                  ? OptionalDouble.of(mm)
                  : step().depthMm());
          more.show(
              OptionalDouble.of(
                  plunge instanceof Plunge.UntilClean(double extra, boolean all) ? extra : 0));
        });
  }

  private static void set(Region row, boolean visible) {
    row.setVisible(visible);
    row.setManaged(visible);
  }

  /** A plunge of a way to begin with: a depth stop where the tool stops now. */
  private Plunge begin(Way way) {
    return switch (way) {
      case PLANNED -> new Plunge.AsPlanned();
      case DEPTH -> new Plunge.ToDepth(step().depthMm().orElse(wanted().depthMm()));
      case CLEAN -> new Plunge.UntilClean(0, false);
      case ALL_CLEAN -> new Plunge.UntilClean(0, true);
    };
  }

  private Region row(String name, Region field) {
    Label label = new Label(name);
    label.getStyleClass().addAll("small", "muted");
    label.setMinWidth(108);
    label.setPrefWidth(108);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    HBox row = new HBox(4, label, field);
    HBox.setHgrow(field, Priority.ALWAYS);
    getChildren().add(row);
    return row;
  }
}
