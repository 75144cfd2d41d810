package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.PortFit;
import finebore.bench.ReducedTest;
import finebore.bench.SetUp.TestedState;
import finebore.flow.Calibration;
import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.flow.TestConditions;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The model held against the test of the head as found, and its port taken from it.
 *
 * @param test which test
 * @param number its place among the job's tests, from 1
 * @param fit what came out
 */
public record ModelFit(FlowTest test, int number, PortFit fit) {

  /**
   * The port of a job's intakes or exhausts, by the first test of them as found that can tell:
   * enough lifts, the depression written down, and the valve that was found.
   */
  public static Optional<ModelFit> of(Job job, Port port) {
    return of(job, port, Optional.empty());
  }

  /**
   * The same.
   *
   * @param known what came out before, in a job that differs by readings of other tests alone
   */
  static Optional<ModelFit> of(Job job, Port port, Optional<ModelFit> known) {
    for (FlowTest test : job.bench().tests()) {
      if (test.setUp().direction() == port.direction()
          && test.setUp().state().kind() == TestedState.Kind.FOUND
          && test.setUp().depressionPa().isPresent()
          && TestedSeat.hasFoundValve(job, test.setUp())) {
        Optional<ModelFit> fit =
            known
                .filter(f -> f.test() == test && f.number() == job.bench().numberOf(test))
                .or(() -> of(job, test));
        if (fit.isPresent()) {
          return fit;
        }
      }
    }
    return Optional.empty();
  }

  private static Optional<ModelFit> of(Job job, FlowTest test) {
    double depression = job.test().depressionPa();
    List<ReducedTest.Lift> lifts =
        ReducedTest.of(test, job.bench(), depression).lifts().stream()
            .filter(l -> l.meanM3s() > 0)
            .toList();
    if (lifts.size() < PortFit.LEAST_LIFTS) {
      return Optional.empty();
    }
    List<Double> heights = lifts.stream().map(ReducedTest.Lift::liftMm).toList();
    Optional<FlowCurve> alone =
        TestedSeat.study(job, test.setUp(), heights, Calibration.SEAT_ALONE)
            .flatMap(SeatStudy::curve);
    Optional<FlowCurve> lossy =
        TestedSeat.study(job, test.setUp(), heights, Calibration.UNCALIBRATED)
            .flatMap(SeatStudy::curve);
    if (alone.isEmpty() || lossy.isEmpty()) {
      return Optional.empty();
    }
    double flowPerArea = TestConditions.USUAL.withDepression(depression).flow(1);
    List<PortFit.Sample> samples = new ArrayList<>();
    for (int k = 0; k < lifts.size(); k++) {
      double without = area(alone.get().points().get(k));
      double with = area(lossy.get().points().get(k));
      samples.add(
          new PortFit.Sample(
              without,
              (1 / (with * with) - 1 / (without * without)) / Calibration.UNCALIBRATED.portLoss(),
              lifts.get(k).meanM3s() / flowPerArea));
    }
    int number = job.bench().numberOf(test);
    return PortFit.to(samples, number).map(fit -> new ModelFit(test, number, fit));
  }

  private static double area(LiftPoint point) {
    return point.effectiveAreaMm2();
  }

  /** The port to work with: fitted where a test lets it, the usual one otherwise. */
  public static Calibration calibrationOf(Job job, Port port) {
    return of(job, port).map(m -> m.fit().calibration()).orElse(Calibration.UNCALIBRATED);
  }
}
