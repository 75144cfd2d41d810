package finebore.desk.prove;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.desk.controls.EntryCell;
import finebore.desk.controls.Grammar;
import finebore.desk.session.Messages;
import finebore.words.NotationException;
import finebore.words.ReadingNotation;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyEvent;

/**
 * The readings of one test at one lift. Enter takes them and goes down; the arrows go to the cells
 * beside it; what cannot be read is refused and stays to be mended.
 */
final class TestCell extends EntryCell<List<BenchReading>> {

  /** What a cell belongs to. */
  interface Sheet {
    Words words();

    Messages messages();

    void take(int test, double liftMm, List<BenchReading> readings);

    void go(TestCell from, int rows, int columns);

    void paste(TestCell from, String block);

    void lookAt(TestCell cell);
  }

  /** Readings of a lift; one that is not retyped keeps what it was read at. */
  private static final class OfReadings implements Grammar<List<BenchReading>> {
    private List<BenchReading> before = List.of();

    @Override
    public List<BenchReading> read(String text, UnitSystem units) throws NotationException {
      return ReadingNotation.read(text, units, before);
    }

    @Override
    public String written(List<BenchReading> value, UnitSystem units) {
      return ReadingNotation.text(value, units);
    }
  }

  private final Sheet sheet;
  private final OfReadings grammar;
  private final int test;
  private final double liftMm;
  private final Tooltip tip = new Tooltip();

  TestCell(Sheet sheet, FlowTest test, double liftMm) {
    this(sheet, new OfReadings(), test, liftMm);
  }

  private TestCell(Sheet sheet, OfReadings grammar, FlowTest test, double liftMm) {
    super(
        idOf(test.id(), liftMm),
        grammar,
        sheet::words,
        sheet.messages(),
        (gesture, readings) -> sheet.take(test.id(), liftMm, readings));
    this.sheet = sheet;
    this.grammar = grammar;
    this.test = test.id();
    this.liftMm = liftMm;
    named(
        sheet
            .words()
            .text(
                "prove.cell",
                "test",
                test.name(),
                "lift",
                sheet.words().units().lengthText(liftMm)));
    getStyleClass().add(getStyleClass().size() - 1, "reading-cell");
    setTooltip(tip);
    setPrefColumnCount(5);
    onEntered(() -> sheet.go(this, 1, 0));
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

  @Override
  protected void looked() {
    sheet.lookAt(this);
  }

  @Override
  protected boolean key(KeyEvent e) {
    boolean whole = getSelection().getLength() == getLength();
    switch (e.getCode()) {
      case UP -> move(-1, 0);
      case DOWN -> move(1, 0);
      case LEFT -> {
        if (!whole && getCaretPosition() > 0) {
          return false;
        }
        move(0, -1);
      }
      case RIGHT -> {
        if (!whole && getCaretPosition() < getLength()) {
          return false;
        }
        move(0, 1);
      }
      default -> {
        return false;
      }
    }
    e.consume();
    return true;
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

  /**
   * Shows what is noted. With the keyboard on it a cell shows what was read, otherwise what that
   * comes to.
   *
   * @param comesTo flow at the standard depression, in words
   */
  void show(Optional<LiftReadings> noted, String comesTo, Optional<String> doubt) {
    List<BenchReading> now = noted.map(LiftReadings::readings).orElse(List.of());
    grammar.before = now;
    show(now, Optional.of(comesTo), doubt.isPresent() ? "doubtful" : "plain");
    String remarks = noted.map(LiftReadings::remarks).orElse("");
    Words words = sheet.words();
    tip.setText(
        doubt.orElse(
            now.isEmpty()
                ? words.text("prove.cell.how")
                : words.text("prove.cell.read", "readings", written())
                    + (remarks.isBlank() ? "" : "\n" + remarks)));
  }
}
