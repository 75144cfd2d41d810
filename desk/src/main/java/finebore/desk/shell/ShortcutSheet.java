package finebore.desk.shell;

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

  private static final List<String[]> KEYS =
      List.of(
          new String[] {"F1", "This sheet"},
          new String[] {"[   ]", "Previous, next seat"},
          new String[] {"1   2   4", "Found, Plan, Prove station"},
          new String[] {"Ctrl T, Ctrl I, Ctrl E", "Prove: new test, import, export"},
          new String[] {
            "Enter, arrows in a test", "Take the reading and go on; the cells beside it"
          },
          new String[] {"P   O", "As planned, as found"},
          new String[] {"Page Up, Page Down", "The metal one operation earlier, later"},
          new String[] {"Enter in a reading", "Take it and go on"},
          new String[] {"U", "Inches or millimetres"},
          new String[] {"Ctrl Z", "Undo"},
          new String[] {"Ctrl Shift Z, Ctrl Y", "Redo"},
          new String[] {"Ctrl N, Ctrl O", "New job, open a job"},
          new String[] {"Ctrl S, Ctrl Shift S", "Save, save as"},
          new String[] {"Ctrl K", "Write the cut sheet"},
          new String[] {"Ctrl D", "Dark or paper look"},
          new String[] {"Ctrl +   Ctrl −", "Larger, smaller text"},
          new String[] {"Tab, Shift Tab", "Next, previous control"},
          new String[] {"Up, Down in a field", "Nudge by 0.01 mm or 0.0005 in; Shift: ten times"},
          new String[] {"Enter, Esc in a field", "Take the number; put the old one back"},
          new String[] {",   .  in the section", "Choose a grip"},
          new String[] {"Arrows in the section", "Nudge the chosen grip; Shift: ten times"},
          new String[] {"F   W   +   −  in the section", "Fit the seat, show the whole, zoom"},
          new String[] {"Wheel, drag, double click", "Zoom, pan, fit"},
          new String[] {"Shift and drag a grip", "Angle of a cut; depth of the seat"},
          new String[] {"Left, Right in the lift strip", "Put the lever at a lift"},
          new String[] {"Up, Down on the lever", "Raise, lower the valve"});

  private final Runnable close;

  ShortcutSheet(Runnable close) {
    this.close = close;
    setId("shortcut-sheet");
    getStyleClass().add("veil");
    Label title = new Label("Keys");
    title.getStyleClass().add("title");
    GridPane grid = new GridPane();
    grid.setHgap(24);
    grid.setVgap(4);
    for (int k = 0; k < KEYS.size(); k++) {
      Label key = new Label(KEYS.get(k)[0]);
      key.getStyleClass().add("figure");
      grid.add(key, 0, k);
      grid.add(new Label(KEYS.get(k)[1]), 1, k);
    }
    Label entry =
        new Label(
            "Fields take 1.654, 42 mm, 60 thou, 1 21/32, 0.89*42 and show what they understood.");
    entry.getStyleClass().add("muted");
    Button done = new Button("Close");
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
