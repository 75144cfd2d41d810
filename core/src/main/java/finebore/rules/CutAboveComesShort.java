package finebore.rules;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import java.util.List;

/** A cut over the seat that runs out of metal. */
final class CutAboveComesShort implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    return seat.fit().seat().shown().stream()
        .filter(s -> s.index() < seat.seat().sealing() && s.isShort())
        .filter(s -> !seat.blended().contains(s.index()))
        .map(
            s ->
                seat.note(FindingCode.CUT_ABOVE_COMES_SHORT, Subject.cut(s.index()), Basis.GEOMETRY)
                    .with(
                        "cut",
                        Message.of(s.neverTouches() ? "cut.neverTouches" : "cut.runsOut")
                            .with("cut", Term.angle(s.cut().angleDeg()))
                            .with("shown", Term.length(s.shownMm())))
                    .by(s.cut().widthMm() - s.shownMm()))
        .toList();
  }
}
