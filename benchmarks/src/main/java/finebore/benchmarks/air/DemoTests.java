package finebore.benchmarks.air;

import finebore.bench.BenchBook;
import finebore.bench.BenchReading;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestedSeat;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.instruments.BenchRun;
import finebore.instruments.FlowBench;
import finebore.instruments.RunJournal;
import finebore.instruments.Sample;
import finebore.instruments.SeatAlone;
import finebore.instruments.SimulatedBench;
import finebore.instruments.SimulatedHead;
import finebore.instruments.SimulatedLink;
import finebore.instruments.Taken;
import finebore.instruments.Takings;
import finebore.job.Job;
import finebore.job.Port;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Takes the flow tests of the demo jobs anew, {@code FILE...}: on the simulated bench, with heads
 * whose seats are solved, by the closure that the program does not go by. Each test is predicted
 * from those before it alone.
 */
public final class DemoTests {

  private DemoTests() {}

  /** Runs. */
  public static void main(String[] arguments) throws IOException, FileProblem {
    for (String name : arguments) {
      Path file = Path.of(name);
      JobDocument document = JobFile.read(file);
      Job was = document.job();
      Job job = was.withBench(new BenchBook(was.bench().ranges(), List.of()));
      for (FlowTest test : was.bench().tests()) {
        job = job.withBench(job.bench().with(taken(predicted(test, job), job)));
        System.out.println(name + " " + test.name());
      }
      JobFile.write(document.withJob(job), file);
    }
  }

  private static FlowTest predicted(FlowTest test, Job before) {
    if (test.predicted().isEmpty()) {
      return test;
    }
    List<Double> lifts = test.predicted().stream().map(FlowTest.Predicted::liftMm).toList();
    return test.withPredicted(
        TestedSeat.predict(
            before,
            test.setUp(),
            lifts,
            PredictionConfidence.of(before, Port.of(test.setUp().direction()))));
  }

  /** The test with readings of a run in place of those it had, as many at each lift. */
  private static FlowTest taken(FlowTest test, Job job) throws IOException {
    long seed = job.name().hashCode();
    SimulatedBench bench =
        new SimulatedBench(SimulatedHead.of(job, test.setUp(), seed, SeatAlone.SOLVED), seed);
    int repeats = test.lifts().stream().mapToInt(l -> l.readings().size()).max().orElse(1);
    FlowTest[] fresh = {test.withLifts(List.of()).withAir(Optional.empty())};
    BenchBook book = job.bench();
    Path folder = Files.createTempDirectory("finebore-demo");
    new BenchRun(
            new FlowBench(new SimulatedLink(bench), Duration.ofMillis(50)),
            new RunJournal.Plan(
                test.id(),
                test.lifts().stream().map(LiftReadings::liftMm).toList(),
                repeats,
                test.setUp().depressionPa().orElse(job.test().depressionPa())),
            folder.resolve("demo.run"),
            BenchRun.Pace.NONE,
            new BenchRun.Listener() {
              @Override
              public void sample(Sample sample, double settled) {
                // Only what is taken counts.
              }

              @Override
              public void taken(Taken taken) {
                fresh[0] = Takings.into(fresh[0], taken, book);
              }

              @Override
              public void plate(String range, CheckPlate plate, Sample reading) {
                throw new IllegalStateException(range);
              }
            })
        .run();
    List<LiftReadings> lifts = new ArrayList<>();
    for (LiftReadings old : test.lifts()) {
      List<BenchReading> readings = fresh[0].noted(old.liftMm()).readings();
      lifts.add(
          old.withReadings(
              readings.stream()
                  .limit(Math.max(1, old.readings().size()))
                  .map(r -> asNoted(r, old))
                  .toList()));
    }
    FlowTest done = fresh[0].withLifts(lifts);
    return test.air().isPresent() ? done : done.withAir(test.air());
  }

  /** With no more written down than was: an old notebook has neither depression nor warmth. */
  private static BenchReading asNoted(BenchReading reading, LiftReadings old) {
    boolean bare = old.readings().stream().allMatch(r -> r.depressionPa().isEmpty());
    return bare
        ? new BenchReading(
            reading.value(), reading.range(), OptionalDouble.empty(), OptionalDouble.empty())
        : reading;
  }
}
