package finebore.words;

import finebore.code.Message;

/** What was typed cannot be understood; its problem says what was expected. */
public final class NotationException extends Exception {
  private static final long serialVersionUID = 1L;

  private final transient Message problem;

  public NotationException(Message problem) {
    super(problem.code() + problem.terms());
    this.problem = problem;
  }

  public Message problem() {
    return problem;
  }
}
