package finebore.formats;

import finebore.code.Message;
import finebore.code.Term;
import java.nio.file.Path;

/**
 * A file that cannot be taken or written. Its problem names the file, the place in it, and what was
 * expected; the words are made at the edge.
 */
public final class FileProblem extends Exception {
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

  /** What the system says, in its own words. */
  static Term cause(Throwable e) {
    return Term.quote(String.valueOf(e.getMessage()));
  }

  public Message problem() {
    return problem;
  }
}
