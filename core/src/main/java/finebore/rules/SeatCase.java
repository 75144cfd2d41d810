package finebore.rules;

import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.seat.Seat;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A valve on a seat, held against a practice.
 *
 * @param label of the seat
 * @param port its kind
 * @param fit the valve on it
 * @param readings what can be read off
 * @param practice whose ranges count
 * @param blended places of cuts that came in whole and were then blended
 * @param wanted what a cure would change: the plan's seat and valve, or those found
 */
record SeatCase(
    String label,
    Port port,
    SeatFit fit,
    List<Reading> readings,
    Practice practice,
    Set<Integer> blended,
    Pairing wanted) {

  Seat seat() {
    return fit.pairing().seat();
  }

  Valve valve() {
    return fit.pairing().valve();
  }

  Optional<Range> wanted(ReadingKind kind) {
    return practice.wanted(port, kind);
  }

  Finding fault(FindingCode code, Subject subject) {
    return Finding.of(code, label, subject, Severity.FAULT, Basis.GEOMETRY);
  }

  Finding caution(FindingCode code, Subject subject, Basis basis) {
    return Finding.of(code, label, subject, Severity.CAUTION, basis);
  }

  Finding note(FindingCode code, Subject subject, Basis basis) {
    return Finding.of(code, label, subject, Severity.NOTE, basis);
  }

  /** The seat outside diameter that brings the middle of the contact to a place on the face. */
  Cure centred(double centre, double wanted) {
    double shift =
        (centre - wanted)
            * valve().faceWidthMm()
            * Math.cos(Math.toRadians(valve().faceAngleDeg()));
    return new Cure.SeatOutside(seat().outsideDiameterMm() + 2 * shift);
  }

  /**
   * The seat outside diameter that lays the middle of the sealing cut on the middle of the face.
   */
  Cure onFace() {
    double face = valve().faceWidthMm() * Math.cos(Math.toRadians(valve().faceAngleDeg()));
    return new Cure.SeatOutside(
        valve().headDiameterMm() - face + seat().sealingCut().projectedMm());
  }

  /** The smallest valve that brings a throat back under the practice's ratio. */
  Optional<Cure> valveForThroat() {
    return wanted(ReadingKind.THROAT_RATIO)
        .filter(range -> range.max().isPresent())
        .map(
            range ->
                new Cure.LargerHead(
                    roundUp(seat().throatDiameterMm() / range.max().getAsDouble(), 0.1)));
  }

  private static double roundUp(double value, double step) {
    return Math.ceil(value / step - 1e-9) * step;
  }
}
