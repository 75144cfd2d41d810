package finebore.rules;

import finebore.cutting.Cutting;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;

/** An operation whose settings cannot be. */
final class CannotBeCarriedOut implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.steps().size(); k++) {
      Subject subject = plan.operation(k);
      Cutting.Step step = plan.steps().get(k);
      step.problem()
          .ifPresent(
              problem ->
                  found.add(
                      plan.fault(FindingCode.CANNOT_BE_CARRIED_OUT, subject)
                          .with("operation", step.operation())
                          .with("problem", problem)));
    }
    return found;
  }
}
