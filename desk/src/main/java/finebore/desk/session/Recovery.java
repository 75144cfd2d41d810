package finebore.desk.session;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.SafeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Keeps a copy of unsaved work on disk while the program runs, and finds the copies of programs
 * that died.
 *
 * <p>The first line of a copy names the job's file, the rest is the job. Copies are written one at
 * a time, off the window's thread; when several wait, only the newest is written.
 */
public final class Recovery {

  private static final Logger LOG = Logger.getLogger(Recovery.class.getName());

  private final DeskFolder folder;
  private final Path own;
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("recovery").factory());
  private final AtomicReference<Optional<Unsaved>> waiting = new AtomicReference<>();

  public Recovery(DeskFolder folder) {
    this.folder = folder;
    this.own = folder.recoveryFile(ProcessHandle.current().pid());
  }

  /** Work that was lost with an earlier run. */
  public record Lost(JobDocument document, Optional<Path> file, Path copy) {}

  /** What waits to be written; it is put into words off the window's thread. */
  private record Unsaved(JobDocument document, Optional<Path> file) {
    String text() {
      return file.map(Path::toString).orElse("") + "\n" + JobFile.text(document);
    }
  }

  /** Keeps the unsaved state of a job, or drops the copy when there is nothing unsaved. */
  public void keep(JobSession session) {
    Optional<Unsaved> unsaved =
        session.changed().get()
            ? Optional.of(new Unsaved(session.document(), session.file().get()))
            : Optional.empty();
    if (waiting.getAndSet(unsaved) == null) {
      writer.execute(this::writeWaiting);
    }
  }

  private void writeWaiting() {
    Optional<Unsaved> unsaved = waiting.getAndSet(null);
    if (unsaved == null) {
      // An earlier run of this has written what the close handed over.
      return;
    }
    try {
      if (unsaved.isPresent()) {
        SafeFile.write(own, unsaved.get().text().getBytes(StandardCharsets.UTF_8), false);
      } else {
        Files.deleteIfExists(own);
      }
    } catch (FileProblem | IOException e) {
      LOG.log(Level.WARNING, "the recovery copy could not be kept", e);
    }
  }

  /** Waits until what was handed over is on disk. */
  public void settle() {
    try {
      writer.submit(() -> {}).get(10, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (java.util.concurrent.ExecutionException | java.util.concurrent.TimeoutException e) {
      LOG.log(Level.WARNING, "the recovery copy is late", e);
    }
  }

  /** Ends the keeping; the copy goes, for the user has saved or chosen not to. */
  public void close() {
    waiting.set(Optional.empty());
    writer.execute(this::writeWaiting);
    settle();
    writer.shutdown();
  }

  /** The newest work lost with an earlier run, if there is any that can be read. */
  public Optional<Lost> lost() {
    List<Path> copies = folder.orphanedRecoveries();
    for (Path copy : copies.reversed()) {
      try {
        String text = Files.readString(copy);
        int end = text.indexOf('\n');
        String name = end < 0 ? "" : text.substring(0, end);
        JobDocument document = JobFile.parse(text.substring(end + 1), copy.toString());
        return Optional.of(
            new Lost(
                document, name.isBlank() ? Optional.empty() : Optional.of(Path.of(name)), copy));
      } catch (IOException | FileProblem e) {
        LOG.log(Level.WARNING, "a recovery copy cannot be read: " + copy, e);
      }
    }
    return Optional.empty();
  }

  /** Removes a copy that was taken up or turned down. */
  public void discard(Lost lost) {
    try {
      Files.deleteIfExists(lost.copy());
    } catch (IOException e) {
      LOG.log(Level.WARNING, "a recovery copy stays behind: " + lost.copy(), e);
    }
  }
}
