package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** The lowest cut goes past the floor of the ring. */
final class ThroughRingFloor implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(
        FindingCode.THROUGH_RING_FLOOR, ReadingKind.RING_FLOOR, true, Optional.empty());
  }
}
