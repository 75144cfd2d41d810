package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** Two valve heads stand in each other. */
final class HeadsOverlap implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(
        FindingCode.HEADS_OVERLAP, ReadingKind.NEIGHBOUR, true, Optional.empty());
  }
}
