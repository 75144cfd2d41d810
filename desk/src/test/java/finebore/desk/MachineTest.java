package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.machine.StepState;
import finebore.units.Units;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkLog;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A whole head at the machine: cut, one mistake and its correction, seal, card. */
@ExtendWith(ApplicationExtension.class)
class MachineTest {

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

  private Job job() {
    return desk.session.job();
  }

  /** A head whose cutting has not begun. */
  private void bare(String demo, int cylinders) {
    Job job = JobFile.demo(demo);
    desk.runFx(
        () ->
            desk.session.load(
                JobDocument.fresh(
                    job.withLog(WorkLog.EMPTY)
                        .withUnits(Units.MM)
                        .withEngine(job.engine().withCylinders(cylinders))),
                Optional.empty()));
  }

  private RunStep current() {
    RunSheet sheet = RunSheet.of(job());
    return sheet.steps().stream()
        .filter(s -> !StepState.of(job(), s).isPast())
        .findFirst()
        .orElseThrow();
  }

  /** Says that all before the first step with a reading is done. */
  private void upTo(ReadBack what) {
    WorkLog.Hand hand = new WorkLog.Hand(Instant.EPOCH, "");
    for (RunStep step : RunSheet.of(job()).steps()) {
      if (step.target(what).isPresent()) {
        return;
      }
      desk.runFx(
          () ->
              desk.session.log(
                  log -> log.with(hand, step.seat().label(), step.id(), Kind.DONE, "")));
    }
  }

  private void type(String field, String text) {
    TextField cell = desk.lookup("#" + field).query();
    desk.runFx(
        () -> {
          cell.requestFocus();
          cell.selectAll();
        });
    desk.write(text);
    desk.type(KeyCode.ENTER);
    desk.settle();
  }

  /** Lays the gauge on whatever is due, types what the plan does not say, and ends the step. */
  private void doStep() {
    RunStep step = current();
    for (RunStep.Target target : step.targets()) {
      if (job().log().value(step.seat().label(), target.what()).isEmpty()) {
        desk.press("#cut-press");
        if (job().log().value(step.seat().label(), target.what()).isEmpty()) {
          type("cut-read-" + target.what().key(), byHand(target.what()));
        }
      }
    }
    desk.press("#cut-done");
    if (!StepState.of(job(), step).isPast()) {
      type("cut-reason", "as the gauge says");
    }
  }

  private static String byHand(ReadBack what) {
    return switch (what) {
      case VACUUM_DRY -> "760";
      case GUIDE_BORE -> "7.02";
      case SPRING_HEIGHT -> "38";
      default -> throw new AssertionError(what);
    };
  }

  @Test
  void aWholeHeadIsCutAndProvedAndItsCardWritten() throws Exception {
    bare("tuff-650", 1);
    desk.goTo(KeyCode.DIGIT3);
    assertThat(desk.isShown("#cut-station")).isTrue();
    int all = RunSheet.of(job()).steps().size();
    assertThat(desk.text("#cut-where")).startsWith("Step 1 of " + all);
    for (int k = 0; k < all; k++) {
      doStep();
    }
    assertThat(desk.text("#cut-title")).isEqualTo("Every seat is cut");
    for (RunStep step : RunSheet.of(job()).steps()) {
      assertThat(StepState.of(job(), step).isPast()).isTrue();
    }
    // Undo takes none of it back.
    List<WorkEntry> history = job().log().entries();
    desk.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
    assertThat(job().log().entries()).isEqualTo(history);

    desk.goTo(KeyCode.DIGIT5);
    shown();
    desk.picks.export = Optional.of(home.resolve("card"));
    desk.press("#record-pdf");
    byte[] pdf = Files.readAllBytes(home.resolve("card.pdf"));
    assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    assertThat(pdf.length).isGreaterThan(20_000);
  }

  @Test
  void tooDeepIsSaidAtOnceAndCorrected() {
    bare("skarn-1.6", 4);
    upTo(ReadBack.SEAT_DEPTH);
    desk.goTo(KeyCode.DIGIT3);
    RunStep form = current();
    double wanted = form.target(ReadBack.SEAT_DEPTH).orElseThrow().wanted().orElseThrow();
    type("cut-read-pointer", "38");
    type("cut-read-seatDepth", "%.2f".formatted(wanted + 0.17));
    assertThat(desk.text("#cut-wrong-seatDepth")).contains("0.12 mm too deep");
    desk.press("#cut-press");
    desk.press("#cut-done");
    assertThat(StepState.of(job(), form)).isEqualTo(StepState.OUT_OF_LIMIT);
    // Without a reason it is not taken on.
    desk.press("#cut-keep");
    assertThat(desk.text("#cut-message")).contains("why");
    // It was misread: read again, and the step is past without a reason.
    type("cut-read-seatDepth", "%.2f".formatted(wanted + 0.02));
    assertThat(desk.text("#cut-wrong-seatDepth")).isEmpty();
    desk.press("#cut-done");
    assertThat(StepState.of(job(), form)).isEqualTo(StepState.DONE);
    WorkEntry corrected = job().log().entry(form.seat().label(), ReadBack.SEAT_DEPTH).orElseThrow();
    assertThat(corrected.corrects()).isPresent();
    assertThat(job().log().entries().stream().flatMap(e -> e.taken().stream()))
        .anyMatch(t -> t.what() == ReadBack.SEAT_DEPTH && t.value() > wanted + 0.16);
  }

  @Test
  void whatCanHardlyBeIsQuestionedOnce() {
    bare("skarn-1.6", 4);
    upTo(ReadBack.THROAT);
    desk.goTo(KeyCode.DIGIT3);
    String seat = current().seat().label();
    type("cut-read-throat", "1.41");
    assertThat(job().log().value(seat, ReadBack.THROAT)).isEmpty();
    // Below the bounds of a throat it is refused, with them.
    assertThat(desk.text("#cut-message")).contains("3.00 mm");
    type("cut-read-throat", "38.9");
    assertThat(desk.text("#cut-message")).contains("is far from");
    assertThat(job().log().value(seat, ReadBack.THROAT)).isEmpty();
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(job().log().value(seat, ReadBack.THROAT)).hasValue(38.9);
  }

  @Test
  void aRingOfAnotherUnitIsQuestionedOnce() {
    bare("skarn-1.6", 4);
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#view-seal").query()).fire());
    String seat = desk.session.seat().get().label();
    desk.enter("seal-ringWidth12", "0.05");
    assertThat(desk.said()).contains("0.05 mm is far from 1.29 mm", "in the other unit");
    assertThat(job().log().value(seat, ReadBack.RING_WIDTH_12)).isEmpty();
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(job().log().value(seat, ReadBack.RING_WIDTH_12)).hasValue(0.05);
  }

  /** A gauge that says its unit honestly is understood in either. */
  @Test
  void theUnitKeyOfAGaugeChangesNothingThatIsKept() {
    bare("skarn-1.6", 4);
    upTo(ReadBack.THROAT);
    desk.goTo(KeyCode.DIGIT3);
    RunStep step = current();
    double wanted = step.target(ReadBack.THROAT).orElseThrow().wanted().orElseThrow();
    desk.runFx(() -> key("#cut-unit-key").fire());
    desk.press("#cut-press");
    desk.settle();
    assertThat(job().log().value(step.seat().label(), ReadBack.THROAT).orElseThrow())
        .isCloseTo(wanted, within(0.1));
    desk.runFx(() -> key("#cut-unit-key").fire());
  }

  private MenuItem key(String id) {
    MenuButton menu = desk.lookup("#cut-faults").query();
    return menu.getItems().stream()
        .filter(i -> ("#" + i.getId()).equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void threeKeysDoAll() {
    bare("skarn-1.6", 4);
    desk.goTo(KeyCode.DIGIT3);
    RunStep first = current();
    desk.press("#cut-press");
    desk.settle();
    desk.runFx(() -> desk.lookup("#cut-done").query().requestFocus());
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(job().log().lastOf(first.id()).map(WorkEntry::kind)).contains(Kind.DONE);
    assertThat(desk.text("#cut-where")).startsWith("Step 2 of");
    desk.type(KeyCode.DIVIDE);
    desk.settle();
    assertThat(desk.text("#cut-where")).startsWith("Step 1 of");
    desk.type(KeyCode.MULTIPLY);
    desk.settle();
    desk.write("guide is loose");
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(StepState.of(job(), first)).isEqualTo(StepState.PROBLEM);
    assertThat(desk.text("#cut-state")).contains("guide is loose");
    // Leaving and coming back ends at the same step.
    desk.goTo(KeyCode.DIGIT2);
    desk.goTo(KeyCode.DIGIT3);
    assertThat(desk.text("#cut-where")).startsWith("Step 1 of");
  }

  /** A step that was picked is there again in the same file, and not in another job. */
  @Test
  void aPickedStepIsFoundAgainAndBelongsToItsJob() {
    bare("skarn-1.6", 4);
    desk.picks.save = Optional.of(home.resolve("one" + JobFile.EXTENSION));
    desk.runFx(
        () -> {
          try {
            desk.session.save(desk.picks.save.orElseThrow());
          } catch (FileProblem e) {
            throw new AssertionError(e);
          }
        });
    desk.goTo(KeyCode.DIGIT3);
    desk.press("#seat-I2");
    assertThat(desk.text("#cut-title")).startsWith("I2");
    JobDocument saved = desk.session.document();
    bare("skarn-1.6", 4);
    assertThat(desk.text("#cut-title")).startsWith("I1");
    desk.runFx(() -> desk.session.load(saved, desk.picks.save));
    assertThat(desk.text("#cut-title")).startsWith("I2");
  }

  @Test
  void everyReadingIsOnDiskBeforeTheWorkGoesOn() throws Exception {
    bare("skarn-1.6", 4);
    desk.goTo(KeyCode.DIGIT3);
    desk.press("#cut-press");
    assertThat(job().log().entries()).hasSize(1);
    // Whatever is on disk now is what a kill would leave.
    try (var files = Files.walk(home)) {
      assertThat(
              files
                  .filter(Files::isRegularFile)
                  .anyMatch(
                      f -> {
                        try {
                          return Files.readString(f).contains("\"guideBore\"");
                        } catch (java.io.IOException e) {
                          return false;
                        }
                      }))
          .isTrue();
    }
  }

  @Test
  void vacuumTellsGuideFromSeat() throws Exception {
    bare("skarn-1.6", 4);
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#view-seal").query()).fire());
    assertThat(desk.text("#seal-verdict")).isEqualTo("Not tested");
    String seat = desk.session.seat().get().label();
    desk.runFx(() -> desk.window.prove().hurrySeal(20));
    desk.press("#seal-dry");
    WaitForAsyncUtils.waitFor(
        60, TimeUnit.SECONDS, () -> job().log().value(seat, ReadBack.FALL_DRY).isPresent());
    desk.settle();
    assertThat(job().log().value(seat, ReadBack.AMBIENT)).hasValue(100_600);
    assertThat(desk.text("#seal-verdict")).isNotEqualTo("Not tested");
    // By hand, at another seat: its own verdict, and none for the others.
    desk.press("#seal-port-E2");
    type("seal-vacuumDry-text", "500");
    assertThat(desk.text("#seal-verdict")).contains("oil the guide");
    type("seal-vacuumOiled-text", "760");
    assertThat(desk.text("#seal-verdict")).isEqualTo("Guide leaks, seat seals");
    desk.press("#seal-port-I3");
    assertThat(desk.text("#seal-verdict")).isEqualTo("Not tested");
  }

  @Test
  void aCardHoldsWhatIsTickedAndTheShopIsKept() throws Exception {
    desk.goTo(KeyCode.DIGIT5);
    desk.picks.export = Optional.of(home.resolve("a"));
    desk.press("#record-pdf");
    desk.runFx(() -> ((CheckBox) desk.lookup("#record-part-history").query()).fire());
    desk.picks.export = Optional.of(home.resolve("b"));
    desk.press("#record-pdf");
    assertThat(Files.size(home.resolve("b.pdf")))
        .isGreaterThan(Files.size(home.resolve("a.pdf")) + 1000);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#record-tab-shop").query()).fire());
    desk.enter("field-shop-rate", "72.5");
    desk.enter("time-each-cutForm", "4");
    desk.enter("field-shop-customer", "no. 7");
    assertThat(job().shop().value(ShopFigure.RATE)).isEqualTo(72.5);
    assertThat(job().shop().eachMinutes(StepKind.FORM)).isEqualTo(4);
    assertThat(job().shop().customer()).isEqualTo("no. 7");
    desk.enter("time-setUp-cutForm", "");
    desk.enter("time-setUp-seal", "2.5 min");
    assertThat(job().shop().setUpMinutes()).containsOnlyKeys(StepKind.SEAL);
    assertThat(job().shop().setUpMinutes(StepKind.SEAL)).isEqualTo(2.5);
  }

  @Test
  void theCardIsTurnedPageByPageAndFollowsTheJob() throws Exception {
    desk.goTo(KeyCode.DIGIT5);
    shown();
    assertThat(desk.text("#card-which")).startsWith("1 of ");
    assertThat(button("#card-back").isDisabled()).isTrue();
    final Image first = page();
    while (!button("#card-on").isDisabled()) {
      desk.press("#card-on");
      shown();
    }
    int pages = Integer.parseInt(desk.text("#card-which").replaceFirst(".* of ", ""));
    assertThat(desk.text("#card-which")).isEqualTo(pages + " of " + pages);
    assertThat(pages).isGreaterThan(2);
    assertThat(page()).isNotSameAs(first);
    // A card that has become shorter shows its last page.
    List<CheckBox> parts =
        Stream.of("drawings", "operations", "seal", "flow")
            .map(part -> (CheckBox) desk.lookup("#record-part-" + part).query())
            .toList();
    parts.forEach(box -> desk.runFx(box::fire));
    assertThat(parts).noneMatch(CheckBox::isSelected);
    shown();
    int fewer = Integer.parseInt(desk.text("#card-which").replaceFirst(".* of ", ""));
    assertThat(fewer).isLessThan(pages);
    assertThat(desk.text("#card-which")).isEqualTo(fewer + " of " + fewer);
    // The window is that of other tests, too.
    parts.forEach(box -> desk.runFx(box::fire));
  }

  private Image page() {
    return desk.onFx(() -> ((ImageView) desk.lookup("#card-page").query()).getImage());
  }

  private void shown() throws Exception {
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> desk.window.record().isCardShown());
  }

  private Button button(String id) {
    return desk.lookup(id).queryButton();
  }

  @Test
  void readingsComeInFromATableOrNotAtAll() throws Exception {
    desk.goTo(KeyCode.DIGIT5);
    Path table = home.resolve("readings.csv");
    Files.writeString(
        table,
        "seat,taken,reading,value,unit\nI4,machine,throat,35.71,mm\nI4,found,bowl,36.2,mm\n");
    desk.runFx(() -> desk.window.record().readTable(table));
    assertThat(job().log().value("I4", ReadBack.THROAT)).hasValue(35.71);
    assertThat(desk.text("#record-message")).contains("1 found readings and 1");
    Files.writeString(
        table, "seat,taken,reading,value,unit\nI4,machine,throat,35.9,mm\nI9,found,bowl,36,mm\n");
    desk.runFx(() -> desk.window.record().readTable(table));
    assertThat(job().log().value("I4", ReadBack.THROAT)).hasValue(35.71);
    assertThat(desk.text("#record-message")).contains("I9");
  }
}
