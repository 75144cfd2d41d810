package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** Two valves meet while both are open. */
final class ValvesHit implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(FindingCode.VALVES_HIT, ReadingKind.VALVES, true, Optional.empty());
  }
}
