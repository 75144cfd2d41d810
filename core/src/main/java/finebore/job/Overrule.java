package finebore.job;

/**
 * A limit that someone has decided to pass, with the reason, which stays on the record.
 *
 * @param where the finding it overrules, by the part it is about
 * @param reason why, in the user's words; not blank
 */
public record Overrule(String where, String reason) {

  public Overrule {
    if (reason.isBlank() || reason.length() > 500) {
      throw new IllegalArgumentException(
          "reason for overruling must have 1 to 500 characters, had " + reason.strip().length());
    }
  }
}
