package finebore.formats;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;

/**
 * Lets one writer at a time look at a file and then write it: whoever can make the file of the lock
 * may, on a shared folder too. It is held for moments; one left by a writer that died is taken away
 * after a while.
 */
final class SavingLock {

  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final Duration DEAD = Duration.ofSeconds(30);
  private static final int LOOK_MS = 10;

  private final Path lock;

  private SavingLock(Path lock) {
    this.lock = lock;
  }

  /** What is done while the lock is held. */
  interface Work<T> {
    T done() throws FileProblem;
  }

  /**
   * Waits for a file's lock and works while it is held.
   *
   * @throws FileProblem if the work does, or as for {@link #of}
   */
  static <T> T during(Path file, Work<T> work) throws FileProblem {
    SavingLock lock = of(file);
    try {
      return work.done();
    } finally {
      lock.letGo();
    }
  }

  /**
   * Waits for a file's lock.
   *
   * @throws FileProblem if another writer does not let go, or the folder cannot be written
   */
  private static SavingLock of(Path file) throws FileProblem {
    try {
      Path target = SafeFile.resolved(file);
      Path lock = target.resolveSibling(SafeFile.withEnding("." + target.getFileName(), ".saving"));
      Instant end = Instant.now().plus(PATIENCE);
      while (Instant.now().isBefore(end)) {
        if (made(lock)) {
          return new SavingLock(lock);
        }
        Thread.sleep(LOOK_MS);
      }
    } catch (IOException e) {
      throw FileProblem.unwritable(file, e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    throw new FileProblem(FileProblem.of("beingSaved", file));
  }

  private static boolean made(Path lock) throws IOException {
    try {
      Files.createFile(lock);
      return true;
    } catch (FileAlreadyExistsException e) {
      takeAwayIfDead(lock);
      return false;
    }
  }

  private static void takeAwayIfDead(Path lock) throws IOException {
    try {
      Instant made = Files.getLastModifiedTime(lock).toInstant();
      if (made.isBefore(Instant.now().minus(DEAD))) {
        // Only one of several can move it.
        Path away = lock.resolveSibling(".finebore-" + System.nanoTime() + ".part");
        Files.move(lock, away);
        Files.deleteIfExists(away);
      }
    } catch (NoSuchFileException e) {
      // Its holder has let go.
      return;
    }
  }

  private void letGo() {
    try {
      Files.deleteIfExists(lock);
    } catch (IOException e) {
      lock.toFile().deleteOnExit();
    }
  }
}
