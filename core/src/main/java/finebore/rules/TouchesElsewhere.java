package finebore.rules;

import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.Seating;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.List;

/** The contact lies mostly on something else than the sealing cut. */
final class TouchesElsewhere implements SeatRule {

  private static final double MOSTLY = 0.5;

  @Override
  public List<Finding> of(SeatCase seat) {
    return seat.fit().seated().map(Seating.Seated::contact).stream()
        .filter(contact -> contact.intendedShare() < MOSTLY)
        .map(
            contact ->
                seat.fault(FindingCode.TOUCHES_ELSEWHERE, Subject.WHOLE)
                    .with(
                        "on",
                        contact.on().isEmpty()
                            ? Message.of("surface.edge")
                            : contact.on().getFirst().message())
                    .with("sealing", Term.angle(seat.seat().sealingCut().angleDeg()))
                    .by(1 - contact.intendedShare()))
        .toList();
  }
}
