package finebore.desk.controls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.desk.controls.NumberField.Kind;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** One field on its own: what it takes, what it refuses, what it says. */
@ExtendWith(ApplicationExtension.class)
class NumberFieldTest {

  private final List<Double> taken = new ArrayList<>();
  private final List<String> gestures = new ArrayList<>();
  private UnitSystem units = UnitSystem.METRIC;
  private int ended;
  private NumberField field;
  private Button elsewhere;

  @Start
  private void start(Stage stage) {
    field = new NumberField("Throat", Kind.LENGTH, () -> units, this::take, () -> ended++);
    elsewhere = new Button("elsewhere");
    stage.setScene(new Scene(new VBox(elsewhere, field), 300, 120));
    stage.show();
    field.show(35.65);
    elsewhere.requestFocus();
  }

  private void take(String gesture, double value) {
    if (value > 50) {
      throw new IllegalArgumentException("throat must be 3 to 50 mm, was " + value);
    }
    gestures.add(gesture);
    taken.add(value);
  }

  private String hint() {
    return ((Label) field.lookup(".hint")).getText();
  }

  @Test
  void leavingTakesWhatWasTyped(FxRobot robot) {
    robot.clickOn(field.textField()).eraseText(6).write("36");
    robot.clickOn(elsewhere);
    assertThat(taken).containsExactly(36.0);
    assertThat(ended).isEqualTo(1);
    assertThat(field.textField().getText()).isEqualTo("36");
  }

  @Test
  void leavingWithoutAChangeTakesNothing(FxRobot robot) {
    robot.clickOn(field.textField()).clickOn(elsewhere);
    assertThat(taken).isEmpty();
  }

  @Test
  void theReasonOfARefusalStandsBesideIt(FxRobot robot) {
    robot.clickOn(field.textField()).eraseText(6).write("51").type(KeyCode.ENTER);
    assertThat(taken).isEmpty();
    assertThat(hint()).isEqualTo("✗ throat must be 3 to 50 mm, was 51.0; still 35.65 mm");
    assertThat(field.getStyleClass()).contains("wrong");
    robot.eraseText(6).write("40").type(KeyCode.ENTER);
    assertThat(taken).containsExactly(40.0);
    assertThat(hint()).isEmpty();
    assertThat(field.getStyleClass()).doesNotContain("wrong");
  }

  @Test
  void nudgesAreOneGesture(FxRobot robot) {
    robot.clickOn(field.textField()).type(KeyCode.UP).type(KeyCode.UP).type(KeyCode.DOWN);
    assertThat(taken.getLast()).isCloseTo(35.66, within(1e-9));
    assertThat(gestures).containsOnly("nudge field-throat");
  }

  @Test
  void whatIsTypedIsLeftAloneWhenTheValueStaysTheSame(FxRobot robot) {
    robot.clickOn(field.textField()).eraseText(6).write("36.");
    robot.interact(() -> field.show(35.65));
    assertThat(field.textField().getText()).isEqualTo("36.");
    robot.interact(() -> field.show(37));
    assertThat(field.textField().getText()).isEqualTo("37");
  }

  @Test
  void anotherUnitShowsTheSameLength(FxRobot robot) {
    units = UnitSystem.INCH;
    robot.interact(() -> field.show(35.65));
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(field.textField().getText()).isEqualTo("1.4035");
    robot.clickOn(field.textField()).eraseText(8).write("1 13/32").type(KeyCode.ENTER);
    assertThat(taken.getLast()).isCloseTo(25.4 * (1 + 13.0 / 32), within(1e-9));
  }
}
