package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Head.Figure;
import finebore.job.Plan;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The settings of every kind of operation, and the figures of a head, typed as a machinist does.
 */
@ExtendWith(ApplicationExtension.class)
class SettingsTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  @TempDir private Path home;
  private DeskRobot desk;

  @Start
  private void start(Stage stage) {
    desk = new DeskRobot(stage, home);
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
    only(new Operation.OpenThroat(OPEN, 0, OPEN));
    assertThat(desk.text("#field-throat-to-text")).isEqualTo("35.65");
    assertThat(desk.isShown("#field-throat-to-open")).isFalse();
    desk.enter("field-throat-to", "35.2");
    assertThat(((Operation.OpenThroat) operation()).diameterMm()).hasValue(35.2);
    desk.enter("field-taper", "4");
    desk.enter("field-end-below-face", "16");
    assertThat(operation())
        .isEqualTo(new Operation.OpenThroat(OptionalDouble.of(35.2), 4, OptionalDouble.of(16)));
    press("#field-throat-to-open");
    assertThat(((Operation.OpenThroat) operation()).diameterMm()).isEmpty();
    assertThat(desk.text("#field-throat-to-text")).isEqualTo("35.65");
  }

  @Test
  void whatCannotBeIsRefusedBesideItsField() {
    only(new Operation.OpenThroat(OPEN, 0, OPEN));
    desk.enter("field-taper", "80");
    assertThat(desk.onFx(() -> desk.lookup("#field-taper .hint").queryLabeled().getText()))
        .contains("throat cutter taper must be 0 to 45 degrees, was 80")
        .contains("still 0");
    assertThat(((Operation.OpenThroat) operation()).taperDeg()).isZero();
  }

  @Test
  void aFormGoesToItsDepthOrUntilItIsClean() {
    only(new Operation.CutForm("", OPEN, new Plunge.AsPlanned()));
    desk.enter("field-seat-by-pointer", "39.6");
    assertThat(((Operation.CutForm) operation()).seatDiameterMm()).hasValue(39.6);
    ChoiceBox<String> plunge = desk.lookup("#choice-plunge").query();
    desk.runFx(() -> plunge.setValue("until every cut is clean"));
    assertThat(((Operation.CutForm) operation()).plunge())
        .isEqualTo(new Plunge.UntilClean(0, true));
    desk.enter("field-depth", "0.05");
    assertThat(((Operation.CutForm) operation()).plunge())
        .isEqualTo(new Plunge.UntilClean(0.05, true));
    desk.runFx(() -> plunge.setValue("as planned"));
    assertThat(((Operation.CutForm) operation()).plunge()).isEqualTo(new Plunge.AsPlanned());
    desk.enter("field-depth", "8.1");
    assertThat(((Operation.CutForm) operation()).plunge()).isEqualTo(new Plunge.ToDepth(8.1));
  }

  @Test
  void aSingleCutIsToldToolAngleAndEdge() {
    only(
        new Operation.CutAngle(
            Operation.SingleTool.STONE, 45, 39.8, new Plunge.UntilClean(0, false)));
    ChoiceBox<String> tool = desk.lookup("#choice-tool").query();
    desk.runFx(() -> tool.setValue("blade"));
    desk.enter("field-angle-of-cut", "46");
    desk.enter("field-outer-edge-", "39.6");
    assertThat(operation())
        .isEqualTo(
            new Operation.CutAngle(
                Operation.SingleTool.BLADE, 46, 39.6, new Plunge.UntilClean(0, false)));
  }

  @Test
  void aSweepACutUnderABowlAndABlendTakeTheirNumbers() {
    only(new Operation.SweepChamber(15, 48, OPEN));
    desk.enter("field-sweep-angle", "18");
    desk.enter("field-out-to-", "50");
    desk.enter("field-touches-the-seat-at-", "41");
    assertThat(operation()).isEqualTo(new Operation.SweepChamber(18, 50, OptionalDouble.of(41)));
    only(new Operation.CutUnder(12.5, OPEN, 4, 0));
    desk.enter("field-leans-in", "13");
    desk.enter("field-height", "3.5");
    desk.enter("field-radius-0-straight", "2");
    assertThat(operation()).isEqualTo(new Operation.CutUnder(13, OPEN, 3.5, 2));
    only(new Operation.OpenBowl(OPEN, OPEN));
    desk.enter("field-bowl-to", "37");
    desk.enter("field-reached-below-face", "24");
    assertThat(operation())
        .isEqualTo(new Operation.OpenBowl(OptionalDouble.of(37), OptionalDouble.of(24)));
    only(new Operation.Blend(Operation.BlendSide.PORT, 0.75, 1.5));
    desk.enter("field-keep-off-the-face", "30 thou");
    desk.enter("field-blend-radius", "2");
    Operation.Blend blend = (Operation.Blend) operation();
    assertThat(blend.keepOffMm()).isCloseTo(0.762, within(1e-9));
    assertThat(blend.radiusMm()).isEqualTo(2);
  }

  @Test
  void aRingIsDescribedWhole() {
    only(new Operation.FitRing(new Ring(44, 33, 16, 9, 0.1, "")));
    desk.enter("field-ring-outside-", "45");
    desk.enter("field-ring-bore-", "34");
    desk.enter("field-floor-below-face", "17");
    desk.enter("field-ring-height", "9.5");
    desk.enter("field-press-fit-on-", "0.12");
    desk.clickOn("#ring-material").write("sintered").type(KeyCode.ENTER);
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(((Operation.FitRing) operation()).ring())
        .isEqualTo(new Ring(45, 34, 17, 9.5, 0.12, "sintered"));
    assertThat(desk.text("#operation-1-outcome")).contains("puts in");
    assertThat(desk.isShown("#reading-ringWall")).isFalse();
  }

  @Test
  void readingsOfARingAppearOnceTheWholePlanIsLookedAt() {
    desk.runFx(
        () ->
            desk.session.editPlan(
                "",
                p ->
                    p.withOperation(
                        0, new Operation.FitRing(new Ring(44.05, 33, 18, 12, 0.1, "")))));
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-1").query()).fire());
    assertThat(desk.isShown("#reading-ringWall")).isFalse();
    desk.runFx(() -> ((ToggleButton) desk.lookup("#operation-all").query()).fire());
    assertThat(desk.text("#reading-ringWall")).isEqualTo("2.10 mm");
    assertThat(desk.text("#reading-ringFloor")).isNotBlank();
  }

  @ParameterizedTest
  @CsvSource({
    "add-open-throat, OpenThroat",
    "add-form-cut, CutForm",
    "add-single-cut, CutAngle",
    "add-sweep, SweepChamber",
    "add-cut-under, CutUnder",
    "add-open-bowl, OpenBowl",
    "add-blend-port, Blend",
    "add-blend-chamber, Blend",
    "add-fit-ring, FitRing"
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
    desk.type(KeyCode.DIGIT1);
    desk.enter("field-thickness-now", "117.5");
    desk.enter("field-chamber-cm-", "42.5");
    desk.enter("field-compression", "0");
    assertThat(desk.session.job().head().figure(Figure.THICKNESS)).hasValue(117.5);
    assertThat(desk.session.job().head().figure(Figure.CHAMBER)).hasValue(42.5);
    assertThat(desk.session.job().head().figure(Figure.COMPRESSION)).isEmpty();
    assertThat(desk.text("#skim")).isEqualTo("skimmed 0.50 mm\nskim left 0.10 mm");
  }

  @Test
  void aRingFoundHasAMaterial() {
    desk.type(KeyCode.DIGIT1);
    assertThat(desk.isShown("#found-ring-material")).isFalse();
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withHead(
                        j.head().withReading("I1", Measure.RING_OUTSIDE, OptionalDouble.of(44)))));
    desk.clickOn("#found-ring-material").write("bronze").type(KeyCode.ENTER);
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(desk.session.job().head().readingsOf("I1").ringMaterial()).isEqualTo("bronze");
  }

  @Test
  void theLayoutIsMeasured() {
    desk.clickOn("#show-job");
    TextField spacing = desk.lookup("#field-bore-spacing-text").query();
    assertThat(spacing.getText()).isEqualTo("90");
    desk.enter("field-bore-spacing", "92.5");
    desk.enter("field-cylinders-a-head", "2");
    desk.enter("field-plug-along", "20");
    desk.enter("field-exhaust-guides-lean", "-10");
    var layout = desk.session.job().layout();
    assertThat(layout.boreSpacingMm()).isEqualTo(92.5);
    assertThat(layout.cylindersPerHead()).isEqualTo(2);
    assertThat(layout.plugXMm()).isEqualTo(20);
    assertThat(layout.exhaustTiltDeg()).isEqualTo(-10);
    int before = desk.session.job().layout().cylindersPerHead();
    desk.enter("field-cylinders-a-head", "1.5");
    assertThat(desk.session.job().layout().cylindersPerHead()).isEqualTo(before);
  }

  @Test
  void aSeatOfTheHeadIsChosenInThePlanView() {
    desk.type(KeyCode.DIGIT1);
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
