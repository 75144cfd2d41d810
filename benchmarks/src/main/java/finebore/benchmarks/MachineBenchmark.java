package finebore.benchmarks;

import finebore.card.CardPart;
import finebore.card.CardSize;
import finebore.card.JobCard;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.machine.StepState;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Words;
import finebore.work.WorkIndex;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** The machine's side of a head of 32 valves. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class MachineBenchmark {

  private Job job;
  private RunSheet sheet;

  /** Sixteen cylinders, two valves each. */
  @Setup
  public void prepare() {
    Job skarn = JobFile.demo();
    job = skarn.withEngine(skarn.engine().withCylinders(16));
    sheet = RunSheet.of(job);
  }

  /** A plan has changed: everything is carried out and put in order anew. */
  @Benchmark
  public RunSheet sheetAfterAPlanChanged() {
    return RunSheet.of(job);
  }

  /** A guide or a lapped ring was read, which sets figures of later steps. */
  @Benchmark
  public RunSheet sheetAfterAReading() {
    return RunSheet.of(job, sheet.groups());
  }

  /** How far every step has come. */
  @Benchmark
  public long states() {
    WorkIndex log = WorkIndex.of(job.log());
    return sheet.steps().stream().filter(s -> StepState.of(log, s).isPast()).count();
  }

  /** The card of a usual head, with all that can be on it. */
  @Benchmark
  public byte[] card() {
    Job four = JobFile.demo();
    return JobCard.pdf(
        four,
        Words.of(Language.ENGLISH, Units.MM),
        PracticeFiles.named(four.practice(), PracticeFiles.all()),
        new JobCard.Issued(
            LocalDate.of(2026, 3, 20), ZoneOffset.UTC, CardSize.A4, CardPart.usual()));
  }
}
