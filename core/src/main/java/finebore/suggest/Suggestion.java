package finebore.suggest;

import finebore.code.Message;
import finebore.code.Term;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
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

  /** How it is spoken of: by its cutter, valve and throat. */
  public Message message() {
    return Message.of("cure.suggestion")
        .with("cutter", Term.quote(candidate.cutter().name()))
        .with("head", Term.length(candidate.wanted().valve().headDiameterMm()))
        .with("throat", Term.length(candidate.wanted().seat().throatDiameterMm()));
  }
}
