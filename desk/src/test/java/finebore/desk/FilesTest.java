package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.JobLease;
import finebore.job.Job;
import finebore.valve.Pairing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
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

/** Jobs and files: opened, saved, changed by others, lost and found again. */
@ExtendWith(ApplicationExtension.class)
class FilesTest {

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

  @Test
  void aJobIsSavedAndReopened() throws Exception {
    // As a chooser hands it over that adds the last part of the ending.
    Path file = folder.resolve("mine.json");
    desk.picks.save = Optional.of(file);
    desk.enter("field-cut-2-width", "1.3");
    assertThat(desk.text("#job-title")).endsWith("*");
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    Path written = folder.resolve("mine" + JobFile.EXTENSION);
    assertThat(JobFile.read(written).job()).isEqualTo(desk.session.job());
    assertThat(desk.text("#job-title")).doesNotContain("*");
    Job saved = desk.session.job();
    desk.enter("field-cut-2-width", "1.4");
    desk.picks.open = Optional.of(written);
    desk.picks.unsaved = FilePicker.Unsaved.STAY;
    desk.press(KeyCode.CONTROL).type(KeyCode.O).release(KeyCode.CONTROL);
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.4);
    desk.picks.unsaved = FilePicker.Unsaved.DROP;
    desk.press(KeyCode.CONTROL).type(KeyCode.O).release(KeyCode.CONTROL);
    assertThat(desk.picks.asked).isEqualTo(2);
    assertThat(desk.session.job()).isEqualTo(saved);
    assertThat(desk.folder.recent()).contains(written.toAbsolutePath());
  }

  @Test
  void whatIsBeingTypedCountsWhenSaving() throws Exception {
    desk.picks.save = Optional.of(folder.resolve("typed" + JobFile.EXTENSION));
    desk.clickOn("#field-cut-2-width-text").eraseText(6).write("1.37");
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    Job saved = JobFile.read(folder.resolve("typed" + JobFile.EXTENSION)).job();
    assertThat(saved.intake().planned().seat().cuts().get(1).widthMm()).isEqualTo(1.37);
  }

  @Test
  void savingAsWritesTheNewFileAndLeavesTheOldOneAlone() throws Exception {
    Path first = folder.resolve("first" + JobFile.EXTENSION);
    Path second = folder.resolve("second" + JobFile.EXTENSION);
    desk.picks.save = Optional.of(first);
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    String kept = Files.readString(first);
    desk.runFx(() -> desk.session.edit("", j -> j.withPurpose("second thoughts")));
    desk.picks.save = Optional.of(second);
    desk.press(KeyCode.CONTROL, KeyCode.SHIFT)
        .type(KeyCode.S)
        .release(KeyCode.SHIFT, KeyCode.CONTROL);
    assertThat(Files.readString(first)).isEqualTo(kept);
    assertThat(JobFile.read(second).job().purpose()).isEqualTo("second thoughts");
    assertThat(desk.session.file().get()).contains(second);
    assertThat(desk.session.changed().get()).isFalse();
  }

  @Test
  void aDamagedFileIsSaidAndTheOpenJobStays() throws Exception {
    desk.enter("field-cut-2-width", "1.3");
    Job open = desk.session.job();
    Path damaged =
        Files.writeString(
            folder.resolve("bad" + JobFile.EXTENSION), "{\"format\": \"finebore-job\", \"ver");
    desk.runFx(() -> desk.window.openFile(damaged));
    assertThat(desk.text("#banner-text")).contains("damaged or cut short at line 1");
    assertThat(desk.session.job()).isEqualTo(open);
    assertThat(desk.picks.asked).isZero();
    desk.clickOn("#close-banner");
    assertThat(desk.isShown("#banner-text")).isFalse();
  }

  @Test
  void theCutSheetIsWritten() throws Exception {
    Path sheet = folder.resolve("sheet.csv");
    desk.picks.sheet = Optional.of(sheet);
    desk.press(KeyCode.CONTROL).type(KeyCode.K).release(KeyCode.CONTROL);
    assertThat(Files.readString(sheet)).startsWith("group,seat,step");
    assertThat(desk.text("#banner-text")).contains("sheet.csv");
  }

  @Test
  void aNewJobBeginsWithNumbersThatWork() {
    desk.press(KeyCode.CONTROL).type(KeyCode.N).release(KeyCode.CONTROL);
    assertThat(desk.session.job().name()).isEqualTo("New job");
    assertThat(desk.isShown("#job-station")).isTrue();
    desk.goTo(KeyCode.DIGIT2);
    assertThat(desk.text("#gate-text")).contains("Gate");
    assertThat(desk.findings()).doesNotContain("Fault");
  }

  @Test
  void unsavedWorkIsFoundAgainByTheNextRun() throws Exception {
    desk.enter("field-cut-2-width", "1.33");
    assertThat(desk.recovery.settle()).isTrue();
    Path own = copies().getFirst();
    // As left behind by runs that are no more, of a time before locks and of now.
    Path older =
        Files.copy(own, home.resolve("recovery-" + ProcessHandle.current().pid() + ".json"));
    Path newer = Files.copy(own, home.resolve("recovery-gone-3.json"));
    Files.writeString(newer, Files.readString(newer).replace("Skarn 1.6", "Skarn newer"));
    Files.setLastModifiedTime(older, FileTime.from(Instant.now().minusSeconds(60)));
    Files.writeString(home.resolve("recovery-torn-1.json"), "no job at all");
    Recovery.Found found = desk.recovery.lost();
    assertThat(found.work()).extracting(Recovery.Lost::copy).containsExactly(newer, older);
    assertThat(found.unreadable()).hasSize(1);
    desk.runFx(desk.session::undo);
    desk.runFx(() -> desk.window.offer(found));
    assertThat(desk.text("#banner-text"))
        .contains("Work on \"Skarn newer\"")
        .contains("One more is waiting");
    desk.clickOn("#recover");
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.33);
    assertThat(desk.session.changed().get()).isTrue();
    assertThat(newer).doesNotExist();
    assertThat(desk.text("#banner-text")).contains("Work on \"Skarn 1.6\"");
    desk.clickOn("#later-recovery");
    assertThat(older).exists();
    assertThat(home.resolve("recovery-torn-1.json")).exists();
    assertThat(copies()).hasSize(3);
  }

  private static List<Path> copies() throws IOException {
    try (Stream<Path> files = Files.list(home)) {
      return files.filter(f -> f.toString().matches(".*recovery-.*json")).sorted().toList();
    }
  }

  @Test
  void workIsSaidToBeUnguardedWhileItsFolderCannotBeUsed() throws Exception {
    Path moved = home.resolveSibling("moved");
    Files.move(home, moved);
    Files.writeString(home, "in the way");
    desk.enter("field-cut-2-width", "1.34");
    assertThat(desk.recovery.settle()).isFalse();
    desk.settle();
    assertThat(desk.isShown("#unguarded")).isTrue();
    Files.delete(home);
    Files.move(moved, home);
    desk.enter("field-cut-2-width", "1.36");
    assertThat(desk.recovery.settle()).isTrue();
    desk.settle();
    assertThat(desk.isShown("#unguarded")).isFalse();
  }

  /** The job saved, then its throat read here and its name changed by somebody else. */
  private Path changedByBoth() throws Exception {
    Path file = folder.resolve("shared" + JobFile.EXTENSION);
    desk.picks.save = Optional.of(file);
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    JobDocument theirs = JobFile.read(file);
    JobFile.write(theirs.withJob(theirs.job().withPurpose("theirs")), file);
    desk.enter("field-cut-2-width", "1.31");
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    assertThat(desk.text("#banner-text")).contains("Somebody else has saved this job");
    assertThat(JobFile.read(file).job().purpose()).isEqualTo("theirs");
    assertThat(desk.session.changed().get()).isTrue();
    return file;
  }

  @Test
  void whatSomebodyElseHasSavedIsPutTogetherWithMine() throws Exception {
    Path file = changedByBoth();
    desk.clickOn("#conflict-merge");
    assertThat(desk.text("#banner-text")).contains("Both are put together");
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    Job saved = JobFile.read(file).job();
    assertThat(saved.purpose()).isEqualTo("theirs");
    assertThat(saved.intake().planned().seat().cuts().get(1).widthMm()).isEqualTo(1.31);
  }

  @Test
  void anUnchangedJobDoesNotWriteOverTheirsEither() throws Exception {
    Path file = folder.resolve("unchanged" + JobFile.EXTENSION);
    desk.picks.save = Optional.of(file);
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    JobDocument theirs = JobFile.read(file);
    JobFile.write(theirs.withJob(theirs.job().withPurpose("theirs")), file);
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    assertThat(desk.text("#banner-text")).contains("Somebody else has saved this job");
    assertThat(JobFile.read(file).job().purpose()).isEqualTo("theirs");
  }

  @Test
  void theirsIsTakenAndMineComesBackByUndo() throws Exception {
    changedByBoth();
    desk.clickOn("#conflict-reload");
    assertThat(desk.session.job().purpose()).isEqualTo("theirs");
    assertThat(desk.session.changed().get()).isFalse();
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.25);
    desk.runFx(desk.session::undo);
    assertThat(planned().seat().cuts().get(1).widthMm()).isEqualTo(1.31);
  }

  @Test
  void whereBothChangedTheSameTheirsIsKeptBeside() throws Exception {
    Path file = changedByBoth();
    desk.runFx(() -> desk.session.edit("", j -> j.withPurpose("mine")));
    desk.clickOn("#conflict-merge");
    assertThat(desk.text("#banner-text"))
        .contains("yours stands where both changed: its purpose")
        .contains("shared-theirs.finebore.json");
    Path kept = folder.resolve("shared-theirs.finebore.json");
    assertThat(JobFile.read(kept).job().purpose()).isEqualTo("theirs");
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    assertThat(JobFile.read(file).job().purpose()).isEqualTo("mine");
  }

  @Test
  void aJobThatIsOpenElsewhereIsSaidToBe() throws Exception {
    Path file = folder.resolve("busy" + JobFile.EXTENSION);
    JobFile.write(JobDocument.fresh(JobFile.demo()), file);
    Instant since = Instant.parse("2026-03-02T07:30:00Z");
    new JobLease(file, new JobLease.Holder("other", "Sam", "grinder", since)).renew();
    desk.runFx(() -> desk.window.openFile(file));
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> desk.isShown("#banner-text"));
    assertThat(desk.text("#banner-text"))
        .contains("also open with Sam on grinder, since 2026-03-02");
  }

  @Test
  void theWelcomeOffersTheDemo() {
    desk.runFx(desk.window::welcome);
    assertThat(desk.isShown("#welcome")).isTrue();
    desk.clickOn("#welcome-demo");
    assertThat(desk.isShown("#plan-station")).isTrue();
    assertThat(desk.session.job().name()).isEqualTo("Skarn 1.6");
  }
}
