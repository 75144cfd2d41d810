package finebore.rules;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Range;
import finebore.seat.Cut;
import finebore.seat.ShownCut;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** A reading that the practice does not want. */
final class OutOfRange implements SeatRule {

  @Override
  public List<Finding> of(SeatCase seat) {
    return seat.readings().stream()
        .flatMap(
            reading ->
                seat
                    .wanted(reading.kind())
                    .filter(range -> !range.holds(reading.value()))
                    .map(range -> finding(seat, reading, range))
                    .stream())
        .toList();
  }

  private static Finding finding(SeatCase seat, Reading reading, Range range) {
    boolean above = range.isAbove(reading.value());
    boolean hits = reading.kind() == ReadingKind.RETAINER && reading.value() <= 0;
    return Finding.of(
            FindingCode.OUT_OF_RANGE,
            seat.label(),
            Subject.reading(reading.kind().key()),
            hits ? Severity.FAULT : Severity.CAUTION,
            range.basis())
        .with("reading", reading.kind())
        .with("value", reading.term())
        .with("practice", seat.practice().term())
        .with(
            "limit",
            Message.of(above ? "limit.atMost" : "limit.atLeast")
                .with(
                    "limit",
                    new Term.Figure(reading.kind().dimension(), range.nearest(reading.value()))))
        .with(
            "why",
            Message.of("outOfRange." + reading.kind().key() + (above ? ".above" : ".below"))
                .with(
                    "by",
                    new Term.Figure(reading.kind().dimension(), range.excess(reading.value()))))
        .by(range.excess(reading.value()))
        .curedBy(cure(seat, reading, range, above));
  }

  private static Optional<Cure> cure(SeatCase seat, Reading reading, Range range, boolean above) {
    return switch (reading.kind()) {
      case THROAT_RATIO ->
          above
              ? seat.valveForThroat()
              : Optional.of(
                  new Cure.OtherThroat(
                      range.nearest(reading.value()) * seat.valve().headDiameterMm()));
      case SEAT_WIDTH ->
          Optional.of(
              new Cure.ChangeCut(
                  seat.seat().sealing(),
                  seat.seat().sealingCut(),
                  seat.seat().sealingCut().withWidth(range.middle())));
      case CONTACT_CENTRE -> Optional.of(seat.centred(reading.value(), range.middle()));
      case FACE_WIDTH ->
          above
              ? seat.wanted(ReadingKind.BACK_CUT)
                  .flatMap(
                      angle -> Cure.BackCut.leaving(seat.valve(), range.middle(), angle.middle()))
              : Optional.empty();
      case LAST_CUT ->
          showing(seat).stream()
              .reduce((a, b) -> b)
              .map(
                  s ->
                      new Cure.ChangeCut(
                          s.index(), s.cut(), s.cut().withAngle(range.nearest(reading.value()))));
      case ANGLE_STEP -> above ? Optional.of(cutBetween(seat)) : Optional.empty();
      case BACK_CUT ->
          Cure.BackCut.leaving(seat.valve(), seat.valve().faceWidthMm(), range.middle());
      case OVERHANG ->
          Optional.of(new Cure.SeatOutside(seat.valve().headDiameterMm() - 2 * range.middle()));
      default -> Optional.empty();
    };
  }

  private static List<ShownCut> showing(SeatCase seat) {
    return seat.fit().seat().shown().stream().filter(s -> s.shownMm() > 0).toList();
  }

  /**
   * A cut half way across the largest change of angle, as wide as half its lower neighbour, which
   * gives up as much.
   */
  private static Cure cutBetween(SeatCase seat) {
    List<ShownCut> showing = showing(seat);
    int at = 1;
    for (int k = 2; k < showing.size(); k++) {
      if (change(showing, k) > change(showing, at)) {
        at = k;
      }
    }
    Cut a = showing.get(at - 1).cut();
    Cut b = showing.get(at).cut();
    return new Cure.AddCut(
        showing.get(at).index(),
        new Cut(Math.round((a.angleDeg() + b.angleDeg()) / 2), Math.max(0.5, b.widthMm() / 2)));
  }

  private static double change(List<ShownCut> showing, int k) {
    return Math.abs(showing.get(k).cut().angleDeg() - showing.get(k - 1).cut().angleDeg());
  }
}
