package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.desk.plan.SectionView;
import finebore.desk.theme.Theme;
import finebore.formats.JobFile;
import finebore.valve.Pairing;
import finebore.words.UnitSystem;
import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** The real window, driven by mouse and keys. */
@ExtendWith(ApplicationExtension.class)
class DeskTest {

  @TempDir private static Path home;
  @TempDir private Path folder;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
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

  private void dragGrip(String id, double dx, double dy) {
    Point2D from = grip(id);
    desk.moveTo(from.getX(), from.getY());
    desk.press(MouseButton.PRIMARY);
    for (int k = 1; k <= 8; k++) {
      desk.moveTo(from.getX() + dx * k / 8, from.getY() + dy * k / 8);
    }
    desk.release(MouseButton.PRIMARY);
    desk.settle();
  }

  @Test
  void theDemoShowsItsReadingsFindingsAndFlow() {
    assertThat(desk.text("#job-title")).isEqualTo("Skarn 1.6, hill climb");
    assertThat(desk.text("#reading-throatRatio")).isEqualTo("88.0 %");
    assertThat(desk.text("#reading-seatWidth")).isEqualTo("1.25 mm");
    assertThat(desk.findings())
        .contains("Face width is 2.10 mm")
        .contains("Basis: common practice, no source");
    assertThat(desk.text("#gate-text")).contains("Gate").contains("between");
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake planned, 4 seats alike");
  }

  @Test
  void aWidthTypedChangesReadingFindingDrawingAndStrip() {
    int section = print("#section");
    int strip = print("#lift-strip");
    desk.enter("field-cut-2-width", "2.1");
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(2.1);
    assertThat(desk.text("#reading-seatWidth")).isEqualTo("2.10 mm");
    assertThat(desk.findings()).contains("Seat width is 2.10 mm; Fast road wants at most 1.50 mm");
    assertThat(print("#section")).isNotEqualTo(section);
    assertThat(print("#lift-strip")).isNotEqualTo(strip);
    desk.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.25);
    assertThat(desk.text("#reading-seatWidth")).isEqualTo("1.25 mm");
    assertThat(print("#lift-strip")).isEqualTo(strip);
    desk.press(KeyCode.CONTROL, KeyCode.SHIFT)
        .type(KeyCode.Z)
        .release(KeyCode.SHIFT, KeyCode.CONTROL);
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(2.1);
  }

  @Test
  void shopNotationIsUnderstoodAndShown() {
    desk.enter("field-throatMm", "0.89*40.5");
    assertThat(planned().seat().throatDiameterMm()).isCloseTo(36.045, within(1e-9));
    desk.enter("field-cut-2-width", "60 thou");
    assertThat(planned().seat().cuts().get(1).widthMm()).isCloseTo(1.524, within(1e-9));
    assertThat(desk.text("#field-cut-2-width-text")).isEqualTo("1.524");
    desk.clickOn("#field-valveHeadMm-text").eraseText(8).write("1 19/32 in");
    assertThat(desk.said()).isEqualTo("= 40.481 mm");
  }

  @Test
  void nonsenseIsRefusedBesideTheFieldAndTheOldValueStays() {
    desk.enter("field-cut-2-width", "wide");
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.25);
    assertThat(desk.said())
        .contains("Cannot read \"wide\"")
        .contains("expected a length such as")
        .contains("still 1.25 mm");
    assertThat(desk.text("#field-cut-2-width-text")).isEqualTo("wide");
    desk.type(KeyCode.ESCAPE);
    assertThat(desk.text("#field-cut-2-width-text")).isEqualTo("1.25");
    desk.enter("field-throatMm", "60");
    assertThat(desk.said()).contains("The throat must be smaller than the seat's outside diameter");
    assertThat(planned().seat().throatDiameterMm()).isEqualTo(35.65);
  }

  @Test
  void aFieldIsRingedBlueWithTheKeyboardAndRedWhenWrongAndKeepsItsSize() {
    TextField field = desk.lookup("#field-cut-2-width-text").query();
    Bounds before = field.getBoundsInParent();
    assertThat(ring(field))
        .isNotIn(Theme.PAPER.palette().blue(), Theme.PAPER.palette().vermilion());
    desk.runFx(field::requestFocus);
    assertThat(ring(field)).isEqualTo(Theme.PAPER.palette().blue());
    assertThat(field.getBoundsInParent()).isEqualTo(before);
    desk.enter("field-cut-2-width", "wide");
    assertThat(ring(field)).isEqualTo(Theme.PAPER.palette().vermilion());
    assertThat(field.getBoundsInParent()).isEqualTo(before);
    desk.type(KeyCode.ESCAPE);
  }

  /** The outermost colour of a field's ground. */
  private static Paint ring(TextField field) {
    return field.getBackground().getFills().getFirst().getFill();
  }

  @Test
  void whatIsRefusedStandsWhereTheGateIsToldUntilTheLeverMoves() {
    Node strip = desk.lookup("#lift-strip").query();
    Node gate = desk.lookup("#gate-text").query();
    Node section = desk.lookup("#section").query();
    Bounds stripBefore = strip.localToScene(strip.getBoundsInLocal());
    Bounds sectionBefore = section.localToScene(section.getBoundsInLocal());
    desk.enter("field-cut-2-width", "wide");
    assertThat(desk.text("#section-message")).contains("Cannot read \"wide\"");
    assertThat(gate.getParent().isVisible()).isFalse();
    assertThat(strip.localToScene(strip.getBoundsInLocal())).isEqualTo(stripBefore);
    assertThat(section.localToScene(section.getBoundsInLocal())).isEqualTo(sectionBefore);
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(8));
    assertThat(desk.text("#section-message")).isEmpty();
    assertThat(gate.getParent().isVisible()).isTrue();
  }

  @Test
  void aGripDraggedIsOneStepToUndo() {
    double before = planned().seat().throatDiameterMm();
    String ratio = desk.text("#reading-throatRatio");
    dragGrip("throat", -24, 0);
    double after = planned().seat().throatDiameterMm();
    assertThat(after).isLessThan(before - 0.5);
    assertThat(after * 100).isCloseTo(Math.rint(after * 100), within(1e-6));
    assertThat(desk.text("#reading-throatRatio")).isNotEqualTo(ratio);
    desk.runFx(desk.session::undo);
    assertThat(planned().seat().throatDiameterMm()).isEqualTo(before);
    dragGrip("cut-1", -10, 10);
    assertThat(planned().seat().cuts().get(1).widthMm()).isGreaterThan(1.3);
    assertThat(planned().seat().cuts().get(1).angleDeg()).isEqualTo(45);
  }

  @Test
  void aGripDraggedPastTheMetalComesBackInTheSameDrag() {
    double before = planned().seat().throatDiameterMm();
    Point2D from = grip("throat");
    desk.moveTo(from.getX(), from.getY()).press(MouseButton.PRIMARY);
    desk.moveTo(from.getX() - 60, from.getY());
    desk.settle();
    assertThat(planned().seat().throatDiameterMm()).isLessThan(before - 2);
    desk.moveTo(from.getX() - 6, from.getY());
    desk.settle();
    desk.release(MouseButton.PRIMARY);
    assertThat(planned().seat().throatDiameterMm()).isBetween(before - 1, before - 0.05);
  }

  private static MouseEvent mouse(
      javafx.event.EventType<MouseEvent> type, Point2D at, double dx, double dy) {
    return new MouseEvent(
        type,
        at.getX() + dx,
        at.getY() + dy,
        at.getX() + dx,
        at.getY() + dy,
        MouseButton.PRIMARY,
        1,
        true,
        false,
        false,
        false,
        true,
        false,
        false,
        false,
        false,
        false,
        null);
  }

  @Test
  void shiftDragsTheAngle() {
    SectionView view = desk.window.plan().section();
    Point2D screen = grip("cut-2");
    desk.runFx(
        () -> {
          Point2D at = view.localToScene(view.screenToLocal(screen));
          view.fireEvent(mouse(MouseEvent.MOUSE_PRESSED, at, 0, 0));
          view.fireEvent(mouse(MouseEvent.MOUSE_DRAGGED, at, -12, 0));
          view.fireEvent(mouse(MouseEvent.MOUSE_RELEASED, at, -12, 0));
        });
    assertThat(planned().seat().cuts().get(2).angleDeg()).isLessThan(59);
    assertThat(planned().seat().cuts().get(2).widthMm()).isEqualTo(1.4);
  }

  @Test
  void keysNudgeTheChosenGripAndTheField() {
    SectionView section = desk.window.plan().section();
    desk.runFx(section::requestFocus);
    desk.type(KeyCode.PERIOD).type(KeyCode.RIGHT);
    assertThat(planned().seat().outsideDiameterMm()).isCloseTo(39.86, within(1e-9));
    desk.press(KeyCode.SHIFT).type(KeyCode.LEFT).release(KeyCode.SHIFT);
    assertThat(planned().seat().outsideDiameterMm()).isCloseTo(39.76, within(1e-9));
    desk.runFx(desk.session::undo);
    assertThat(planned().seat().outsideDiameterMm()).isEqualTo(39.85);
    desk.clickOn("#field-marginMm-text").type(KeyCode.UP).type(KeyCode.UP);
    assertThat(planned().valve().marginMm()).isCloseTo(1.32, within(1e-9));
    desk.runFx(desk.session::switchUnits);
    desk.clickOn("#field-marginMm-text").type(KeyCode.DOWN);
    assertThat(planned().valve().marginMm()).isCloseTo(1.32 - 0.0127, within(1e-9));
  }

  @Test
  void theStackOfCutsIsEdited() {
    desk.clickOn("#add-cut");
    assertThat(planned().seat().cuts()).hasSize(5);
    desk.clickOn("#cut-5-remove");
    assertThat(planned().seat().cuts()).hasSize(4);
    desk.clickOn("#cut-3-down");
    assertThat(planned().seat().cuts().get(2).angleDeg()).isEqualTo(75);
    desk.clickOn("#cut-3-seals");
    assertThat(planned().seat().sealing()).isEqualTo(2);
    desk.clickOn("#cut-1-remove");
    assertThat(planned().seat().cuts()).hasSize(3);
    assertThat(planned().seat().sealing()).isEqualTo(1);
  }

  @Test
  void backCutsAreAddedAndRemoved() {
    desk.press("#add-back-cut");
    desk.press("#add-back-cut");
    assertThat(planned().valve().backCuts()).hasSize(2);
    desk.enter("field-back-cut-1-width", "1.4");
    assertThat(planned().valve().backCuts().getFirst().widthMm()).isEqualTo(1.4);
    desk.enter("field-back-cut-1-width", "19");
    assertThat(desk.said()).contains("there are only");
    assertThat(planned().valve().backCuts().getFirst().widthMm()).isEqualTo(1.4);
  }

  @Test
  void unitsSwitchEverywhereAndChangeNoNumber() {
    Pairing before = planned();
    desk.clickOn("#units-in");
    assertThat(desk.session.units()).isEqualTo(UnitSystem.INCH);
    assertThat(desk.text("#field-seatOutsideMm-text")).isEqualTo("1.5689");
    assertThat(desk.text("#reading-seatWidth")).isEqualTo("0.049 in");
    assertThat(desk.text("#lift-text")).endsWith("in");
    desk.runFx(desk.window.plan().section()::requestFocus);
    desk.type(KeyCode.U);
    assertThat(desk.session.units()).isEqualTo(UnitSystem.METRIC);
    assertThat(planned()).isEqualTo(before);
  }

  @Test
  void seatsAndStatesAreChosenByClickAndKey() {
    desk.clickOn("#seat-E2");
    assertThat(desk.text("#section-title")).isEqualTo("E2  exhaust planned, 4 seats alike");
    desk.clickOn("#show-found");
    assertThat(desk.text("#section-title")).contains("as found");
    assertThat(desk.text("#reading-seatWidth")).isEqualTo("2.30 mm");
    desk.runFx(desk.window.plan().section()::requestFocus);
    desk.write("]");
    assertThat(desk.session.seat().get().label()).isEqualTo("I3");
    desk.write("[[");
    assertThat(desk.session.seat().get().label()).isEqualTo("I2");
    desk.type(KeyCode.P);
    assertThat(desk.text("#section-title")).contains("planned");
  }

  @Test
  void editingOneSeatEditsItsWholeGroup() {
    desk.clickOn("#seat-I3");
    desk.enter("field-throatMm", "35.2");
    desk.clickOn("#seat-I1");
    assertThat(desk.text("#field-throatMm-text")).isEqualTo("35.2");
    assertThat(desk.session.job().exhaust()).isEqualTo(JobFile.demo().exhaust());
  }

  @Test
  void theFoundStateIsEditedApart() {
    desk.clickOn("#show-found");
    desk.enter("field-throatMm", "34");
    assertThat(desk.session.job().intake().found().seat().throatDiameterMm()).isEqualTo(34);
    assertThat(planned().seat().throatDiameterMm()).isEqualTo(35.65);
  }

  @Test
  void theLeverRaisesTheValve() {
    int section = print("#section");
    String gate = desk.text("#gate-text");
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(8));
    assertThat(desk.text("#lift-text")).isEqualTo("8.00 mm");
    assertThat(desk.text("#gate-text")).isNotEqualTo(gate);
    assertThat(desk.text("#loss-text"))
        .matches(
            "Resistance: seat and valve \\d+ %, the port \\d+ %, wall beside the valve \\d+ %");
    assertThat(print("#section")).isNotEqualTo(section);
    Node strip = desk.lookup("#lift-strip").query();
    desk.runFx(strip::requestFocus);
    desk.type(KeyCode.LEFT);
    assertThat(desk.window.plan().section().liftProperty().get()).isEqualTo(7);
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(0));
    assertThat(desk.text("#gate-text")).isEqualTo("Closed.");
  }

  @Test
  void theJobsOwnFieldsAreEdited() {
    desk.clickOn("#station-job");
    desk.clickOn("#job-name").eraseText(20).write("Skarn two").type(KeyCode.ENTER);
    assertThat(desk.session.job().name()).isEqualTo("Skarn two");
    desk.enter("field-cylinders", "2");
    assertThat(desk.session.job().engine().seats()).hasSize(4);
    desk.enter("field-cylinders", "2.5");
    assertThat(desk.said()).contains("whole number");
    desk.enter("field-intake-maxLiftMm", "11.4");
    desk.clickOn("#usual-lifts");
    assertThat(desk.session.job().test().liftsMm()).endsWith(12.0);
    desk.enter("field-targetHp", " ");
    assertThat(desk.session.job().engine().targetHp()).isEmpty();
  }

  @Test
  void anotherPracticeWantsOtherThings() {
    desk.runFx(() -> desk.session.edit("", job -> job.withPractice("road")));
    assertThat(desk.text("#readings-practice")).contains("Road and long life");
    assertThat(desk.findings())
        .contains("Road and long life wants at most 88.0 %")
        .contains("Seat width is 1.25 mm");
  }

  @Test
  void theSheetOfKeysOpensAndCloses() {
    desk.type(KeyCode.F1);
    assertThat(desk.isShown("#shortcut-sheet")).isTrue();
    desk.type(KeyCode.ESCAPE);
    assertThat(desk.isShown("#shortcut-sheet")).isFalse();
  }

  @Test
  void everyControlIsReachedByTab() {
    desk.runFx(() -> desk.lookup("#job-menu").query().requestFocus());
    java.util.Set<String> reached = new java.util.HashSet<>();
    for (int k = 0; k < 90; k++) {
      desk.type(KeyCode.TAB);
      Node owner = desk.window.scene().getFocusOwner();
      if (owner != null && owner.getId() != null) {
        reached.add(owner.getId());
      }
    }
    assertThat(reached)
        .contains(
            "job-menu",
            "seat-I1",
            "seat-E4",
            "show-planned",
            "field-cut-1-angle-text",
            "cut-1-down",
            "add-cut",
            "field-throatMm-text",
            "field-valveHeadMm-text",
            "add-back-cut",
            "section",
            "lift-lever",
            "lift-strip",
            "fit",
            "try-0",
            "theme",
            "help");
  }
}
