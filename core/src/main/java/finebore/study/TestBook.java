package finebore.study;

import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.Ladder;
import finebore.bench.Noise;
import finebore.bench.ReducedTest;
import finebore.bench.SuspectReading;
import finebore.flow.Calibration;
import finebore.flow.CamLift;
import finebore.job.Job;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All flow tests of a job brought to its depression, and the noise of each bench.
 *
 * @param job whose
 * @param reduced each test by its id
 * @param noises by the bench's name
 */
public record TestBook(Job job, Map<Integer, ReducedTest> reduced, Map<String, Noise> noises) {

  public TestBook {
    reduced = Map.copyOf(reduced);
    noises = Map.copyOf(noises);
  }

  public static TestBook of(Job job) {
    Map<Integer, ReducedTest> reduced = new HashMap<>();
    job.bench()
        .tests()
        .forEach(
            t -> reduced.put(t.id(), ReducedTest.of(t, job.bench(), job.test().depressionPa())));
    Map<String, List<ReducedTest>> benches = new HashMap<>();
    reduced
        .values()
        .forEach(
            r -> benches.computeIfAbsent(r.test().setUp().bench(), b -> new ArrayList<>()).add(r));
    Map<String, Noise> noises = new HashMap<>();
    benches.forEach((bench, tests) -> noises.put(bench, Noise.of(tests)));
    return new TestBook(job, reduced, noises);
  }

  /** A test brought to the job's depression. */
  public ReducedTest reduced(FlowTest test) {
    ReducedTest found = reduced.get(test.id());
    if (found == null) {
      throw new IllegalArgumentException("the job has no test \"" + test.name() + "\"");
    }
    return found;
  }

  /** The noise of the bench a test was made on. */
  public Noise noise(FlowTest test) {
    return noises.getOrDefault(test.setUp().bench(), Noise.UNKNOWN);
  }

  private CamLift cam(FlowTest test) {
    return job.group(TestedSeat.port(test.setUp().direction())).cam();
  }

  /** A test held against another. */
  public Comparison compare(FlowTest reference, FlowTest test) {
    return Comparison.of(
        reduced(reference), reduced(test), noise(test), job.test().bands(), cam(test), job.bench());
  }

  /** The chain of tests that ends in one. */
  public Ladder ladder(FlowTest last) {
    return Ladder.to(last, job.bench(), this::reduced, noise(last), job.test().bands(), cam(last));
  }

  /** Readings of a test to be looked at again. */
  public List<SuspectReading> doubts(FlowTest test) {
    return doubts(test, ModelFit.calibrationOf(job, TestedSeat.port(test.setUp().direction())));
  }

  /** The same, with the port known already. */
  public List<SuspectReading> doubts(FlowTest test, Calibration port) {
    ReducedTest own = reduced(test);
    List<Double> lifts = own.lifts().stream().map(ReducedTest.Lift::liftMm).toList();
    if (lifts.isEmpty()) {
      return List.of();
    }
    return TestedSeat.study(job, test.setUp(), lifts, port)
        .curve()
        .map(shape -> SuspectReading.of(own, shape::flowAt, noise(test)))
        .orElse(List.of());
  }

  /** A doubt in words. */
  public String words(SuspectReading doubt) {
    UnitSystem units = job.units();
    return "at "
        + units.lengthText(doubt.liftMm())
        + " "
        + units.flowText(doubt.flowM3s())
        + " was read where its neighbours lead to "
        + units.flowText(doubt.expectedM3s())
        + ": read it again";
  }
}
