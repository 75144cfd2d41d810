package finebore.benchmarks;

import finebore.calibration.ModelFit;
import finebore.cutting.Cutting;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One edit of a plan: every operation on all sides of the found seat, contact, flow, findings. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PlanBenchmark {

  private final Job job = JobFile.demo();
  private final SeatPlace place = job.engine().seats().getFirst();
  private final Practice practice = PracticeFiles.named(job.practice(), PracticeFiles.all());
  private final PlanStudy known =
      PlanStudy.of(
          job,
          place,
          job.planOf(place),
          PlanStudy.asFound(job, place, ModelFit.calibrationOf(job, place.port())));

  @Benchmark
  public Cutting operationsOnAllSides() {
    return Cutting.of(known.metal(), known.plan().wanted().seat(), known.plan().operations());
  }

  @Benchmark
  public List<Finding> wholePlanWithFindings() {
    PlanStudy study = PlanStudy.of(job, place, job.planOf(place), known.found());
    return PlanFindings.of(study.outcome(), practice);
  }

  /** What an edit costs in full: the seat looked at and every other that follows its plan. */
  @Benchmark
  public List<List<Finding>> wholeGroupWithFindings() {
    PlanStudy.of(job, place, job.planOf(place), known.found());
    return GroupOutcome.of(job, place).seats().stream()
        .map(s -> PlanFindings.of(s, practice))
        .toList();
  }
}
