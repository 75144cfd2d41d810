package finebore.suggest;

import finebore.practice.Finding;
import finebore.study.PlanStudy;
import java.util.List;

/**
 * A plan worth trying, worked out in full.
 *
 * @param candidate where it came from
 * @param study what it gives
 * @param findings what is still to be said about it; none of them a fault
 */
public record Suggestion(Candidate candidate, PlanStudy study, List<Finding> findings) {

  public Suggestion {
    findings = List.copyOf(findings);
  }
}
