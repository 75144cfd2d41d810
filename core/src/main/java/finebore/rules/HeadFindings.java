package finebore.rules;

import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Contradiction;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.practice.Practice;
import java.util.Comparator;
import java.util.List;

/** What is worth saying about the readings of a head; those of the head as a whole name no seat. */
public final class HeadFindings {

  private static final List<HeadRule> RULES =
      List.of(
          new PracticeNotInstalled(),
          new HeadThickness(),
          new ReadingsContradict(),
          new ImpossibleAsFound(),
          new GuideWorn(),
          new PlacesDisagree(),
          new ThinWall(),
          new OutOfFamily());

  private HeadFindings() {}

  /** All findings, the gravest first. */
  public static List<Finding> of(Job job, Practice practice) {
    HeadCase head = new HeadCase(job, practice);
    return RULES.stream()
        .flatMap(rule -> rule.of(head).stream())
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** Contradictions of a seat's readings. */
  static List<Finding> contradictions(String label, List<Contradiction> contradictions) {
    return contradictions.stream()
        .map(
            c ->
                Finding.of(
                        FindingCode.READINGS_CONTRADICT,
                        label,
                        Subject.measure(c.measure()),
                        Severity.CAUTION,
                        Basis.READINGS)
                    .with("contradiction", c.message())
                    .by(Math.abs(c.value() - c.otherValue())))
        .toList();
  }
}
