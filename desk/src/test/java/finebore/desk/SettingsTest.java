package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.flow.CamLift;
import finebore.formats.PracticeFiles;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.PairingPart;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.reports.CutSheets;
import finebore.seat.Arc;
import finebore.valve.Pairing;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/**
 * The settings of every kind of operation, and the figures of a head, typed as a machinist does.
 */
@ExtendWith(ApplicationExtension.class)
class SettingsTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

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

  private Plan plan() {
    return desk.session.job().planOf(desk.session.seat().get());
  }

  /** A plan of one operation, its card open. */
  private void only(Operation operation) {
    desk.runFx(
        () -> {
          desk.session.editPlan("", p -> p.withOperations(List.of(operation)));
          desk.session.lookAfter(OptionalInt.of(1));
        });
  }

  private Operation operation() {
    return plan().operations().getFirst();
  }

  private void press(String id) {
    desk.runFx(() -> ((Button) desk.lookup(id).query()).fire());
  }

  @Test
  void aThroatFollowsThePlanUntilItIsSet() {
    only(new OpenThroat(OPEN, 0, OPEN));
    assertThat(desk.text("#field-throatMm-text")).isEqualTo("35.65");
    assertThat(desk.isShown("#field-throatMm-open")).isFalse();
    desk.enter("field-throatMm", "35.2");
    assertThat(((OpenThroat) operation()).diameterMm()).hasValue(35.2);
    desk.enter("field-taperDeg", "4");
    desk.enter("field-throatEndMm", "16");
    assertThat(operation())
        .isEqualTo(new OpenThroat(OptionalDouble.of(35.2), 4, OptionalDouble.of(16)));
    press("#field-throatMm-open");
    assertThat(((OpenThroat) operation()).diameterMm()).isEmpty();
    assertThat(desk.text("#field-throatMm-text")).isEqualTo("35.65");
  }

  @Test
  void whatCannotBeIsRefusedBesideItsField() {
    only(new OpenThroat(OPEN, 0, OPEN));
    desk.enter("field-taperDeg", "80");
    assertThat(desk.said())
        .contains("Throat cutter taper must be 0° to 45°, was 80°")
        .contains("still 0");
    assertThat(((OpenThroat) operation()).taperDeg()).isZero();
  }

  @Test
  void aFormGoesToItsDepthOrUntilItIsClean() {
    only(new CutForm("", OPEN, new Plunge.AsPlanned()));
    desk.enter("field-pointerMm", "39.6");
    assertThat(((CutForm) operation()).seatDiameterMm()).hasValue(39.6);
    desk.choose("#choice-plunge", "until every cut cleans up");
    assertThat(((CutForm) operation()).plunge()).isEqualTo(new Plunge.UntilClean(0, true));
    desk.enter("field-more", "0.05");
    assertThat(((CutForm) operation()).plunge()).isEqualTo(new Plunge.UntilClean(0.05, true));
    desk.choose("#choice-plunge", "as planned");
    assertThat(((CutForm) operation()).plunge()).isEqualTo(new Plunge.AsPlanned());
    desk.enter("field-depth", "8.1");
    assertThat(((CutForm) operation()).plunge()).isEqualTo(new Plunge.ToDepth(8.1));
  }

  @Test
  void aSingleCutIsToldToolAngleAndEdge() {
    only(new CutAngle(CutAngle.SingleTool.STONE, 45, 39.8, new Plunge.UntilClean(0, false)));
    desk.choose("#choice-tool", "blade");
    desk.enter("field-angleDeg", "46");
    desk.enter("field-edgeDiameterMm", "39.6");
    assertThat(operation())
        .isEqualTo(
            new CutAngle(CutAngle.SingleTool.BLADE, 46, 39.6, new Plunge.UntilClean(0, false)));
  }

  @Test
  void aSweepACutUnderABowlAndABlendTakeTheirNumbers() {
    only(new SweepChamber(15, 48, OPEN));
    desk.enter("field-sweepDeg", "18");
    desk.enter("field-reachDiameterMm", "50");
    desk.enter("field-startDiameterMm", "41");
    assertThat(operation()).isEqualTo(new SweepChamber(18, 50, OptionalDouble.of(41)));
    only(new CutUnder(12.5, OPEN, 4, OPEN));
    desk.enter("field-leanDeg", "13");
    desk.enter("field-heightMm", "3.5");
    desk.enter("field-radiusMm", "2");
    assertThat(operation()).isEqualTo(new CutUnder(13, OPEN, 3.5, OptionalDouble.of(2)));
    only(new OpenBowl(OPEN, OPEN));
    desk.enter("field-bowlMm", "37");
    desk.enter("field-reachedMm", "24");
    assertThat(operation()).isEqualTo(new OpenBowl(OptionalDouble.of(37), OptionalDouble.of(24)));
    only(new Blend(Blend.Side.PORT, 0.75, 1.5));
    desk.enter("field-keepOffMm", "30 thou");
    desk.enter("field-blendRadiusMm", "2");
    Blend blend = (Blend) operation();
    assertThat(blend.keepOffMm()).isCloseTo(0.762, within(1e-9));
    assertThat(blend.radiusMm()).isEqualTo(2);
  }

  @Test
  void aRingIsDescribedWhole() {
    only(new FitRing(new Ring(44, 33, 16, 9, 0.1, "")));
    desk.enter("field-ringOutsideMm", "45");
    desk.enter("field-ringBoreMm", "34");
    desk.enter("field-ringFloorMm", "17");
    desk.enter("field-ringHeightMm", "9.5");
    desk.enter("field-ringFitMm", "0.12");
    desk.clickOn("#field-ringMaterial-text").write("sintered").type(KeyCode.ENTER);
    desk.settle();
    assertThat(((FitRing) operation()).ring())
        .isEqualTo(new Ring(45, 34, 17, 9.5, 0.12, "sintered"));
    assertThat(desk.text("#operation-1-outcome")).contains("puts in");
    assertThat(desk.isShown("#reading-ringWall")).isFalse();
  }

  @Test
  void readingsOfARingAppearOnceTheWholePlanIsLookedAt() {
    desk.runFx(
        () ->
            desk.session.editPlan(
                "", p -> p.withOperation(0, new FitRing(new Ring(44.05, 33, 18, 12, 0.1, "")))));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-1").query()).fire());
    assertThat(desk.isShown("#reading-ringWall")).isFalse();
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-all").query()).fire());
    assertThat(desk.text("#reading-ringWall")).isEqualTo("2.10 mm");
    assertThat(desk.text("#reading-ringFloor")).isNotBlank();
  }

  @ParameterizedTest
  @CsvSource({
    "add-openThroat, OpenThroat",
    "add-cutForm, CutForm",
    "add-cutAngle, CutAngle",
    "add-sweepChamber, SweepChamber",
    "add-takeWallBack, TakeWallBack",
    "add-cutUnder, CutUnder",
    "add-openBowl, OpenBowl",
    "add-blend, Blend",
    "add-fitRing, FitRing"
  })
  void eachOperationIsAddedWithSettingsThatWork(String item, String kind) {
    MenuButton add = desk.lookup("#add-operation").query();
    desk.runFx(
        () ->
            add.getItems().stream()
                .filter(i -> i.getId().equals(item))
                .findFirst()
                .orElseThrow()
                .fire());
    assertThat(plan().operations()).hasSize(5);
    Operation added = plan().operations().getLast();
    assertThat(added.getClass().getSimpleName()).isEqualTo(kind);
    assertThat(desk.session.work().get().plan().cutting().steps().getLast().problem()).isEmpty();
    assertThat(desk.isShown("#operation-5-remove")).isTrue();
  }

  @Test
  void theFiguresOfTheHeadAreTyped() {
    desk.goTo(KeyCode.DIGIT1);
    desk.enter("field-thicknessMm", "117.5");
    desk.enter("field-chamberCc", "42.5");
    desk.enter("field-compressionRatio", " ");
    assertThat(desk.session.job().head().thicknessMm()).hasValue(117.5);
    assertThat(desk.session.job().head().chamberCc()).hasValue(42.5);
    assertThat(desk.session.job().head().compressionRatio()).isEmpty();
    assertThat(desk.text("#skim")).isEqualTo("skimmed by 0.50 mm; can still be skimmed by 0.10 mm");
  }

  @Test
  void aRingFoundHasAMaterial() {
    desk.goTo(KeyCode.DIGIT1);
    assertThat(desk.isShown("#found-ring-material")).isFalse();
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withHead(
                        j.head().withReading("I1", Measure.RING_OUTSIDE, OptionalDouble.of(44)))));
    desk.clickOn("#found-ring-material").write("bronze").type(KeyCode.ENTER);
    desk.settle();
    assertThat(desk.session.job().head().readingsOf("I1").ringMaterial()).isEqualTo("bronze");
  }

  @Test
  void theLayoutIsMeasured() {
    desk.clickOn("#station-job");
    TextField spacing = desk.lookup("#field-boreSpacingMm-text").query();
    assertThat(spacing.getText()).isEqualTo("90");
    desk.enter("field-boreSpacingMm", "92.5");
    desk.enter("field-cylindersPerHead", "2");
    desk.enter("field-plugXMm", "20");
    desk.enter("field-exhaustTiltDeg", "-10");
    var layout = desk.session.job().layout();
    assertThat(layout.boreSpacingMm()).isEqualTo(92.5);
    assertThat(layout.cylindersPerHead()).isEqualTo(2);
    assertThat(layout.plugXMm()).isEqualTo(20);
    assertThat(layout.exhaustTiltDeg()).isEqualTo(-10);
    int before = desk.session.job().layout().cylindersPerHead();
    desk.enter("field-cylindersPerHead", "1.5");
    assertThat(desk.session.job().layout().cylindersPerHead()).isEqualTo(before);
  }

  @Test
  void anArcIsOneElementOfTheSeatFromTheRackToTheSheet() {
    desk.runFx(() -> desk.session.lookAfter(OptionalInt.empty()));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-planned").query()).fire());
    desk.press("#add-cut-arc");
    desk.enter("field-cut-5-from", "77");
    desk.enter("field-cut-5-radius", "4");
    assertThat(desk.session.job().intake().planned().seat().stack().elements().getLast())
        .isEqualTo(new Arc(77, 90, 4));
    assertThat(desk.isShown("#field-cut-6-angle")).isFalse();
    assertThat(desk.session.work().get().shown().seat().seat().stack().elements()).hasSize(5);
    String sheet =
        new CutSheets(
                desk.session.job(),
                desk.session.words(),
                PracticeFiles.named(desk.session.job().practice(), PracticeFiles.all()))
            .text();
    assertThat(sheet).contains("R 4.00 mm, 77\u00b0 to 90\u00b0").doesNotContain("78.");
    desk.press("#cut-5-remove");
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-operations").query()).fire());
    only(new CutForm("", OPEN, new Plunge.AsPlanned()));
    desk.choose("#choice-cutter", "A9 30/45 R5");
    assertThat(plan().wanted().seat().stack().arcs()).hasSize(1);
  }

  @Test
  void aGroupOfFiguresGoesBackToWhatWasFound() {
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-planned").query()).fire());
    Pairing planned = desk.session.job().intake().planned();
    Pairing found = desk.session.job().typical(Port.INTAKE);
    desk.runFx(() -> ((Hyperlink) desk.lookup("#same-as-found-valve").query()).fire());
    Pairing after = desk.session.job().intake().planned();
    assertThat(PairingPart.VALVE.isSame(after, found)).isTrue();
    assertThat(after.seat()).isEqualTo(planned.seat());
    assertThat(after.valve().backCuts()).isEqualTo(planned.valve().backCuts());
    assertThat(desk.isShown("#same-as-found-valve")).isFalse();
    assertThat(desk.isShown("#same-as-found-cuts")).isTrue();
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-found").query()).fire());
    assertThat(desk.isShown("#same-as-found-cuts")).isFalse();
  }

  @Test
  void aCamIsPastedAndItsFiguresFollow() {
    desk.clickOn("#station-job");
    TextArea table = desk.lookup("#exhaust-cam-table-text").query();
    desk.runFx(() -> ((ToggleButton) desk.lookup("#exhaust-cam-table-open").query()).fire());
    desk.settle();
    desk.runFx(
        () -> {
          table.requestFocus();
          table.setText("deg\tLift (in)\n0\t0\n60\t0.1\n120\t0.4\n180\tx\n240\t0");
          desk.window.scene().lookup("#job-name").requestFocus();
        });
    assertThat(desk.said()).contains("line 5").contains("180\tx");
    assertThat(table.getText()).contains("180\tx");
    assertThat(desk.session.job().exhaust().cam().maxLiftMm()).isEqualTo(10.2);
    desk.runFx(
        () -> {
          table.requestFocus();
          table.setText(table.getText().replace("x", "0.2"));
          desk.window.scene().lookup("#job-name").requestFocus();
        });
    assertThat(desk.session.job().exhaust().cam().maxLiftMm()).isCloseTo(10.16, within(1e-9));
    assertThat(desk.session.job().exhaust().cam().durationDeg()).isEqualTo(240);
    assertThat(desk.session.job().intake().cam().table()).isEmpty();
    desk.enter("field-exhaust-maxLiftMm", "9");
    assertThat(desk.said()).contains("lift table gives 10.16 mm over 240\u00b0");
    desk.runFx(
        () -> {
          table.requestFocus();
          table.setText("");
          desk.window.scene().lookup("#job-name").requestFocus();
        });
    assertThat(desk.session.job().exhaust().cam()).isEqualTo(new CamLift(10.16, 240));
  }

  @Test
  void goingToFoundKeepsTheSeatLookedAt() {
    desk.runFx(() -> desk.session.step(3));
    assertThat(desk.session.seat().get().label()).isEqualTo("E2");
    desk.goTo(KeyCode.DIGIT1);
    assertThat(desk.session.seat().get().label()).isEqualTo("E2");
    assertThat(desk.focused()).startsWith("cell-E2-");
  }

  @Test
  void aSeatOfTheHeadIsChosenInThePlanView() {
    desk.goTo(KeyCode.DIGIT1);
    desk.settle();
    desk.clickOn("#seat-E3");
    assertThat(desk.text("#found-title")).isEqualTo("E3  exhaust as found");
    int print = desk.print("#head-plan");
    press("#found-exception");
    assertThat(desk.session.job().exceptions()).containsOnlyKeys("E3");
    assertThat(desk.print("#head-plan")).isNotEqualTo(print);
    press("#found-exception");
    assertThat(desk.session.job().exceptions()).isEmpty();
  }
}
