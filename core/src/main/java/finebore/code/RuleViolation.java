package finebore.code;

/**
 * A value that cannot be, or values that cannot be together. What it says to a user is made of its
 * message at the edge; the exception's own text is for whoever reads a log.
 */
public final class RuleViolation extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;

  private final transient Message violated;

  public RuleViolation(Message violated) {
    super(violated.code() + violated.terms());
    this.violated = violated;
  }

  /** A rule that is broken as such. */
  public static RuleViolation of(String rule) {
    return new RuleViolation(Message.of("rule." + rule));
  }

  /** With what it was broken by. */
  public RuleViolation with(String name, Term term) {
    return new RuleViolation(violated.with(name, term));
  }

  /** Which rule, and the figures it was broken by. */
  public Message violated() {
    return violated;
  }
}
