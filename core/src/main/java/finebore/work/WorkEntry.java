package finebore.work;

import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.code.Term;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * One line of the history of a job at the machine. It is never changed: what was wrong is corrected
 * by a further line.
 *
 * @param number rising through the job, from 1
 * @param at when
 * @param who was at the machine; may be empty
 * @param seat label of the seat
 * @param step id of the step it belongs to; empty where it belongs to none
 * @param kind what is said
 * @param taken what was read; present for readings alone
 * @param reason why, in the words of whoever was there; may be empty
 * @param corrects number of the line that it sets right
 */
public record WorkEntry(
    int number,
    Instant at,
    String who,
    String seat,
    String step,
    Kind kind,
    Optional<Taken> taken,
    String reason,
    OptionalInt corrects) {

  /** Longest text that a line carries. */
  public static final int LONGEST = 400;

  /** What a line says. */
  public enum Kind implements Coded {
    /** The step is done. */
    DONE,
    /** Something was read. */
    READ,
    /** Something is wrong, in words. */
    PROBLEM,
    /** What is out of its limit is accepted, with a reason. */
    ACCEPTED,
    /** The step is to be done again. */
    REOPENED;

    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    @Override
    public String code() {
      return "workEntry." + key();
    }
  }

  /**
   * A reading.
   *
   * @param what was read
   * @param value in the core's unit
   * @param gauge with what; may be empty
   */
  public record Taken(ReadBack what, double value, String gauge) {
    public Taken {
      what.quantity().check(value);
      check(gauge);
    }
  }

  public WorkEntry {
    if (kind == Kind.READ != taken.isPresent()) {
      throw RuleViolation.of("readingOfEntry").with("value", Term.count(number));
    }
    if (number < 1) {
      throw RuleViolation.of("entryNumber").with("value", Term.count(number));
    }
    check(who);
    check(reason);
  }

  private static void check(String text) {
    if (text.length() > LONGEST) {
      throw RuleViolation.of("entryText")
          .with("most", Term.count(LONGEST))
          .with("value", Term.count(text.length()));
    }
  }
}
