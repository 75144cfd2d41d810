package finebore.benchmarks;

import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Job;
import finebore.suggest.Goal;
import finebore.suggest.Search;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Threads;
import org.openjdk.jmh.annotations.Warmup;

/** Candidate plans a second that the search looks at on two cores. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
@Threads(2)
public class SuggestBenchmark {

  private static final int SLICE = 1600;

  @Param({"LOW", "WHOLE", "LIFE"})
  private Goal goal;

  @Param({"skarn-1.6", "gabbro-4.2"})
  private String demo;

  private Search search;

  @org.openjdk.jmh.annotations.Setup
  public void prepare() {
    Job job = JobFile.demo(demo);
    search =
        Search.of(
            job,
            job.engine().seats().getFirst(),
            RackFile.shipped(),
            PracticeFiles.named(job.practice(), PracticeFiles.all()),
            goal);
  }

  @Benchmark
  @OperationsPerInvocation(SLICE)
  public Search.Slice candidates() {
    int slices = search.size() / SLICE;
    int from = SLICE * ThreadLocalRandom.current().nextInt(slices);
    return search.look(from, from + SLICE);
  }
}
