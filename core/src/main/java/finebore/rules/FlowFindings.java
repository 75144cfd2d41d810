package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.flow.LiftPoint;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What is worth saying about how far a plan's flow can be believed, and what limits it. */
public final class FlowFindings {

  /** A gain of seat and valve below which it is idle to ask where it went; a choice. */
  private static final double WORTH_ASKING = 0.03;

  /** What is left of it, as a share, when the port is said to hold the rest back; a choice. */
  private static final double HELD = 0.5;

  private FlowFindings() {}

  /** All of them for one seat. */
  public static List<Finding> of(PlanStudy plan) {
    String label = plan.outcome().place().label();
    List<Finding> found = new ArrayList<>(unlikeSolved(label, plan));
    found.addAll(portHoldsBack(label, plan));
    return found;
  }

  private static List<Finding> unlikeSolved(String label, PlanStudy plan) {
    double[] lifts =
        Stream.of(plan.found(), plan.finished())
            .flatMap(s -> s.curve().stream())
            .flatMap(c -> c.points().stream())
            .filter(p -> !p.area().isKnown())
            .mapToDouble(LiftPoint::liftMm)
            .sorted()
            .toArray();
    if (lifts.length == 0) {
      return List.of();
    }
    return List.of(
        Finding.of(
                FindingCode.UNLIKE_SOLVED,
                label,
                Subject.WHOLE,
                Severity.NOTE,
                Basis.source("docs/model.md"))
            .with("from", Term.length(lifts[0]))
            .with("to", Term.length(lifts[lifts.length - 1])));
  }

  private static List<Finding> portHoldsBack(String label, PlanStudy plan) {
    if (plan.change().isEmpty() || !plan.found().calibration().isCalibrated()) {
      return List.of();
    }
    LiftPoint before = plan.found().curve().orElseThrow().atCamLift();
    LiftPoint after = plan.finished().curve().orElseThrow().atCamLift();
    double alone = alone(plan.finished(), after) / alone(plan.found(), before) - 1;
    double whole = after.effectiveAreaMm2() / before.effectiveAreaMm2() - 1;
    if (alone < WORTH_ASKING || whole > HELD * alone) {
      return List.of();
    }
    return List.of(
        Finding.of(FindingCode.PORT_HOLDS_BACK, label, Subject.WHOLE, Severity.NOTE, Basis.READINGS)
            .with("lift", Term.length(after.liftMm()))
            .with("alone", Term.share(alone))
            .with("whole", Term.share(whole)));
  }

  private static double alone(SeatStudy study, LiftPoint point) {
    return study.fit().aloneMm2(point.area(), study.setting());
  }
}
