package finebore.rules;

import finebore.code.RuleViolation;
import finebore.cutting.Blend;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Cures carried out before they are offered: one that leaves its finding as bad as it was, breaks a
 * limit that was kept, or makes another finding worse is none. Where the nearest cure is none, the
 * others that there are for the same finding are looked at in their turn.
 */
public final class CureStudy {

  /** A finding has grown when it has by more than rounding. */
  private static final double GROWN = 1e-6;

  private final SeatOutcome outcome;
  private final Practice practice;

  /** Of every seat that follows the plan: a cure of one is cut at all of them. */
  private final Map<SeatPlace, List<Finding>> before = new LinkedHashMap<>();

  private CureStudy(SeatOutcome outcome, Practice practice) {
    this.outcome = outcome;
    this.practice = practice;
    before.put(outcome.place(), PlanFindings.of(outcome, practice));
    job()
        .alike(outcome.place())
        .forEach(p -> before.computeIfAbsent(p, place -> findings(place, outcome.plan())));
  }

  private Job job() {
    return outcome.cut().job();
  }

  private List<Finding> findings(SeatPlace place, Plan plan) {
    return PlanFindings.of(SeatOutcome.of(job(), place, plan), practice);
  }

  /**
   * The findings of a plan at one seat, each with the first of its cures that stood the test;
   * without one where none did.
   *
   * @param findings of {@link PlanFindings#of}; others are handed on as they are
   */
  public static List<Finding> studied(
      List<Finding> findings, SeatOutcome outcome, Practice practice) {
    if (findings.stream().allMatch(f -> f.cure().isEmpty())) {
      return findings;
    }
    CureStudy study = new CureStudy(outcome, practice);
    return findings.stream().map(f -> f.cure().isEmpty() ? f : f.withCure(study.first(f))).toList();
  }

  private Optional<Cure> first(Finding finding) {
    if (before.get(outcome.place()).stream().noneMatch(f -> isSame(f, finding))) {
      return finding.cure();
    }
    List<Cure> all = new ArrayList<>();
    finding.cure().ifPresent(all::add);
    all.addAll(others(finding));
    return all.stream().filter(cure -> mends(cure, finding)).findFirst();
  }

  /** Whether a cure lessens its finding and makes nothing else worse, at any seat it is cut at. */
  private boolean mends(Cure cure, Finding finding) {
    try {
      Plan changed = cure.applyTo(outcome.plan());
      return before.entrySet().stream()
          .allMatch(b -> mends(b.getValue(), findings(b.getKey(), changed), finding));
    } catch (RuleViolation e) {
      return false;
    }
  }

  private static boolean mends(List<Finding> was, List<Finding> is, Finding finding) {
    for (Finding now : is) {
      Optional<Finding> then = was.stream().filter(f -> isSame(f, now)).findFirst();
      if (isSame(now, finding)) {
        if (now.extent() > finding.extent() * (1 - GROWN) - GROWN) {
          return false;
        }
      } else if (now.severity() != Severity.NOTE
          && (then.isEmpty() || now.extent() > then.get().extent() * (1 + GROWN) + GROWN)) {
        return false;
      }
    }
    return true;
  }

  private static boolean isSame(Finding a, Finding b) {
    return a.code() == b.code() && a.seat().equals(b.seat()) && a.subject().equals(b.subject());
  }

  /** What else would mend a finding, the least first. */
  private List<Cure> others(Finding finding) {
    List<Cure> others = new ArrayList<>();
    PlanCase plan = new PlanCase(outcome, practice);
    if (finding.code() == FindingCode.SQUARE_STEP
        || finding.code() == FindingCode.CUTS_COME_SHORT
        || isThroat(finding)) {
      widerLastCut().ifPresent(others::add);
      double head = outcome.plan().wanted().valve().headDiameterMm();
      for (double more : new double[] {0.5, 1, 1.5, 2}) {
        others.add(new Cure.LargerHead(Math.round((head + more) * 10) / 10.0));
      }
    }
    if (finding.code() == FindingCode.SQUARE_STEP
        || finding.code() == FindingCode.LEDGE_IN_THROAT) {
      for (double radius : new double[] {1.5, 2.5, 4, 6}) {
        others.add(
            plan.operationAsCure(new Blend(Blend.Side.PORT, Blend.USUAL_KEEP_OFF_MM, radius)));
      }
    }
    return others;
  }

  private static boolean isThroat(Finding finding) {
    return finding.code() == FindingCode.OUT_OF_RANGE
        && finding.subject().id().equals(ReadingKind.THROAT_RATIO.key());
  }

  /** The last cut as wide as it takes to reach the throat. */
  private Optional<Cure> widerLastCut() {
    Seat wanted = outcome.plan().wanted().seat();
    List<Element> elements = wanted.stack().elements();
    double across =
        wanted.cuts().subList(wanted.sealing(), wanted.cuts().size()).stream()
            .mapToDouble(Cut::projectedMm)
            .sum();
    double lacking = (wanted.outsideDiameterMm() - wanted.throatDiameterMm()) / 2 - across;
    if (lacking <= 0
        || !(elements.getLast() instanceof Cut last)
        || wanted.stack().sealingElement() == elements.size() - 1
        || last.projectedMm() <= 0) {
      return Optional.empty();
    }
    double width = last.widthMm() * (1 + lacking / last.projectedMm());
    int index = wanted.cuts().size() - 1;
    return Optional.of(new Cure.ChangeCut(index, last, last.withWidth(width)));
  }
}
