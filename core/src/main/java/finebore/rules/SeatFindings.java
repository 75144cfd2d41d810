package finebore.rules;

import finebore.code.RuleViolation;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.study.Reading;
import finebore.study.SeatFit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is worth saying about a valve on a seat: faults of its geometry first, then what the
 * practice wants.
 */
public final class SeatFindings {

  /** A width below which a shortfall of a cut is not worth a word, mm. */
  static final double NEGLIGIBLE_MM = 0.05;

  private static final List<SeatRule> RULES =
      List.of(
          new PracticeNotInstalled(),
          new ValveFallsThrough(),
          new TouchesElsewhere(),
          new SeatLargerThanValve(),
          new ContactPastFace(),
          new SquareStep(),
          new CutsComeShort(),
          new CutAboveComesShort(),
          new OutOfRange(),
          new NoBackCut(),
          new ThroatWithinStem(),
          new SeatBelowBowl());

  private SeatFindings() {}

  /**
   * All findings, the gravest first.
   *
   * @param label of the seat
   */
  public static List<Finding> of(
      String label, Port port, SeatFit fit, List<Reading> readings, Practice practice) {
    return of(new SeatCase(label, port, fit, readings, practice, Set.of(), fit.pairing()));
  }

  static List<Finding> of(SeatCase seat) {
    return RULES.stream()
        .flatMap(rule -> rule.of(seat).stream())
        .map(f -> f.withCure(f.cure().flatMap(cure -> forWanted(cure, seat))))
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** A cure as a change of what is wanted; none where that gives no seat and valve that can be. */
  private static Optional<Cure> forWanted(Cure cure, SeatCase seat) {
    try {
      Optional<Cure> moved = cure.movedTo(seat.wanted().seat(), seat.seat());
      moved.ifPresent(c -> c.applyTo(seat.wanted()));
      return moved;
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }
}
