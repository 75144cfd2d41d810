package finebore.rules;

import finebore.code.Term;
import finebore.cutting.CutUnder;
import finebore.finding.FindingCode;
import finebore.practice.Cure;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A cut under the seat that leans in further than is good. */
final class LeansTooFar implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.steps().size(); k++) {
      if (plan.steps().get(k).operation() instanceof CutUnder under
          && under.leanDeg() > CutUnder.MOST_LEAN_DEG) {
        found.add(
            plan.caution(FindingCode.LEANS_TOO_FAR, plan.operation(k))
                .with("lean", Term.angle(under.leanDeg()))
                .with("most", Term.angle(CutUnder.MOST_LEAN_DEG))
                .by(under.leanDeg() - CutUnder.MOST_LEAN_DEG)
                .curedBy(
                    Optional.of(
                        new Cure.ChangeOperation(
                            plan.plan().idAt(k),
                            new CutUnder(
                                CutUnder.USUAL_LEAN_DEG,
                                under.fromDiameterMm(),
                                under.heightMm(),
                                under.radiusMm()),
                            plan.wanted()))));
      }
    }
    return found;
  }
}
