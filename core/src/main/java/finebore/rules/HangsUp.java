package finebore.rules;

import finebore.code.Term;
import finebore.cutting.OpenThroat;
import finebore.finding.FindingCode;
import finebore.practice.Cure;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A form cutter whose nose meets the old throat. */
final class HangsUp implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.steps().size(); k++) {
      OptionalDouble to = plan.steps().get(k).hangsUpMm();
      if (to.isPresent()) {
        found.add(
            plan.fault(FindingCode.HANGS_UP, plan.operation(k))
                .with("throat", Term.length(to.getAsDouble()))
                .by(to.getAsDouble())
                .curedBy(
                    Optional.of(
                        new Cure.AddOperation(
                            k, new OpenThroat(to, 0, OptionalDouble.empty()), plan.wanted()))));
      }
    }
    return found;
  }
}
