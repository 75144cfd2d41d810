package finebore.formats;

import finebore.code.Term;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Locale;

/**
 * The pictures of a job: copies in a folder beside its file, so that the two travel together. The
 * job names them by their file names only.
 */
public final class JobPictures {

  /** What can be shown. */
  public static final List<String> ENDINGS = List.of("png", "jpg", "jpeg", "gif", "bmp");

  private static final long MOST_BYTES = 40L << 20;

  private JobPictures() {}

  /** The folder of a job file's pictures; it need not be there. */
  public static Path folder(Path job) {
    String name = job.getFileName().toString();
    String bare =
        name.endsWith(JobFile.EXTENSION)
            ? name.substring(0, name.length() - JobFile.EXTENSION.length())
            : name;
    return job.toAbsolutePath().resolveSibling(bare + ".pictures");
  }

  /**
   * Copies a picture beside a job; a name that is taken by another picture gets a number.
   *
   * @return the name of the copy
   * @throws FileProblem if it is no picture, or cannot be copied
   */
  public static String copyIn(Path picture, Path job) throws FileProblem {
    String name = picture.getFileName().toString();
    String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    if (!ENDINGS.contains(ending)) {
      throw new FileProblem(
          FileProblem.of("notAPicture", picture)
              .with("endings", Term.quote(String.join(", ", ENDINGS))));
    }
    try {
      if (Files.size(picture) > MOST_BYTES) {
        throw new FileProblem(FileProblem.of("pictureTooLarge", picture));
      }
      byte[] bytes = Files.readAllBytes(picture);
      Path folder = folder(job);
      Files.createDirectories(folder);
      String stem = name.substring(0, name.length() - ending.length() - 1);
      Path copy = folder.resolve(name);
      for (int k = 2; Files.exists(copy) && !isSame(copy, bytes); k++) {
        copy = folder.resolve(stem + "-" + k + "." + ending);
      }
      if (!Files.exists(copy)) {
        SafeFile.write(copy, bytes, false);
      }
      return copy.getFileName().toString();
    } catch (IOException e) {
      throw new FileProblem(
          FileProblem.of("notCopied", picture).with("cause", FileProblem.cause(e)), e);
    }
  }

  private static boolean isSame(Path file, byte[] bytes) throws IOException {
    return Files.size(file) == bytes.length
        && java.util.Arrays.equals(Files.readAllBytes(file), bytes);
  }

  /**
   * Takes pictures along to another job file; one that is not there is passed over.
   *
   * @throws FileProblem if one cannot be copied
   */
  public static void takeAlong(Path from, Path to, Collection<String> names) throws FileProblem {
    Path source = folder(from);
    Path target = folder(to);
    if (source.equals(target)) {
      return;
    }
    for (String name : names) {
      Path picture = source.resolve(name).normalize();
      Path copy = target.resolve(name);
      if (picture.startsWith(source) && Files.exists(picture) && !Files.exists(copy)) {
        try {
          Files.createDirectories(target);
          SafeFile.write(copy, Files.readAllBytes(picture), false);
        } catch (IOException e) {
          throw new FileProblem(
              FileProblem.of("notCopied", picture).with("cause", FileProblem.cause(e)), e);
        }
      }
    }
  }
}
