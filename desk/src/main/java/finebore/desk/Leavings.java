package finebore.desk;

import finebore.formats.FileProblem;
import finebore.formats.SafeFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** What runs that were cut short have left lying about, and what pictures are drawn in. */
final class Leavings {

  private static final String SHOT = "finebore-shot";

  private Leavings() {}

  /** A folder for one picture. */
  static Path temporaryFolder() throws FileProblem {
    Path temporary = Path.of(System.getProperty("java.io.tmpdir"));
    try {
      return Files.createTempDirectory(temporary, SHOT);
    } catch (IOException e) {
      throw FileProblem.unwritable(temporary, e);
    }
  }

  /** Removes a folder with all that is in it, as far as that goes. */
  static void remove(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(each);
      }
    } catch (IOException e) {
      // The next start tries again.
      return;
    }
  }

  /**
   * Cleans up what nobody holds any more: temporary files beside jobs and in the program's folder,
   * and folders of pictures a day old.
   */
  static void cleanUp(List<Path> folders) {
    Instant now = Instant.now();
    folders.forEach(folder -> SafeFile.cleanUp(folder, now));
    try (Stream<Path> all = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
      all.filter(f -> f.getFileName().toString().startsWith(SHOT))
          .filter(f -> isOlder(f, now.minus(Duration.ofDays(1))))
          .toList()
          .forEach(Leavings::remove);
    } catch (IOException e) {
      // They are in nobody's way.
      return;
    }
  }

  private static boolean isOlder(Path file, Instant than) {
    try {
      return Files.getLastModifiedTime(file).toInstant().isBefore(than);
    } catch (IOException e) {
      return false;
    }
  }
}
