package finebore.sizes;

import finebore.flow.FlowChange;
import finebore.flow.FlowCurve;
import finebore.flow.Loss;
import finebore.flow.Losses;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.practice.Practice;
import finebore.study.FlowSetting;
import finebore.study.ReadingKind;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Resized;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;

/**
 * What another head on the planned seat would give, by the estimate of the flow.
 *
 * @param headMm the head
 * @param sameThroat against the plan, with its throat; empty where it cannot be made
 * @param throatMm the throat that the practice allows under it
 * @param thatThroat against the plan, with that throat; empty likewise
 * @param holdsBack what holds the air up at the cam's lift with the planned throat; empty where it
 *     cannot be made
 */
public record NextSize(
    double headMm,
    Optional<FlowChange> sameThroat,
    double throatMm,
    Optional<FlowChange> thatThroat,
    List<Loss> holdsBack) {

  /** A gain over the cam smaller than this is none, as a share. */
  public static final double NOTHING = 0.01;

  /** Another size of the planned valve. */
  public static Optional<NextSize> of(PlanStudy study, Practice practice, double headMm) {
    Valve valve = study.plan().wanted().valve();
    try {
      return of(study, practice, valve.withHeadDiameterMm(headMm));
    } catch (finebore.code.RuleViolation e) {
      return Optional.empty();
    }
  }

  /** Another valve in place of the planned one; empty where the plan has no flow to compare. */
  public static Optional<NextSize> of(PlanStudy study, Practice practice, Valve valve) {
    Optional<SeatFit> planned = Optional.of(SeatFit.of(study.plan().wanted()));
    FlowSetting setting = study.finished().setting();
    Optional<FlowCurve> curve = planned.get().curve(setting);
    if (curve.isEmpty()) {
      return Optional.empty();
    }
    Pairing wanted = study.plan().wanted();
    double throat = wanted.seat().throatDiameterMm();
    double allowed =
        Math.max(
            throat,
            practice
                    .wanted(study.place().port(), ReadingKind.THROAT_RATIO)
                    .flatMap(r -> r.max().isPresent() ? Optional.of(r.max().getAsDouble()) : none())
                    .orElse(throat / wanted.valve().headDiameterMm())
                * valve.headDiameterMm());
    Optional<SeatFit> same = Resized.of(wanted, valve, throat).map(SeatFit::of);
    Optional<SeatFit> that = Resized.of(wanted, valve, allowed).map(SeatFit::of);
    Job job = study.cut().job();
    return Optional.of(
        new NextSize(
            valve.headDiameterMm(),
            same.flatMap(fit -> change(study, curve.get(), fit, setting)),
            allowed,
            that.flatMap(fit -> change(study, curve.get(), fit, setting)),
            same.filter(fit -> fit.seated().isPresent())
                .map(
                    fit -> fit.lossesAt(job.group(study.place().port()).cam().maxLiftMm(), setting))
                .map(Losses::parts)
                .orElse(List.of())));
  }

  private static Optional<Double> none() {
    return Optional.empty();
  }

  private static Optional<FlowChange> change(
      PlanStudy study, FlowCurve planned, SeatFit fit, FlowSetting setting) {
    Job job = study.cut().job();
    return fit.curve(setting)
        .map(
            curve ->
                FlowChange.between(
                    planned,
                    curve,
                    job.test().bands(),
                    study.plan().wanted().valve().headDiameterMm(),
                    job.group(study.place().port()).cam()));
  }

  /** Whether the bigger head gives nothing while the throat stays. */
  public boolean givesNothing() {
    return sameThroat.map(c -> c.camMeanShare() < NOTHING).orElse(true);
  }
}
