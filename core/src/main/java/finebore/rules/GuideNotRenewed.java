package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.planning.GuideBore;
import finebore.practice.Finding;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A guide that is worn and stays: what is cut off a pilot in it lies where the guide lets it. By
 * the bore that was read at the machine, otherwise by the clearance as found; a guide that has been
 * renewed is read again.
 */
final class GuideNotRenewed implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    Job job = plan.cut().job();
    OptionalDouble read = GuideBore.clearanceMm(job, plan.outcome().place());
    double clearance = read.orElse(0);
    if (clearance <= GuideWorn.WORN_MM + ROUNDING_MM) {
      return List.of();
    }
    return List.of(
        Finding.of(
                FindingCode.GUIDE_NOT_RENEWED,
                plan.outcome().place().label(),
                Subject.measure(Measure.GUIDE_CLEARANCE),
                Severity.FAULT,
                Basis.COMMON_PRACTICE)
            .with("clearance", Term.fineLength(clearance))
            .with("most", Term.fineLength(GuideWorn.WORN_MM))
            .by(clearance - GuideWorn.WORN_MM));
  }

  private static final double ROUNDING_MM = 1e-9;
}
