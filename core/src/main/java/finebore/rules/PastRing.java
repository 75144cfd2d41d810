package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;

/** The seat reaches past the outside of its ring. */
final class PastRing implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(FindingCode.PAST_RING, ReadingKind.RING_WALL, true, plan.newRing());
  }
}
