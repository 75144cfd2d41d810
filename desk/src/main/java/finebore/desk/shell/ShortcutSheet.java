package finebore.desk.shell;

import finebore.words.Words;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The sheet of keys that F1 shows over the station. */
final class ShortcutSheet extends StackPane {

  private static final List<String> KEYS =
      List.of(
          "help",
          "stations",
          "mnemonic",
          "machine",
          "tests",
          "cells",
          "reading",
          "undo",
          "open",
          "save",
          "sheet",
          "look",
          "text",
          "tab",
          "nudge",
          "take",
          "seats",
          "states",
          "scrub",
          "units",
          "grip",
          "arrows",
          "fit",
          "wheel",
          "shift",
          "air",
          "room",
          "strip",
          "lever");

  private final Runnable close;

  ShortcutSheet(Words words, Runnable close) {
    this.close = close;
    setId("shortcut-sheet");
    getStyleClass().add("veil");
    Label title = new Label(words.text("keys.title"));
    title.getStyleClass().add("title");
    GridPane grid = new GridPane();
    grid.setHgap(24);
    grid.setVgap(4);
    for (int k = 0; k < KEYS.size(); k++) {
      Label key = new Label(words.text("keys." + KEYS.get(k) + ".press"));
      key.getStyleClass().add("figure");
      grid.add(key, 0, k);
      grid.add(new Label(words.text("keys." + KEYS.get(k))), 1, k);
    }
    Label entry = new Label(words.text("keys.entry"));
    entry.getStyleClass().add("muted");
    Button done = new Button(words.text("ui.close"));
    done.setId("close-sheet");
    done.setOnAction(e -> close.run());
    VBox sheet = new VBox(10, title, grid, entry, done);
    sheet.getStyleClass().add("sheet");
    sheet.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAlignment(Pos.CENTER);
    getChildren().add(sheet);
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.F1) {
            close.run();
            e.consume();
          }
        });
    sceneProperty()
        .addListener((o, was, is) -> javafx.application.Platform.runLater(done::requestFocus));
  }
}
