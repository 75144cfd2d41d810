package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import java.util.List;

/** The practice wants a back cut and the valve has none. */
final class NoBackCut implements SeatRule {

  /** No more of a face than this share can be left, or there is no back cut. */
  private static final double MOST_LEFT = 0.9;

  @Override
  public List<Finding> of(SeatCase seat) {
    if (!seat.valve().backCuts().isEmpty()) {
      return List.of();
    }
    double face = seat.valve().faceWidthMm();
    return seat.wanted(ReadingKind.BACK_CUT).stream()
        .map(
            angle ->
                seat.note(FindingCode.NO_BACK_CUT, Subject.WHOLE, angle.basis())
                    .with("angle", Term.angle(angle.middle()))
                    .curedBy(
                        Cure.BackCut.leaving(
                            seat.valve(),
                            Math.min(
                                seat.wanted(ReadingKind.FACE_WIDTH).map(Range::middle).orElse(face),
                                MOST_LEFT * face),
                            angle.middle())))
        .toList();
  }
}
