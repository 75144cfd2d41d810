package finebore.practice;

import java.util.Optional;

/**
 * Something worth saying about a plan.
 *
 * @param severity how grave
 * @param where the part it is about
 * @param what what is the matter, with its figures
 * @param why what it leads to
 * @param basis where the judgement comes from
 * @param cure a change that mends it, when one can be worked out
 */
public record Finding(
    Severity severity, String where, String what, String why, String basis, Optional<Cure> cure) {

  /** How grave a finding is. */
  public enum Severity {
    /** It will not work or will not last. */
    FAULT("Fault"),
    /** Outside what the practice wants. */
    CAUTION("Caution"),
    /** Worth knowing. */
    NOTE("Note");

    private final String word;

    Severity(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }
}
