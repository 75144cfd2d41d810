package finebore.rules;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.SweepChamber;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.section.Surface.Part;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** Old metal that stands up over the cuts. */
final class RidgeOverSeat implements PlanRule {

  /** A chamber roof flatter than this is swept at this, degrees; common practice. */
  private static final double FLATTEST_SWEEP_DEG = 15;

  @Override
  public List<Finding> of(PlanCase plan) {
    List<LeftoverEdge> ridges =
        plan.cut().leftovers().stream().filter(LeftoverEdge::inChamber).toList();
    return IntStream.range(0, ridges.size())
        .mapToObj(
            k ->
                plan.caution(FindingCode.RIDGE_OVER_SEAT, Subject.surface(Part.RIDGE, k))
                    .with("height", Term.length(ridges.get(k).heightMm()))
                    .with("at", Term.length(2 * ridges.get(k).at().r()))
                    .with("turn", Term.angle(Math.round(ridges.get(k).turnDeg())))
                    .by(ridges.get(k).heightMm())
                    .curedBy(sweep(plan, ridges.get(k))))
        .toList();
  }

  /** A sweep just steeper than the roof, out to where it has come up through it. */
  private static Optional<Cure> sweep(PlanCase plan, LeftoverEdge ridge) {
    double roof = plan.cut().metal().seat().roofAngleDeg();
    double angle = roof < FLATTEST_SWEEP_DEG ? FLATTEST_SWEEP_DEG : Math.min(60, roof + 3);
    double gain = Math.tan(Math.toRadians(angle)) - Math.tan(Math.toRadians(roof));
    double run = Math.min(ridge.heightMm() / gain + 0.5, 0.2 * plan.wanted().outsideDiameterMm());
    double start = 2 * ridge.at().r();
    try {
      SweepChamber sweep =
          new SweepChamber(angle, Math.ceil(2 * (ridge.at().r() + run)), OptionalDouble.of(start));
      return Optional.of(plan.operationAsCure(sweep));
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }
}
