package finebore.rules;

import finebore.finding.FindingCode;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** A valve head stands past the bore. */
final class HeadPastBore implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return plan.nothingLeft(
        FindingCode.HEAD_PAST_BORE, ReadingKind.BORE_WALL, true, Optional.empty());
  }
}
