package finebore.rules;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.Blend;
import finebore.cutting.Cutting;
import finebore.cutting.FitRing;
import finebore.cutting.Operation;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Ring;
import finebore.job.Plan;
import finebore.planning.CutStudy;
import finebore.planning.SeatOutcome;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A plan carried out on a seat, held against a practice.
 *
 * @param outcome what the plan makes of the seat
 * @param practice whose ranges count
 */
record PlanCase(SeatOutcome outcome, Practice practice) {

  CutStudy cut() {
    return outcome.cut();
  }

  Plan plan() {
    return outcome.plan();
  }

  Seat wanted() {
    return plan().wanted().seat();
  }

  List<Cutting.Step> steps() {
    return cut().cutting().steps();
  }

  /** The subject that the operation at a place is. */
  Subject operation(int place) {
    return Subject.operation(plan().idAt(place));
  }

  Finding fault(FindingCode code, Subject subject) {
    return Finding.of(code, outcome.place().label(), subject, Severity.FAULT, Basis.GEOMETRY);
  }

  Finding caution(FindingCode code, Subject subject) {
    return Finding.of(
        code, outcome.place().label(), subject, Severity.CAUTION, Basis.COMMON_PRACTICE);
  }

  /**
   * An operation as a cure: in place of the last of its kind where the plan has one, otherwise at
   * the end.
   */
  Cure operationAsCure(Operation operation) {
    return inPlace(operation)
        .orElseGet(() -> new Cure.AddOperation(plan().operations().size(), operation, wanted()));
  }

  private Optional<Cure> inPlace(Operation operation) {
    for (int k = plan().steps().size() - 1; k >= 0; k--) {
      if (sameKind(plan().operations().get(k), operation)) {
        return Optional.of(new Cure.ChangeOperation(plan().idAt(k), operation, wanted()));
      }
    }
    return Optional.empty();
  }

  private static boolean sameKind(Operation there, Operation wanted) {
    return there.key().equals(wanted.key())
        && (!(there instanceof Blend one)
            || !(wanted instanceof Blend other)
            || one.side() == other.side());
  }

  /** A fault where less than nothing is left of something. */
  List<Finding> nothingLeft(
      FindingCode code, ReadingKind kind, boolean noneIsTooLittle, Optional<Cure> cure) {
    OptionalDouble left = outcome.reading(kind);
    if (left.isEmpty() || left.getAsDouble() > 0 || left.getAsDouble() == 0 && !noneIsTooLittle) {
      return List.of();
    }
    return List.of(
        fault(code, Subject.reading(kind.key()))
            .with("past", Term.length(-left.getAsDouble()))
            .by(-left.getAsDouble())
            .curedBy(cure));
  }

  /** A ring that leaves what the practice wants outside the seat. */
  Optional<Cure> newRing() {
    double wall =
        practice
            .wanted(outcome.place().port(), ReadingKind.RING_WALL)
            .map(r -> r.nearest(Double.NEGATIVE_INFINITY))
            .orElse(USUAL_RING_WALL_MM);
    Seat wanted = wanted();
    Optional<Ring> old = cut().cutting().metal().ring();
    double floor = Math.max(wanted.lowestMm() + UNDER_CUTS_MM, old.map(Ring::floorMm).orElse(0.0));
    try {
      Ring ring =
          new Ring(
              wanted.outsideDiameterMm() + 2 * wall,
              Math.max(3, wanted.throatDiameterMm() - 1),
              floor,
              floor - wanted.depthMm() + 1,
              old.map(Ring::fitMm).orElse(USUAL_FIT_MM),
              old.map(Ring::material).orElse(""));
      return inPlace(new FitRing(ring))
          .or(() -> Optional.of(new Cure.AddOperation(0, new FitRing(ring), wanted)));
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }

  /** What a ring keeps outside its seat, under its cuts and in its fit, mm; common practice. */
  private static final double USUAL_RING_WALL_MM = 1.5;

  private static final double UNDER_CUTS_MM = 2;
  private static final double USUAL_FIT_MM = 0.1;
}
