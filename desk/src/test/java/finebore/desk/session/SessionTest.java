package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.desk.theme.Theme;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Job;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionTest {

  @TempDir private Path home;

  private static Job named(String name) {
    return JobFile.demo().withName(name);
  }

  @Test
  void undoReachesBackToTheOpening() {
    UndoHistory edits = new UndoHistory(named("0"));
    for (int k = 1; k <= 2000; k++) {
      edits.edit(named(String.valueOf(k)), "");
    }
    for (int k = 1999; k >= 0; k--) {
      assertThat(edits.undo().orElseThrow().name()).isEqualTo(String.valueOf(k));
    }
    assertThat(edits.canUndo()).isFalse();
    assertThat(edits.undo()).isEmpty();
    assertThat(edits.redo().orElseThrow().name()).isEqualTo("1");
  }

  @Test
  void aGestureIsOneStepAndEnds() {
    UndoHistory edits = new UndoHistory(named("0"));
    edits.edit(named("1"), "drag 1");
    edits.edit(named("2"), "drag 1");
    edits.endGesture();
    edits.edit(named("3"), "drag 1");
    assertThat(edits.undo().orElseThrow().name()).isEqualTo("2");
    assertThat(edits.undo().orElseThrow().name()).isEqualTo("0");
    edits.edit(named("4"), "");
    assertThat(edits.canRedo()).isFalse();
  }

  @Test
  void anEditThatCannotBeLeavesTheJob() {
    JobSession session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    Job before = session.job();
    assertThatThrownBy(
            () -> session.editPairing("", p -> p.withSeat(p.seat().withThroatDiameter(500))))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(session.job()).isEqualTo(before);
    assertThat(session.changed().get()).isFalse();
    assertThat(session.canUndo().get()).isFalse();
  }

  @Test
  void settingsAndRecentJobsAreKept() throws Exception {
    DeskFolder folder = new DeskFolder(home);
    folder.keepTheme(Theme.DARK);
    folder.keepTextScale(1.3);
    for (int k = 0; k < 10; k++) {
      folder.keepRecent(Files.createFile(home.resolve("job " + k + ".finebore.json")));
    }
    folder.keepRecent(home.resolve("job 5.finebore.json"));
    DeskFolder again = new DeskFolder(home);
    assertThat(again.theme()).isEqualTo(Theme.DARK);
    assertThat(again.textScale()).isEqualTo(1.3);
    assertThat(again.recent()).hasSize(8).first().isEqualTo(home.resolve("job 5.finebore.json"));
    Files.delete(home.resolve("job 5.finebore.json"));
    assertThat(again.recent()).hasSize(7);
  }

  @Test
  void brokenSettingsDoNotStopTheDesk() throws Exception {
    Files.writeString(home.resolve("settings.properties"), "theme=\\uZZZZ");
    DeskFolder folder = new DeskFolder(home);
    assertThat(folder.theme()).isEqualTo(Theme.PAPER);
    assertThat(folder.textScale()).isEqualTo(1);
    Files.writeString(home.resolve("settings.properties"), "textScale=NaN\nrecent.0=a\\u0000b");
    DeskFolder odd = new DeskFolder(home);
    assertThat(odd.textScale()).isEqualTo(1);
    assertThat(odd.recent()).isEmpty();
  }

  @Test
  void theRecoveryCopyGoesWithTheLastChange() throws Exception {
    Recovery recovery = new Recovery(new DeskFolder(home));
    JobSession session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    session.edit("", job -> job.withName("Changed"));
    recovery.keep(session);
    assertThat(recovery.settle()).isTrue();
    assertThat(copies()).hasSize(1);
    session.undo();
    recovery.keep(session);
    recovery.settle();
    assertThat(copies()).isEmpty();
    session.edit("", job -> job.withName("Again"));
    recovery.keep(session);
    recovery.close();
    assertThat(copies()).isEmpty();
    assertThat(Files.list(home)).isEmpty();
  }

  @Test
  void aCopyIsOfferedOnceItsRunHasEndedAndNotBefore() throws Exception {
    Recovery running = new Recovery(new DeskFolder(home));
    JobSession session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    session.edit("", job -> job.withName("Changed"));
    running.keep(session);
    running.settle();
    Recovery next = new Recovery(new DeskFolder(home));
    assertThat(next.lost().work()).isEmpty();
    // Killed: its locks are gone, and its copy is not.
    running.abandon();
    Recovery.Lost lost = next.lost().work().getFirst();
    assertThat(lost.document().job().name()).isEqualTo("Changed");
    // Offered to one run at a time.
    assertThat(new Recovery(new DeskFolder(home)).lost().work()).isEmpty();
    next.discard(lost);
    assertThat(copies()).isEmpty();
  }

  @Test
  void anotherJobsCopyDoesNotTakeTheLastOnesPlaceBeforeItIsKept() throws Exception {
    Recovery recovery = new Recovery(new DeskFolder(home));
    JobSession session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    session.edit("", job -> job.withName("Changed"));
    recovery.keep(session);
    recovery.settle();
    Path first = copies().getFirst();
    session.load(JobDocument.fresh(JobFile.demo("tuff-650")), Optional.empty());
    session.edit("", job -> job.withName("Other"));
    recovery.keep(session);
    recovery.settle();
    assertThat(copies()).hasSize(1).doesNotContain(first);
    assertThat(Files.readString(copies().getFirst())).contains("\"Other\"");
  }

  private List<Path> copies() throws IOException {
    try (Stream<Path> files = Files.list(home)) {
      return files.filter(f -> f.toString().endsWith(".json")).sorted().toList();
    }
  }
}
