package finebore.benchmarks;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.job.Port;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** A job with 500 flow tests of 20 lifts, each lift read twice. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class BenchBenchmark {

  private static final int TESTS = 500;
  private static final int LIFTS = 20;

  private Job job;
  private Path file;
  private TestBook book;

  @Setup
  public void fill() throws IOException, FileProblem {
    job = many(JobFile.demo());
    book = TestBook.of(job);
    file = Files.createTempFile("many", JobFile.EXTENSION);
    JobFile.write(JobDocument.fresh(job), file);
  }

  @TearDown
  public void remove() throws IOException {
    Files.deleteIfExists(file);
  }

  private static Job many(Job demo) {
    FlowTest found = demo.bench().tests().getFirst();
    List<FlowTest> tests = new ArrayList<>();
    for (int id = 1; id <= TESTS; id++) {
      List<LiftReadings> lifts = new ArrayList<>();
      for (int k = 1; k <= LIFTS; k++) {
        double flow = 0.06 * (1 - Math.exp(-k / 8.0)) * (1 + 0.0001 * id);
        lifts.add(
            LiftReadings.of(
                0.6 * k, List.of(reading(flow), reading(flow * (1 + 0.001 * (k % 3))))));
      }
      tests.add(
          FlowTest.empty(id, "test " + id, found.setUp())
              .withAir(found.air())
              .withDate(found.date())
              .withStep(id == 1 ? Optional.empty() : Optional.of(id - 1), "a step", false)
              .withPredicted(
                  lifts.stream().map(l -> new FlowTest.Predicted(l.liftMm(), 0.05, 0.02)).toList())
              .withLifts(lifts));
    }
    return demo.withBench(new BenchBook(demo.bench().ranges(), tests));
  }

  private static BenchReading reading(double flow) {
    return new BenchReading(
        flow, Optional.empty(), OptionalDouble.of(6974), OptionalDouble.of(21.5));
  }

  /** The file read, all tests brought to standard, the model calibrated and scored. */
  @Benchmark
  public PredictionConfidence open() throws FileProblem {
    Job read = JobFile.read(file).job();
    TestBook.of(read);
    return PredictionConfidence.of(read, Port.INTAKE);
  }

  /** All tests brought to standard, the noise of the bench, and two of them compared. */
  @Benchmark
  public Comparison compareTwo() {
    TestBook fresh = TestBook.of(job);
    return fresh.compare(job.bench().tests().getFirst(), job.bench().tests().getLast());
  }

  /** Each test held against the first. */
  @Benchmark
  public List<Comparison> compareAll() {
    FlowTest first = job.bench().tests().getFirst();
    return job.bench().tests().stream().map(t -> book.compare(first, t)).toList();
  }
}
