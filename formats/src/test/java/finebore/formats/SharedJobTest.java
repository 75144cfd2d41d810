package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import finebore.formats.JobLease.Holder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One job file and several who write it. */
class SharedJobTest {

  @TempDir private Path folder;

  private Path shared() throws FileProblem {
    Path file = folder.resolve("shared.finebore.json");
    JobFile.write(JobDocument.fresh(JobFile.demo("tuff-650")), file);
    return file;
  }

  @Test
  void whoeverSavesSecondIsToldAndNothingIsLost() throws Exception {
    Path file = shared();
    JobDocument mine = JobFile.read(file);
    JobDocument theirs = JobFile.read(file);
    JobFile.save(theirs.withJob(theirs.job().withNotes("theirs")), file);
    assertThatExceptionOfType(ChangedUnderneath.class)
        .isThrownBy(() -> JobFile.save(mine.withJob(mine.job().withNotes("mine")), file));
    assertThat(JobFile.read(file).job().notes()).isEqualTo("theirs");
    JobDocument now = JobFile.read(file);
    JobDocument saved = JobFile.save(now.withJob(now.job().withNotes("both")), file);
    JobFile.save(saved.withJob(saved.job().withNotes("again")), file);
    assertThat(JobFile.read(file).job().notes()).isEqualTo("again");
    Files.delete(file);
    JobFile.save(saved, file);
    assertThat(JobFile.read(file).job().notes()).isEqualTo("both");
  }

  /** Every note that a save says it has written is in the file at the end. */
  @Test
  void manyWritersLoseNothingOfEachOther() throws Exception {
    write(10);
  }

  @Test
  @Tag("long")
  void manyWritersLoseNothingOfEachOtherAtLength() throws Exception {
    write(340);
  }

  private void write(int times) throws Exception {
    Path file = shared();
    Set<String> written = ConcurrentHashMap.newKeySet();
    try (ExecutorService writers = Executors.newFixedThreadPool(3)) {
      List<Future<?>> all =
          IntStream.range(0, 3)
              .<Future<?>>mapToObj(k -> writers.submit(() -> add(file, k, times, written)))
              .toList();
      for (Future<?> one : all) {
        one.get();
      }
    }
    assertThat(written).hasSize(3 * times);
    assertThat(JobFile.read(file).job().notes().split(" ")).containsAll(written);
    System.out.println("writers: 3, saves: " + 3 * times + ", lost: 0");
  }

  private static Void add(Path file, int writer, int times, Set<String> written)
      throws FileProblem {
    for (int k = 0; k < times; ) {
      JobDocument document = JobFile.read(file);
      String note = writer + "-" + k;
      try {
        JobFile.save(
            document.withJob(document.job().withNotes(document.job().notes() + " " + note)), file);
        written.add(note);
        k++;
      } catch (ChangedUnderneath e) {
        // Read again and added to what the other wrote.
        continue;
      }
    }
    return null;
  }

  @Test
  void aLockLeftByAWriterThatDiedIsTakenAway() throws Exception {
    Path file = shared();
    Path lock = Files.createFile(folder.resolve(".shared.finebore.json.saving"));
    Files.setLastModifiedTime(lock, FileTime.from(Instant.now().minusSeconds(60)));
    JobFile.save(JobFile.read(file), file);
    assertThat(lock).doesNotExist();
  }

  @Test
  void whoHasAJobOpenIsKnownUntilTheyLetGoOrDie() throws Exception {
    Path file = shared();
    Instant since = Instant.parse("2026-03-02T07:30:00Z");
    Holder sam = new Holder("1", "Sam", "grinder", since);
    JobLease first = new JobLease(file, sam);
    JobLease second = new JobLease(file, new Holder("2", "Kim", "bench", since));
    assertThat(first.renew()).isEmpty();
    assertThat(first.renew()).isEmpty();
    assertThat(second.renew()).contains(sam);
    second.giveBack();
    assertThat(second.renew()).contains(sam);
    Path lease = folder.resolve(".shared.finebore.json.open");
    Files.setLastModifiedTime(lease, FileTime.from(Instant.now().minusSeconds(200)));
    assertThat(second.renew()).isEmpty();
    second.giveBack();
    assertThat(lease).doesNotExist();
    Files.writeString(lease, "nonsense");
    assertThat(first.renew()).isEmpty();
  }
}
