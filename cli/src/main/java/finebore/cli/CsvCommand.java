package finebore.cli;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.ReadingsTable;
import finebore.formats.SafeFile;
import finebore.formats.TableText;
import finebore.words.Words;
import finebore.work.WorkLog;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes every reading of a job as a table, or takes those of a table in. */
@Command(
    name = "csv",
    description = "Every reading of a job as CSV, or readings of a CSV taken in.")
final class CsvCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @ArgGroup(multiplicity = "1")
  private Way way;

  /** Out or in. */
  static final class Way {
    @Option(
        names = {"-o", "--output"},
        paramLabel = "OUT",
        description = "Where to write them.")
    private Path output;

    @Option(names = "--in", paramLabel = "TABLE", description = "A table to take into the job.")
    private Path table;
  }

  @Option(names = "--who", description = "Whose hand took them, for the history.")
  private String who = "";

  @Override
  public Integer call() throws FileProblem {
    JobDocument document = JobFile.read(file);
    Words words = speech.of(document.job());
    if (way.output != null) {
      byte[] table = ReadingsTable.csv(document.job()).getBytes(StandardCharsets.UTF_8);
      SafeFile.write(way.output, table, false);
      Terminal.println(spec, words.text("cli.wrote", "file", way.output.toString()));
      return 0;
    }
    ReadingsTable.In in =
        ReadingsTable.read(
            document.job(), TableText.read(way.table), new WorkLog.Hand(Instant.now(), who));
    JobFile.save(document.withJob(in.job()), file);
    Terminal.println(
        spec, words.text("record.csvIn.taken", "found", in.found(), "machine", in.atMachine()));
    return 0;
  }
}
