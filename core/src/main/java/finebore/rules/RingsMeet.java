package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** This ring and its neighbour would meet. */
final class RingsMeet implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(FindingCode.RINGS_MEET, ReadingKind.BRIDGE, true, Optional.empty());
  }
}
