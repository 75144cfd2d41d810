package finebore.sizes;

import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import java.util.List;
import java.util.Optional;

/**
 * What the power aimed at asks of one intake seat, lift by lift: its curve raised or lowered as a
 * whole until the flow at the cam's lift is what the power needs. All flows at the job's
 * depression.
 *
 * @param points at the curve's lifts
 * @param wantedM3s at the cam's lift, of one seat
 * @param haveM3s the same as planned
 * @param camMeanWantedM3s mean over the cam's opening
 * @param camMeanHaveM3s the same as planned
 */
public record FlowWanted(
    List<Point> points,
    double wantedM3s,
    double haveM3s,
    double camMeanWantedM3s,
    double camMeanHaveM3s) {

  /** A lift with what it has and what is wanted, m3/s. */
  public record Point(double liftMm, double haveM3s, double wantedM3s) {}

  public FlowWanted {
    points = List.copyOf(points);
  }

  /** Of an intake's curve as planned; empty where no power is aimed at. */
  public static Optional<FlowWanted> of(Job job, FlowCurve planned) {
    if (job.engine().targetHp().isEmpty()) {
      return Optional.empty();
    }
    double perCylinder =
        AirDemand.flowForPower(job.engine().targetHp().getAsDouble(), job.engine().cylinders());
    double wanted =
        AirDemand.from28(perCylinder, job.test().depressionPa())
            / job.engine().valvesPerCylinder(Port.INTAKE);
    double have = planned.atCamLift().flowM3s();
    double times = wanted / have;
    double mean = planned.camMean(job.intake().cam());
    return Optional.of(
        new FlowWanted(
            planned.points().stream()
                .map((LiftPoint p) -> new Point(p.liftMm(), p.flowM3s(), times * p.flowM3s()))
                .toList(),
            wanted,
            have,
            times * mean,
            mean));
  }
}
