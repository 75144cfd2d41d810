package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.formats.JobFile;
import finebore.formats.RackFile;
import finebore.found.Measure;
import finebore.job.Plan;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A head measured at the Found station, and its cuts planned operation by operation. */
@ExtendWith(ApplicationExtension.class)
class StationsTest {

  @TempDir private Path home;
  private DeskRobot desk;

  @Start
  private void start(Stage stage) {
    desk = new DeskRobot(stage, home);
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
    WaitForAsyncUtils.waitForFxEvents();
  }

  @Test
  void readingsGoInAsTheHandGoes() {
    desk.type(KeyCode.DIGIT1);
    assertThat(desk.isShown("#found-station")).isTrue();
    // The key itself goes into no cell.
    assertThat(desk.focused()).isEqualTo("cell-I1-ledge");
    assertThat(((TextField) desk.lookup("#cell-I1-ledge").query()).getText()).isEmpty();
    assertThat(desk.words("#found-findings"))
        .contains("Throat is 34.92 to 35.00 mm, the others of its kind")
        .contains("Wall at bowl is 2.10 mm, less than 2.30 mm");
    assertThat(desk.text("#skim")).contains("skim left 0.32 mm");
    desk.clickOn("#cell-E3-throat12");
    int section = desk.print("#found-section");
    cell("E3-throat12", "28.4");
    assertThat(desk.session.job().head().readingsOf("E3").value(Measure.THROAT_12)).hasValue(28.4);
    assertThat(desk.focused()).isEqualTo("cell-I4-throat12");
    desk.clickOn("#seat-E3");
    assertThat(desk.print("#found-section")).isNotEqualTo(section);
    assertThat(desk.words("#found-findings")).contains("Throat 12-6 is 28.40 mm");
    // The end of a row leads to the next measure.
    cell("E4-throat12", "+0028.030 mm");
    assertThat(desk.focused()).isEqualTo("cell-I1-throat130");
    assertThat(desk.session.job().head().readingsOf("E4").value(Measure.THROAT_12)).hasValue(28.03);
  }

  @Test
  void nonsenseIsRefusedAndWhatWasThereStays() {
    desk.type(KeyCode.DIGIT1);
    cell("I2-seatWidth", "wide");
    assertThat(desk.text("#reading-message"))
        .contains("I2")
        .contains("Seat width")
        .contains("2.27");
    assertThat(desk.session.job().head().readingsOf("I2").value(Measure.SEAT_WIDTH)).hasValue(2.27);
    cell("I2-seatWidth", "99");
    assertThat(desk.text("#reading-message")).contains("must be 0 to 15 mm, was 99");
    cell("I2-throat3", "41");
    assertThat(desk.words("#found-findings"))
        .contains("Throat 3-9 41.00 mm is not smaller than the seat's outside diameter");
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
        .contains("goes clean at");
    desk.enter("field-depth", "8.4");
    assertThat(((Operation.CutForm) plan().operations().get(1)).plunge())
        .isEqualTo(new Plunge.ToDepth(8.4));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-all").query()).fire());
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake as planned, all 4 alike");
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-0").query()).fire());
    assertThat(desk.text("#section-title")).contains("found metal");
    desk.type(KeyCode.PAGE_DOWN);
    assertThat(desk.text("#section-title")).isEqualTo("I1  intake after operation 1");
    desk.type(KeyCode.PAGE_UP);
    assertThat(desk.text("#section-title")).contains("found metal");
  }

  @Test
  void aFormThatHangsUpIsOfferedItsThroat() {
    desk.clickOn("#operation-1");
    desk.press("#operation-1-remove");
    assertThat(plan().operations().getFirst()).isInstanceOf(Operation.CutForm.class);
    assertThat(desk.findings()).contains("The form hangs up on the throat: open it to 35.65 mm");
    assertThat(desk.lookup("#ready").query().isDisabled()).isTrue();
    assertThat(desk.text("#ready-why")).contains("hangs up");
    desk.clickOn("#try-0");
    assertThat(desk.findings()).doesNotContain("hangs up");
    desk.press("#keep-tried");
    assertThat(plan().operations().getFirst()).isInstanceOf(Operation.OpenThroat.class);
    assertThat(desk.lookup("#ready").query().isDisabled()).isFalse();
  }

  @Test
  void aCutterOfTheRackBringsItsCuts() {
    desk.clickOn("#operation-2");
    ChoiceBox<String> cutter = desk.lookup("#choice-cutter").query();
    desk.runFx(() -> cutter.setValue("A6 20/30/45/60/77"));
    assertThat(plan().wanted().seat().cuts()).hasSize(5);
    assertThat(plan().wanted().seat().sealingCut().angleDeg()).isEqualTo(45);
    assertThat(((Operation.CutForm) plan().operations().get(1)).cutter())
        .isEqualTo("A6 20/30/45/60/77");
    assertThat(desk.text("#operation-2-outcome")).contains("of 5 cuts");
  }

  @Test
  void aLimitIsOverruledOnlyWithAReason() {
    desk.runFx(() -> desk.session.select(desk.session.job().engine().seats().get(3)));
    assertThat(desk.text("#ready-why")).contains("goes clean at");
    assertThat(desk.lookup("#overrule").query().isDisabled()).isTrue();
    desk.clickOn("#overrule-reason").write("one seat is to be hand lapped").type(KeyCode.ENTER);
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(plan().overrules().getFirst().reason()).isEqualTo("one seat is to be hand lapped");
    assertThat(desk.findings()).contains("Overruled: one seat is to be hand lapped");
    desk.clickOn("#ready");
    assertThat(plan().ready()).isTrue();
    // Any change takes the mark off.
    desk.clickOn("#show-planned");
    desk.enter("field-cut-2-width", "1.7");
    assertThat(plan().ready()).isFalse();
    desk.clickOn("#show-operations");
    desk.press("#take-back-seat");
    assertThat(plan().overrules()).isEmpty();
  }

  @Test
  void variantsStandSideBySide() {
    desk.press("#add-variant");
    assertThat(desk.session.job().intake().plans()).hasSize(3);
    desk.clickOn("#show-planned");
    desk.enter("field-throat-", "35.3");
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
    desk.enter("field-throat-", "35.9");
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
    WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, () -> desk.isShown("#try-suggestion-0"));
    assertThat(desk.words("#suggest")).contains("Gives low +").contains("Costs");
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
                        4, new Operation.SweepChamber(15, 48, java.util.OptionalDouble.empty()))));
    assertThat(desk.isShown("#operation-5")).isTrue();
    desk.clickOn("#operation-5");
    desk.press("#operation-5-up");
    assertThat(plan().operations().get(3)).isInstanceOf(Operation.SweepChamber.class);
    desk.press(KeyCode.CONTROL).type(KeyCode.Z).type(KeyCode.Z).release(KeyCode.CONTROL);
    assertThat(desk.session.job()).isEqualTo(JobFile.demo());
  }
}
