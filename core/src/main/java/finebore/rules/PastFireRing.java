package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** A cut reaches past the gasket's fire ring line. */
final class PastFireRing implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(
        FindingCode.PAST_FIRE_RING, ReadingKind.FIRE_RING, false, Optional.empty());
  }
}
