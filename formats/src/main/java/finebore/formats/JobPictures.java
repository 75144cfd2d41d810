package finebore.formats;

import finebore.code.Term;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

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
   * Where a job's picture lies: in its folder of pictures and nowhere else, whatever the job says
   * its name is and whatever links lie there. Empty where it is not there.
   */
  public static Optional<Path> find(Path job, String name) {
    Path folder = folder(job);
    try {
      Path picture = folder.resolve(name);
      boolean plain =
          Path.of(name).getNameCount() == 1 && !Path.of(name).isAbsolute() && !name.contains("\\");
      if (!plain || !Files.isRegularFile(picture) || Files.size(picture) > MOST_BYTES) {
        return Optional.empty();
      }
      Path real = picture.toRealPath();
      return real.getParent().equals(folder.toRealPath()) ? Optional.of(real) : Optional.empty();
    } catch (InvalidPathException | IOException e) {
      return Optional.empty();
    }
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
      byte[] bytes = SafeFile.read(picture, MOST_BYTES);
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
    Path target = folder(to);
    if (folder(from).equals(target)) {
      return;
    }
    for (String name : names) {
      Optional<Path> picture = find(from, name);
      if (picture.isPresent() && !Files.exists(target.resolve(name))) {
        try {
          Files.createDirectories(target);
          byte[] bytes = SafeFile.read(picture.get(), MOST_BYTES);
          SafeFile.write(target.resolve(name), bytes, false);
        } catch (IOException e) {
          throw new FileProblem(
              FileProblem.of("notCopied", picture.get()).with("cause", FileProblem.cause(e)), e);
        }
      }
    }
  }
}
