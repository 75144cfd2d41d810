package finebore.instruments;

import finebore.code.Message;

/** The bench cannot go on; its trouble tells the operator what to do. */
public final class BenchTrouble extends Exception {
  private static final long serialVersionUID = 1L;

  private final transient Message trouble;

  public BenchTrouble(Message trouble) {
    super(trouble.code() + trouble.terms());
    this.trouble = trouble;
  }

  public Message trouble() {
    return trouble;
  }
}
