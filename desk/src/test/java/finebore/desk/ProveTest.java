package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.SetUp.TestedState;
import finebore.desk.session.BenchSession.Phase;
import finebore.instruments.SeatAlone;
import finebore.instruments.SimulatedBench.Fault;
import finebore.job.Job;
import finebore.units.Unit;
import finebore.words.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Prove station: tests typed, pasted, imported and taken from the bench, and held together. */
@ExtendWith(ApplicationExtension.class)
class ProveTest {

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.againAtProve(stage);
    desk.window.prove().bench().setPace(wait -> {});
    desk.window.prove().bench().setSeatAlone(SeatAlone.ESTIMATED);
  }

  private Job job() {
    return desk.session.job();
  }

  private FlowTest test(int number) {
    return job().bench().tests().get(number - 1);
  }

  private void prove() {
    desk.goTo(KeyCode.DIGIT4);
    desk.settle();
    assertThat(desk.isShown("#prove-station")).isTrue();
  }

  private void choose(String toggle) {
    desk.runFx(() -> ((ToggleButton) desk.lookup(toggle).query()).setSelected(true));
    desk.settle();
  }

  private TextField cell(int id, double lift) {
    return desk.lookup("#test-" + id + "-" + Math.round(lift * 1000)).query();
  }

  private void focus(TextField cell) {
    desk.runFx(cell::requestFocus);
  }

  private void await(java.util.concurrent.Callable<Boolean> condition) throws TimeoutException {
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, condition);
    desk.settle();
  }

  private void empty(String field) {
    TextField text = desk.lookup("#" + field + "-text").query();
    desk.runFx(
        () -> {
          text.requestFocus();
          text.selectAll();
        });
    desk.type(KeyCode.DELETE).type(KeyCode.ENTER);
    desk.settle();
  }

  private FlowTest newTest() {
    desk.press(KeyCode.CONTROL, KeyCode.T).release(KeyCode.T, KeyCode.CONTROL);
    desk.settle();
    return job().bench().tests().getLast();
  }

  @Test
  void aTestIsTypedAtTheSpeedOfTheHand() {
    prove();
    FlowTest fresh = newTest();
    assertThat(fresh.setUp().boreMm()).isEqualTo(test(5).setUp().boreMm());
    // Every lift but the lowest, which is unlike anything solved.
    assertThat(fresh.predicted())
        .extracting(FlowTest.Predicted::liftMm)
        .containsExactlyElementsOf(job().test().liftsMm().stream().filter(l -> l > 0.5).toList());
    assertThat(desk.focused()).isEqualTo("test-" + fresh.id() + "-500");
    desk.write("4.3").type(KeyCode.ENTER).write("8.9; 9.1").type(KeyCode.ENTER);
    desk.write("48 cfm").type(KeyCode.DOWN).write("61.5 % 3").type(KeyCode.ENTER);
    desk.settle();
    FlowTest typed = job().bench().tests().getLast();
    assertThat(typed.lifts()).hasSize(4);
    assertThat(typed.at(0.5).orElseThrow().readings()).containsExactly(BenchReading.flow(0.0043));
    assertThat(typed.at(1).orElseThrow().readings()).hasSize(2);
    assertThat(typed.at(2).orElseThrow().readings().getFirst().value())
        .isCloseTo(Unit.CFM.toBase(48), within(1e-12));
    assertThat(typed.at(3).orElseThrow().readings().getFirst())
        .isEqualTo(BenchReading.percent(61.5, "3"));
    assertThat(desk.focused()).isEqualTo("test-" + fresh.id() + "-4000");
    desk.type(KeyCode.UP);
    assertThat(desk.focused()).isEqualTo("test-" + fresh.id() + "-3000");
    desk.type(KeyCode.LEFT);
    assertThat(desk.focused()).isEqualTo("test-5-3000");
    assertThat(desk.text("#test-5-3000")).contains("% 3");
    desk.type(KeyCode.RIGHT);
    assertThat(desk.text("#test-5-3000")).isEqualTo(flow(5, 3));
  }

  @Test
  void aTestInTheWrongUnitIsAskedAboutWhereItIsTypedAndPutRight() {
    prove();
    FlowTest fresh = newTest();
    assertThat(desk.isShown("#put-unit-right")).isFalse();
    desk.write("9.5").type(KeyCode.ENTER).write("19.1").type(KeyCode.ENTER);
    desk.settle();
    assertThat(desk.words("#test-sheet")).contains("× what is expected: were these cfm?");
    assertThat(desk.focused()).isEqualTo("test-" + fresh.id() + "-2000");
    assertThat(desk.text("#put-unit-right")).isEqualTo("Take them as cfm");
    desk.press("#put-unit-right");
    FlowTest right = job().bench().tests().getLast();
    assertThat(right.at(1).orElseThrow().readings().getFirst().value())
        .isCloseTo(Unit.CFM.toBase(19.1), within(1e-12));
    assertThat(desk.focused()).isEqualTo("test-" + fresh.id() + "-2000");
    assertThat(desk.isShown("#put-unit-right")).isFalse();
    assertThat(desk.words("#test-sheet")).contains("Flow brought to 6.97 kPa");
    desk.runFx(desk.session::undo);
    assertThat(desk.isShown("#put-unit-right")).isTrue();
  }

  private String flow(int number, double lift) {
    return UnitSystem.METRIC.flowNumber(
        desk.window
            .prove()
            .state()
            .shown()
            .get()
            .book()
            .reduced(test(number))
            .at(lift)
            .orElseThrow()
            .meanM3s());
  }

  @Test
  void nonsenseInACellIsRefusedAndStays() {
    prove();
    FlowTest fresh = newTest();
    TextField cell = cell(fresh.id(), 2);
    focus(cell);
    desk.write("lots").type(KeyCode.ENTER);
    desk.settle();
    assertThat(desk.said())
        .contains("Cannot read \"lots\"; expected a flow such as 120 cfm or 56.6 l/s");
    assertThat(cell.getText()).isEqualTo("lots");
    assertThat(desk.focused()).isEqualTo(cell.getId());
    assertThat(job().bench().tests().getLast().lifts()).isEmpty();
    desk.type(KeyCode.ESCAPE);
    assertThat(cell.getText()).isEmpty();
    assertThat(desk.said()).isEmpty();
  }

  @Test
  void aTableIsPasted() {
    prove();
    FlowTest fresh = newTest();
    desk.runFx(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString("16.9\n25.3; 25.5\nabout 34\n42,8\n");
          Clipboard.getSystemClipboard().setContent(content);
        });
    focus(cell(fresh.id(), 2));
    desk.runFx(() -> cell(fresh.id(), 2).paste());
    FlowTest pasted = job().bench().tests().getLast();
    assertThat(pasted.at(2).orElseThrow().readings()).containsExactly(BenchReading.flow(0.0169));
    assertThat(pasted.at(3).orElseThrow().readings()).hasSize(2);
    assertThat(pasted.at(4)).isEmpty();
    assertThat(pasted.at(5).orElseThrow().readings().getFirst().value())
        .isCloseTo(0.0428, within(1e-12));
    assertThat(desk.said())
        .contains("3 readings pasted", "not taken: row 3: Cannot read \"about 34\"");
    desk.runFx(desk.session::undo);
    assertThat(job().bench().tests().getLast().lifts()).isEmpty();
  }

  @Test
  void aTableWithBadRowsIsMappedAndImported() throws IOException {
    prove();
    Path table = home.resolve("notebook.csv");
    Files.writeString(table, "h,Q,noise\n1,8.9,\ntwo,17,\n3,25.4,yes\n4,,\n");
    desk.picks.table = Optional.of(table);
    desk.press(KeyCode.CONTROL, KeyCode.I).release(KeyCode.I, KeyCode.CONTROL);
    desk.settle();
    assertThat(desk.isShown("#import-pane")).isTrue();
    assertThat(desk.text("#import-outcome")).contains("what does it hold?");
    assertThat(desk.<Button>lookup("#import-take").query().isDisabled()).isTrue();
    role(0, "lift");
    role(1, "flow");
    // Nothing is taken for granted: the units are still to be said.
    assertThat(desk.text("#import-outcome")).contains("in which unit?");
    desk.runFx(() -> this.<String>box("#import-unit-0").getSelectionModel().select("mm"));
    desk.runFx(() -> this.<String>box("#import-unit-1").getSelectionModel().select("l/s"));
    assertThat(desk.text("#import-outcome"))
        .contains("2 readings in 1 test; 2 rows will not be taken");
    assertThat(desk.words("#import-rejected"))
        .contains("row 3: lift: expected a number, found \"two\"", "row 5: no reading in this row");
    desk.press("#import-take");
    FlowTest taken = job().bench().tests().getLast();
    assertThat(taken.name()).isEqualTo("notebook");
    assertThat(taken.lifts()).hasSize(2);
    assertThat(taken.at(1).orElseThrow().readings().getFirst().value())
        .isCloseTo(0.0089, within(1e-9));
    assertThat(taken.at(3).orElseThrow().noisy()).isTrue();
    assertThat(desk.isShown("#import-pane")).isFalse();
    assertThat(desk.said()).contains("Imported from notebook.csv");
  }

  @Test
  void aTableLetFallOnTheWindowIsTakenUp() throws IOException {
    Path table = home.resolve("fallen.csv");
    Files.writeString(table, "lift (mm),flow (l/s)\n1,8.5\n2,16.9\n");
    desk.runFx(() -> desk.window.takeFile(table));
    assertThat(desk.isShown("#import-pane")).isTrue();
    assertThat(desk.text("#import-outcome"))
        .isEqualTo("2 readings in 1 test; every row can be taken.");
    desk.press("#import-leave");
    assertThat(job().bench().tests()).hasSize(8);
    Path empty = home.resolve("empty.csv");
    Files.writeString(empty, "\n");
    desk.runFx(() -> desk.window.takeFile(empty));
    assertThat(desk.said()).contains("empty.csv: The table is empty");
  }

  private <T> ChoiceBox<T> box(String id) {
    return desk.lookup(id).query();
  }

  private void role(int column, String role) {
    desk.runFx(() -> this.<String>box("#import-role-" + column).getSelectionModel().select(role));
  }

  @Test
  void aBenchRunGoesFromItsStartToAComparison() throws TimeoutException {
    prove();
    FlowTest fresh = newTest();
    choose("#view-bench");
    assertThat(desk.words("#checklist"))
        .contains("✓ bore fixture: 81.00 mm", "✓ exhaust pipe: none");
    assertThat(desk.text("#bench-start")).isEqualTo("Start the run");
    assertThat(desk.text("#bench-recheck"))
        .contains("Recheck range 1: its last check is of 2026-03-02");
    desk.press("#bench-plates");
    await(() -> desk.window.prove().bench().status().get().phase() == Phase.IDLE);
    assertThat(desk.text("#bench-says")).isEqualTo("The check plates are read.");
    assertThat(job().bench().range("3").orElseThrow().checks()).hasSize(2);
    desk.press("#bench-start");
    await(() -> desk.window.prove().bench().status().get().phase() == Phase.IDLE);
    assertThat(desk.text("#bench-says")).isEqualTo("Done: 27 readings.");
    FlowTest read = job().bench().test(fresh.id()).orElseThrow();
    assertThat(read.lifts()).hasSize(13).allMatch(l -> l.readings().size() == 2);
    assertThat(read.setUp().leakageM3s().orElseThrow()).isBetween(1e-5, 1e-3);
    assertThat(read.air()).isPresent();
    assertThat(desk.text("#bench-start")).isEqualTo("Read all again");
    choose("#view-table");
    choose("#tab-comparison");
    assertThat(desk.words("#compare-pane"))
        .contains("9  I1 finished against 5  I1 blended", "One reading scatters by")
        .contains("Mean flow: low ", "over the cam", "calibrated on test 1; port loss ");
    assertThat(desk.text("#mark-" + fresh.id() + "-6000")).matches("[-+]?\\d\\.\\d [▲▼≈]");
    assertThat(desk.session.canUndo().get()).isTrue();
  }

  @Test
  void aRunSurvivesFaultsAndGoesOnAfterAStop() throws TimeoutException {
    prove();
    FlowTest fresh = newTest();
    choose("#view-bench");
    Hold hold = new Hold(() -> desk.window.prove().bench().status().get().taken(), 3, 6);
    desk.window.prove().bench().setPace(hold);
    desk.press("#bench-start");
    await(() -> desk.window.prove().bench().status().get().taken() > 2);
    desk.runFx(
        () -> {
          for (Fault fault : Fault.values()) {
            desk.window.prove().bench().fault(fault);
          }
        });
    hold.letGo();
    await(() -> desk.window.prove().bench().status().get().taken() > 5);
    desk.press("#bench-stop");
    hold.letGo();
    await(() -> desk.window.prove().bench().status().get().phase() == Phase.IDLE);
    assertThat(desk.text("#bench-says")).contains("Stopped");
    int kept =
        job().bench().test(fresh.id()).orElseThrow().lifts().stream()
            .mapToInt(l -> l.readings().size())
            .sum();
    assertThat(kept).isGreaterThanOrEqualTo(5);
    assertThat(desk.text("#bench-resume")).matches("Go on \\(\\d+ readings kept\\)");
    desk.press("#bench-resume");
    await(() -> desk.window.prove().bench().status().get().phase() == Phase.IDLE);
    assertThat(job().bench().test(fresh.id()).orElseThrow().lifts())
        .hasSize(13)
        .allMatch(l -> l.readings().size() == 2);
  }

  @Test
  void whatDiffersBeforeARunAsksForAYes() {
    prove();
    newTest();
    choose("#tab-set-up");
    desk.enter("field-fixtureBoreMm", "92");
    desk.enter("field-testedValveMm", "41");
    choose("#view-bench");
    Button start = desk.lookup("#bench-start").query();
    assertThat(start.isDisabled()).isTrue();
    assertThat(desk.words("#checklist")).contains("With this the two will not be ranked.");
    desk.runFx(() -> ((CheckBox) desk.lookup("#yes-bore").query()).fire());
    assertThat(start.isDisabled()).isTrue();
    desk.runFx(() -> ((CheckBox) desk.lookup("#yes-valve").query()).fire());
    assertThat(start.isDisabled()).isFalse();
    assertThat(job().bench().tests().getLast().valveIsTheChange()).isTrue();
  }

  @Test
  void testsThatMayNotBeRankedAreNot() {
    desk.runFx(() -> desk.session.select(job().engine().seats().get(1)));
    prove();
    assertThat(desk.words("#compare-pane"))
        .contains("8  E1 with pipe against 7  E1 finished", "✗ exhaust pipe: none, then 36.00 mm")
        .contains("Not ranked", "Exhaust flow as a share of the intake's (I1 blended)");
    assertThat(desk.text("#mark-8-6000")).endsWith("?");
    desk.runFx(
        () -> {
          ComboBox<FlowTest> box = desk.lookup("#prove-reference").query();
          box.setValue(test(6));
        });
    assertThat(desk.words("#compare-pane")).contains("against 6  E1 as found", "Not ranked");
    desk.runFx(() -> desk.window.prove().state().select(7));
    assertThat(desk.words("#compare-pane")).doesNotContain("Not ranked").contains("low +");
  }

  @Test
  void theSetUpIsKeptAndNonsenseRefused() {
    prove();
    choose("#tab-set-up");
    desk.enter("field-pipe", "1.5 in x 10 in");
    assertThat(test(5).setUp().pipe().orElseThrow().diameterMm()).isCloseTo(38.1, within(1e-9));
    desk.enter("field-pipe", "round");
    assertThat(desk.said()).contains("Cannot read \"round\"; expected diameter x length");
    // It has all the room beside the tools.
    Region message = desk.lookup("#prove-message").query();
    assertThat(message.getWidth()).isGreaterThan(350);
    assertThat(test(5).setUp().pipe()).isPresent();
    desk.enter("field-test-date", "yesterday");
    assertThat(desk.said()).contains("expected a day such as 2026-03-14");
    desk.enter("field-test-date", "2026-04-01");
    assertThat(test(5).date().orElseThrow().toString()).isEqualTo("2026-04-01");
    desk.enter("field-temperatureC", "72 F");
    assertThat(test(5).air().orElseThrow().temperatureC()).isCloseTo(22.2222, within(1e-3));
    desk.enter("field-humidity", "400");
    assertThat(desk.said()).contains("Relative humidity must be");
    empty("field-testDepressionPa");
    assertThat(test(5).setUp().depressionPa()).isEmpty();
    assertThat(desk.onFx(() -> desk.window.prove().state().shown().get().comparison()))
        .hasValueSatisfying(c -> assertThat(c.isRanked()).isFalse());
    desk.runFx(
        () -> this.<String>box("#choice-tested-state").getSelectionModel().select("finished"));
    assertThat(test(5).setUp().state()).isEqualTo(TestedState.FINISHED);
    desk.runFx(() -> this.<String>box("#choice-step-from").getSelectionModel().select(0));
    assertThat(test(5).after()).isEmpty();
    empty("field-test-name");
    assertThat(desk.said()).contains("A test's name must have 1 to 80 characters");
  }

  @Test
  void whatIsNoticedAtALiftIsKeptThere() {
    prove();
    focus(cell(5, 6));
    choose("#tab-lift");
    assertThat(desk.text("#lift-title")).isEqualTo("At 6.00 mm, test 5");
    desk.runFx(() -> ((CheckBox) desk.lookup("#lift-noisy").query()).fire());
    desk.enter("field-swirlRpm", "-250");
    desk.enter("field-speed-short-side", "300 ft/s");
    desk.enter("field-drop-roof", "2.5");
    desk.enter("field-lift-remarks", "dye stands still");
    var lift = test(5).at(6).orElseThrow();
    assertThat(lift.noisy()).isTrue();
    assertThat(lift.swirlRpm()).hasValue(-250);
    assertThat(lift.speedsMs().get(PortPlace.SHORT_SIDE)).isCloseTo(91.44, within(1e-9));
    assertThat(lift.probeDropsM3s().get(PortPlace.ROOF)).isCloseTo(0.0025, within(1e-12));
    assertThat(lift.remarks()).isEqualTo("dye stands still");
    assertThat(lift.readings()).hasSize(1);
    assertThat(desk.text("#mark-5-6000")).contains("♪").contains("↺");
    empty("field-swirlRpm");
    assertThat(test(5).at(6).orElseThrow().swirlRpm()).isEmpty();
  }

  @Test
  void theChartAndTheLadderFollow() {
    prove();
    int flow = desk.print("#curve-chart");
    for (String mode : List.of("#mode-coefficient", "#mode-speed", "#mode-gain")) {
      choose(mode);
      assertThat(desk.print("#curve-chart")).as(mode).isNotEqualTo(flow);
    }
    choose("#mode-coefficient");
    int curtain = desk.print("#curve-chart");
    desk.runFx(() -> this.<String>box("#chart-area").getSelectionModel().select("gate"));
    assertThat(desk.print("#curve-chart")).isNotEqualTo(curtain);
    choose("#view-ladder");
    int ladder = desk.print("#ladder");
    desk.runFx(() -> desk.window.prove().state().select(3));
    assertThat(desk.print("#ladder")).isNotEqualTo(ladder);
  }

  @Test
  void picturesAreCopiedBesideTheJob() throws IOException {
    prove();
    choose("#tab-pictures");
    Path picture = home.resolve("dye.png");
    Files.copy(Path.of("..", "docs", "screenshots", "found.png"), picture);
    desk.picks.picture = Optional.of(picture);
    desk.press("#add-picture");
    assertThat(desk.said()).contains("Save the job first");
    Path file = home.resolve("a.finebore.json");
    desk.picks.save = Optional.of(file);
    desk.press(KeyCode.CONTROL, KeyCode.S).release(KeyCode.S, KeyCode.CONTROL);
    desk.press("#add-picture");
    assertThat(test(5).pictures()).extracting(FlowTest.Picture::file).containsExactly("dye.png");
    assertThat(home.resolve("a.pictures").resolve("dye.png")).exists();
    TextField words = desk.lookup("#picture-words-0").query();
    desk.runFx(words::requestFocus);
    desk.write("dry behind the guide").type(KeyCode.ENTER);
    assertThat(test(5).pictures().getFirst().words()).isEqualTo("dry behind the guide");
    desk.picks.save = Optional.of(home.resolve("elsewhere.finebore.json"));
    desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S)
        .release(KeyCode.S, KeyCode.SHIFT, KeyCode.CONTROL);
    assertThat(home.resolve("elsewhere.pictures").resolve("dye.png")).exists();
  }

  @Test
  void theLiftStripSaysWhatItIsCalibratedOn() {
    int calibrated = desk.print("#lift-strip");
    assertThat(desk.session.work().get().confidence().calibration().source()).hasValue(1);
    desk.runFx(() -> desk.session.edit("", job -> job.withBench(finebore.bench.BenchBook.EMPTY)));
    assertThat(desk.session.work().get().confidence().isCalibrated()).isFalse();
    assertThat(desk.print("#lift-strip")).isNotEqualTo(calibrated);
  }

  @Test
  void aJobWithoutTestsAsksForOne() {
    desk.runFx(() -> desk.session.edit("", job -> job.withBench(finebore.bench.BenchBook.EMPTY)));
    prove();
    assertThat(desk.words("#compare-pane")).contains("No test yet");
    assertThat(desk.focused()).isEqualTo("new-test");
    assertThat(desk.words("#test-sheet")).contains("No flow tests of the intake seats yet.");
    FlowTest first = newTest();
    assertThat(first.setUp().state()).isEqualTo(TestedState.AS_FOUND);
    assertThat(first.setUp().boreMm()).hasValue(81);
    assertThat(first.predicted()).allMatch(p -> p.spread() == 0.15);
  }
}
