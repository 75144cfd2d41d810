package finebore.desk.controls;

import finebore.code.RuleViolation;
import finebore.desk.session.Messages;
import finebore.words.NotationException;
import finebore.words.Words;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * The one editor of values. Enter or leaving takes what was typed; what makes no sense is refused
 * in the place of messages, marks the cell and stays to be mended. Escape puts the old value back;
 * Up and Down nudge, with Shift by ten times.
 *
 * @param <T> the value
 */
public class EntryCell<T> extends TextField {

  /** Takes a value; may refuse it with a RuleViolation. */
  @FunctionalInterface
  public interface Taker<T> {

    /**
     * Takes it.
     *
     * @param gesture name of the run of nudges it belongs to, empty for a value typed
     */
    void take(String gesture, T value);
  }

  private final Grammar<T> grammar;
  private final Supplier<Words> words;
  private final Messages messages;
  private final Taker<T> taker;
  private Runnable gestureEnd = () -> {};
  private Runnable entered = () -> {};
  private String name = "";
  private T value;
  private Optional<String> comesTo = Optional.empty();

  /**
   * A cell.
   *
   * @param id the control's id, given and not derived from anything shown
   */
  public EntryCell(
      String id, Grammar<T> grammar, Supplier<Words> words, Messages messages, Taker<T> taker) {
    this.grammar = grammar;
    this.words = words;
    this.messages = messages;
    this.taker = taker;
    setId(id);
    getStyleClass().add("plain");
    setMinWidth(46);
    setOnAction(
        e -> {
          if (commit()) {
            entered.run();
          }
        });
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                if (!isWrong()) {
                  setText(written());
                }
                selectAll();
                looked();
              } else {
                if (commit()) {
                  setText(comesTo.orElseGet(this::written));
                }
                gestureEnd.run();
              }
            });
    textProperty().addListener((o, was, is) -> understood());
    addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
  }

  /** What it is called, for messages and for people who hear the screen. */
  public EntryCell<T> named(String shown) {
    name = shown;
    setAccessibleText(shown);
    return this;
  }

  /** Called when a run of nudges ends. */
  public EntryCell<T> onGestureEnd(Runnable action) {
    gestureEnd = action;
    return this;
  }

  /** Called when Enter has taken a value. */
  public EntryCell<T> onEntered(Runnable action) {
    entered = action;
    return this;
  }

  /** Called when the keyboard comes to it. */
  protected void looked() {}

  protected T value() {
    return value;
  }

  /** Whether what stands in it was refused. */
  public boolean isWrong() {
    return getStyleClass().getLast().equals("wrong");
  }

  /** The value as it would be typed. */
  public String written() {
    return value == null ? "" : grammar.written(value, words.get().units());
  }

  /** What has been typed and not been taken, if anything. */
  public Optional<String> halfTyped() {
    boolean own = isWrong() || isFocused();
    return own && !getText().strip().equals(written()) ? Optional.of(getText()) : Optional.empty();
  }

  /** Shows a value; what is being typed is left alone. */
  public void show(T shown) {
    show(shown, Optional.empty(), "plain");
  }

  /**
   * Shows a value.
   *
   * @param instead what stands there while the keyboard is elsewhere
   * @param style of a cell that is not wrong
   */
  public void show(T shown, Optional<String> instead, String style) {
    boolean same = shown.equals(value);
    boolean typing = same && (isWrong() || isFocused() && !getText().strip().equals(written()));
    value = shown;
    comesTo = instead;
    if (!typing) {
      setText(isFocused() ? written() : instead.orElseGet(this::written));
      Styles.state(this, style);
    }
  }

  /** Takes what was typed. Whether it could be taken. */
  public boolean commit() {
    boolean untouched =
        getText().strip().equals(written())
            || !isFocused() && comesTo.equals(Optional.of(getText()));
    if (untouched) {
      mended();
      return true;
    }
    try {
      return accept("", grammar.read(getText().strip(), words.get().units()));
    } catch (NotationException e) {
      refuse(words.get().say(e));
    } catch (RuleViolation e) {
      refuse(words.get().say(e));
    }
    return false;
  }

  private boolean accept(String gesture, T read) {
    try {
      taker.take(gesture, read);
      value = read;
      setText(written());
      selectAll();
      mended();
      return true;
    } catch (RuleViolation e) {
      refuse(words.get().say(e));
      return false;
    }
  }

  private void mended() {
    if (isWrong()) {
      Styles.state(this, "plain");
    }
    messages.clear(getId());
  }

  private void refuse(String why) {
    Styles.state(this, "wrong");
    String still = written();
    messages.refuse(
        getId(),
        words
            .get()
            .text(
                still.isEmpty() ? "ui.refused" : "ui.refused.still",
                "name",
                name,
                "why",
                why,
                "value",
                still + unitBehind()));
  }

  private String unitBehind() {
    String unit = grammar.unit(words.get().units());
    return unit.isEmpty() ? "" : " " + unit;
  }

  /** While shop notation is typed, says what was understood of it. */
  private void understood() {
    if (!isFocused() || getText().strip().equals(written()) || isBare(getText())) {
      return;
    }
    try {
      T read = grammar.read(getText().strip(), words.get().units());
      String understood = grammar.written(read, words.get().units());
      if (!understood.equals(getText().strip())) {
        messages.note(
            getId(), words.get().text("ui.understood", "value", understood + unitBehind()));
      }
    } catch (NotationException | RuleViolation e) {
      // Half typed; what is wrong is said when it is meant to be whole.
      messages.clear(getId());
    }
  }

  private static boolean isBare(String typed) {
    return typed.strip().matches("[-\\d.,]*");
  }

  private void pressed(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      Styles.state(this, "plain");
      setText(written());
      selectAll();
      messages.clear(getId());
      e.consume();
    } else if (!key(e) && (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN)) {
      nudge((e.getCode() == KeyCode.UP ? 1 : -1) * (e.isShiftDown() ? 10 : 1));
      e.consume();
    }
  }

  /** Further keys. Whether the key was taken. */
  protected boolean key(KeyEvent e) {
    return false;
  }

  private void nudge(int by) {
    T next = grammar.nudged(value, by, words.get().units());
    if (!next.equals(value)) {
      accept("nudge " + getId(), next);
    }
  }
}
