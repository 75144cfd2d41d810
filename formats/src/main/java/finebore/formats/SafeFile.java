package finebore.formats;

import finebore.code.Message;
import finebore.code.Term;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Writes a file so that at every moment a whole one stands in its place. */
public final class SafeFile {

  private SafeFile() {}

  /**
   * Writes bytes to a temporary file beside the place, forces them to disk and moves it there.
   *
   * @param keepLast whether the file that stood there is kept with the ending .bak
   * @throws FileProblem if it cannot be written; what stood there is untouched
   */
  public static void write(Path file, byte[] bytes, boolean keepLast) throws FileProblem {
    Path target = file.toAbsolutePath();
    // Not a temporary file of the system's kind: those only their owner may read.
    Path temporary =
        target.resolveSibling(
            "."
                + target.getFileName()
                + "."
                + ProcessHandle.current().pid()
                + "-"
                + System.nanoTime()
                + ".part");
    try {
      try (FileChannel channel =
          FileChannel.open(temporary, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        while (buffer.hasRemaining()) {
          channel.write(buffer);
        }
        channel.force(true);
      }
      if (keepLast && Files.exists(target)) {
        Path last = target.resolveSibling(target.getFileName() + ".bak");
        Files.copy(target, last, StandardCopyOption.REPLACE_EXISTING);
      }
      move(temporary, target);
      forceFolder(target.getParent());
    } catch (IOException e) {
      discard(temporary);
      throw new FileProblem(FileProblem.of("unwritable", file).with("cause", reason(e)), e);
    }
  }

  private static Term reason(IOException e) {
    return switch (e) {
      case NoSuchFileException gone -> Term.phrase(Message.of("cause.noFolder"));
      case AccessDeniedException denied -> Term.phrase(Message.of("cause.noPermission"));
      default -> FileProblem.cause(e);
    };
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
      Files.deleteIfExists(temporary);
    } catch (IOException e) {
      temporary.toFile().deleteOnExit();
    }
  }
}
