package finebore.cli;

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

/** Writes a seat's section, or the cutter for it, for a tool grinder or CAD. */
@Command(
    name = "dxf",
    description = "Found, planned and finished profile of a seat, or its form cutter, as DXF.")
final class DxfCommand implements Callable<Integer> {

  @Mixin private Speech speech;

  @Mixin private OutputFile output;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--seat", required = true, description = "The seat by its label, for example I1.")
  private String seat;

  @Option(names = "--cutter", description = "The outline of the form cutter instead.")
  private boolean cutter;

  @Override
  public Integer call() throws FileProblem {
    output.check(".dxf");
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    String dxf = JobDrawings.dxf(job, SeatByLabel.of(job, seat), words, cutter);
    return output.write(dxf.getBytes(StandardCharsets.US_ASCII), words);
  }
}
