package finebore.rules;

import finebore.practice.Finding;
import java.util.List;

/** Readings of the seat that cannot both be right. */
final class ReadingsOfSeatContradict implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    return HeadFindings.contradictions(
        plan.outcome().place().label(), plan.cut().metal().contradictions());
  }
}
