package finebore.desk.prove;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReadingNotation;
import finebore.desk.controls.Styles;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyEvent;

/**
 * The readings of one test at one lift. Enter takes them and goes down; the arrows go to the cells
 * beside it; what cannot be read is refused and stays to be mended.
 */
final class TestCell extends TextField {

  /** What a cell belongs to. */
  interface Sheet {
    UnitSystem units();

    void take(TestCell cell, List<BenchReading> readings);

    void tell(String words);

    void go(TestCell from, int rows, int columns);

    void paste(TestCell from, String block);

    void lookAt(TestCell cell);
  }

  private final Sheet sheet;
  private final int test;
  private final double liftMm;
  private final Tooltip tip = new Tooltip();
  private List<BenchReading> readings = List.of();
  private String written = "";
  private String flow = "";

  TestCell(Sheet sheet, FlowTest test, double liftMm) {
    this.sheet = sheet;
    this.test = test.id();
    this.liftMm = liftMm;
    setId(idOf(test.id(), liftMm));
    setAccessibleText(test.name() + " at " + sheet.units().lengthText(liftMm));
    getStyleClass().addAll("reading-cell", "plain");
    setTooltip(tip);
    setPrefColumnCount(5);
    setOnAction(
        e -> {
          if (commit()) {
            sheet.go(this, 1, 0);
          }
        });
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                if (!isWrong()) {
                  setText(written);
                }
                selectAll();
                sheet.lookAt(this);
              } else if (commit()) {
                setText(flow);
              }
            });
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  /** The id of a cell: "test-3-2000" is test 3 at 2 mm. */
  static String idOf(int test, double liftMm) {
    return "test-" + test + "-" + Math.round(liftMm * 1000);
  }

  int test() {
    return test;
  }

  double liftMm() {
    return liftMm;
  }

  private void key(KeyEvent e) {
    boolean whole = getSelection().getLength() == getLength();
    switch (e.getCode()) {
      case ESCAPE -> {
        setText(written);
        selectAll();
        Styles.state(this, "plain");
        sheet.tell("");
      }
      case UP -> move(-1, 0);
      case DOWN -> move(1, 0);
      case LEFT -> {
        if (!whole && getCaretPosition() > 0) {
          return;
        }
        move(0, -1);
      }
      case RIGHT -> {
        if (!whole && getCaretPosition() < getLength()) {
          return;
        }
        move(0, 1);
      }
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void move(int rows, int columns) {
    if (commit()) {
      sheet.go(this, rows, columns);
    }
  }

  /** A table off the clipboard goes into the cells from here on. */
  @Override
  public void paste() {
    String text = Clipboard.getSystemClipboard().getString();
    if (text != null && (text.strip().contains("\n") || text.contains("\t"))) {
      sheet.paste(this, text);
    } else {
      super.paste();
    }
  }

  /** Takes what was typed; an empty cell takes its readings back. Whether it could be taken. */
  private boolean commit() {
    boolean shown = !isFocused() && getText().equals(flow);
    if (shown || getText().strip().equals(written)) {
      Styles.state(this, isWrong() ? "plain" : getStyleClass().getLast());
      return true;
    }
    try {
      sheet.take(this, ReadingNotation.read(getText(), sheet.units(), readings));
      sheet.tell("");
      return true;
    } catch (NotationException | IllegalArgumentException e) {
      Styles.state(this, "wrong");
      sheet.tell(
          "✗ "
              + getAccessibleText()
              + ": "
              + e.getMessage()
              + (written.isEmpty() ? "" : "; still " + written));
      return false;
    }
  }

  /** What has been typed and not been taken, if anything. */
  Optional<String> halfTyped() {
    boolean own = isWrong() || isFocused();
    return own && !getText().strip().equals(written) ? Optional.of(getText()) : Optional.empty();
  }

  private boolean isWrong() {
    return getStyleClass().getLast().equals("wrong");
  }

  /**
   * Shows what is noted; what is being typed is left alone. With the keyboard on it a cell shows
   * what was read, otherwise what that comes to.
   *
   * @param comesTo flow at the standard depression, in words
   */
  void show(Optional<LiftReadings> noted, String comesTo, Optional<String> doubt) {
    List<BenchReading> now = noted.map(LiftReadings::readings).orElse(List.of());
    boolean same = now.equals(readings);
    boolean typing = same && (isWrong() || isFocused() && !getText().strip().equals(written));
    readings = now;
    written = ReadingNotation.text(now, sheet.units());
    flow = comesTo;
    if (!typing) {
      setText(isFocused() ? written : flow);
      Styles.state(this, doubt.isPresent() ? "doubtful" : "plain");
    }
    String remarks = noted.map(LiftReadings::remarks).orElse("");
    tip.setText(
        doubt.orElse(
            now.isEmpty()
                ? "Readings; repeats with ; between them"
                : "Read: " + written + (remarks.isBlank() ? "" : "\n" + remarks)));
  }
}
