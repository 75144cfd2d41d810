package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.SeatReadings;
import finebore.practice.Finding;
import java.util.List;

/** A reading that the plan rests on and nobody has taken. */
final class ReadingMissing implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    String label = plan.outcome().place().label();
    SeatReadings readings = plan.cut().job().head().readingsOf(label);
    return readings.missing().stream()
        .map(
            measure ->
                Finding.of(
                        FindingCode.READING_MISSING,
                        label,
                        Subject.measure(measure),
                        Severity.CAUTION,
                        Basis.READINGS)
                    .with("measure", measure)
                    .with("seat", Term.quote(label)))
        .toList();
  }
}
