package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.flow.Calibration;
import finebore.flow.FlowCurve;
import finebore.job.Job;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.Optional;

/**
 * What another bore of the fixture alone is worth, by the walls round the valve as they were
 * measured; no bench has been held against it.
 *
 * @param lowLiftMm the lowest lift of the test
 * @param lowShare what the test's fixture adds there against the reference's, as a share
 * @param highLiftMm the highest lift
 * @param highShare the same there
 */
public record FixtureEffect(
    double lowLiftMm, double lowShare, double highLiftMm, double highShare) {

  /** Of a test against one on another bore; empty where nobody measured where the valve lies. */
  public static Optional<FixtureEffect> of(Job job, FlowTest reference, FlowTest test) {
    SetUp own = test.setUp();
    if (own.boreMm().equals(reference.setUp().boreMm()) || test.lifts().size() < 2) {
      return Optional.empty();
    }
    List<Double> lifts = List.of(test.lifts().getFirst().liftMm(), test.lifts().getLast().liftMm());
    Calibration calibration = ModelFit.calibrationOf(job, finebore.job.Port.of(own.direction()));
    Optional<SeatStudy> here = TestedSeat.study(job, own, lifts, calibration);
    Optional<SeatStudy> there =
        TestedSeat.study(job, own.withBoreMm(reference.setUp().boreMm()), lifts, calibration);
    if (here.flatMap(s -> s.setting().room()).isEmpty()) {
      return Optional.empty();
    }
    Optional<FlowCurve> a = here.flatMap(SeatStudy::curve);
    Optional<FlowCurve> b = there.flatMap(SeatStudy::curve);
    return a.isEmpty() || b.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new FixtureEffect(
                lifts.getFirst(),
                a.get().flowAt(lifts.getFirst()) / b.get().flowAt(lifts.getFirst()) - 1,
                lifts.getLast(),
                a.get().flowAt(lifts.getLast()) / b.get().flowAt(lifts.getLast()) - 1));
  }
}
