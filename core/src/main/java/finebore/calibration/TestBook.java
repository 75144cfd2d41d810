package finebore.calibration;

import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.Ladder;
import finebore.bench.Noise;
import finebore.bench.ReducedTest;
import finebore.bench.SuspectReading;
import finebore.bench.UnitMixUp;
import finebore.flow.Calibration;
import finebore.flow.CamLift;
import finebore.flow.FlowCurve;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
    return of(job, Optional.empty());
  }

  /** The same, of a job that has mostly the tests of one before: those are not reduced again. */
  public static TestBook of(Job job, Optional<TestBook> before) {
    double depression = job.test().depressionPa();
    Optional<TestBook> same = before.filter(b -> b.job().test().depressionPa() == depression);
    Optional<TestBook> whole = same.filter(b -> b.job().bench() == job.bench());
    if (whole.isPresent()) {
      return new TestBook(job, whole.get().reduced(), whole.get().noises());
    }
    Map<Integer, ReducedTest> known =
        same.filter(b -> b.job().bench().ranges().equals(job.bench().ranges()))
            .map(TestBook::reduced)
            .orElse(Map.of());
    Map<Integer, ReducedTest> reduced = new HashMap<>();
    for (FlowTest test : job.bench().tests()) {
      ReducedTest was = known.get(test.id());
      reduced.put(
          test.id(),
          was != null && was.test() == test ? was : ReducedTest.of(test, job.bench(), depression));
    }
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
      throw new IllegalArgumentException("test: " + test.id());
    }
    return found;
  }

  /** The noise of the bench a test was made on. */
  public Noise noise(FlowTest test) {
    return noises.getOrDefault(test.setUp().bench(), Noise.UNKNOWN);
  }

  private CamLift cam(FlowTest test) {
    return job.group(Port.of(test.setUp().direction())).cam();
  }

  /** A test held against another. */
  public Comparison compare(FlowTest reference, FlowTest test) {
    return Comparison.of(
        reduced(reference),
        reduced(test),
        noise(test),
        job.test().bands(),
        cam(test),
        this::valveTried);
  }

  /** What a step between them was told to have tried, and what the plan changes. */
  private boolean valveTried(FlowTest reference, FlowTest test) {
    return job.bench().valveTried(reference, test)
        || TestedSeat.planChangesValve(job, reference.setUp(), test.setUp());
  }

  /** The chain of tests that ends in one. */
  public Ladder ladder(FlowTest last) {
    return Ladder.to(
        last,
        job.bench(),
        this::reduced,
        noise(last),
        job.test().bands(),
        cam(last),
        this::valveTried);
  }

  /** Readings of a test to be looked at again. */
  public List<SuspectReading> suspects(FlowTest test) {
    return suspects(test, ModelFit.calibrationOf(job, Port.of(test.setUp().direction())));
  }

  /** The same, with the port known already. */
  public List<SuspectReading> suspects(FlowTest test, Calibration port) {
    ReducedTest own = reduced(test);
    return own.lifts().isEmpty()
        ? List.of()
        : SuspectReading.of(own, model(test, port).map(m -> m::flowAt), noise(test));
  }

  /** The model's flow of the tested seat at the test's lifts. */
  private Optional<FlowCurve> model(FlowTest test, Calibration port) {
    List<Double> lifts = reduced(test).lifts().stream().map(ReducedTest.Lift::liftMm).toList();
    return lifts.isEmpty()
        ? Optional.empty()
        : TestedSeat.study(job, test.setUp(), lifts, port).flatMap(SeatStudy::curve);
  }

  /**
   * Whether a test's flows look as if they were taken in the wrong unit, against another test of
   * the same seat, or against the model where there is none.
   */
  public Optional<UnitMixUp> unitMixUp(FlowTest test) {
    ReducedTest own = reduced(test);
    Optional<FlowTest> other =
        job.bench().tests().stream()
            .filter(t -> t.id() != test.id())
            .filter(t -> t.setUp().seat().equals(test.setUp().seat()))
            .filter(t -> !reduced(t).lifts().isEmpty())
            .findFirst();
    return other.isPresent()
        ? UnitMixUp.of(own.lifts(), reduced(other.get())::flowAt)
        : model(test, Calibration.UNCALIBRATED).flatMap(m -> UnitMixUp.of(own.lifts(), m::flowAt));
  }
}
