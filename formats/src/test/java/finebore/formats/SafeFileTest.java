package finebore.formats;

import static org.assertj.core.api.Assertions.as;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SafeFileTest {

  @TempDir private Path folder;

  /** Whoever reads while another writes finds one whole state or the other, never a part. */
  @Test
  void aReaderNeverSeesHalfAFile() throws Exception {
    Path file = folder.resolve("a.finebore.json");
    String first = JobFile.text(JobDocument.fresh(JobFile.demo()));
    String second = JobFile.text(JobDocument.fresh(JobFile.demo().withName("Other")));
    SafeFile.write(file, first.getBytes(StandardCharsets.UTF_8), true);
    AtomicBoolean stop = new AtomicBoolean();
    AtomicReference<String> wrong = new AtomicReference<>("");
    Thread reader =
        Thread.ofPlatform()
            .start(
                () -> {
                  while (!stop.get()) {
                    try {
                      String seen = Files.readString(file);
                      if (!seen.equals(first) && !seen.equals(second)) {
                        wrong.set(seen);
                      }
                    } catch (java.io.IOException e) {
                      wrong.set(e.toString());
                    }
                  }
                });
    Random random = new Random(4);
    for (int k = 0; k < 60; k++) {
      SafeFile.write(
          file, (random.nextBoolean() ? first : second).getBytes(StandardCharsets.UTF_8), true);
    }
    stop.set(true);
    reader.join();
    assertThat(wrong.get()).isEmpty();
    assertThat(Files.readString(folder.resolve("a.finebore.json.bak"))).isIn(first, second);
  }

  @Test
  void withoutALastCopyNoneIsKept() throws Exception {
    Path file = folder.resolve("sheet.txt");
    SafeFile.write(file, new byte[] {1}, false);
    SafeFile.write(file, new byte[] {2}, false);
    assertThat(Files.readAllBytes(file)).containsExactly(2);
    try (var all = Files.list(folder)) {
      assertThat(all).containsExactly(file);
    }
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private String refused(Path file) {
    return assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> SafeFile.write(file, bytes("new"), true))
        .actual()
        .problem()
        .code();
  }

  @Test
  void aLinkedFileIsWrittenWhereItLies() throws Exception {
    Path real = Files.createDirectories(folder.resolve("shared")).resolve("real.json");
    Files.writeString(real, "old");
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), Path.of("shared/real.json"));
    Path further = Files.createSymbolicLink(folder.resolve("further.json"), link);
    SafeFile.write(further, bytes("new"), true);
    assertThat(Files.readString(real)).isEqualTo("new");
    assertThat(link).isSymbolicLink();
    assertThat(further).isSymbolicLink();
    assertThat(folder.resolve("shared/real.json.bak")).hasContent("old");
    Path loop = folder.resolve("loop.json");
    Files.createSymbolicLink(loop, loop);
    assertThat(refused(loop)).isEqualTo("file.unwritable");
  }

  @Test
  void permissionsStayAndAProtectedFileIsRefused() throws Exception {
    Path file = Files.writeString(folder.resolve("a.json"), "old");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r-----"));
    SafeFile.write(file, bytes("new"), true);
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-r-----");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r-----"));
    assertThat(refused(file)).isEqualTo("file.protected");
    assertThat(file).hasContent("new");
  }

  @Test
  void aFileWithASecondNameAndWhatIsNoFileAreRefused() throws Exception {
    Path file = Files.writeString(folder.resolve("a.json"), "old");
    Path second = Files.createLink(folder.resolve("b.json"), file);
    assertThat(refused(file)).isEqualTo("file.secondName");
    assertThat(second).hasContent("old");
    Files.delete(second);
    SafeFile.write(file, bytes("new"), false);
    assertThat(refused(folder)).isEqualTo("file.isFolder");
    assertThat(refused(Path.of("/"))).isEqualTo("file.unwritable");
    assertThat(refused(folder.resolve("no/where.json"))).isEqualTo("file.unwritable");
    try (var all = Files.list(folder)) {
      assertThat(all).containsExactly(file);
    }
  }

  @Test
  void theLongestNameIsWrittenAndItsLastCopyKept() throws Exception {
    Path file = folder.resolve("n".repeat(250) + ".json");
    SafeFile.write(file, bytes("one"), true);
    SafeFile.write(file, bytes("two"), true);
    assertThat(file).hasContent("two");
    try (var all = Files.list(folder)) {
      assertThat(all.filter(f -> f.toString().endsWith(".bak")))
          .singleElement(as(InstanceOfAssertFactories.PATH))
          .hasContent("one");
    }
  }

  @Test
  void onlyPlainFilesOfASensibleSizeAreRead() throws Exception {
    Path file = Files.writeString(folder.resolve("a.json"), "12345");
    assertThat(SafeFile.read(file, 5)).hasSize(5);
    assertThat(unread(file, 4)).isEqualTo("file.tooLarge");
    assertThat(unread(folder, 9)).isEqualTo("file.isFolder");
    assertThat(unread(folder.resolve("none"), 9)).isEqualTo("file.doesNotExist");
    assertThat(unread(Path.of("/dev/zero"), 9)).isEqualTo("file.notPlain");
    Files.write(file, new byte[] {(byte) 0xC3, 0x28});
    assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> SafeFile.text(file, 9))
        .satisfies(e -> assertThat(e.problem().code()).isEqualTo("file.notUtf8"));
  }

  private static String unread(Path file, long most) {
    return assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> SafeFile.read(file, most))
        .actual()
        .problem()
        .code();
  }

  @Test
  void leavingsOfWritersWhoAreNoMoreAreCleanedUp() throws Exception {
    Path old = Files.writeString(folder.resolve(".finebore-1-2.part"), "x");
    Files.setLastModifiedTime(old, FileTime.from(Instant.parse("2026-03-02T10:00:00Z")));
    Path fresh = Files.writeString(folder.resolve(".finebore-1-3.part"), "x");
    Files.setLastModifiedTime(fresh, FileTime.from(Instant.parse("2026-03-02T11:30:00Z")));
    Path other = Files.writeString(folder.resolve("mine.part"), "x");
    Files.setLastModifiedTime(other, FileTime.from(Instant.parse("2026-03-02T10:00:00Z")));
    SafeFile.cleanUp(folder, Instant.parse("2026-03-02T12:00:00Z"));
    assertThat(old).doesNotExist();
    assertThat(fresh).exists();
    assertThat(other).exists();
  }
}
