package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.CutForm;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.finding.FindingCode;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.RackFile;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Plan;
import finebore.practice.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A head measured at the Found station, and its cuts planned operation by operation. */
@ExtendWith(ApplicationExtension.class)
class StationsTest {

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
  }

  private ComboBox<Finding> which() {
    return desk.lookup("#overrule-which").query();
  }

  private Plan plan() {
    return desk.session.job().planOf(desk.session.seat().get());
  }

  private void cell(String id, String typed) {
    TextField cell = desk.lookup("#cell-" + id).query();
    desk.runFx(
        () -> {
          cell.requestFocus();
          cell.selectAll();
        });
    desk.write(typed);
    desk.type(KeyCode.ENTER);
    desk.settle();
  }

  @Test
  void readingsGoInAsTheHandGoes() {
    desk.goTo(KeyCode.DIGIT1);
    assertThat(desk.isShown("#found-station")).isTrue();
    // The key itself goes into no cell.
    assertThat(desk.focused()).isEqualTo("cell-I1-ledge");
    assertThat(((TextField) desk.lookup("#cell-I1-ledge").query()).getText()).isEmpty();
    assertThat(desk.words("#found-findings"))
        .contains("Throat is 34.92 mm to 35.00 mm, the others of its kind")
        .contains("Wall at bowl is 2.10 mm, less than 2.30 mm");
    assertThat(desk.text("#skim")).contains("can still be skimmed by 0.32 mm");
    desk.clickOn("#cell-E3-throat12");
    int section = desk.print("#found-section");
    cell("E3-throat12", "28.4");
    assertThat(desk.session.job().head().readingsOf("E3").value(Measure.THROAT_12)).hasValue(28.4);
    assertThat(desk.focused()).isEqualTo("cell-I4-throat12");
    desk.clickOn("#seat-E3");
    assertThat(desk.print("#found-section")).isNotEqualTo(section);
    assertThat(desk.words("#found-findings")).contains("Throat across 12 and 6 is 28.40 mm");
    // The end of a row leads to the next measure.
    cell("E4-throat12", "+0028.030 mm");
    assertThat(desk.focused()).isEqualTo("cell-I1-throat130");
    assertThat(desk.session.job().head().readingsOf("E4").value(Measure.THROAT_12)).hasValue(28.03);
  }

  @Test
  void nonsenseIsRefusedAndWhatWasThereStays() {
    desk.goTo(KeyCode.DIGIT1);
    cell("I2-seatWidth", "wide");
    assertThat(desk.said()).contains("I2").contains("Seat width").contains("2.27");
    assertThat(desk.session.job().head().readingsOf("I2").value(Measure.SEAT_WIDTH)).hasValue(2.27);
    cell("I2-seatWidth", "99");
    assertThat(desk.said()).contains("must be 0.00 mm to 15.00 mm, was 99.00 mm");
    cell("I2-throat3", "41");
    assertThat(desk.words("#found-findings"))
        .contains("Throat across 3 and 9 41.00 mm is not smaller than the seat's outside diameter");
    // Taken back, it is assumed again.
    cell("I2-throat3", " ");
    assertThat(desk.session.job().head().readingsOf("I2").value(Measure.THROAT_3)).isEmpty();
  }

  @Test
  void operationsShowTheMetalAsItIsAfterEach() {
    int finished = desk.print("#section");
    desk.clickOn("#operation-1");
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake after operation 1");
    assertThat(desk.print("#section")).isNotEqualTo(finished);
    desk.clickOn("#operation-2");
    assertThat(desk.text("#operation-2-outcome"))
        .contains("4 of 4 cuts show")
        .contains("cleans up at");
    desk.enter("field-depth", "8.4");
    assertThat(((CutForm) plan().operations().get(1)).plunge()).isEqualTo(new Plunge.ToDepth(8.4));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-all").query()).fire());
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake planned, 4 seats alike");
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-0").query()).fire());
    assertThat(desk.text("#section-title")).contains("found metal");
    // The key belongs to the section, and only while the keyboard is there.
    desk.type(KeyCode.PAGE_DOWN);
    assertThat(desk.text("#section-title")).contains("found metal");
    desk.runFx(desk.window.plan().section()::requestFocus);
    desk.type(KeyCode.PAGE_DOWN);
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake after operation 1");
    desk.type(KeyCode.PAGE_UP);
    assertThat(desk.text("#section-title")).contains("found metal");
  }

  @Test
  void aFormThatHangsUpIsOfferedItsThroat() {
    desk.clickOn("#operation-1");
    desk.press("#operation-1-remove");
    assertThat(plan().operations().getFirst()).isInstanceOf(CutForm.class);
    assertThat(desk.findings()).contains("The form hangs up on the throat: open it to 35.65 mm");
    assertThat(desk.lookup("#ready").query().isDisabled()).isTrue();
    assertThat(desk.onFx(() -> which().getValue().code())).isEqualTo(FindingCode.HANGS_UP);
    desk.clickOn("#try-0");
    assertThat(desk.findings()).doesNotContain("hangs up");
    desk.press("#keep-tried");
    assertThat(plan().operations().getFirst()).isInstanceOf(OpenThroat.class);
    assertThat(desk.lookup("#ready").query().isDisabled()).isFalse();
  }

  @Test
  void aCutterOfTheRackBringsItsCuts() {
    desk.clickOn("#operation-2");
    ChoiceBox<String> cutter = desk.lookup("#choice-cutter").query();
    desk.runFx(() -> cutter.setValue("A6 20/30/45/60/77"));
    assertThat(plan().wanted().seat().cuts()).hasSize(5);
    assertThat(plan().wanted().seat().sealingCut().angleDeg()).isEqualTo(45);
    assertThat(((CutForm) plan().operations().get(1)).cutter()).isEqualTo("A6 20/30/45/60/77");
    assertThat(desk.text("#operation-2-outcome")).contains("of 5 cuts");
  }

  @Test
  void aLimitIsOverruledOnlyWithAReason() {
    desk.runFx(() -> desk.session.select(desk.session.job().engine().seats().get(3)));
    assertThat(desk.text("#ready-why")).contains("2 things stand in the way");
    assertThat(desk.onFx(() -> which().getValue().seat())).isEqualTo("E1");
    assertThat(desk.lookup("#overrule").query().isDisabled()).isTrue();
    desk.clickOn("#overrule-reason").write("one seat is to be hand lapped").type(KeyCode.ENTER);
    desk.settle();
    assertThat(plan().overrules().getFirst().reason()).isEqualTo("one seat is to be hand lapped");
    // It speaks for E1 alone: E2 still stands in the way.
    assertThat(plan().overrules()).hasSize(1);
    assertThat(desk.lookup("#ready").query().isDisabled()).isTrue();
    desk.clickOn("#overrule-reason").write("so is E2");
    desk.press("#overrule-everywhere");
    assertThat(plan().overrules()).hasSize(2);
    desk.clickOn("#ready");
    assertThat(plan().ready()).isTrue();
    // Any change takes the mark off.
    desk.clickOn("#show-planned");
    desk.enter("field-cut-2-width", "1.7");
    assertThat(plan().ready()).isFalse();
    desk.clickOn("#show-operations");
    desk.press("#take-back-E1-doesNotCleanUp");
    assertThat(plan().overrules()).hasSize(1);
  }

  @Test
  void variantsStandSideBySide() {
    desk.press("#add-variant");
    assertThat(desk.session.job().intake().plans()).hasSize(3);
    desk.clickOn("#show-planned");
    desk.enter("field-throatMm", "35.3");
    desk.clickOn("#below-variants");
    assertThat(desk.text("#variant-flow-A")).contains("over the cam +");
    assertThat(desk.text("#variant-flow-C")).isNotEqualTo(desk.text("#variant-flow-A"));
    desk.clickOn("#choose-B");
    assertThat(desk.session.job().intake().chosen()).isEqualTo(1);
    desk.clickOn("#show-operations");
    desk.press("#drop-variant");
    assertThat(desk.session.job().intake().plans()).hasSize(2);
  }

  @Test
  void aSeatMadeAnExceptionHasItsOwnPlan() {
    desk.press("#exception");
    assertThat(desk.session.job().exceptions()).containsOnlyKeys("I1");
    desk.clickOn("#show-planned");
    desk.enter("field-throatMm", "35.9");
    assertThat(plan().wanted().seat().throatDiameterMm()).isCloseTo(35.9, within(1e-9));
    assertThat(desk.session.job().intake()).isEqualTo(JobFile.demo().intake());
    assertThat(desk.text("#section-title")).contains("an exception");
    desk.clickOn("#show-operations");
    desk.press("#exception");
    assertThat(desk.session.job().exceptions()).isEmpty();
  }

  @Test
  void plansAreSuggestedTriedAndKept() throws Exception {
    desk.runFx(() -> desk.session.useRack(List.of(RackFile.shipped().get(3))));
    desk.clickOn("#below-suggest");
    desk.clickOn("#suggest-start");
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> desk.isShown("#try-suggestion-0"));
    assertThat(desk.words("#suggest")).contains("Estimated: low +").contains("Costs");
    assertThat(desk.text("#suggestion-air-0")).matches("Solved: [+\u2212-]\\d+\\.\\d % over.*");
    desk.clickOn("#try-suggestion-0");
    assertThat(desk.isShown("#keep-tried")).isTrue();
    assertThat(desk.session.job()).isEqualTo(JobFile.demo());
    desk.clickOn("#put-back");
    desk.clickOn("#keep-suggestion-0");
    assertThat(desk.session.job().intake().plans()).hasSize(3);
    assertThat(desk.session.job().intake().chosen()).isEqualTo(2);
  }

  @Test
  void aSearchCanBeStopped() {
    desk.clickOn("#below-suggest");
    desk.clickOn("#suggest-start");
    desk.clickOn("#suggest-stop");
    assertThat(desk.text("#suggest-state")).isEqualTo("Stopped.");
    assertThat(desk.isShown("#try-suggestion-0")).isFalse();
  }

  @Test
  void anOperationIsAddedMovedAndUndone() {
    desk.runFx(
        () ->
            desk.session.editPlan(
                "",
                p ->
                    p.withOperation(
                        4, new SweepChamber(15, 48, java.util.OptionalDouble.empty()))));
    assertThat(desk.isShown("#operation-5")).isTrue();
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-5").query()).fire());
    desk.press("#operation-5-up");
    assertThat(plan().operations().get(3)).isInstanceOf(SweepChamber.class);
    desk.press(KeyCode.CONTROL).type(KeyCode.Z).type(KeyCode.Z).release(KeyCode.CONTROL);
    assertThat(desk.session.job()).isEqualTo(JobFile.demo());
  }

  @Test
  void typingBesideAFieldChangesNothing() {
    var before = desk.session.job();
    for (String station :
        List.of("#station-found", "#station-plan", "#station-prove", "#station-job")) {
      desk.runFx(() -> ((ToggleButton) desk.lookup(station).query()).fire());
      desk.runFx(() -> desk.lookup(station).query().requestFocus());
      desk.write("1234upow[]+-0");
      desk.type(KeyCode.PAGE_UP).type(KeyCode.PAGE_DOWN);
      assertThat(desk.session.job()).as(station).isEqualTo(before);
      assertThat(((ToggleButton) desk.lookup(station).query()).isSelected()).isTrue();
    }
    assertThat(desk.session.seat().get().label()).isEqualTo("I1");
  }

  @Test
  void nothingMovesWhenSomethingIsSaid() {
    desk.clickOn("#show-planned");
    desk.settle();
    double before =
        desk.onFx(() -> desk.lookup("#field-throatMm-text").query().localToScene(0, 0).getY());
    double strip = desk.onFx(() -> desk.lookup("#lift-strip").query().localToScene(0, 0).getY());
    desk.enter("field-throatMm", "wide");
    desk.settle();
    assertThat(desk.said()).isNotEmpty();
    assertThat(
            desk.<Double>onFx(
                () -> desk.lookup("#field-throatMm-text").query().localToScene(0, 0).getY()))
        .isEqualTo(before);
    assertThat(
            desk.<Double>onFx(() -> desk.lookup("#lift-strip").query().localToScene(0, 0).getY()))
        .isEqualTo(strip);
  }

  @Test
  void theWholeWindowSpeaksAnotherLanguage() {
    desk.clickOn("#show-planned");
    desk.enter("field-cut-2-width", "1.3");
    var job = desk.session.job();
    desk.runFx(() -> desk.speak("de"));
    assertThat(desk.text("#show-planned")).isEqualTo("Geplant");
    assertThat(desk.findings()).contains("Sitzfl");
    assertThat(desk.session.job()).isEqualTo(job);
    // Undo goes on across it, and what is typed is taken.
    desk.clickOn("#show-planned");
    desk.enter("field-cut-2-width", "1.4");
    assertThat(plan().wanted().seat().cuts().get(1).widthMm()).isEqualTo(1.4);
    desk.runFx(desk.session::undo);
    desk.runFx(desk.session::undo);
    assertThat(desk.session.job()).isEqualTo(JobFile.demo());
    assertThat(desk.folder.language().tag()).isEqualTo("de");
  }

  /** What stands round a valve is drawn once its place was measured, and follows lift and seat. */
  @Test
  void theRoomRoundAValveIsShownAndFollows() {
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withHead(
                        j.head()
                            .withReadings("I1", SeatReadings.NONE)
                            .withReadings("E1", SeatReadings.NONE))));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-room").query()).fire());
    assertThat(desk.isShown("#room")).isTrue();
    assertThat(desk.text("#room-text")).isEmpty();
    desk.runFx(
        () -> desk.session.load(JobDocument.fresh(JobFile.demo("dolerite-2.0")), Optional.empty()));
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(8));
    String high = desk.text("#room-text");
    assertThat(high).contains("at 8.00 mm", "At 8:40: 2.46 mm to the chamber wall", "(fire ring)");
    int print = desk.print("#room");
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(1));
    assertThat(desk.text("#room-text")).contains("at 1.00 mm").isNotEqualTo(high);
    assertThat(desk.print("#room")).isNotEqualTo(print);
    desk.runFx(() -> desk.lookup("#room").query().requestFocus());
    desk.type(KeyCode.RIGHT);
    desk.settle();
    assertThat(desk.text("#room-text")).contains("At 7:40");
    desk.runFx(() -> desk.lookup("#section").query().requestFocus());
    desk.type(KeyCode.R);
    desk.settle();
    assertThat(desk.isShown("#room")).isFalse();
    assertThat(desk.text("#room-text")).isEmpty();
  }

  /** The chamber at full height shows what is read of it as it is typed. */
  @Test
  void theChamberFollowsWhatIsReadOfIt() {
    desk.runFx(
        () -> desk.session.load(JobDocument.fresh(JobFile.demo("dolerite-2.0")), Optional.empty()));
    desk.goTo(KeyCode.DIGIT1);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-chamber").query()).fire());
    desk.settle();
    assertThat(desk.isShown("#chamber")).isTrue();
    assertThat(desk.isShown("#head-plan")).isFalse();
    String before = desk.text("#chamber-text");
    assertThat(before).contains("At 7:40", "(fire ring)");
    int print = desk.print("#chamber");
    TextField cell = desk.lookup("#cell-I1a-chamberWall730").query();
    desk.runFx(
        () -> {
          cell.requestFocus();
          cell.selectAll();
        });
    desk.write("1.9");
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(desk.session.job().head().readingsOf("I1a").value(Measure.WALL_730)).hasValue(1.9);
    assertThat(desk.text("#chamber-text")).isNotEqualTo(before);
    assertThat(desk.print("#chamber")).isNotEqualTo(print);
  }
}
