package finebore.desk.controls;

import finebore.units.NotationException;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/**
 * A named field that may stay empty. Enter or leaving takes what was typed; what makes no sense is
 * refused below it and stays to be mended. Escape puts the old text back.
 */
public final class EntryField extends VBox {

  /** Takes what was typed. */
  @FunctionalInterface
  public interface Taker {
    void take(String text) throws NotationException;
  }

  private final Taker taker;
  private final TextField text = new TextField();
  private final Label label = new Label();
  private final Label hint = new Label();
  private String shown = "";

  /**
   * A field.
   *
   * @param name what it is; also its id, as {@link NumberField#idOf}
   */
  public EntryField(String name, Taker taker) {
    super(1);
    this.taker = taker;
    getStyleClass().add("number-field");
    setId(NumberField.idOf(name));
    text.setId(getId() + "-text");
    text.setAccessibleText(name);
    text.setPrefColumnCount(7);
    label.setText(name);
    label.setLabelFor(text);
    label.getStyleClass().addAll("muted", "small");
    hint.getStyleClass().add("hint");
    hint.setWrapText(true);
    hint.setMinHeight(USE_PREF_SIZE);
    hint.managedProperty().bind(hint.textProperty().isNotEmpty());
    getChildren().addAll(label, text, hint);
    text.setOnAction(e -> commit());
    text.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                text.selectAll();
              } else {
                commit();
              }
            });
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** Puts a unit behind the name. */
  public void name(String name, String unit) {
    label.setText(unit.isEmpty() ? name : name + ", " + unit);
  }

  /** What stands in it while it is empty. */
  public EntryField prompt(String words) {
    text.setPromptText(words);
    return this;
  }

  /** Shows a value; what is being typed is left alone. */
  public void show(String value) {
    boolean same = value.equals(shown);
    boolean typing = text.isFocused() && same && !text.getText().equals(shown);
    shown = value;
    if (!typing && !(same && isWrong())) {
      text.setText(value);
      mend();
    }
  }

  private boolean isWrong() {
    return getStyleClass().contains("wrong");
  }

  private void mend() {
    getStyleClass().remove("wrong");
    hint.setText("");
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      text.setText(shown);
      text.selectAll();
      mend();
      e.consume();
    }
  }

  private void commit() {
    if (text.getText().equals(shown)) {
      mend();
      return;
    }
    try {
      taker.take(text.getText().strip());
      mend();
    } catch (NotationException | IllegalArgumentException e) {
      if (!isWrong()) {
        getStyleClass().add("wrong");
      }
      hint.setText("✗ " + e.getMessage() + (shown.isEmpty() ? "" : "; still " + shown));
    }
  }
}
