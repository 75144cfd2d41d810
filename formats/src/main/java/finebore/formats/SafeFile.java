package finebore.formats;

import finebore.code.Term;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Reads files of a sensible size, and writes a file so that at every moment a whole one stands in
 * its place.
 *
 * <p>A file behind a symbolic link is written where it lies, and keeps its permissions and, where
 * the system allows it, its owner. One that is write-protected, or that has a second name which
 * would go on showing the old content, is refused.
 */
public final class SafeFile {

  /** Temporary files begin and end so; never with the name of the file, which may be long. */
  private static final String TEMPORARY = ".finebore-";

  private static final String PART = ".part";

  /** Longest name that most systems take, bytes. */
  private static final int LONGEST_NAME = 255;

  private static final int LINKS = 40;
  private static final Set<PosixFilePermission> WRITING =
      EnumSet.of(
          PosixFilePermission.OWNER_WRITE,
          PosixFilePermission.GROUP_WRITE,
          PosixFilePermission.OTHERS_WRITE);

  private SafeFile() {}

  /**
   * Reads a whole file.
   *
   * @param mostBytes a longer one is refused before it is read
   * @throws FileProblem if it is no plain file, too long, or cannot be read
   */
  public static byte[] read(Path file, long mostBytes) throws FileProblem {
    try {
      if (Files.isDirectory(file)) {
        throw new FileProblem(FileProblem.of("isFolder", file));
      }
      if (Files.exists(file) && !Files.isRegularFile(file)) {
        throw new FileProblem(FileProblem.of("notPlain", file));
      }
      if (Files.size(file) > mostBytes) {
        throw tooLarge(file, mostBytes);
      }
      try (InputStream in = Files.newInputStream(file)) {
        byte[] bytes = in.readNBytes((int) mostBytes + 1);
        if (bytes.length > mostBytes) {
          throw tooLarge(file, mostBytes);
        }
        return bytes;
      }
    } catch (NoSuchFileException e) {
      throw new FileProblem(FileProblem.of("doesNotExist", file), e);
    } catch (IOException e) {
      throw FileProblem.unreadable(file, e);
    }
  }

  /**
   * Reads a whole UTF-8 text.
   *
   * @throws FileProblem if it is not that, or as for {@link #read}
   */
  public static String text(Path file, long mostBytes) throws FileProblem {
    return text(file, read(file, mostBytes));
  }

  static String text(Path file, byte[] bytes) throws FileProblem {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      throw new FileProblem(FileProblem.of("notUtf8", file), e);
    }
  }

  private static FileProblem tooLarge(Path file, long mostBytes) {
    return new FileProblem(
        FileProblem.of("tooLarge", file).with("most", Term.count(mostBytes >> 20)));
  }

  /**
   * Writes bytes to a temporary file beside the place, forces them to disk and moves it there.
   *
   * @param keepLast whether the file that stood there is kept with the ending .bak
   * @throws FileProblem if it cannot be written; what stood there is untouched
   */
  public static void write(Path file, byte[] bytes, boolean keepLast) throws FileProblem {
    Path temporary = null;
    try {
      Path target = resolved(file);
      refuse(file, target);
      temporary = temporary(target);
      writeForced(temporary, bytes);
      if (Files.exists(target)) {
        takeOver(target, temporary);
        if (keepLast) {
          keep(target);
        }
      }
      move(temporary, target);
      forceFolder(target.getParent());
    } catch (IOException e) {
      throw FileProblem.unwritable(file, e);
    } finally {
      discard(temporary);
    }
  }

  /** Where a file lies, whatever links lead to it. */
  static Path resolved(Path file) throws IOException {
    Path at = file.toAbsolutePath();
    for (int k = 0; Files.isSymbolicLink(at); k++) {
      if (k == LINKS) {
        throw new FileSystemLoopException(file.toString());
      }
      at = at.resolveSibling(Files.readSymbolicLink(at));
    }
    if (at.getFileName() == null) {
      throw new IOException("a folder");
    }
    return at;
  }

  private static void refuse(Path file, Path target) throws IOException, FileProblem {
    if (Files.isDirectory(target)) {
      throw new FileProblem(FileProblem.of("isFolder", file));
    }
    if (!Files.exists(target, LinkOption.NOFOLLOW_LINKS)) {
      return;
    }
    if (!Files.isRegularFile(target)) {
      throw new FileProblem(FileProblem.of("notPlain", file));
    }
    if (isProtected(target)) {
      throw new FileProblem(FileProblem.of("protected", file));
    }
    Set<String> views = target.getFileSystem().supportedFileAttributeViews();
    if (views.contains("unix") && (int) Files.getAttribute(target, "unix:nlink") > 1) {
      throw new FileProblem(FileProblem.of("secondName", file));
    }
  }

  /** Whether it may not be written; the permissions count for those who may do anything, too. */
  private static boolean isProtected(Path target) throws IOException {
    PosixFileAttributeView posix = Files.getFileAttributeView(target, PosixFileAttributeView.class);
    return !Files.isWritable(target)
        || posix != null
            && posix.readAttributes().permissions().stream().noneMatch(WRITING::contains);
  }

  private static Path temporary(Path target) {
    // Not a temporary file of the system's kind: those only their owner may read.
    return target.resolveSibling(
        TEMPORARY + ProcessHandle.current().pid() + "-" + System.nanoTime() + PART);
  }

  private static void writeForced(Path file, byte[] bytes) throws IOException {
    try (FileChannel channel =
        FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
      ByteBuffer buffer = ByteBuffer.wrap(bytes);
      while (buffer.hasRemaining()) {
        channel.write(buffer);
      }
      channel.force(true);
    }
  }

  /** Gives a file the permissions of another, and its owner where the system allows that. */
  private static void takeOver(Path from, Path to) throws IOException {
    PosixFileAttributeView posix = Files.getFileAttributeView(to, PosixFileAttributeView.class);
    if (posix == null) {
      return;
    }
    PosixFileAttributes before = Files.readAttributes(from, PosixFileAttributes.class);
    try {
      if (!posix.readAttributes().group().equals(before.group())) {
        posix.setGroup(before.group());
      }
      if (!posix.getOwner().equals(before.owner())) {
        posix.setOwner(before.owner());
      }
    } catch (IOException e) {
      // Only the system's keeper may give files away; the permissions still count.
      posix.setPermissions(before.permissions());
      return;
    }
    posix.setPermissions(before.permissions());
  }

  private static void keep(Path target) throws IOException {
    Path last = target.resolveSibling(withEnding(target.getFileName().toString(), ".bak"));
    Path copy = temporary(target);
    try {
      Files.copy(target, copy, StandardCopyOption.COPY_ATTRIBUTES);
      try (FileChannel channel = FileChannel.open(copy, StandardOpenOption.WRITE)) {
        channel.force(true);
      }
      move(copy, last);
    } finally {
      discard(copy);
    }
  }

  /** A name with an ending, cut in the middle where it would be longer than a name may be. */
  static String withEnding(String name, String ending) {
    String whole = name + ending;
    if (whole.getBytes(StandardCharsets.UTF_8).length <= LONGEST_NAME) {
      return whole;
    }
    String mark = "~" + Integer.toHexString(name.hashCode()) + ending;
    int end = name.length();
    while ((name.substring(0, end) + mark).getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME) {
      end = name.offsetByCodePoints(end, -1);
    }
    return name.substring(0, end) + mark;
  }

  private static void move(Path from, Path to) throws IOException {
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  /** The move itself must reach the disk too; not every system lets a folder be forced. */
  private static void forceFolder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    } catch (IOException e) {
      // Windows does not open folders; the file itself has been forced.
      return;
    }
  }

  private static void discard(Path temporary) {
    try {
      if (temporary != null) {
        Files.deleteIfExists(temporary);
      }
    } catch (IOException e) {
      temporary.toFile().deleteOnExit();
    }
  }

  /** Removes temporary files that writers who are no more have left in a folder. */
  public static void cleanUp(Path folder, Instant now) {
    try (Stream<Path> files = Files.list(folder)) {
      List<Path> left = files.filter(f -> isLeft(f, now)).toList();
      for (Path file : left) {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      // They are in nobody's way.
      return;
    }
  }

  /** A writer needs seconds, so an hour is past all doubt, whoever has its number now. */
  private static boolean isLeft(Path file, Instant now) {
    String name = file.getFileName().toString();
    try {
      return name.startsWith(TEMPORARY)
          && name.endsWith(PART)
          && Files.getLastModifiedTime(file).toInstant().isBefore(now.minus(Duration.ofHours(1)));
    } catch (IOException e) {
      return false;
    }
  }
}
