package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.List;

/** A throat that the valve's own stem fills. */
final class ThroatWithinStem implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    double throat = seat.seat().throatDiameterMm();
    double stem = seat.valve().stemDiameterMm();
    return throat > stem
        ? List.of()
        : List.of(
            seat.fault(FindingCode.THROAT_WITHIN_STEM, Subject.WHOLE)
                .with("throat", Term.length(throat))
                .with("stem", Term.length(stem))
                .by(stem - throat));
  }
}
