package finebore.desk.controls;

import finebore.seat.Cut;
import finebore.units.Notation;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * A field for one number in shop notation.
 *
 * <p>While typing it shows what it understood. Enter or leaving takes the number; what makes no
 * sense is refused beside the field, and the old value stays. Up and Down nudge, with Shift by ten
 * times; Escape puts the old value back.
 */
public final class NumberField extends VBox {

  /** What kind of number the field takes. */
  public enum Kind {
    LENGTH,
    ANGLE,
    PRESSURE,
    NUMBER
  }

  /** Takes a number; refuses it with an IllegalArgumentException whose message is shown. */
  @FunctionalInterface
  public interface Taker {
    void take(String gesture, double value);
  }

  private final Kind kind;
  private final Supplier<UnitSystem> units;
  private final Taker taker;
  private final Runnable gestureEnd;
  private final TextField text = new TextField();
  private final Label unit = new Label();
  private final Label hint = new Label();
  private double value;

  /**
   * A field.
   *
   * @param name what it is, for people who hear the screen; also the prefix of its id
   * @param units asked whenever a number is read or shown
   * @param taker what happens to a number
   * @param gestureEnd called when a run of nudges ends
   */
  public NumberField(
      String name, Kind kind, Supplier<UnitSystem> units, Taker taker, Runnable gestureEnd) {
    this.kind = kind;
    this.units = units;
    this.taker = taker;
    this.gestureEnd = gestureEnd;
    getStyleClass().add("number-field");
    setId(idOf(name));
    text.setId(getId() + "-text");
    text.setAccessibleText(name);
    text.setPrefColumnCount(6);
    text.setMinWidth(46);
    unit.getStyleClass().addAll("muted", "small");
    unit.setMinWidth(USE_PREF_SIZE);
    hint.getStyleClass().add("hint");
    hint.setWrapText(true);
    hint.setMinHeight(USE_PREF_SIZE);
    hide();
    HBox row = new HBox(4, text, unit);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(text, Priority.ALWAYS);
    getChildren().addAll(row, hint);
    text.textProperty().addListener((o, was, is) -> understood());
    text.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                text.selectAll();
              } else {
                commit();
                gestureEnd.run();
              }
            });
    text.setOnAction(e -> commit());
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** The id a field of a name gets: "Seat outside" becomes field-seat-outside. */
  public static String idOf(String name) {
    return "field-" + name.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  /** Leaves the unit to a heading, where room is short. */
  public NumberField withoutUnit() {
    unit.setVisible(false);
    unit.setManaged(false);
    return this;
  }

  public TextField textField() {
    return text;
  }

  /** Shows a value: mm, degrees or a plain number. What is being typed is left alone. */
  public void show(double newValue) {
    boolean same = newValue == value && !text.getText().isEmpty();
    value = newValue;
    unit.setText(unitText());
    if (!text.isFocused() || !same || text.getText().equals(plain())) {
      text.setText(plain());
      hide();
    }
  }

  private String unitText() {
    return switch (kind) {
      case LENGTH -> units.get().length().symbol();
      case ANGLE -> "°";
      case PRESSURE -> units.get().pressure().symbol();
      case NUMBER -> "";
    };
  }

  private String plain() {
    return written(value);
  }

  private String written(double number) {
    return switch (kind) {
      case LENGTH -> units.get().lengthNumber(number);
      case PRESSURE -> units.get().pressureNumber(number);
      case ANGLE, NUMBER -> Cut.angleText(number);
    };
  }

  private double read() throws NotationException {
    return switch (kind) {
      case LENGTH -> Notation.length(text.getText(), units.get());
      case ANGLE -> Notation.angle(text.getText());
      case PRESSURE -> Notation.pressure(text.getText(), units.get());
      case NUMBER -> Notation.number(text.getText());
    };
  }

  private void understood() {
    if (!text.isFocused() || text.getText().equals(plain())) {
      return;
    }
    getStyleClass().remove("wrong");
    try {
      double read = read();
      boolean bare = text.getText().strip().matches("[-\\d.,]+");
      if (bare) {
        hide();
      } else {
        say("= " + written(read) + " " + unitText());
      }
    } catch (NotationException e) {
      hide();
    }
  }

  private void commit() {
    if (text.getText().equals(plain())) {
      return;
    }
    try {
      double read = read();
      accept("", read);
    } catch (NotationException e) {
      refuse(e.getMessage());
    }
  }

  private void accept(String gesture, double read) {
    try {
      taker.take(gesture, read);
      value = read;
      text.setText(plain());
      text.selectAll();
      getStyleClass().remove("wrong");
      hide();
    } catch (IllegalArgumentException e) {
      refuse(e.getMessage());
    }
  }

  private void refuse(String message) {
    if (!getStyleClass().contains("wrong")) {
      getStyleClass().add("wrong");
    }
    say("✗ " + message + "; still " + plain() + " " + unitText());
  }

  private void say(String words) {
    hint.setText(words);
    hint.setVisible(true);
    hint.setManaged(true);
  }

  private void hide() {
    hint.setText("");
    hint.setVisible(false);
    hint.setManaged(false);
    getStyleClass().remove("wrong");
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      text.setText(plain());
      text.selectAll();
      hide();
      e.consume();
    } else if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
      int sign = e.getCode() == KeyCode.UP ? 1 : -1;
      accept("nudge " + getId(), value + sign * step() * (e.isShiftDown() ? 10 : 1));
      e.consume();
    }
  }

  private double step() {
    return switch (kind) {
      case LENGTH -> units.get().nudgeMm();
      case ANGLE -> 0.5;
      case PRESSURE -> units.get().pressure().toBase(0.1);
      case NUMBER -> value < 2 ? 0.01 : 1;
    };
  }
}
