package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;

/** Wanted surfaces that stand above the metal that is there. */
final class MetalLacking implements PlanRule {

  /** A lack of metal smaller than this is within what a cutter is set to, mm2 of section. */
  private static final double LACK_MM2 = 0.02;

  /** A throat larger than wanted by less than this is what was wanted, mm. */
  private static final double SAME_THROAT_MM = 0.05;

  @Override
  public List<Finding> of(PlanCase plan) {
    double lack = plan.cut().lacking().areaMm2();
    if (lack <= LACK_MM2) {
      return List.of();
    }
    double throat = plan.cut().fit().pairing().seat().throatDiameterMm();
    double wanted = plan.wanted().throatDiameterMm();
    boolean large = throat > wanted + SAME_THROAT_MM;
    return List.of(
        large
            ? plan.fault(FindingCode.THROAT_LARGER_ALREADY, Subject.WHOLE)
                .with("wanted", Term.length(wanted))
                .with("throat", Term.length(throat))
                .by(throat - wanted)
                .curedBy(biggerValve(plan, throat))
            : plan.fault(FindingCode.METAL_LACKING, Subject.WHOLE)
                .by(lack)
                .curedBy(plan.newRing()));
  }

  private static Optional<Cure> biggerValve(PlanCase plan, double throatMm) {
    return plan.practice()
        .wanted(plan.outcome().place().port(), ReadingKind.THROAT_RATIO)
        .filter(range -> range.max().isPresent())
        .map(
            range ->
                new Cure.ValveDiameter(Math.ceil(throatMm / range.max().getAsDouble() * 10) / 10));
  }
}
