package finebore.cli;

import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.SafeFile;
import finebore.job.Job;
import finebore.reports.CutSheets;
import finebore.reports.RunSheets;
import finebore.words.Words;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes the cut sheet of a job. */
@Command(name = "cutsheet", description = "The operations in order with their settings.")
final class CutSheetCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Mixin private ShopPractices practices;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "OUT",
      description = "Where to write it; ends in .csv or .txt.")
  private Path output;

  @Option(names = "--run", description = "The whole work in its order, seat by seat.")
  private boolean run;

  @Override
  public Integer call() throws FileProblem {
    String name = output.toString().toLowerCase(Locale.ROOT);
    if (!name.endsWith(".csv") && !name.endsWith(".txt")) {
      throw new FileProblem(
          Message.of("file.wrongEnding")
              .with("file", Term.quote(output.toString()))
              .with("endings", Term.quote(".csv, .txt")));
    }
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    String sheet = run ? run(job, words, name) : byOperation(job, words, name);
    SafeFile.write(output, sheet.getBytes(StandardCharsets.UTF_8), false);
    Terminal.println(spec, words.text("cli.wrote", "file", output.toString()));
    return 0;
  }

  private String byOperation(Job job, Words words, String name) {
    CutSheets sheets =
        new CutSheets(job, words, PracticeFiles.named(job.practice(), practices.here(words)));
    return name.endsWith(".csv") ? sheets.csv() : sheets.text();
  }

  private String run(Job job, Words words, String name) {
    RunSheets sheets =
        new RunSheets(job, words, PracticeFiles.named(job.practice(), practices.here(words)));
    return name.endsWith(".csv") ? sheets.csv() : sheets.text();
  }
}
