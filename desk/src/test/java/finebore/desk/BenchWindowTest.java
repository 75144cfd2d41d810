package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchBook;
import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.desk.session.BenchSession;
import finebore.desk.session.BenchSession.Phase;
import finebore.desk.session.ProveState.Shown;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.instruments.SeatAlone;
import finebore.job.Job;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.apache.commons.io.file.PathUtils;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The bench and the table when things are not as usual: jams, other jobs, many tests. */
@ExtendWith(ApplicationExtension.class)
class BenchWindowTest {

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) throws IOException {
    desk = desk == null ? new DeskRobot(stage, home) : desk.againAtProve(stage);
    bench().setPace(wait -> {});
    bench().setPort("");
    bench().setSeatAlone(SeatAlone.ESTIMATED);
    // What an earlier test's runs have kept.
    PathUtils.deleteDirectory(Files.createDirectories(home.resolve("runs")));
  }

  private BenchSession bench() {
    return desk.window.prove().bench();
  }

  private Job job() {
    return desk.session.job();
  }

  private Shown shown() {
    return desk.window.prove().state().shown().get();
  }

  private void await(Callable<Boolean> condition) throws TimeoutException {
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, condition);
    desk.settle();
  }

  private void awaitRest() throws TimeoutException {
    await(() -> bench().status().get().phase() == Phase.IDLE);
  }

  private Hold hold(int after) {
    Hold hold = new Hold(() -> bench().status().get().taken(), after);
    bench().setPace(hold);
    return hold;
  }

  /** Of five lifts: enough of a run, and much sooner through than thirteen. */
  private FlowTest newTestAtTheBench() {
    desk.runFx(
        () ->
            desk.session.edit(
                "", j -> j.withTest(j.test().withLiftsMm(List.of(1.0, 2.0, 4.0, 8.0, 12.0)))));
    desk.goTo(KeyCode.DIGIT4);
    desk.press(KeyCode.CONTROL, KeyCode.T).release(KeyCode.T, KeyCode.CONTROL);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#view-bench").query()).setSelected(true));
    desk.settle();
    return job().bench().tests().getLast();
  }

  @Test
  void aJammedFixtureIsSaidAndTheRunGoesOnWhenItIsFree() throws TimeoutException {
    FlowTest test = newTestAtTheBench();
    Hold hold = hold(4);
    desk.press("#bench-start");
    await(() -> bench().status().get().taken() > 3);
    desk.runFx(() -> bench().simulated().orElseThrow().jam());
    hold.letGo();
    awaitRest();
    assertThat(bench().status().get().trouble()).isTrue();
    assertThat(desk.text("#bench-says")).contains("The valve fixture stands at", "then resume");
    int kept = job().bench().test(test.id()).orElseThrow().lifts().size();
    assertThat(kept).isBetween(1, 4);
    desk.runFx(() -> bench().simulated().orElseThrow().free());
    desk.press("#bench-resume");
    awaitRest();
    assertThat(job().bench().test(test.id()).orElseThrow().lifts()).hasSize(5);
    assertThat(bench().status().get().trouble()).isFalse();
  }

  @Test
  void aJobThatIsLeftGetsNothingMoreAndGivesNothingOn() throws Exception {
    newTestAtTheBench();
    Hold hold = hold(3);
    desk.press("#bench-start");
    await(() -> bench().status().get().taken() > 2);
    Job other = JobFile.demo("tuff-650");
    desk.runFx(
        () -> {
          bench().leave();
          desk.session.load(JobDocument.fresh(other), Optional.empty());
        });
    hold.letGo();
    hold.awaitEnd();
    desk.settle();
    assertThat(job()).isEqualTo(other);
    assertThat(bench().isRunning()).isFalse();
    assertThat(desk.text("#bench-says")).isEqualTo("The bench stands still.");
  }

  @Test
  void aJobWithoutRangesReadsItsPlatesFirst() throws TimeoutException {
    desk.runFx(() -> desk.session.edit("", j -> j.withBench(BenchBook.EMPTY)));
    FlowTest test = newTestAtTheBench();
    assertThat(desk.words("#bench-pane")).contains("no check plates yet; a run reads them first");
    desk.press("#bench-start");
    awaitRest();
    assertThat(job().bench().ranges()).hasSize(5);
    assertThat(job().bench().test(test.id()).orElseThrow().setUp().leakageM3s()).isPresent();
    assertThat(desk.session.work().get().confidence().calibration().source()).hasValue(1);
  }

  @Test
  void aPortThatIsNotThereIsSaid() {
    newTestAtTheBench();
    bench().setPort("/dev/no-such-port");
    desk.press("#bench-start");
    assertThat(desk.text("#bench-says")).contains("no-such-port");
    assertThat(bench().isRunning()).isFalse();
    assertThat(desk.<Button>lookup("#bench-start").query().isDisabled()).isFalse();
  }

  @Test
  void readingAgainAddsRepeatsAndKeepsTheOldJournal() throws Exception {
    FlowTest test = newTestAtTheBench();
    desk.press("#bench-start");
    awaitRest();
    desk.press("#bench-start");
    awaitRest();
    assertThat(job().bench().test(test.id()).orElseThrow().lifts())
        .hasSize(5)
        .allMatch(l -> l.readings().size() == 4);
    try (var files = Files.list(home.resolve("runs"))) {
      assertThat(files).hasSize(2);
    }
    desk.runFx(desk.session::undo);
    assertThat(job().bench().test(test.id()).orElseThrow().lifts()).isEmpty();
  }

  @Test
  void aNewTestIsNotOfferedWhatWasKeptForOneThatIsGone() throws TimeoutException {
    FlowTest gone = newTestAtTheBench();
    Hold hold = hold(2);
    desk.press("#bench-start");
    await(() -> bench().status().get().taken() > 1);
    desk.press("#bench-stop");
    hold.letGo();
    awaitRest();
    assertThat(bench().unfinished(gone)).isPresent();
    desk.runFx(() -> desk.window.prove().state().edit(book -> book.without(gone.id())));
    desk.press(KeyCode.CONTROL, KeyCode.T).release(KeyCode.T, KeyCode.CONTROL);
    desk.settle();
    FlowTest fresh = job().bench().tests().getLast();
    assertThat(fresh.id()).isEqualTo(gone.id());
    assertThat(bench().unfinished(fresh)).isEmpty();
    assertThat(desk.isShown("#bench-resume")).isFalse();
  }

  private static Job many() {
    Job demo = JobFile.demo();
    List<FlowTest> tests = new ArrayList<>();
    FlowTest found = demo.bench().tests().getFirst();
    for (int id = 1; id <= 60; id++) {
      tests.add(
          FlowTest.empty(id, "test " + id, found.setUp())
              .withStep(id == 1 ? Optional.empty() : Optional.of(id - 1), "step " + id, false)
              .withLifts(found.lifts()));
    }
    return demo.withBench(new BenchBook(demo.bench().ranges(), tests));
  }

  @Test
  void manyTestsArePagedThrough() {
    desk.runFx(() -> desk.session.load(JobDocument.fresh(many()), Optional.empty()));
    desk.goTo(KeyCode.DIGIT4);
    desk.settle();
    assertThat(desk.isShown("#test-head-60")).isTrue();
    assertThat(desk.isShown("#test-head-1")).isFalse();
    desk.press("#tests-earlier");
    assertThat(desk.isShown("#test-head-60")).isFalse();
    assertThat(desk.isShown("#test-head-59")).isTrue();
    desk.runFx(() -> desk.window.prove().state().select(1));
    assertThat(desk.isShown("#test-head-1")).isTrue();
    assertThat(shown().reference()).isEmpty();
    assertThat(desk.words("#compare-pane")).contains("1  test 1: no reference test");
    desk.runFx(
        () -> {
          desk.window.prove().state().select(60);
          desk.window.prove().state().against(1);
        });
    Comparison comparison = shown().comparison().orElseThrow();
    assertThat(comparison.lines()).allMatch(l -> l.verdict() == Comparison.Verdict.WITHIN);
    desk.runFx(() -> desk.window.prove().show("ladder"));
    assertThat(shown().book().ladder(shown().test().orElseThrow()).rungs()).hasSize(60);
  }

  @Test
  void aBlockIsPastedAlongTheTestsAndDownTheLifts() {
    desk.goTo(KeyCode.DIGIT4);
    desk.settle();
    double before =
        job().bench().test(4).orElseThrow().at(1).orElseThrow().readings().getFirst().value();
    desk.runFx(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString("10.1\t10.2\t10.3\n20.1\t\t20.3\n");
          Clipboard.getSystemClipboard().setContent(content);
          desk.lookup("#test-4-500").<javafx.scene.control.TextField>query().paste();
        });
    assertThat(value(4, 0.5)).isCloseTo(0.0101, within(1e-12));
    assertThat(value(5, 0.5)).isCloseTo(0.0102, within(1e-12));
    assertThat(value(4, 1)).isCloseTo(0.0201, within(1e-12)).isNotEqualTo(before);
    assertThat(desk.said()).contains("3 readings pasted", "past the end of the sheet");
    desk.runFx(desk.session::undo);
    assertThat(value(4, 1)).isEqualTo(before);
  }

  private double value(int test, double lift) {
    return job()
        .bench()
        .test(test)
        .orElseThrow()
        .at(lift)
        .orElseThrow()
        .readings()
        .getFirst()
        .value();
  }

  @Test
  void theStationFollowsTheSeatAndTheUnits() {
    desk.goTo(KeyCode.DIGIT4);
    assertThat(shown().tests()).hasSize(5);
    desk.runFx(() -> desk.session.step(1));
    assertThat(shown().tests()).extracting(FlowTest::id).containsExactly(6, 7, 8);
    assertThat(shown().test().orElseThrow().id()).isEqualTo(8);
    desk.runFx(() -> desk.session.step(1));
    assertThat(shown().test().orElseThrow().setUp().seat()).isEqualTo("I1");
    desk.runFx(desk.session::switchUnits);
    assertThat(desk.words("#test-sheet")).contains("Flow brought to 28 inH2O, cfm");
    assertThat(job().units()).isEqualTo(finebore.units.Units.INCH);
    assertThat(desk.words("#compare-pane")).contains("cfm");
  }

  @Test
  void whatIsHalfTypedOutlivesAnotherSizeOfTheWindow() {
    desk.goTo(KeyCode.DIGIT4);
    desk.settle();
    assertThat(desk.focused()).isEqualTo("test-5-500");
    desk.write("not yet");
    desk.runFx(() -> ((Stage) desk.window.scene().getWindow()).setWidth(1020));
    desk.settle();
    desk.settle();
    assertThat(desk.focused()).isEqualTo("test-5-500");
    assertThat(desk.text("#test-5-500")).isEqualTo("not yet");
    assertThat(value(5, 0.5)).isPositive();
  }

  @Test
  void aTestIsDeletedAndComesBack() {
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(() -> desk.window.prove().state().select(3));
    assertThat(shown().test().orElseThrow().setUp().state()).isEqualTo(TestedState.after(3));
    desk.runFx(
        () ->
            desk.lookup("#tests-menu")
                .<javafx.scene.control.MenuButton>query()
                .getItems()
                .getLast()
                .fire());
    assertThat(job().bench().test(3)).isEmpty();
    assertThat(job().bench().test(5).orElseThrow().after()).contains(2);
    desk.runFx(desk.session::undo);
    assertThat(job().bench().test(3)).isPresent();
    assertThat(job().bench().test(5).orElseThrow().after()).contains(3);
  }

  @Test
  void theTestsAreExported() throws Exception {
    desk.goTo(KeyCode.DIGIT4);
    Path out = home.resolve("out.csv");
    desk.picks.table = Optional.of(out);
    desk.press(KeyCode.CONTROL, KeyCode.E).release(KeyCode.E, KeyCode.CONTROL);
    desk.settle();
    assertThat(desk.said()).contains("out.csv");
    assertThat(Files.readAllLines(out)).hasSizeGreaterThan(100);
    desk.picks.table = Optional.of(home.resolve("no such folder").resolve("out.csv"));
    desk.press(KeyCode.CONTROL, KeyCode.E).release(KeyCode.E, KeyCode.CONTROL);
    desk.settle();
    assertThat(desk.said()).contains("its folder does not exist");
  }

  @Test
  void aPastedTableBecomesTestsOfTheirOwn() {
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString("lift (mm)\tmonday (l/s)\ttuesday (l/s)\n2\t16.8\t17.1\n4\t34\t34.6\n");
          Clipboard.getSystemClipboard().setContent(content);
          desk.lookup("#tests-menu")
              .<javafx.scene.control.MenuButton>query()
              .getItems()
              .get(2)
              .fire();
        });
    assertThat(desk.text("#import-outcome"))
        .isEqualTo("4 readings in 2 tests; every row can be taken.");
    desk.press("#import-take");
    assertThat(job().bench().tests()).hasSize(10);
    assertThat(job().bench().tests().getLast().name()).isEqualTo("tuesday (l/s)");
    assertThat(shown().test().orElseThrow().name()).isEqualTo("monday (l/s)");
  }

  @Test
  void largeTextKeepsTheTableWhole() {
    desk.goTo(KeyCode.DIGIT4);
    desk.settle();
    for (int k = 0; k < 5; k++) {
      desk.press(KeyCode.CONTROL, KeyCode.PLUS).release(KeyCode.PLUS, KeyCode.CONTROL);
    }
    desk.settle();
    desk.settle();
    assertThat(desk.isShown("#test-head-5")).isTrue();
    double cut =
        desk.onFx(
            () -> {
              var mark = desk.lookup("#mark-5-6000").<javafx.scene.control.Label>query();
              var whole = new javafx.scene.text.Text(mark.getText());
              whole.setFont(mark.getFont());
              return mark.getWidth() - whole.getLayoutBounds().getWidth();
            });
    assertThat(cut).isPositive();
  }
}
