package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** A valve meets the piston. */
final class HitsPiston implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(FindingCode.HITS_PISTON, ReadingKind.PISTON, true, Optional.empty());
  }
}
