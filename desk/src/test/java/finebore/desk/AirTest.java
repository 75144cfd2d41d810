package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.words.UnitSystem;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Solved air over the section, as it is asked for, read and kept. */
@ExtendWith(ApplicationExtension.class)
class AirTest {

  @TempDir static Path home;

  private DeskRobot desk;

  @Start
  void start(Stage stage) {
    desk = new DeskRobot(stage, home);
  }

  private String said(FxRobot robot) {
    return robot.lookup("#air-text").queryAs(Label.class).getText();
  }

  /** Every change that the strip tells, in order of lift. */
  private List<String> gains() {
    desk.settle();
    return desk.onFx(
        () ->
            ((DrawnRegion) desk.lookup("#lift-strip").query())
                .written().stream()
                    .sorted(Comparator.comparingDouble(Ink.Written::x))
                    .map(Ink.Written::words)
                    .filter(w -> w.matches("[+−-]\\d+\\.\\d"))
                    .toList());
  }

  private void waitFor(FxRobot robot, String words) throws TimeoutException {
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> said(robot).contains(words));
    WaitForAsyncUtils.waitForFxEvents();
  }

  @Test
  void isSolvedShownAndKept(FxRobot robot) throws Exception {
    robot.interact(() -> desk.window.plan().section().liftProperty().set(8));
    final List<String> estimated = gains();
    robot.interact(() -> robot.lookup("#section").query().requestFocus());
    robot.push(KeyCode.A);
    assertThat(robot.lookup("#air-speed").queryAs(ToggleButton.class).isSelected()).isTrue();
    waitFor(robot, "full grid");
    assertThat(said(robot)).contains("Solved:").contains("no bend of the port");

    // What has been solved counts in the strip, from the lever's lift on.
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> !gains().equals(estimated));
    assertThat(gains()).hasSameSizeAs(estimated);

    // Another lift is another question; its answer replaces the old one.
    String before = said(robot);
    robot.interact(() -> desk.window.plan().section().liftProperty().set(9));
    assertThat(said(robot)).doesNotContain("full grid");
    waitFor(robot, "full grid");
    assertThat(said(robot)).isNotEqualTo(before);

    for (String name : new String[] {"air.png", "air.svg", "air.csv"}) {
      desk.picks.air = java.util.Optional.of(home.resolve(name));
      robot.interact(
          () -> robot.lookup("#air-save").queryAs(javafx.scene.control.Button.class).fire());
      assertThat(Files.size(home.resolve(name))).as(name).isGreaterThan(10_000);
    }
    assertThat(Files.readString(home.resolve("air.svg"))).contains("<svg").contains("9.00 mm");

    // The losses are of the same flow; the same key takes them away again.
    robot.push(KeyCode.L);
    assertThat(said(robot)).contains("full grid");
    robot.push(KeyCode.L);
    assertThat(said(robot)).isEmpty();
    assertThat(gains()).isEqualTo(estimated);
    assertThat(robot.lookup("#air-text").query().isManaged()).isFalse();
  }

  @Test
  void saysThatAShutValvePassesNothing(FxRobot robot) {
    robot.interact(() -> desk.window.plan().section().liftProperty().set(0));
    robot.interact(() -> robot.lookup("#air-lost").queryAs(ToggleButton.class).fire());
    assertThat(said(robot)).isEqualTo("The valve is shut: no air passes.");
    assertThat(robot.lookup("#air-save").query().isDisabled()).isTrue();
    assertThat(desk.session.units()).isEqualTo(UnitSystem.METRIC);
  }
}
