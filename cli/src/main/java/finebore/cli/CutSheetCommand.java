package finebore.cli;

import finebore.formats.CutSheetFile;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.SafeFile;
import finebore.job.Job;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes the cut sheet of a job. */
@Command(name = "cutsheet", description = "The operations in order with their settings.")
final class CutSheetCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "OUT",
      description = "Where to write it; ends in .csv or .txt.")
  private Path output;

  @Override
  public Integer call() throws FileProblem {
    String name = output.getFileName().toString().toLowerCase(Locale.ROOT);
    if (!name.endsWith(".csv") && !name.endsWith(".txt")) {
      throw new FileProblem(output + ": expected a name that ends in .csv or .txt");
    }
    Job job = JobFile.read(file).job();
    String sheet = name.endsWith(".csv") ? CutSheetFile.csv(job) : CutSheetFile.text(job);
    SafeFile.write(output, sheet.getBytes(StandardCharsets.UTF_8), false);
    spec.commandLine().getOut().println("wrote " + output);
    spec.commandLine().getOut().flush();
    return 0;
  }
}
