package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.practice.Finding;
import finebore.practice.Practice;
import java.util.List;

/** The practice a job names is not here: nothing is judged by its limits. */
final class PracticeNotInstalled implements HeadRule, SeatRule {

  @Override
  public List<Finding> of(HeadCase head) {
    return of("", head.practice());
  }

  @Override
  public List<Finding> of(SeatCase seat) {
    return of(seat.label(), seat.practice());
  }

  private static List<Finding> of(String label, Practice practice) {
    if (practice.installed()) {
      return List.of();
    }
    return List.of(
        Finding.of(
                FindingCode.PRACTICE_NOT_INSTALLED,
                label,
                Subject.WHOLE,
                Severity.FAULT,
                Basis.OWN_PRACTICE)
            .with("practice", Term.quote(practice.name())));
  }
}
