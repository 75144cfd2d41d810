package finebore.cli;

import finebore.code.Message;
import finebore.code.Term;
import finebore.drawing.JobDrawings;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.words.Words;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes the section of a seat as a picture of lines. */
@Command(name = "svg", description = "The section of a seat with its dimensions, as SVG.")
final class SvgCommand implements Callable<Integer> {

  @Mixin private Speech speech;

  @Mixin private OutputFile output;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--seat", required = true, description = "The seat by its label, for example I1.")
  private String seat;

  @Option(
      names = "--lift",
      paramLabel = "MM",
      description = "How far the valve stands open, mm, 0 (default) to 50.",
      defaultValue = "0")
  private double liftMm;

  @Override
  public Integer call() throws FileProblem {
    output.check(".svg");
    if (!(liftMm >= 0 && liftMm <= 50)) {
      throw new FileProblem(
          Message.of("cli.liftOrShut").with("value", Term.quote(String.valueOf(liftMm))));
    }
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    String svg = JobDrawings.svg(job, SeatByLabel.of(job, seat), words, liftMm);
    return output.write(svg.getBytes(StandardCharsets.UTF_8), words);
  }
}
