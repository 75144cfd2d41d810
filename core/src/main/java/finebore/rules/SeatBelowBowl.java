package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.List;

/** A seat whose cuts end below where the bowl is said to have its diameter. */
final class SeatBelowBowl implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    double cuts = seat.seat().stack().heightMm();
    double bowl = seat.seat().bowlDepthMm();
    boolean within = seat.seat().bowlDiameterMm() >= seat.seat().outsideDiameterMm();
    return cuts <= bowl && !within
        ? List.of()
        : List.of(
            seat.fault(FindingCode.SEAT_BELOW_BOWL, Subject.WHOLE)
                .with("cuts", Term.length(cuts))
                .with("bowl", Term.length(bowl))
                .with("diameter", Term.length(seat.seat().bowlDiameterMm()))
                .with("outside", Term.length(seat.seat().outsideDiameterMm()))
                .by(Math.max(cuts - bowl, 0)));
  }
}
