package finebore.rules;

import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.seat.ShownCut;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is worth saying about a plan at a seat: what its operations do to the metal first, then what
 * contact and sizes come to.
 */
public final class PlanFindings {

  private static final List<PlanRule> RULES =
      List.of(
          new ThroughToWater(),
          new PastRing(),
          new ThroughRingFloor(),
          new PastFireRing(),
          new WallPastLimit(),
          new RingsMeet(),
          new HeadsOverlap(),
          new HeadPastBore(),
          new HitsPiston(),
          new ValvesHit(),
          new CannotBeCarriedOut(),
          new HangsUp(),
          new NeverTouches(),
          new DoesNotCleanUp(),
          new LeansTooFar(),
          new MetalLacking(),
          new RidgeOverSeat(),
          new LedgeInThroat(),
          new GuideNotRenewed(),
          new ReadingsOfSeatContradict(),
          new ReadingMissing());

  private PlanFindings() {}

  /**
   * All findings of a plan at one seat, the gravest first; a fault that was accepted is a caution
   * and says so, as long as its overrule holds.
   */
  public static List<Finding> of(SeatOutcome outcome, Practice practice) {
    PlanCase plan = new PlanCase(outcome, practice);
    List<Finding> found = new ArrayList<>();
    RULES.forEach(rule -> found.addAll(rule.of(plan)));
    found.addAll(
        SeatFindings.of(
            new SeatCase(
                outcome.place().label(),
                outcome.place().port(),
                outcome.cut().fit(),
                outcome.readings(),
                practice,
                blended(outcome),
                outcome.plan().wanted())));
    if (found.stream().anyMatch(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP)) {
      // The fault says how far short it stops; what the practice wants past that says no more.
      Subject past = Subject.reading(ReadingKind.PAST_CLEAN.key());
      found.removeIf(f -> f.code() == FindingCode.OUT_OF_RANGE && f.subject().equals(past));
    }
    return found.stream()
        .map(f -> overruled(f, outcome.plan()))
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** Cuts that came in whole and of which a later operation has taken some. */
  private static Set<Integer> blended(SeatOutcome outcome) {
    Set<Integer> blended = new HashSet<>();
    for (ShownCut shown : outcome.cut().fit().seat().shown()) {
      outcome.cut().cutting().steps().stream()
          .flatMap(s -> s.cameIn().stream())
          .filter(c -> c.cut().equals(shown.cut()) && c.shownMm() > shown.shownMm() + 1e-6)
          .filter(c -> c.cut().widthMm() - c.shownMm() < SeatFindings.NEGLIGIBLE_MM)
          .findFirst()
          .ifPresent(c -> blended.add(shown.index()));
    }
    return blended;
  }

  /** What keeps a plan from being marked ready. */
  public static List<Finding> blockers(List<Finding> findings) {
    return findings.stream().filter(Finding::blocks).toList();
  }

  private static Finding overruled(Finding finding, Plan plan) {
    if (!finding.blocks()) {
      return finding;
    }
    return plan.overrules().stream()
        .filter(o -> o.isOf(finding.code(), finding.seat(), finding.subject()))
        .filter(o -> state(o, finding, plan) == Overrule.State.HOLDS)
        .findFirst()
        .map(o -> finding.withSeverity(Severity.CAUTION).withOverruled(Optional.of(o)))
        .orElse(finding);
  }

  private static Overrule.State state(Overrule overrule, Finding finding, Plan plan) {
    return overrule.state(finding.extent(), plan.operationOf(finding.subject()));
  }

  /** An overrule of a finding, to the extent it has now. */
  public static Overrule overrule(Finding finding, Plan plan, String reason) {
    return new Overrule(
        finding.code(),
        finding.seat(),
        finding.subject(),
        finding.extent(),
        plan.operationOf(finding.subject()),
        reason);
  }

  /**
   * What has become of an overrule.
   *
   * @param findings of the seat it was made at
   */
  public static Overrule.State state(Overrule overrule, List<Finding> findings, Plan plan) {
    return findings.stream()
        .filter(f -> overrule.isOf(f.code(), f.seat(), f.subject()))
        .findFirst()
        .map(f -> state(overrule, f, plan))
        .orElse(Overrule.State.GONE);
  }
}
