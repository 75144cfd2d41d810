package finebore.cli;

import finebore.flow.field.KnownAir;
import finebore.formats.AirStore;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.reports.StudyCsv;
import finebore.reports.StudyFacts;
import finebore.reports.StudyJson;
import finebore.reports.StudyText;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints everything a study of one group of seats says. */
@Command(
    name = "study",
    description = "Readings, contact, gate, losses and flow of a group of seats.")
final class StudyCommand implements Callable<Integer> {

  enum Format {
    text,
    csv,
    json
  }

  enum State {
    found,
    planned
  }

  enum GroupName {
    intake,
    exhaust
  }

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Mixin private ShopPractices practices;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--group", description = "intake (default) or exhaust.", defaultValue = "intake")
  private GroupName group;

  @Option(
      names = "--seat",
      description = "One seat by its label, for example E3; every seat of the group otherwise.")
  private String seat;

  @Option(names = "--plan", description = "planned (default) or found.", defaultValue = "planned")
  private State plan;

  @Option(names = "--format", description = "text (default), csv or json.", defaultValue = "text")
  private Format format;

  @Override
  public Integer call() throws FileProblem {
    JobDocument document = JobFile.read(file);
    Job job = document.job();
    StudyFacts.State state =
        plan == State.found ? StudyFacts.State.FOUND : StudyFacts.State.PLANNED;
    Port port = group == GroupName.intake ? Port.INTAKE : Port.EXHAUST;
    Words words = speech.of(job);
    List<Practice> here = practices.here(words);
    KnownAir air = AirStore.of(document.solvedAir());
    StudyFacts facts =
        seat == null
            ? StudyFacts.of(job, port, state, here, air)
            : StudyFacts.of(job, SeatByLabel.of(job, seat), state, here, air);
    Terminal.print(
        spec,
        switch (format) {
          case text -> StudyText.of(facts, words);
          case csv -> StudyCsv.of(facts, words);
          case json -> StudyJson.of(facts, words);
        });
    return 0;
  }
}
