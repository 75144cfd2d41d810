package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;

/** The valve goes through the throat. */
final class ValveFallsThrough implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    if (seat.fit().seated().isPresent()) {
      return List.of();
    }
    double throat = seat.seat().throatDiameterMm();
    double head = seat.valve().headDiameterMm();
    return List.of(
        seat.fault(FindingCode.VALVE_FALLS_THROUGH, Subject.WHOLE)
            .with("valve", Term.length(head))
            .with("throat", Term.length(throat))
            .by(throat - head)
            .curedBy(
                seat.wanted(ReadingKind.THROAT_RATIO)
                    .map(range -> new Cure.ValveDiameter(throat / range.middle()))));
  }
}
