package finebore.benchmarks;

import finebore.flow.Calibration;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.study.SeatStudy;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One solved point of the demo's first intake, cold, and begun from a neighbour. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 1, time = 3)
@Measurement(iterations = 2, time = 3)
@Fork(1)
public class AirBenchmark {

  @Param({"0.5", "1", "3", "8"})
  public double liftMm;

  @Param({"EVEN", "TRANSPORT"})
  public Turbulence turbulence;

  @Param({"COARSE", "FULL"})
  public Fineness fineness;

  private AirQuestion question;
  private AirFlow neighbour;

  /** The demo's intake, and a flow of a little more lift. */
  @Setup
  public void lay() {
    Job job = JobFile.demo();
    SeatStudy found =
        PlanStudy.asFound(job, job.engine().seats().getFirst(), Calibration.SEAT_ALONE);
    question = found.airAt(liftMm, turbulence, fineness);
    neighbour = AirSolver.solve(found.airAt(1.02 * liftMm, turbulence, fineness));
  }

  @Benchmark
  public AirFlow cold() {
    return AirSolver.solve(question);
  }

  @Benchmark
  public AirFlow warm() {
    return AirSolver.solve(question, Optional.of(neighbour), () -> false);
  }
}
