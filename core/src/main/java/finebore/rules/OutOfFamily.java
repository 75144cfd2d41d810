package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Family;
import finebore.found.Family.Outlier;
import finebore.found.SeatReadings;
import finebore.job.Port;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Readings that stand apart from those of the other seats of the kind. */
final class OutOfFamily implements HeadRule {

  @Override
  public List<Finding> of(HeadCase head) {
    List<Finding> found = new ArrayList<>();
    for (Port port : Port.values()) {
      Map<String, SeatReadings> family = new LinkedHashMap<>();
      head.job()
          .seats(port)
          .forEach(s -> family.put(s.label(), head.job().head().readingsOf(s.label())));
      List<Outlier> outliers = Family.outliers(family);
      for (String seat : family.keySet()) {
        List<Outlier> own = outliers.stream().filter(o -> o.seat().equals(seat)).toList();
        List<Outlier> throats = own.stream().filter(o -> o.measure().isThroat()).toList();
        if (throats.size() > 1) {
          found.add(throats(head, throats));
        }
        own.stream()
            .filter(o -> throats.size() < 2 || !o.measure().isThroat())
            .forEach(o -> found.add(one(head, o)));
      }
    }
    return found;
  }

  private static Finding one(HeadCase head, Outlier o) {
    return head.finding(
            FindingCode.OUT_OF_FAMILY, o.seat(), Subject.measure(o.measure()), Severity.CAUTION)
        .with("measure", o.measure())
        .with("value", new Term.Figure(o.measure().dimension(), o.value()))
        .with("others", new Term.Figure(o.measure().dimension(), o.median()))
        .by(Math.abs(o.value() - o.median()));
  }

  /** Several diameters of one throat are one thing to say. */
  private static Finding throats(HeadCase head, List<Outlier> throats) {
    DoubleSummaryStatistics values =
        throats.stream().mapToDouble(Outlier::value).summaryStatistics();
    Outlier first = throats.getFirst();
    return head.finding(
            FindingCode.THROATS_OUT_OF_FAMILY,
            first.seat(),
            Subject.measure(first.measure()),
            Severity.CAUTION)
        .with("least", Term.length(values.getMin()))
        .with("most", Term.length(values.getMax()))
        .with("others", Term.length(first.median()))
        .by(
            Math.max(
                Math.abs(values.getMax() - first.median()),
                Math.abs(values.getMin() - first.median())));
  }
}
