package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import java.util.List;
import java.util.Optional;

/** The seat's outside edge stands out past the valve. */
final class SeatLargerThanValve implements SeatRule {

  /** Share of the face that a good seat leaves over its outside edge; common practice. */
  private static final double LEFT_OVER = 0.3;

  @Override
  public List<Finding> of(SeatCase seat) {
    double outside = seat.seat().outsideDiameterMm();
    double head = seat.valve().headDiameterMm();
    if (seat.fit().seated().isEmpty() || outside <= head) {
      return List.of();
    }
    double face =
        seat.valve().faceWidthMm() * Math.cos(Math.toRadians(seat.valve().faceAngleDeg()));
    return List.of(
        seat.fault(FindingCode.SEAT_LARGER_THAN_VALVE, Subject.WHOLE)
            .with("outside", Term.length(outside))
            .with("valve", Term.length(head))
            .by(outside - head)
            .curedBy(Optional.of(new Cure.SeatOutside(head - LEFT_OVER * face))));
  }
}
