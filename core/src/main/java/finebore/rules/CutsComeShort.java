package finebore.rules;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.seat.ShownCut;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** Cuts below the seat that the throat has taken. */
final class CutsComeShort implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    List<ShownCut> lost =
        seat.fit().seat().shown().stream()
            .filter(s -> s.index() > seat.seat().sealing() && s.isShort())
            .filter(s -> !seat.blended().contains(s.index()))
            .toList();
    double all = lost.stream().mapToDouble(s -> s.cut().widthMm() - s.shownMm()).sum();
    if (all < LEAST_MM) {
      return List.of();
    }
    double ratio = seat.seat().throatDiameterMm() / seat.valve().headDiameterMm();
    boolean large =
        seat.wanted(ReadingKind.THROAT_RATIO).map(r -> r.isAbove(ratio - 1e-9)).orElse(false);
    return List.of(
        seat.caution(FindingCode.CUTS_COME_SHORT, Subject.WHOLE, Basis.COMMON_PRACTICE)
            .with("ratio", Term.share(ratio))
            .with("cuts", new Term.Each(lost.stream().map(CutsComeShort::term).toList()))
            .with("why", Message.of(large ? "cutsComeShort.large" : "cutsComeShort.other"))
            .by(all)
            .curedBy(large ? seat.valveForThroat() : roomForCuts(lost)));
  }

  /** As much as a hand that blends takes without knowing, mm; common practice, no source. */
  private static final double LEAST_MM = 0.15;

  private static Term term(ShownCut shown) {
    return Term.phrase(
        Message.of(shown.neverTouches() ? "cut.neverShows" : "cut.left")
            .with("cut", Term.angle(shown.cut().angleDeg()))
            .with("shown", Term.length(shown.shownMm()))
            .with("asked", Term.length(shown.cut().widthMm())));
  }

  /** The last cut trimmed to what there is room for. */
  private static Optional<Cure> roomForCuts(List<ShownCut> lost) {
    return lost.stream()
        .filter(s -> s.shownMm() > 0)
        .findFirst()
        .map(s -> new Cure.ChangeCut(s.index(), s.cut(), s.cut().withWidth(s.shownMm())));
  }
}
