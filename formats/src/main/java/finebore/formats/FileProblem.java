package finebore.formats;

/**
 * A file that cannot be taken; the message names the file, the place in it, and what was expected.
 */
public final class FileProblem extends Exception {
  private static final long serialVersionUID = 1L;

  public FileProblem(String message) {
    super(message);
  }

  public FileProblem(String message, Throwable cause) {
    super(message, cause);
  }
}
