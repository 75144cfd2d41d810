package finebore.job;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.Operation;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import java.util.Optional;

/**
 * A fault that someone has decided to live with, with the reason, which stays on the record. It
 * holds for one fault of one thing at one seat, up to the extent that was accepted, and no further.
 *
 * @param code which fault
 * @param seat label of the seat it was found at
 * @param subject what it is about
 * @param extent how bad it was when it was accepted, in the finding's own measure: larger is worse
 * @param operation the operation it is about, as it was set then; empty where it is about none
 * @param reason why, in the user's words; not blank
 */
public record Overrule(
    FindingCode code,
    String seat,
    Subject subject,
    double extent,
    Optional<Operation> operation,
    String reason) {

  /** A reason longer than this is no reason but an essay. */
  public static final int LONGEST = 500;

  /** Figures come off trigonometry: what rounds to the same is no worse. */
  private static final double ROUNDING = 1e-6;

  public Overrule {
    if (reason.isBlank() || reason.length() > LONGEST) {
      throw RuleViolation.of("overruleReason").with("value", Term.count(reason.strip().length()));
    }
  }

  /** What has become of an overrule. */
  public enum State {
    /** It holds. */
    HOLDS,
    /** The fault is worse now than what was accepted. */
    WORSE,
    /** The operation was set otherwise since. */
    CHANGED,
    /** There is no such fault any more. */
    GONE
  }

  /** Whether it was made of that fault of that thing at that seat. */
  public boolean isOf(FindingCode otherCode, String otherSeat, Subject otherSubject) {
    return code == otherCode && seat.equals(otherSeat) && subject.equals(otherSubject);
  }

  /**
   * What it is worth now.
   *
   * @param found extent of the fault as it stands, of the same code, seat and subject
   * @param now the operation as it is set now
   */
  public State state(double found, Optional<Operation> now) {
    if (!operation.equals(now)) {
      return State.CHANGED;
    }
    return found > extent + ROUNDING ? State.WORSE : State.HOLDS;
  }
}
