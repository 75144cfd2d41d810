package finebore.benchmarks;

import finebore.cutting.SectionDifference;
import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.SeatFindings;
import finebore.study.FlowSetting;
import finebore.study.SeatFit;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
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
  private final Practice practice = PracticeFiles.named(job.practice(), PracticeFiles.all());
  private final FlowSetting setting =
      new FlowSetting(
          Direction.INTAKE,
          IntStream.rangeClosed(1, 16).mapToObj(k -> 0.75 * k).toList(),
          java.util.Optional.of(job.intake().cam()),
          job.test().depressionPa(),
          Calibration.UNCALIBRATED,
          java.util.OptionalDouble.empty(),
          java.util.Optional.empty());

  @Benchmark
  public List<Finding> fullStudyOf16Lifts() {
    SeatStudy study = SeatStudy.of(SeatFit.of(planned), setting);
    return SeatFindings.of("I1", Port.INTAKE, study.fit(), study.readings(), practice);
  }

  @Benchmark
  public SectionDifference removedMetal() {
    SeatStudy found = SeatStudy.of(SeatFit.of(job.intake().found()), setting);
    return SectionDifference.between(
        found.seat().profile(), SeatStudy.of(SeatFit.of(planned), setting).seat().profile());
  }
}
