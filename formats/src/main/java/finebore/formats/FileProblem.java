package finebore.formats;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/**
 * A file that cannot be taken or written. Its problem names the file, the place in it, and what was
 * expected; the words are made at the edge.
 */
public sealed class FileProblem extends Exception permits ChangedUnderneath, NamedTwice {
  private static final long serialVersionUID = 1L;

  private final transient Message problem;

  public FileProblem(Message problem) {
    super(problem.code() + problem.terms());
    this.problem = problem;
  }

  public FileProblem(Message problem, Throwable cause) {
    super(problem.code() + problem.terms(), cause);
    this.problem = problem;
  }

  /** A problem with a file as a whole. */
  static Message of(String problem, Path file) {
    return of(problem, file.toString());
  }

  /** A problem with a file or text of that name. */
  static Message of(String problem, String name) {
    return Message.of("file." + problem).with("file", Term.quote(name));
  }

  /** A file whose job breaks a rule. */
  public static FileProblem within(Path file, RuleViolation broken) {
    return new FileProblem(
        of("within", file).with("problem", Term.phrase(broken.violated())), broken);
  }

  /** A file that cannot be read, and what the system says. */
  public static FileProblem unreadable(Path file, IOException e) {
    return new FileProblem(of("unreadable", file).with("cause", cause(e)), e);
  }

  /** A file that cannot be written, and what the system says. */
  public static FileProblem unwritable(Path file, IOException e) {
    return new FileProblem(of("unwritable", file).with("cause", reason(e)), e);
  }

  private static Term reason(IOException e) {
    return switch (e) {
      case NoSuchFileException gone -> Term.phrase(Message.of("cause.noFolder"));
      case AccessDeniedException denied -> Term.phrase(Message.of("cause.noPermission"));
      case FileAlreadyExistsException there -> Term.phrase(Message.of("cause.inTheWay"));
      default -> cause(e);
    };
  }

  /** What the system says, in its own words. */
  static Term cause(Throwable e) {
    return Term.quote(String.valueOf(e.getMessage()));
  }

  public final Message problem() {
    return problem;
  }
}
