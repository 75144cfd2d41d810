package finebore.desk.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/**
 * A line above the station that says something, with what can be done about it; it stops nothing.
 */
final class Banner extends HBox {

  /** What a line is about, which colours it. */
  enum Kind {
    OFFER(""),
    DONE("preview"),
    PROBLEM("problem");

    private final String style;

    Kind(String style) {
      this.style = style;
    }
  }

  private final Label text = new Label();
  private final String closing;

  Banner(String closing) {
    super(10);
    this.closing = closing;
    setAlignment(Pos.CENTER_LEFT);
    text.setId("banner-text");
    text.setWrapText(true);
    text.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(text, Priority.ALWAYS);
    managedProperty().bind(visibleProperty());
    clear();
  }

  /** Says something; without buttons of its own the line can be closed. */
  void say(String words, Kind kind, Button... buttons) {
    text.setText(words);
    getStyleClass().setAll("banner", kind.style);
    getChildren().setAll(text);
    getChildren().addAll(buttons);
    if (buttons.length == 0) {
      Button close = new Button("✕");
      close.setId("close-banner");
      close.getStyleClass().add("icon-button");
      close.setAccessibleText(closing);
      close.setOnAction(e -> clear());
      getChildren().add(close);
    }
    setVisible(true);
  }

  /** A button for a line. */
  Button choice(String id, String words, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.setOnAction(e -> action.run());
    return button;
  }

  void clear() {
    setVisible(false);
  }
}
