package finebore.benchmarks;

import finebore.flow.Gate;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.ShelfFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.CutStudy;
import finebore.planning.PlanStudy;
import finebore.planning.SeatClearance;
import finebore.practice.Practice;
import finebore.room.Shroud;
import finebore.sizes.ShelfValve;
import finebore.sizes.SizeStudy;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What stands round one valve, at 16 lifts and in 72 directions. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class RoomBenchmark {

  private final Job job = JobFile.demo("dolerite-2.0");
  private final SeatPlace seat = job.engine().seats().getFirst();
  private final SeatStudy study =
      PlanStudy.asFound(job, seat, finebore.flow.Calibration.UNCALIBRATED);
  private final PlanStudy plan = PlanStudy.of(job, seat, job.planOf(seat), study);
  private final CutStudy cut = plan.cut();
  private final Practice practice =
      PracticeFiles.all().stream()
          .filter(p -> p.id().equals(job.practice()))
          .findFirst()
          .orElseThrow();
  private final List<ShelfValve> shelf = ShelfFile.shipped();
  private final double[] lifts = IntStream.rangeClosed(1, 16).mapToDouble(k -> 0.7 * k).toArray();

  /** Gates included. */
  @Benchmark
  public List<Shroud> shroudOf16Lifts() {
    List<Shroud> all = new ArrayList<>();
    for (double lift : lifts) {
      Gate gate = Gate.between(study.seat().profile(), study.valveAt(lift));
      all.add(study.fit().shroud(gate, lift, study.setting()).orElseThrow());
    }
    return all;
  }

  /** Valve to piston and to the other valves over the crank, found and planned, with its steps. */
  @Benchmark
  public List<SeatClearance> clearances() {
    return SeatClearance.of(cut);
  }

  /** What fits, the next size, and sixteen valves of the shelf brought in and estimated. */
  @Benchmark
  public SizeStudy sizes() {
    return SizeStudy.of(plan, practice, shelf);
  }
}
