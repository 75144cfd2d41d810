package finebore.desk.shell;

import java.util.function.Predicate;
import javafx.scene.Scene;
import javafx.scene.input.KeyEvent;

/**
 * Keys that hold wherever the keyboard is: F1 and those with Ctrl. Bare letters and digits belong
 * to what has the keyboard and to nothing else.
 */
final class Keys {

  /** What the keys do. */
  interface Actions {
    void help();

    void undo();

    void redo();

    void newJob();

    void open();

    void save();

    void saveAs();

    void cutSheet();

    void newTest();

    void importTable();

    void exportTests();

    void switchTheme();

    void scaleText(double by);

    /** Goes to the station of a key. Whether there is one. */
    boolean goTo(javafx.scene.input.KeyCode key);
  }

  private static final double TEXT_STEP = 0.1;

  private Keys() {}

  /** Puts the keys on a scene, to be heard while they may be. */
  static void on(Scene scene, Actions actions, Predicate<KeyEvent> heard) {
    scene.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (heard.test(e) && key(e, actions)) {
            e.consume();
          }
        });
  }

  private static boolean key(KeyEvent e, Actions actions) {
    switch (e.getCode()) {
      case F1 -> actions.help();
      default -> {
        return e.isShortcutDown() && !e.isAltDown() && controlKey(e, actions);
      }
    }
    return true;
  }

  private static boolean controlKey(KeyEvent e, Actions actions) {
    switch (e.getCode()) {
      case Z -> {
        if (e.isShiftDown()) {
          actions.redo();
        } else {
          actions.undo();
        }
      }
      case Y -> actions.redo();
      case N -> actions.newJob();
      case O -> actions.open();
      case S -> {
        if (e.isShiftDown()) {
          actions.saveAs();
        } else {
          actions.save();
        }
      }
      case K -> actions.cutSheet();
      case T -> actions.newTest();
      case I -> actions.importTable();
      case E -> actions.exportTests();
      case D -> actions.switchTheme();
      case PLUS, EQUALS, ADD -> actions.scaleText(TEXT_STEP);
      case MINUS, SUBTRACT -> actions.scaleText(-TEXT_STEP);
      default -> {
        return actions.goTo(e.getCode());
      }
    }
    return true;
  }
}
