package finebore.desk.controls;

import finebore.desk.session.Messages;
import finebore.words.Words;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * An {@link EntryCell} with its name above and its unit behind.
 *
 * @param <T> the value
 */
public final class EntryField<T> extends VBox {

  private final Grammar<T> grammar;
  private final Supplier<Words> words;
  private final EntryCell<T> cell;
  private final Label label = new Label();
  private final Label unit = new Label();

  /**
   * A field.
   *
   * @param id the control's id; the text field within is called so with "-text" behind it
   */
  public EntryField(
      String id,
      Grammar<T> grammar,
      Supplier<Words> words,
      Messages messages,
      EntryCell.Taker<T> taker) {
    super(1);
    this.grammar = grammar;
    this.words = words;
    this.cell = new EntryCell<>(id + "-text", grammar, words, messages, taker);
    getStyleClass().add("number-field");
    if (grammar.isWords()) {
      getStyleClass().add("words");
    }
    setId(id);
    cell.setPrefColumnCount(6);
    label.getStyleClass().addAll("muted", "small");
    label.setLabelFor(cell);
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    label.managedProperty().bind(label.textProperty().isNotEmpty());
    unit.getStyleClass().addAll("muted", "small");
    unit.setMinWidth(USE_PREF_SIZE);
    unit.managedProperty().bind(unit.textProperty().isNotEmpty());
    HBox row = new HBox(4, cell, unit);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(cell, Priority.ALWAYS);
    getChildren().addAll(label, row);
  }

  /** A field of a number. */
  public static EntryField<OptionalDouble> of(
      String id,
      Grammar<OptionalDouble> grammar,
      Supplier<Words> words,
      Messages messages,
      EntryCell.Taker<OptionalDouble> taker) {
    return new EntryField<>(id, grammar, words, messages, taker);
  }

  /** Its name, shown above it. */
  public EntryField<T> named(String name) {
    label.setText(name);
    cell.named(name);
    return this;
  }

  /** Its name, which stands beside it and not above. */
  public EntryField<T> namedBeside(String name) {
    cell.named(name);
    return this;
  }

  /** Leaves the unit to a heading, where room is short. */
  public EntryField<T> withoutUnit() {
    unit.setVisible(false);
    unit.managedProperty().unbind();
    unit.setManaged(false);
    return this;
  }

  /** What stands in it while it is empty. */
  public EntryField<T> prompt(String text) {
    cell.setPromptText(text);
    return this;
  }

  public EntryField<T> onGestureEnd(Runnable action) {
    cell.onGestureEnd(action);
    return this;
  }

  public EntryCell<T> cell() {
    return cell;
  }

  /** Shows a value; what is being typed is left alone. */
  public void show(T value) {
    unit.setText(grammar.unit(words.get().units()));
    cell.show(value);
  }
}
