package finebore.desk.cut;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.desk.controls.EntryCell;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.DoubtWords;
import finebore.desk.session.GaugeSession;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.instruments.GaugeReading;
import finebore.machine.ReadingDoubt;
import finebore.machine.RunStep;
import finebore.machine.RunStep.Target;
import finebore.machine.SetUp;
import finebore.planning.GuideBore;
import finebore.quantity.Quantity;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.ReadBack;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.event.ActionEvent;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * One reading to take: its name, a large field, what is wanted, and what is wrong with it. A
 * reading that can hardly be right is questioned once; the same again is kept.
 */
final class ReadingRow extends VBox {

  private final JobSession session;
  private final WorkSession work;
  private final Target target;
  private final EntryCell<OptionalDouble> cell;
  private final Label unit = new Label();
  private final Label wanted = new Label();
  private final Label wrong = new Label();
  private RunStep step;
  private OptionalDouble questioned = OptionalDouble.empty();
  private String gauge = "";

  ReadingRow(JobSession session, WorkSession work, RunStep step, Target target, Runnable onTaken) {
    super(2);
    this.session = session;
    this.work = work;
    this.step = step;
    this.target = target;
    String name = session.words().label(target.what());
    cell =
        new EntryCell<>(
            "cut-read-" + target.what().key(),
            Grammar.optional(target.what().quantity()),
            session::words,
            session.messages(),
            (gesture, value) -> keep(value));
    cell.named(name);
    cell.getStyleClass().add(0, "cut-entry");
    cell.setPrefColumnCount(6);
    cell.onEntered(onTaken);
    Label label = new Label(name);
    label.setLabelFor(cell);
    label.getStyleClass().add("cut-name");
    unit.getStyleClass().add("cut-name");
    unit.setMinWidth(Region.USE_PREF_SIZE);
    wanted.getStyleClass().add("cut-line");
    wanted.setWrapText(true);
    wanted.setMinHeight(Region.USE_PREF_SIZE);
    wrong.setId("cut-wrong-" + target.what().key());
    wrong.getStyleClass().addAll("fault", "cut-wrong");
    wrong.setWrapText(true);
    wrong.setMinHeight(Region.USE_PREF_SIZE);
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    HBox row = new HBox(10, cell, unit, wanted);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(label, row, wrong);
    if (target.what() == ReadBack.RING_OUTSIDE || target.what() == ReadBack.RING_INSIDE) {
      row.getChildren().add(fromMargin());
    }
  }

  /** A ring can be read from the margin along the face too; its diameter follows. */
  private Node fromMargin() {
    EntryField<OptionalDouble> field =
        EntryField.of(
            "cut-margin-" + target.what().key(),
            Grammar.optional(Quantity.LAPPED_FROM_MARGIN),
            session::words,
            session.messages(),
            (gesture, value) -> value.ifPresent(this::keepFromMargin));
    field.named(session.say("cut.fromMargin"));
    field.cell().setTooltip(new Tooltip(session.say("cut.fromMargin.tip")));
    field.show(OptionalDouble.empty());
    return field;
  }

  private void keepFromMargin(double fromMarginMm) {
    work.sheet()
        .outcome(step.seat())
        .ifPresent(
            seat ->
                work.read(
                    step,
                    target.what(),
                    SetUp.diameterAtMm(seat, fromMarginMm),
                    "",
                    session.say(
                        "cut.fromMargin.reason",
                        "value",
                        session.units().lengthText(fromMarginMm))));
  }

  boolean isOf(RunStep other) {
    return step.id().equals(other.id()) && other.target(target.what()).isPresent();
  }

  void show(RunStep now) {
    step = now;
    Words words = session.words();
    OptionalDouble value = work.value(step, target.what());
    Target limits = now.target(target.what()).orElse(target);
    cell.show(value);
    unit.setText(words.units().unit(target.what().quantity().dimension()));
    wanted.setText(StepWords.wanted(limits, words));
    wrong.setText(StepWords.problem(limits, value, words));
  }

  /** Whether nobody has read it. */
  boolean isDue() {
    return work.value(step, target.what()).isEmpty();
  }

  boolean isUntouched() {
    return cell.getText().strip().equals(cell.written());
  }

  boolean isField(TextField field) {
    return field == cell;
  }

  boolean isFocusedWithin() {
    return cell.isFocused();
  }

  void focus() {
    cell.requestFocus();
    cell.selectAll();
  }

  /** Takes what was typed; whether it could be taken. */
  boolean take() {
    return cell.commit();
  }

  private void keep(OptionalDouble value) {
    if (value.isEmpty()) {
      // What was read stays in the history; an empty field is not a reading.
      show(step);
      return;
    }
    Optional<ReadingDoubt> doubt =
        value.equals(questioned)
            ? Optional.empty()
            : ReadingDoubt.of(session.job(), step, target.what(), value.getAsDouble(), false);
    if (doubt.isPresent()) {
      question(doubt.get(), value.getAsDouble());
      throw RuleViolation.of("questioned")
          .with("why", Term.quote(why(doubt.get(), value.getAsDouble())));
    }
    questioned = OptionalDouble.empty();
    work.read(step, target.what(), value.getAsDouble(), gauge, "");
    gauge = "";
  }

  private void question(ReadingDoubt doubt, double value) {
    questioned = OptionalDouble.of(value);
    wrong.setText(why(doubt, value));
  }

  private String why(ReadingDoubt doubt, double value) {
    double expected = ReadingDoubt.expected(session.job(), step, target.what()).orElse(value);
    return DoubtWords.why(doubt, target.what(), value, expected, session.words());
  }

  /** Lays a simulated gauge on it. */
  Optional<GaugeReading> pressed(GaugeSession gauges) {
    OptionalDouble expected = ReadingDoubt.expected(session.job(), step, target.what());
    if (expected.isEmpty()) {
      expected =
          switch (target.what()) {
            case GUIDE_BORE -> GuideBore.mm(session.job(), step.seat());
            // A simulated head has its guides stand as is usual.
            case GUIDE_HEIGHT -> OptionalDouble.of(14);
            case SEAT_RUNOUT -> OptionalDouble.of(0.02);
            case MARGIN -> target.least();
            default -> OptionalDouble.empty();
          };
    }
    return gauges.press(step.seat().label(), target.what(), expected);
  }

  /** What a gauge has sent goes in as if it had been typed. */
  void sent(GaugeReading reading, boolean again) {
    Dimension due = target.what().quantity().dimension();
    Dimension kind = due == Dimension.FINE_LENGTH ? Dimension.LENGTH : due;
    if (reading.dimension() != kind) {
      session
          .messages()
          .refuse(cell.getId(), session.say("cut.otherKind", "gauge", reading.gauge()));
      return;
    }
    Words words = session.words();
    if (again) {
      question(ReadingDoubt.REPEATED, reading.value());
      focus();
      return;
    }
    gauge = reading.gauge();
    cell.requestFocus();
    cell.setText(words.units().entry(reading.dimension(), reading.value()));
    cell.fireEvent(new ActionEvent());
  }
}
