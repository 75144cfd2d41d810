package finebore.rules;

import finebore.code.Term;
import finebore.cutting.Blend;
import finebore.cutting.LeftoverEdge;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.practice.Finding;
import finebore.section.Profile;
import finebore.section.Surface.Part;
import finebore.units.Dimension;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** A step that stands into the throat. */
final class LedgeInThroat implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    Profile wall = plan.cut().fit().seat().profile();
    List<LeftoverEdge> ledges =
        plan.cut().leftovers().stream()
            .filter(edge -> !edge.inChamber() && !isUnderCut(wall, edge))
            .toList();
    return IntStream.range(0, ledges.size())
        .mapToObj(k -> finding(plan, ledges.get(k), k))
        .toList();
  }

  private static Finding finding(PlanCase plan, LeftoverEdge ledge, int number) {
    return plan.caution(FindingCode.LEDGE_IN_THROAT, Subject.surface(Part.SHOULDER, number))
        .with("height", Term.length(ledge.heightMm()))
        .with("at", Term.length(2 * ledge.at().r()))
        .with("turn", Term.angle(Math.round(ledge.turnDeg())))
        .with("area", area(plan, ledge.at().r()))
        .with("cleaned", area(plan, ledge.at().r() + ledge.heightMm()))
        .by(ledge.heightMm())
        .curedBy(
            Optional.of(
                plan.operationAsCure(
                    new Blend(
                        Blend.Side.PORT,
                        Blend.USUAL_KEEP_OFF_MM,
                        Math.clamp(ledge.heightMm() * 3, 0.5, 6)))));
  }

  /** Free round the stem, as if the wall were so all round. */
  private static Term area(PlanCase plan, double radiusMm) {
    double stem = plan.plan().wanted().valve().stemDiameterMm() / 2;
    return new Term.Figure(
        Dimension.AREA, Math.PI * Math.max(0, radiusMm * radiusMm - stem * stem));
  }

  /** A step right under a cut is spoken of as the throat that holds the cut up. */
  private static boolean isUnderCut(Profile wall, LeftoverEdge edge) {
    for (int k = 1; k < wall.segmentCount(); k++) {
      if (wall.start(k).distanceTo(edge.at()) < 0.02) {
        return wall.surfaces().get(k).part() == Part.SHOULDER
            && wall.surfaces().get(k - 1).part() == Part.CUT;
      }
    }
    return false;
  }
}
