package finebore.cli;

import finebore.bench.FlowTest;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.TestExport;
import finebore.job.Job;
import finebore.reports.CompareReport;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Holds one flow test of a job against another, or prints them all. */
@Command(
    name = "bench",
    description = "Compares two flow tests of a job; without --compare, all its tests as CSV.")
final class BenchCommand implements Callable<Integer> {

  enum Format {
    text,
    csv,
    json
  }

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(
      names = "--compare",
      arity = "2",
      paramLabel = "TEST",
      description = "The test held against, then the other: numbers from 1, or names.")
  private String[] compare;

  @Option(
      names = "--valve-tried",
      description = "The valve is what was changed between the two, so they may be ranked.")
  private boolean valveTried;

  @Option(names = "--format", description = "text (default), csv or json.", defaultValue = "text")
  private Format format;

  @Override
  public Integer call() throws FileProblem {
    Job job = JobFile.read(file).job();
    Terminal.print(spec, compare == null ? TestExport.csv(job) : report(job));
    return 0;
  }

  private String report(Job job) throws FileProblem {
    FlowTest reference = CompareReport.find(job, compare[0]);
    FlowTest found = CompareReport.find(job, compare[1]);
    FlowTest test = valveTried ? found.withValveIsTheChange(true) : found;
    CompareReport report =
        new CompareReport(job.withBench(job.bench().with(test)), reference, test, speech.of(job));
    return switch (format) {
      case text -> report.text();
      case csv -> report.csv();
      case json -> report.json();
    };
  }
}
