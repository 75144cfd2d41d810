package finebore.job;

import finebore.code.RuleViolation;
import finebore.code.Term;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What a job is called.
 *
 * @param name the engine or customer's word for it
 * @param purpose what it is to be used for, free text
 * @param notes free text
 */
@RecordBuilder
public record JobIdentity(String name, String purpose, String notes)
    implements JobIdentityBuilder.With {

  /** Longest name, characters. */
  public static final int LONGEST_NAME = 200;

  public JobIdentity {
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw RuleViolation.of("jobName").with("value", Term.count(name.length()));
    }
  }
}
