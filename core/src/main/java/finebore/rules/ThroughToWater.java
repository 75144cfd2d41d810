package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** The wall goes through to where the water jacket was read. */
final class ThroughToWater implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(
        FindingCode.THROUGH_TO_WATER, ReadingKind.WATER, true, Optional.empty());
  }
}
