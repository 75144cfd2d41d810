package finebore.desk;

import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.RackFile;
import finebore.words.Language;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Region;
import javafx.stage.Stage;

/** The window on the demo job, with hands. */
final class DeskRobot extends QuickRobot {

  final JobSession session;
  final MainWindow window;
  final Picks picks = new Picks();
  final DeskFolder folder;
  final Recovery recovery;

  /** Answers in place of the system's choosers. */
  static final class Picks implements FilePicker {
    Optional<Path> open = Optional.empty();
    Optional<Path> save = Optional.empty();
    Optional<Path> sheet = Optional.empty();
    Unsaved unsaved = Unsaved.DROP;
    int asked;

    @Override
    public Optional<Path> open() {
      return open;
    }

    @Override
    public Optional<Path> save(String suggestion) {
      return save;
    }

    @Override
    public Optional<Path> saveCutSheet(String suggestion) {
      return sheet;
    }

    Optional<Path> table = Optional.empty();
    Optional<Path> picture = Optional.empty();

    @Override
    public Optional<Path> table() {
      return table;
    }

    @Override
    public Optional<Path> saveTable(String suggestion) {
      return table;
    }

    @Override
    public Optional<Path> picture() {
      return picture;
    }

    Optional<Path> outline = Optional.empty();

    @Override
    public Optional<Path> outline() {
      return outline;
    }

    Optional<Path> air = Optional.empty();

    @Override
    public Optional<Path> saveAir(String suggestion) {
      return air;
    }

    Optional<Path> export = Optional.empty();

    @Override
    public Optional<Path> saveExport(String suggestion, String ending) {
      return export.map(f -> f.resolveSibling(f.getFileName() + "." + ending));
    }

    Optional<Path> practice = Optional.empty();

    @Override
    public Optional<Path> practice() {
      return practice;
    }

    @Override
    public Optional<Path> savePractice(String suggestion) {
      return practice;
    }

    @Override
    public Unsaved unsaved(String job) {
      asked++;
      return unsaved;
    }
  }

  DeskRobot(Stage stage, Path home) {
    this(stage, home, Language.ENGLISH);
  }

  DeskRobot(Stage stage, Path home, Language language) {
    Theme.loadFonts();
    folder = new DeskFolder(home);
    recovery = new Recovery(folder);
    session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    session.speak(language);
    window = new MainWindow(stage, folder, session, recovery, picks, Theme.PAPER);
    window.show("plan");
    stage.setWidth(1280);
    stage.setHeight(800);
    stage.show();
  }

  /** The demo job as it was in the same window, which is much quicker than another window. */
  DeskRobot again(Stage stage) {
    window.scene().getRoot().requestFocus();
    picks.asked = 0;
    session.useRack(RackFile.shipped());
    session.load(JobDocument.fresh(JobFile.demo()), Optional.empty());
    window.plan().section().liftProperty().set(3);
    window.plan().section().fit();
    if (!session.language().tag().equals("en")) {
      speak("en");
    }
    window.show("plan");
    stage.show();
    ((ToggleButton) window.scene().lookup("#show-operations")).fire();
    ((ToggleButton) window.scene().lookup("#below-findings")).fire();
    return this;
  }

  /** The same for what goes on at Prove: its own test, view, page and chart, and an idle bench. */
  DeskRobot againAtProve(Stage stage) {
    window.prove().bench().leave();
    again(stage);
    // Another kind of seat lets the chosen tests go.
    session.step(1);
    session.step(-1);
    window.prove().state().lookAt(0);
    for (String page : List.of("flow", "comparison", "prove")) {
      window.prove().show(page);
    }
    return this;
  }

  /** Chooses a language in the menu, on the window's thread. */
  void speak(String tag) {
    ((MenuButton) window.scene().lookup("#job-menu"))
        .getItems().stream()
            .filter(i -> "menu-language".equals(i.getId()))
            .flatMap(i -> ((Menu) i).getItems().stream())
            .filter(i -> ("language-" + tag).equals(i.getId()))
            .findFirst()
            .orElseThrow()
            .fire();
  }

  /** Ends what still writes, so that the folder may go. */
  void leave() {
    settle();
    recovery.close();
  }

  String text(String id) {
    return onFx(
        () -> {
          Node node = lookup(id).query();
          return node instanceof TextField field ? field.getText() : ((Labeled) node).getText();
        });
  }

  boolean isShown(String id) {
    return onFx(() -> lookup(id).queryAll().stream().anyMatch(DeskRobot::isVisibleWithParents));
  }

  static boolean isVisibleWithParents(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (!at.isVisible()) {
        return false;
      }
    }
    return node.getScene() != null;
  }

  /** A print of what a drawing shows, to tell whether it changed. */
  int print(String id) {
    settle();
    return onFx(
        () -> {
          Region drawing = lookup(id).query();
          Canvas canvas = (Canvas) drawing.getChildrenUnmodifiable().getFirst();
          WritableImage image = canvas.snapshot(null, null);
          PixelReader pixels = image.getPixelReader();
          int hash = 1;
          for (int y = 0; y < (int) image.getHeight(); y += 2) {
            for (int x = 0; x < (int) image.getWidth(); x += 2) {
              hash = 31 * hash + pixels.getArgb(x, y);
            }
          }
          return hash;
        });
  }

  /** All text under a node. */
  String words(String id) {
    return onFx(
        () -> {
          StringBuilder all = new StringBuilder();
          lookup(id + " .label")
              .queryAllAs(Labeled.class)
              .forEach(l -> all.append(l.getText()).append('\n'));
          return all.toString();
        });
  }

  /** The id of what has the keyboard. */
  String focused() {
    return onFx(() -> window.scene().getFocusOwner().getId());
  }

  void press(String button) {
    runFx(() -> ((Button) lookup(button).query()).fire());
  }

  /** Types over a field's content and presses Enter. */
  void enter(String field, String typed) {
    TextField text = lookup("#" + field + "-text").query();
    runFx(
        () -> {
          text.requestFocus();
          text.selectAll();
        });
    write(typed);
    type(javafx.scene.input.KeyCode.ENTER);
    settle();
  }

  /** Chooses what reads so. */
  void choose(String box, String words) {
    runFx(() -> pick(lookup(box).query(), words));
  }

  private static <T> void pick(javafx.scene.control.ChoiceBox<T> box, String words) {
    box.setValue(
        box.getItems().stream().filter(i -> words(box, i).equals(words)).findFirst().orElseThrow());
  }

  private static <T> String words(javafx.scene.control.ChoiceBox<T> box, T item) {
    return box.getConverter() == null ? String.valueOf(item) : box.getConverter().toString(item);
  }

  /** Goes to the station of a digit. */
  void goTo(javafx.scene.input.KeyCode digit) {
    press(javafx.scene.input.KeyCode.CONTROL)
        .type(digit)
        .release(javafx.scene.input.KeyCode.CONTROL);
    settle();
  }

  /** What is said to the hand that types. */
  String said() {
    settle();
    return session.messages().said().get().text();
  }

  /** All findings as shown, one text. */
  String findings() {
    return words("#findings");
  }
}
