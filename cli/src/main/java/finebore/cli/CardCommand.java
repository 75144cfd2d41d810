package finebore.cli;

import finebore.card.CardPart;
import finebore.card.CardSize;
import finebore.card.JobCard;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Job;
import finebore.words.Words;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes the job card. */
@Command(name = "card", description = "The job card of a head, as PDF.")
final class CardCommand implements Callable<Integer> {

  @Mixin private Speech speech;

  @Mixin private ShopPractices practices;

  @Mixin private OutputFile output;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--paper", description = "a4 (default) or letter.", defaultValue = "a4")
  private PaperName paper;

  @Option(
      names = "--with",
      paramLabel = "PART",
      split = ",",
      description = "Further parts: run, history, quote.")
  private List<PartName> with = List.of();

  @Option(
      names = "--without",
      paramLabel = "PART",
      split = ",",
      description = "Parts to leave out: drawings, operations, seal, flow, signature.")
  private List<PartName> without = List.of();

  enum PaperName {
    a4,
    letter
  }

  enum PartName {
    drawings,
    operations,
    run,
    seal,
    flow,
    history,
    quote,
    signature;

    CardPart part() {
      return CardPart.values()[ordinal()];
    }
  }

  @Override
  public Integer call() throws FileProblem {
    output.check(".pdf");
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    Set<CardPart> parts = EnumSet.copyOf(CardPart.usual());
    with.forEach(p -> parts.add(p.part()));
    without.forEach(p -> parts.remove(p.part()));
    byte[] pdf =
        JobCard.pdf(
            job,
            words,
            PracticeFiles.named(job.practice(), practices.here(words)),
            new JobCard.Issued(
                LocalDate.now(),
                ZoneId.systemDefault(),
                CardSize.values()[paper.ordinal()],
                parts));
    return output.write(pdf, words);
  }
}
