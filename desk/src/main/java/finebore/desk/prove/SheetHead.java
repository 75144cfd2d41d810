package finebore.desk.prove;

import finebore.bench.UnitMixUp;
import finebore.desk.controls.Styles;
import finebore.desk.session.ProveState.Shown;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.function.IntConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/**
 * The line over the sheet of readings: what its figures are, or whether they are in the wrong unit,
 * and the leaves of a sheet that is wider than its place.
 */
final class SheetHead extends HBox {

  private final Label what = new Label();
  private final Tooltip whole = new Tooltip();
  private final Button putRight = new Button();
  private final Button earlier = new Button("◀");
  private final Button later = new Button("▶");

  /**
   * A line.
   *
   * @param turn turns by so many tests
   * @param putRight takes the flows in the unit that was meant
   */
  SheetHead(Words words, IntConsumer turn, Runnable putRight) {
    super(6);
    setAlignment(Pos.CENTER_LEFT);
    what.getStyleClass().addAll("small", "muted");
    what.setTooltip(whole);
    what.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(what, Priority.ALWAYS);
    button(this.putRight, "put-unit-right", putRight);
    this.putRight.setMinWidth(USE_PREF_SIZE);
    this.putRight.managedProperty().bind(this.putRight.visibleProperty());
    button(earlier, "tests-earlier", () -> turn.accept(-1));
    button(later, "tests-later", () -> turn.accept(1));
    earlier.setAccessibleText(words.text("prove.earlier"));
    later.setAccessibleText(words.text("prove.later"));
    getChildren().addAll(what, this.putRight, earlier, later);
  }

  private static void button(Button button, String id, Runnable action) {
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setOnAction(e -> action.run());
  }

  /**
   * Shows what is looked at.
   *
   * @param first place of the first test on the sheet
   * @param count tests on the sheet
   */
  void show(Shown shown, int first, int count) {
    Words words = shown.words();
    what.setText(shown.mixUp().map(m -> question(m, words)).orElseGet(() -> figures(shown)));
    whole.setText(what.getText());
    Styles.state(what, shown.mixUp().isPresent() ? "fault" : "muted");
    putRight.setVisible(
        shown.mixUp().isPresent() && shown.test().filter(UnitMixUp::isReadAsFlow).isPresent());
    shown
        .mixUp()
        .ifPresent(
            m -> putRight.setText(words.text("prove.mixUp.right", "meant", m.meant().symbol())));
    boolean pages = shown.tests().size() > count;
    earlier.setVisible(pages);
    later.setVisible(pages);
    earlier.setDisable(first <= 0);
    later.setDisable(first + count >= shown.tests().size());
  }

  private static String question(UnitMixUp mixUp, Words words) {
    return "? "
        + words.text(
            "prove.mixUp",
            "ratio",
            UnitSystem.fixed(mixUp.ratio(), 2),
            "meant",
            mixUp.meant().symbol());
  }

  private static String figures(Shown shown) {
    if (shown.tests().isEmpty()) {
      return shown.words().text("prove.none", "port", shown.port());
    }
    return shown
        .words()
        .text(
            "prove.sheet",
            "depression",
            shown.units().pressureText(shown.job().test().depressionPa()),
            "unit",
            shown.units().flow().symbol());
  }
}
