package finebore.rules;

import finebore.code.Term;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.finding.FindingCode;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;

/** A form whose sealing cut meets no metal. */
final class NeverTouches implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.steps().size(); k++) {
      Cutting.Step step = plan.steps().get(k);
      if (step.operation() instanceof CutForm
          && step.cleanUp().isPresent()
          && step.cleanUp().get().sealingMm().isEmpty()) {
        found.add(
            plan.fault(FindingCode.NEVER_TOUCHES, plan.operation(k))
                .with("sealing", Term.angle(plan.wanted().sealingCut().angleDeg()))
                .curedBy(plan.newRing()));
      }
    }
    return found;
  }
}
