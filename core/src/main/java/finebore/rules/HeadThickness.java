package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Head;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;

/** What the thickness of the head says. */
final class HeadThickness implements HeadRule {

  /** A head thinner than new by less than this is as new, mm. */
  private static final double SKIMMED_MM = 0.05;

  @Override
  public List<Finding> of(HeadCase head) {
    List<Finding> found = new ArrayList<>();
    Head read = head.job().head();
    double left = read.skimLeftMm().orElse(0);
    double skimmed = read.skimmedMm().orElse(0);
    if (left < 0) {
      found.add(
          head.finding(FindingCode.HEAD_TOO_THIN, "", Subject.WHOLE, Severity.FAULT)
              .with("by", Term.length(-left))
              .by(-left));
    }
    if (skimmed < 0) {
      found.add(
          head.finding(FindingCode.HEAD_THICKER_THAN_NEW, "", Subject.WHOLE, Severity.CAUTION)
              .with("thickness", Term.length(read.thicknessMm().getAsDouble()))
              .with("new", Term.length(read.newThicknessMm().getAsDouble()))
              .by(-skimmed));
    } else if (skimmed > SKIMMED_MM) {
      found.add(
          head.finding(FindingCode.HEAD_SKIMMED, "", Subject.WHOLE, Severity.NOTE)
              .with("by", Term.length(skimmed))
              .by(skimmed));
    }
    return found;
  }
}
