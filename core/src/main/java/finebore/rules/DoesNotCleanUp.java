package finebore.rules;

import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.CleanUp;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.Cutting.CameIn;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.practice.Cure;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A seat cut that stops short of where the old seat is gone all round. */
final class DoesNotCleanUp implements PlanRule {

  /** No depth stop is set, and no depth is read, finer than to a hundredth of a mm. */
  private static final double SETTABLE_MM = 0.005;

  @Override
  public List<Finding> of(PlanCase plan) {
    List<Finding> found = new ArrayList<>();
    int last = -1;
    for (int k = 0; k < plan.steps().size(); k++) {
      if (carriesSeat(plan, plan.steps().get(k))) {
        last = k;
      }
    }
    if (last < 0) {
      return found;
    }
    Cutting.Step step = plan.steps().get(last);
    CleanUp clean = step.cleanUp().orElseThrow();
    double depth = step.depthMm().orElseThrow();
    double lack = clean.sealingMm().orElse(depth) - depth;
    if (lack > SETTABLE_MM) {
      CameIn sealing = sealing(plan, step);
      found.add(
          plan.fault(FindingCode.DOES_NOT_CLEAN_UP, plan.operation(last))
              .with("clean", Term.length(clean.sealingMm().getAsDouble()))
              .with("depth", Term.length(depth))
              .with("lack", Term.length(lack))
              .with("clock", Term.clock(clean.worstClock()))
              .with("shows", Term.phrase(shows(sealing.leastMm())))
              .by(lack)
              .curedBy(
                  Optional.of(
                      new Cure.ChangeOperation(
                          plan.plan().idAt(last), untilClean(step.operation()), plan.wanted()))));
    }
    return found;
  }

  private static Message shows(double leastMm) {
    return leastMm < SETTABLE_MM
        ? Message.of("shows.nothing")
        : Message.of("shows.only").with("shown", Term.length(leastMm));
  }

  private static boolean carriesSeat(PlanCase plan, Cutting.Step step) {
    return step.cleanUp().isPresent()
        && (step.operation() instanceof CutForm
            || step.operation() instanceof CutAngle cut
                && Math.abs(cut.angleDeg() - plan.wanted().sealingCut().angleDeg()) < SAME_DEG);
  }

  /** A single cut within this of the wanted sealing angle is the seat. */
  private static final double SAME_DEG = 0.3;

  private static CameIn sealing(PlanCase plan, Cutting.Step step) {
    return step.operation() instanceof CutForm
        ? step.cameIn().get(plan.wanted().sealing())
        : step.cameIn().getFirst();
  }

  private static Operation untilClean(Operation operation) {
    Plunge clean = new Plunge.UntilClean(0, false);
    return switch (operation) {
      case CutForm form -> new CutForm(form.cutter(), form.seatDiameterMm(), clean);
      case CutAngle cut -> new CutAngle(cut.tool(), cut.angleDeg(), cut.edgeDiameterMm(), clean);
      default -> operation;
    };
  }
}
