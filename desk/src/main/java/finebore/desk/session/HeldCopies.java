package finebore.desk.session;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Recovery copies in a folder. Each belongs to one run of the program and one job taken up in it;
 * the run holds them by a lock on a file beside them, which the system lets go of when the run
 * ends, however it ends.
 *
 * <p>{@code recovery-RUN-JOB.json} is held by {@code recovery-RUN.lock}.
 */
final class HeldCopies {

  private static final String COPY = "recovery-.*\\.json";

  private final Path folder;
  private final String run = UUID.randomUUID().toString();
  private final Map<Path, FileLock> held = new HashMap<>();

  HeldCopies(Path folder) {
    this.folder = folder;
  }

  Path folder() {
    return folder;
  }

  /** A copy that nobody holds any more, and when it was written. */
  record Orphan(Path copy, FileTime written) {}

  /**
   * Where this run keeps a job's copy; holds it from now on.
   *
   * @throws IOException if the folder cannot be used
   */
  synchronized Path own(int job) throws IOException {
    Files.createDirectories(folder);
    if (hold(lockOf(run)).isEmpty()) {
      throw new IOException(lockOf(run) + " is held by another program");
    }
    return folder.resolve("recovery-" + run + "-" + job + ".json");
  }

  /** The copies of this run, other than one. */
  List<Path> ownBut(Optional<Path> one) throws IOException {
    return copies().stream()
        .filter(f -> f.getFileName().toString().startsWith("recovery-" + run))
        .filter(f -> !one.equals(Optional.of(f)))
        .toList();
  }

  /** Copies whose run has ended, the newest first; they are held from now on. */
  synchronized List<Orphan> orphans() throws IOException {
    List<Orphan> orphans = new ArrayList<>();
    for (Path copy : copies()) {
      String of = runOf(copy);
      if (!of.equals(run) && !held.containsKey(lockOf(of)) && hold(lockOf(of)).isPresent()) {
        for (Path same : copies()) {
          if (runOf(same).equals(of)) {
            orphans.add(new Orphan(same, Files.getLastModifiedTime(same)));
          }
        }
      }
    }
    orphans.sort(Comparator.comparing(Orphan::written).reversed());
    return orphans;
  }

  /** Removes a copy; its lock goes with the last of its run. */
  synchronized void remove(Path copy) throws IOException {
    Files.deleteIfExists(copy);
    String of = runOf(copy);
    if (!of.equals(run) && copies().stream().noneMatch(c -> runOf(c).equals(of))) {
      letGo(lockOf(of));
    }
  }

  /** Lets go of everything; a lock goes where no copy needs it any more. */
  synchronized void close() throws IOException {
    for (Path lock : List.copyOf(held.keySet())) {
      if (copies().stream().noneMatch(c -> lockOf(runOf(c)).equals(lock))) {
        letGo(lock);
      } else {
        held.remove(lock).acquiredBy().close();
      }
    }
  }

  private void letGo(Path lock) throws IOException {
    FileLock mine = held.remove(lock);
    if (mine != null) {
      mine.acquiredBy().close();
      Files.deleteIfExists(lock);
    }
  }

  private List<Path> copies() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.getFileName().toString().matches(COPY)).sorted().toList();
    }
  }

  private static String runOf(Path copy) {
    return copy.getFileName().toString().replaceAll("^recovery-|(-\\d+)?\\.json$", "");
  }

  private Path lockOf(String of) {
    return folder.resolve("recovery-" + of + ".lock");
  }

  /** Holds a lock, unless somebody else does. */
  private Optional<FileLock> hold(Path lock) throws IOException {
    FileLock mine = held.get(lock);
    if (mine != null && mine.isValid() && Files.exists(lock)) {
      return Optional.of(mine);
    }
    FileChannel channel =
        FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    try {
      Optional<FileLock> got = Optional.ofNullable(channel.tryLock());
      if (got.isPresent()) {
        held.put(lock, got.get());
      } else {
        channel.close();
      }
      return got;
    } catch (OverlappingFileLockException e) {
      channel.close();
      return Optional.empty();
    } catch (IOException e) {
      channel.close();
      throw e;
    }
  }
}
