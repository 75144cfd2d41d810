package finebore.desk.found;

import finebore.desk.controls.Styles;
import finebore.desk.session.JobSession;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.seat.Cut;
import finebore.units.Notation;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * One reading of one seat. Enter takes it and goes on, as a gauge cable does by itself; nonsense is
 * refused and what was typed stays to be mended.
 */
final class ReadingCell extends TextField {

  private final JobSession session;
  private final SeatPlace place;
  private final Measure measure;
  private final Consumer<String> told;
  private final Runnable next;
  private final Tooltip tip = new Tooltip();
  private OptionalDouble value = OptionalDouble.empty();

  ReadingCell(
      JobSession session, SeatPlace place, Measure measure, Consumer<String> told, Runnable next) {
    this.session = session;
    this.place = place;
    this.measure = measure;
    this.told = told;
    this.next = next;
    setId("cell-" + place.label() + "-" + measure.key());
    setAccessibleText(measure.inWords() + " of " + place.label());
    getStyleClass().addAll("reading-cell", "plain");
    setTooltip(tip);
    setPrefColumnCount(4);
    setOnAction(
        e -> {
          if (take()) {
            next.run();
          }
        });
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                selectAll();
                if (!session.seat().get().equals(place)) {
                  session.select(place);
                }
              } else {
                take();
              }
            });
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      setText(written());
      selectAll();
      Styles.state(this, "plain");
      told.accept("");
      e.consume();
    }
  }

  Measure measure() {
    return measure;
  }

  SeatPlace place() {
    return place;
  }

  /** Takes what was typed; an empty field takes the reading back. Whether it could be taken. */
  private boolean take() {
    if (getText().strip().equals(written())) {
      return true;
    }
    try {
      OptionalDouble read =
          getText().isBlank() ? OptionalDouble.empty() : OptionalDouble.of(read(getText()));
      session.edit("", job -> job.withHead(job.head().withReading(place.label(), measure, read)));
      told.accept("");
      return true;
    } catch (NotationException | IllegalArgumentException e) {
      Styles.state(this, "wrong");
      told.accept(
          "✗ "
              + place.label()
              + ", "
              + measure.inWords()
              + ": "
              + e.getMessage()
              + (value.isPresent() ? "; still " + written() : ""));
      return false;
    }
  }

  private double read(String typed) throws NotationException {
    // Gauges send the sign of what they read.
    String text = typed.strip().replaceFirst("^\\+0*(?=\\d)", "");
    return switch (measure.kind()) {
      case LENGTH -> Notation.length(text, session.units());
      case ANGLE -> Notation.angle(text);
      case CLOCK -> Notation.number(text);
    };
  }

  private String written() {
    return value.isPresent() ? written(value.getAsDouble()) : "";
  }

  private String written(double number) {
    return measure.kind() == Measure.Kind.LENGTH
        ? session.units().lengthNumber(number)
        : Cut.angleText(number);
  }

  /**
   * Shows a reading.
   *
   * @param assumed what is taken while there is none
   * @param basis why that; empty for nothing
   * @param doubt what is the matter with it; empty for nothing
   */
  void show(OptionalDouble reading, OptionalDouble assumed, String basis, String doubt) {
    boolean same = reading.equals(value);
    value = reading;
    boolean typing = isFocused() && !getText().strip().equals(written()) && same;
    if (!typing) {
      setText(written());
      Styles.state(this, doubt.isEmpty() ? "plain" : "doubtful");
    }
    setPromptText(assumed.isPresent() ? "(" + written(assumed.getAsDouble()) + ")" : "");
    tip.setText(
        measure.how()
            + (assumed.isPresent() ? "\nNot measured; assumed, " + basis : "")
            + (doubt.isEmpty() ? "" : "\n" + doubt));
  }

  static String unitOf(Measure measure, UnitSystem units) {
    return switch (measure.kind()) {
      case LENGTH -> units.length().symbol();
      case ANGLE -> "°";
      case CLOCK -> "h";
    };
  }
}
