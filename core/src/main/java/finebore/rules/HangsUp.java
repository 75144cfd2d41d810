package finebore.rules;

import finebore.code.Term;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.finding.FindingCode;
import finebore.practice.Cure;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** A form cutter whose nose meets the old throat. */
final class HangsUp implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.steps().size(); k++) {
      OptionalDouble to = plan.steps().get(k).hangsUpMm();
      if (to.isPresent()) {
        int place = k;
        found.add(
            plan.fault(FindingCode.HANGS_UP, plan.operation(k))
                .with("throat", Term.length(to.getAsDouble()))
                .by(to.getAsDouble())
                .curedBy(
                    Optional.of(
                        throatBefore(plan, k)
                            .<Cure>map(
                                at ->
                                    new Cure.ChangeOperation(
                                        plan.plan().idAt(at),
                                        opened(plan.plan().operations().get(at), to),
                                        plan.wanted()))
                            .orElseGet(
                                () ->
                                    new Cure.AddOperation(
                                        place,
                                        new OpenThroat(to, 0, OptionalDouble.empty()),
                                        plan.wanted())))));
      }
    }
    return found;
  }

  /** The last throat cut before an operation, by its place. */
  private static Optional<Integer> throatBefore(PlanCase plan, int place) {
    return IntStream.range(0, place)
        .filter(k -> plan.plan().operations().get(k) instanceof OpenThroat)
        .boxed()
        .reduce((a, b) -> b);
  }

  private static OpenThroat opened(Operation operation, OptionalDouble to) {
    OpenThroat throat = (OpenThroat) operation;
    return new OpenThroat(to, throat.taperDeg(), throat.depthMm());
  }
}
