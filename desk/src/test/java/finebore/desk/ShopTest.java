package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.Cutter;
import finebore.finding.Basis;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.study.ReadingKind;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ListView;
import javafx.scene.control.RadioButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** The shop's own practices and cutters, changed in the window. */
@ExtendWith(ApplicationExtension.class)
class ShopTest {

  @TempDir private Path home;
  private DeskRobot desk;

  @AfterEach
  void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = new DeskRobot(stage, home);
  }

  private void open(String view) {
    desk.runFx(() -> desk.window.showShop(view));
    desk.settle();
  }

  private Practice own() {
    return desk.session.practices().stream()
        .filter(p -> p.id().equals("fast-road-our-way"))
        .findFirst()
        .orElseThrow();
  }

  private boolean isDisabled(String id) {
    return desk.onFx(() -> desk.lookup(id).query().isDisabled());
  }

  @Test
  void aPracticeIsCopiedChangedAndJudgesTheJob() throws Exception {
    open("practices");
    assertThat(isDisabled("#field-intake-seatWidth-max")).isTrue();
    desk.press("#copy-practice");
    assertThat(isDisabled("#field-intake-seatWidth-max")).isFalse();
    desk.enter("field-practice-name", "Tall hills");
    desk.press("#use-practice");
    assertThat(desk.session.job().practice()).isEqualTo("fast-road-our-way");
    desk.enter("field-intake-seatWidth-max", "1.2");
    assertThat(desk.findings()).contains("Seat width is 1.25 mm; Tall hills wants at most 1.20 mm");
    assertThat(own().wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH).orElseThrow().basis())
        .isEqualTo(Basis.OWN_PRACTICE);
    assertThat(own().wanted(Port.EXHAUST, ReadingKind.SEAT_WIDTH))
        .isEqualTo(
            PracticeFiles.named("fast-road", PracticeFiles.all())
                .wanted(Port.EXHAUST, ReadingKind.SEAT_WIDTH));
    desk.enter("field-exhaust-margin-basis", "A. Author, Seats, 1999");
    assertThat(own().wanted(Port.EXHAUST, ReadingKind.MARGIN).orElseThrow().basis())
        .isEqualTo(Basis.source("A. Author, Seats, 1999"));
    Path file = home.resolve("practices/fast-road-our-way.practice.json");
    assertThat(PracticeFiles.read(file)).isEqualTo(own());
  }

  @Test
  void aLimitThatCannotBeIsRefusedAndAnEmptyOneIsNone() {
    open("practices");
    desk.press("#copy-practice");
    desk.enter("field-intake-seatWidth-max", "0.5");
    assertThat(desk.said()).contains("still 1.5");
    assertThat(own().wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH).orElseThrow().max()).hasValue(1.5);
    desk.enter("field-intake-seatWidth-max", " ");
    desk.enter("field-intake-seatWidth-min", " ");
    assertThat(own().wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH)).isEmpty();
    assertThat(isDisabled("#field-intake-seatWidth-basis")).isTrue();
  }

  @Test
  void aPracticeIsHandedOnTakenOverAndRemoved() throws Exception {
    open("practices");
    Path file = home.resolve("given.practice.json");
    desk.picks.practice = Optional.of(file);
    desk.press("#share-practice");
    assertThat(PracticeFiles.read(file).id()).isEqualTo("fast-road");
    desk.press("#take-practice");
    assertThat(desk.session.practices()).hasSize(5);
    Practice taken = desk.session.practices().getLast();
    assertThat(taken.id()).isEqualTo("fast-road-2");
    assertThat(taken.intake())
        .isEqualTo(PracticeFiles.named("fast-road", PracticeFiles.all()).intake());
    desk.press("#remove-practice");
    assertThat(desk.session.practices()).hasSize(4);
    desk.press("#shop-take-back");
    assertThat(desk.session.practices()).hasSize(5);
    desk.picks.practice = Optional.of(home.resolve("gone.practice.json"));
    desk.press("#take-practice");
    assertThat(desk.said()).contains("gone.practice.json");
  }

  @Test
  void aJobWhosePracticeIsGoneIsNotJudgedByAnother() {
    open("practices");
    desk.press("#copy-practice");
    desk.press("#use-practice");
    String id = desk.session.job().practice();
    desk.press("#remove-practice");
    assertThat(desk.session.job().practice()).isEqualTo(id);
    assertThat(desk.session.practice()).isEqualTo(Practice.notInstalled(id));
    assertThat(desk.findings()).contains("\"" + id + "\", is not installed here");
    assertThat(PlanFindings.blockers(desk.session.work().get().findings())).isNotEmpty();
    desk.press("#shop-take-back");
    assertThat(desk.findings()).doesNotContain("is not installed here");
  }

  @Test
  void aCutterIsChangedElementByElement() throws Exception {
    open("cutters");
    List<Cutter> before = desk.session.rack();
    desk.press("#copy-cutter");
    desk.enter("field-cutter-name", "Bench 7");
    desk.press("#add-arc");
    desk.enter("field-element-4-radius", "6.5");
    desk.enter("field-element-4-from", "65");
    desk.enter("field-element-2-width", "1.7");
    desk.runFx(() -> ((RadioButton) desk.lookup("#element-1-seals").query()).fire());
    Cutter made = desk.session.rack().get(1);
    assertThat(made.name()).isEqualTo("Bench 7");
    assertThat(made.sealing()).isZero();
    assertThat(made.elements().get(3)).isEqualTo(new Arc(65, 90, 6.5));
    assertThat(((Cut) made.elements().get(1)).widthMm()).isEqualTo(1.7);
    desk.press("#element-1-down");
    assertThat(desk.session.rack().get(1).sealing()).isEqualTo(1);
    assertThat(RackFile.read(home.resolve("rack.json"))).isEqualTo(desk.session.rack());
    desk.enter("field-cutter-name", before.getFirst().name());
    assertThat(desk.said()).contains("Another cutter of the rack is called");
    for (int k = 0; k < 8; k++) {
      desk.press("#shop-take-back");
    }
    assertThat(desk.session.rack()).isEqualTo(before);
    assertThat(((Button) desk.lookup("#shop-take-back").query()).isDisabled()).isTrue();
  }

  @Test
  void keysOfTheStationBehindDoNothing() {
    desk.runFx(
        () ->
            desk.session.editPairing(
                "", p -> p.withSeat(p.seat().withCut(1, p.seat().cuts().get(1).withWidth(2.1)))));
    open("practices");
    desk.press("#copy-practice");
    desk.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
    assertThat(desk.session.practices()).hasSize(4);
    assertThat(desk.session.job().intake().planned().seat().cuts().get(1).widthMm()).isEqualTo(2.1);
    desk.runFx(() -> ((ListView<?>) desk.lookup("#practices").query()).requestFocus());
    desk.type(KeyCode.U);
    assertThat(desk.session.job().units()).isEqualTo(finebore.units.Units.MM);
    desk.type(KeyCode.ESCAPE);
    assertThat(desk.isShown("#shop-sheet")).isFalse();
  }
}
