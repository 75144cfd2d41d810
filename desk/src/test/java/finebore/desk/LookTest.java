package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.plan.SectionView;
import finebore.units.Units;
import finebore.valve.Pairing;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** What a window looks like from the first moment on: each test has its own. */
@ExtendWith(ApplicationExtension.class)
class LookTest {

  @TempDir private static Path home;
  @TempDir private Path folder;
  private DeskRobot desk;

  @Start
  private void start(Stage stage) {
    desk = new DeskRobot(stage, home);
    // These tests work on the seat and valve; the operations have their own.
    ((ToggleButton) desk.window.scene().getRoot().lookup("#show-planned")).fire();
  }

  private Pairing planned() {
    return desk.session.job().intake().planned();
  }

  private int print(String id) {
    return desk.print(id);
  }

  /** Where a grip is on the screen. */
  private Point2D grip(String id) {
    desk.settle();
    return desk.onFx(() -> desk.window.plan().section().gripOnScreen(id).orElseThrow());
  }

  @Test
  void aCureIsTriedKeptAndPutBack() {
    int strip = print("#lift-strip");
    desk.clickOn("#try-0");
    assertThat(desk.isShown("#keep-tried")).isTrue();
    assertThat(planned().valve().backCuts()).isEmpty();
    assertThat(desk.text("#reading-faceWidth")).isEqualTo("1.70 mm");
    assertThat(print("#lift-strip")).isNotEqualTo(strip);
    desk.clickOn("#put-back");
    assertThat(desk.text("#reading-faceWidth")).isEqualTo("2.10 mm");
    assertThat(print("#lift-strip")).isEqualTo(strip);
    desk.clickOn("#try-0").clickOn("#keep-tried");
    assertThat(planned().valve().faceWidthMm()).isCloseTo(1.7, within(1e-9));
    assertThat(planned().valve().backCuts()).hasSize(1);
    assertThat(desk.isShown("#keep-tried")).isFalse();
  }

  @Test
  void theDarkLookIsKept() {
    int section = print("#section");
    desk.press(KeyCode.CONTROL).type(KeyCode.D).release(KeyCode.CONTROL);
    assertThat(print("#section")).isNotEqualTo(section);
    assertThat(desk.folder.theme().id()).isEqualTo("dark");
    desk.press(KeyCode.CONTROL).type(KeyCode.D).release(KeyCode.CONTROL);
    assertThat(print("#section")).isEqualTo(section);
  }

  @Test
  void zoomAndFit() {
    SectionView view = desk.window.plan().section();
    Point2D before = grip("throat");
    desk.clickOn("#zoom-in");
    assertThat(grip("throat").distance(before)).isGreaterThan(5);
    desk.clickOn("#fit");
    assertThat(grip("throat").distance(before)).isLessThan(0.5);
    desk.moveTo(view).scroll(4, javafx.geometry.VerticalDirection.UP);
    assertThat(grip("throat").distance(before)).isGreaterThan(5);
    // The headless platform does not tell double clicks.
    desk.runFx(
        () ->
            view.fireEvent(
                new MouseEvent(
                    MouseEvent.MOUSE_CLICKED,
                    30,
                    30,
                    30,
                    30,
                    MouseButton.PRIMARY,
                    2,
                    false,
                    false,
                    false,
                    false,
                    false,
                    false,
                    false,
                    false,
                    false,
                    true,
                    null)));
    assertThat(grip("throat").distance(before)).isLessThan(0.5);
  }

  /** The largest text in the smallest window: fields stand in fewer columns, and none is cut. */
  @Test
  void noFigureIsCutOffInLargeTextAndASmallWindow() {
    Stage stage = (Stage) desk.onFx(() -> desk.window.scene().getWindow());
    desk.runFx(
        () -> {
          stage.setWidth(1024);
          stage.setHeight(700);
        });
    for (int k = 0; k < 5; k++) {
      desk.press(KeyCode.CONTROL, KeyCode.PLUS).release(KeyCode.PLUS, KeyCode.CONTROL);
    }
    desk.settle();
    assertThat(desk.folder.textScale()).isEqualTo(1.5);
    for (Units units : Units.values()) {
      desk.runFx(() -> desk.session.edit("", j -> j.withUnits(units)));
      for (String station : List.of("job", "found")) {
        desk.clickOn("#station-" + station);
        desk.settle();
        assertThat(desk.onFx(() -> cutOff("#" + station + "-station"))).as(station).isEmpty();
      }
    }
    for (String sheet : List.of("practices", "cutters")) {
      desk.runFx(() -> desk.window.showShop(sheet));
      desk.settle();
      assertThat(desk.onFx(() -> cutOff("#shop-sheet"))).as(sheet).isEmpty();
    }
  }

  /** Figures wider than the fields they stand in. */
  private List<String> cutOff(String station) {
    return desk.lookup(station).query().lookupAll(".text-field").stream()
        .map(TextField.class::cast)
        .filter(DeskRobot::isVisibleWithParents)
        .filter(field -> field.getText().matches("[-\\d.]+"))
        .filter(
            field -> {
              Text text = new Text(field.getText());
              text.setFont(field.getFont());
              double room = field.getWidth() - field.snappedLeftInset() - field.snappedRightInset();
              return text.getLayoutBounds().getWidth() > room;
            })
        .map(field -> field.getId() + ": " + field.getText())
        .toList();
  }

  @Test
  void nothingLiesOverTheToolsOfALowWindow() {
    desk.runFx(() -> desk.speak("de"));
    desk.runFx(
        () -> {
          desk.window.scene().getWindow().setWidth(1024);
          desk.window.scene().getWindow().setHeight(700);
        });
    for (String view : List.of("seal", "prove", "ladder", "bench", "cut", "record")) {
      desk.runFx(() -> desk.window.show(view));
      String station = List.of("cut", "record").contains(view) ? view : "prove";
      BorderPane pane = desk.lookup("#" + station + "-station").query();
      double tools = desk.onFx(() -> pane.getTop().getBoundsInParent().getMaxY());
      assertThat(desk.onFx(() -> pane.getCenter().getBoundsInParent().getMinY()))
          .as(view)
          .isGreaterThanOrEqualTo(tools - 0.5);
    }
  }

  @Test
  void theCurvesLegendIsShortWhereItWouldRunIntoTheTitle() {
    desk.runFx(() -> desk.speak("de"));
    desk.runFx(() -> desk.window.show("prove"));
    assertThat(legend()).contains("vorher vorhergesagt", "5 I1 blended");
    desk.runFx(() -> desk.window.scene().getWindow().setWidth(1024));
    for (int k = 0; k < 5; k++) {
      desk.press(KeyCode.CONTROL, KeyCode.PLUS).release(KeyCode.PLUS, KeyCode.CONTROL);
    }
    assertThat(legend()).contains("Vorhersage", "5").doesNotContain("vorher vorhergesagt");
  }

  private List<String> legend() {
    desk.settle();
    return desk.onFx(
        () ->
            ((DrawnRegion) desk.lookup("#curve-chart").query())
                .written().stream().map(Ink.Written::words).toList());
  }
}
