package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The power goes while a job is edited and saved: what the file system had not been made to write
 * is gone, and what the program said was kept is there.
 *
 * <p>The file system is ext4 in a file of its own, set to write nothing before it has to: no early
 * write behind a rename, no regular commit. A copy of that file, taken while the program is held,
 * is what a disk would hold. That a disk may keep back what it was told to write is not tried. Only
 * the system's keeper may mount such a file.
 */
@Tag("long")
class PowerLossTest {

  private static final long DISK = 64L << 20;

  @TempDir private Path folder;
  private final Random chance = new Random(20261127);
  private Path mount;

  @BeforeEach
  void makeRoom() throws Exception {
    assumeTrue(
        "root".equals(System.getProperty("user.name"))
            && Files.exists(Path.of("/dev/loop-control"))
            && Files.exists(Path.of("/usr/sbin/mkfs.ext4")),
        "needs to mount a file system");
    mount = Files.createDirectory(folder.resolve("mount"));
  }

  @AfterEach
  void putAway() throws Exception {
    if (mount != null) {
      new ProcessBuilder("umount", "-q", mount.toString()).start().waitFor();
    }
  }

  @Test
  void whatWasSaidToBeKeptIsThereWhenThePowerGoes() throws Exception {
    int losses = Integer.getInteger("finebore.losses", 200);
    Path disk = folder.resolve("disk");
    try (RandomAccessFile file = new RandomAccessFile(disk.toFile(), "rw")) {
      file.setLength(DISK);
    }
    run("mkfs.ext4", "-q", disk.toString());
    mounted(disk);
    Path home = mount.resolve("home");
    Path file = mount.resolve("a" + JobFile.EXTENSION);
    JobFile.write(JobDocument.fresh(JobFile.demo("tuff-650").withNotes("0")), file);
    int edited = 0;
    for (int k = 0; k < losses; k++) {
      Path after = folder.resolve("after" + k % 2);
      try (EditingProgram program = new EditingProgram(home, file, edited + 1)) {
        program.workFor(chance.nextDouble() * 0.6);
        program.hold();
        Files.copy(disk, after);
        program.kill();
        run("umount", mount.toString());
        Files.delete(disk);
        mounted(after);
        edited = left(home, file, program, k);
      }
      disk = after;
    }
    run("umount", mount.toString());
    System.out.println("power losses: " + losses + ", edits kept: " + edited + ", lost: 0");
  }

  /** What is there after the power went; the number of the last edit of it. */
  private int left(Path home, Path file, EditingProgram program, int loss) throws Exception {
    int inFile = Integer.parseInt(JobFile.read(file).job().notes());
    assertThat(inFile).as("saved, loss %s", loss).isGreaterThanOrEqualTo(program.saved());
    for (Path backup : files(file.getParent(), ".bak")) {
      assertThat(Integer.parseInt(JobFile.read(backup).job().notes()))
          .as("backup, loss %s", loss)
          .isLessThanOrEqualTo(inFile);
    }
    Recovery recovery = new Recovery(new DeskFolder(home));
    Recovery.Found found = recovery.lost();
    assertThat(found.unreadable()).as("recovery, loss %s", loss).isEmpty();
    int kept =
        found.work().stream()
            .mapToInt(l -> Integer.parseInt(l.document().job().notes()))
            .max()
            .orElse(0);
    assertThat(Math.max(inFile, kept))
        .as("kept, loss %s", loss)
        .isGreaterThanOrEqualTo(program.edited());
    found.work().forEach(recovery::discard);
    recovery.close();
    return Math.max(inFile, kept);
  }

  private static List<Path> files(Path in, String ending) throws IOException {
    try (Stream<Path> all = Files.list(in)) {
      return all.filter(f -> f.toString().endsWith(ending)).toList();
    }
  }

  private void mounted(Path disk) throws Exception {
    run("mount", "-o", "loop,noauto_da_alloc,commit=300", disk.toString(), mount.toString());
  }

  private static void run(String... command) throws Exception {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor()).as("%s: %s", String.join(" ", command), said).isZero();
  }
}
