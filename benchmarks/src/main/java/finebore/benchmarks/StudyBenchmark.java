package finebore.benchmarks;

import finebore.cutting.SectionDifference;
import finebore.flow.Calibration;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Job;
import finebore.job.Pairing;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.practice.Finding;
import finebore.practice.Findings;
import finebore.practice.Practice;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.OptionalDouble;
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

/**
 * A full study of one seat at 16 lifts: section, contact, gates, losses, bands' flows, findings.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class StudyBenchmark {

  private final Job job = JobFile.demo();
  private final Pairing planned = job.intake().planned();
  private final Practice practice = PracticeFiles.orDefault(job.practice());
  private final SeatStudy.Frame frame =
      new SeatStudy.Frame(
          Port.INTAKE,
          new TestPlan(
              IntStream.rangeClosed(1, 16).mapToObj(k -> 0.75 * k).toList(),
              job.test().depressionPa(),
              job.test().bands()),
          Calibration.UNCALIBRATED,
          OptionalDouble.of(-8.3));

  @Benchmark
  public List<Finding> fullStudyOf16Lifts() {
    SeatStudy study = SeatStudy.of(planned, frame);
    return Findings.of(study, practice, Port.INTAKE, job.units());
  }

  @Benchmark
  public SectionDifference removedMetal() {
    SeatStudy found = SeatStudy.of(job.intake().found(), frame);
    return SectionDifference.between(
        found.seat().profile(), SeatStudy.of(planned, frame).seat().profile());
  }
}
