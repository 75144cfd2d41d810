package finebore.rules;

import finebore.code.Term;
import finebore.cutting.Seating;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.List;
import java.util.Optional;

/** The contact runs past the inner edge of the valve face. */
final class ContactPastFace implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    return seat.fit().seated().map(Seating.Seated::contact).stream()
        .filter(contact -> contact.fromInnerEdgeMm() < -SeatFindings.NEGLIGIBLE_MM)
        .filter(c -> seat.seat().outsideDiameterMm() <= seat.valve().headDiameterMm())
        .map(
            contact ->
                seat.fault(FindingCode.CONTACT_PAST_FACE, Subject.WHOLE)
                    .with("past", Term.length(-contact.fromInnerEdgeMm()))
                    .by(-contact.fromInnerEdgeMm())
                    .curedBy(Optional.of(seat.onFace())))
        .toList();
  }
}
