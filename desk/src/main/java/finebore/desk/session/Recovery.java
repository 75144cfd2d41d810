package finebore.desk.session;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.SafeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Keeps a copy of unsaved work on disk while the program runs, and finds the copies of programs
 * that died.
 *
 * <p>The first line of a copy names the job's file and marks what that held, the rest is the job.
 * Copies are written one at a time, off the window's thread; when several wait, only the newest is
 * written. While the folder cannot be used it is tried again and again, and whoever asked is told.
 */
public final class Recovery {

  private static final Logger LOG = Logger.getLogger(Recovery.class.getName());
  private static final int AGAIN_S = 10;

  private final HeldCopies copies;
  private final ScheduledExecutorService writer =
      Executors.newSingleThreadScheduledExecutor(
          Thread.ofPlatform().daemon().name("recovery").factory());
  private final AtomicReference<Optional<Unsaved>> waiting = new AtomicReference<>();
  private Optional<Unsaved> last = Optional.empty();
  private Consumer<Optional<FileProblem>> told = trouble -> {};
  private Optional<FileProblem> trouble = Optional.empty();

  public Recovery(DeskFolder folder) {
    this.copies = new HeldCopies(folder.path());
  }

  /**
   * Work that was lost with an earlier run.
   *
   * @param file where it belonged, if that is known
   * @param copy where it stands
   * @param written when it was kept
   */
  public record Lost(JobDocument document, Optional<Path> file, Path copy, Instant written) {}

  /**
   * What earlier runs have left.
   *
   * @param work the newest first
   * @param unreadable copies that are no jobs; they stay where they are
   */
  public record Found(List<Lost> work, List<FileProblem> unreadable) {
    public Found {
      work = List.copyOf(work);
      unreadable = List.copyOf(unreadable);
    }
  }

  /** What waits to be written; it is put into words off the window's thread. */
  private record Unsaved(JobDocument document, Optional<Path> file, int job) {
    String text() {
      return file.map(Path::toString).orElse("")
          + "\t"
          + document.mark()
          + "\n"
          + JobFile.text(document);
    }
  }

  /**
   * Tells of trouble with the folder, and that it is over; from the writer's thread. It is tried at
   * once.
   */
  public void onTrouble(Consumer<Optional<FileProblem>> listener) {
    writer.execute(
        () -> {
          told = listener;
          told.accept(trouble);
          write(last);
        });
  }

  /** Keeps the unsaved state of a job, or drops the copy when there is nothing unsaved. */
  public void keep(JobSession session) {
    Optional<Unsaved> unsaved =
        session.changed().get()
            ? Optional.of(
                new Unsaved(session.document(), session.file().get(), session.generation()))
            : Optional.empty();
    if (waiting.getAndSet(unsaved) == null) {
      writer.execute(this::writeWaiting);
    }
  }

  private void writeWaiting() {
    Optional<Unsaved> unsaved = waiting.getAndSet(null);
    // Otherwise an earlier run of this has written what the close handed over.
    if (unsaved != null) {
      write(unsaved);
    }
  }

  private void write(Optional<Unsaved> unsaved) {
    last = unsaved;
    try {
      Path own = copies.own(unsaved.map(Unsaved::job).orElse(0));
      if (unsaved.isPresent()) {
        SafeFile.write(own, unsaved.get().text().getBytes(StandardCharsets.UTF_8), false);
      }
      for (Path other : copies.ownBut(unsaved.map(u -> own))) {
        copies.remove(other);
      }
      say(Optional.empty());
    } catch (FileProblem e) {
      say(Optional.of(e));
    } catch (IOException e) {
      say(Optional.of(FileProblem.unwritable(copies.folder(), e)));
    }
  }

  private void say(Optional<FileProblem> now) {
    now.ifPresent(e -> LOG.log(Level.WARNING, "the recovery copy could not be kept", e));
    if (now.isPresent() || trouble.isPresent()) {
      trouble = now;
      told.accept(now);
    }
    if (now.isPresent() && !writer.isShutdown()) {
      writer.schedule(() -> write(last), AGAIN_S, TimeUnit.SECONDS);
    }
  }

  /** Waits until what was handed over is on disk; false where it is not. */
  public boolean settle() {
    try {
      return writer.submit(() -> trouble.isEmpty()).get(10, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException | TimeoutException e) {
      LOG.log(Level.WARNING, "the recovery copy is late", e);
    }
    return false;
  }

  /** Ends the keeping; the copy goes, for the user has saved or chosen not to. */
  public void close() {
    waiting.set(Optional.empty());
    writer.execute(this::writeWaiting);
    writer.execute(this::letGo);
    settle();
    writer.shutdownNow();
  }

  /** Lets go as a killed program does: the copy stays. */
  void abandon() {
    writer.execute(this::letGo);
    settle();
    writer.shutdownNow();
  }

  private void letGo() {
    try {
      copies.close();
    } catch (IOException e) {
      LOG.log(Level.WARNING, "recovery copies are still held", e);
    }
  }

  /** All work lost with earlier runs; no other program is offered it as long as this one runs. */
  public Found lost() {
    List<Lost> work = new ArrayList<>();
    List<FileProblem> unreadable = new ArrayList<>();
    try {
      for (HeldCopies.Orphan orphan : copies.orphans()) {
        try {
          work.add(read(orphan));
        } catch (FileProblem e) {
          LOG.log(Level.WARNING, "a recovery copy cannot be read", e);
          unreadable.add(e);
        }
      }
    } catch (IOException e) {
      LOG.log(Level.WARNING, "recovery copies could not be looked for", e);
    }
    return new Found(work, unreadable);
  }

  private static Lost read(HeldCopies.Orphan orphan) throws FileProblem {
    Path copy = orphan.copy();
    String text;
    try {
      text = Files.readString(copy);
    } catch (IOException e) {
      throw FileProblem.unreadable(copy, e);
    }
    int end = text.indexOf('\n');
    JobDocument document = JobFile.parse(text.substring(end + 1), copy.toString());
    String first = end < 0 ? "" : text.substring(0, end);
    int tab = first.lastIndexOf('\t');
    String file = tab < 0 ? first : first.substring(0, tab);
    return new Lost(
        document.withMark(tab < 0 ? "" : first.substring(tab + 1)),
        path(file),
        copy,
        orphan.written().toInstant());
  }

  private static Optional<Path> path(String name) {
    try {
      return name.isBlank() ? Optional.empty() : Optional.of(Path.of(name));
    } catch (InvalidPathException e) {
      // The language this run was started in cannot write the name; the work counts more.
      return Optional.empty();
    }
  }

  /** Removes a copy that was taken up and is safe elsewhere, or that was turned down. */
  public void discard(Lost lost) {
    try {
      copies.remove(lost.copy());
    } catch (IOException e) {
      LOG.log(Level.WARNING, "a recovery copy stays behind: " + lost.copy(), e);
    }
  }
}
