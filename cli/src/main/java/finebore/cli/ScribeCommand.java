package finebore.cli;

import finebore.card.CardSize;
import finebore.card.ScribeSheet;
import finebore.code.Message;
import finebore.code.Term;
import finebore.drawing.Scribe;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes how far the walls round the valves of a cylinder are to go back. */
@Command(
    name = "scribe",
    description = "The chamber of a seat's cylinder in true size, with how far its walls go back.")
final class ScribeCommand implements Callable<Integer> {

  @Mixin private Speech speech;

  @Mixin private OutputFile output;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--seat", required = true, description = "The seat by its label, for example I1.")
  private String seat;

  @Option(
      names = "--lift",
      paramLabel = "MM",
      description = "Lift at which a wall is to cost nothing, mm, above 0 and up to 50; the cam's.")
  private Double liftMm;

  @Option(names = "--paper", description = "a4 (default) or letter.", defaultValue = "a4")
  private CardCommand.PaperName paper;

  @Override
  public Integer call() throws FileProblem {
    String ending = output.check(".pdf", ".svg", ".dxf", ".txt");
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    SeatPlace place = SeatByLabel.of(job, seat);
    double lift = liftMm == null ? job.group(place.port()).cam().maxLiftMm() : liftMm;
    if (!(lift > 0 && lift <= 50)) {
      throw new FileProblem(Message.of("cli.lift").with("value", Term.quote(String.valueOf(lift))));
    }
    Scribe scribe =
        Scribe.of(job, place, lift, words)
            .orElseThrow(
                () -> new FileProblem(Message.of("scribe.unknown").with("seat", Term.quote(seat))));
    return output.write(
        ScribeSheet.file(
            scribe,
            job,
            place.cylinder(),
            words,
            CardSize.values()[paper.ordinal()],
            ending.substring(1)),
        words);
  }
}
