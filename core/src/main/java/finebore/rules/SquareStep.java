package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A flat shoulder stands between the last cut and the throat. */
final class SquareStep implements SeatRule {

  /** A wall that falls by less than this share of its length is flat. */
  private static final double FLAT = 0.3;

  @Override
  public List<Finding> of(SeatCase seat) {
    Profile profile = seat.fit().seat().profile();
    List<Finding> found = new ArrayList<>();
    for (int k = 1; k < profile.segmentCount(); k++) {
      boolean flat = Math.abs(profile.start(k).z() - profile.end(k).z()) < FLAT * profile.length(k);
      Surface above = profile.surfaces().get(k - 1);
      if (profile.surfaces().get(k).part() == Part.SHOULDER
          && above.part() == Part.CUT
          && flat
          && profile.length(k) > SeatFindings.NEGLIGIBLE_MM) {
        double end = 2 * profile.start(k).r();
        found.add(
            seat.caution(
                    FindingCode.SQUARE_STEP,
                    Subject.surface(Part.SHOULDER, found.size()),
                    Basis.COMMON_PRACTICE)
                .with("step", Term.length(profile.length(k)))
                .with("under", above.message())
                .with("throat", Term.length(seat.seat().throatDiameterMm()))
                .with("end", Term.length(end))
                .with("port", seat.port())
                .by(profile.length(k))
                .curedBy(Optional.of(new Cure.OtherThroat(end))));
      }
    }
    return found;
  }
}
