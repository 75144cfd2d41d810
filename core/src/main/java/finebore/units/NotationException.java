package finebore.units;

/** An entry that cannot be understood; the message says what was expected. */
public final class NotationException extends Exception {
  private static final long serialVersionUID = 1L;

  public NotationException(String message) {
    super(message);
  }
}
