package finebore.desk;

import finebore.cli.Commands;
import finebore.code.Message;
import finebore.code.Term;
import finebore.desk.prove.ProveStation;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.reports.AirColours;
import finebore.words.Language;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Opens the desk from the command line, or takes a picture of it. */
@Command(
    name = "finebore",
    subcommands = {Main.Demo.class, Main.Open.class})
public final class Main {

  private Main() {}

  public static void main(String[] arguments) {
    if (opensWindow(arguments)) {
      Toolkit.begin();
    }
    int code = commands().execute(arguments);
    if (code != 0) {
      System.exit(code);
    }
  }

  static CommandLine commands() {
    return Commands.withManners(new CommandLine(new Main()));
  }

  private static boolean opensWindow(String[] arguments) {
    List<String> words = List.of(arguments);
    return words.contains("demo") || words.contains("open");
  }

  /** An option that has been given something else than it takes. */
  static FileProblem unexpected(String option, String expected, String found) {
    return new FileProblem(
        Message.of("cli.unexpected")
            .with("option", Term.quote(option))
            .with("expected", Term.quote(expected))
            .with("found", Term.quote(found)));
  }

  /** Options of a picture. */
  static final class Picture {
    static final List<String> STATIONS =
        Stream.concat(
                Stream.of(
                    "job",
                    "found",
                    "plan",
                    "variants",
                    "suggest",
                    "room",
                    "sizes",
                    "clearance",
                    "series",
                    "chamber",
                    "practices",
                    "cutters",
                    "cut",
                    "record",
                    "shop",
                    "history"),
                ProveStation.VIEWS.stream())
            .toList();

    @Option(names = "--shot", paramLabel = "OUT.png", description = "Writes a picture and exits.")
    private Path shot;

    @Option(
        names = "--station",
        defaultValue = "plan",
        description = "Which view: job, found, plan, variants, suggest, prove, ladder or bench.")
    private String station;

    @Option(names = "--air", description = "Shows solved air in the plan: speed or lost.")
    private AirLayer air;

    enum AirLayer {
      speed,
      lost
    }

    @Option(names = "--test", description = "Which flow test is looked at, from 1.")
    private Integer test;

    @Option(
        names = "--operation",
        description = "Shows the metal after so many operations; 0 is as found.")
    private Integer operation;

    @Option(
        names = "--seat",
        description = "Which seat, for example I1 or E2; the first otherwise.")
    private String seat;

    @Option(
        names = "--size",
        defaultValue = "1280x800",
        description = "Width and height in pixels.")
    private String size;

    @Option(names = "--theme", defaultValue = "paper", description = "paper or dark.")
    private String theme;

    @Option(names = "--units", description = "mm or inch; the job's own otherwise.")
    private String units;

    @Option(
        names = "--lift",
        defaultValue = "3 mm",
        description = "Lift of the lever, with its unit.")
    private String lift;

    @Option(names = "--found", description = "The found state instead of the planned.")
    private boolean found;

    @Option(
        names = "--text",
        defaultValue = "100",
        description = "Text size in percent, 100 to 150.")
    private int text;

    @Option(names = "--language", description = "Language of the window, such as en or de.")
    private String language;

    private Optional<Language> spoken() throws FileProblem {
      if (language == null) {
        return Optional.empty();
      }
      Optional<Language> found = Language.of(language);
      if (found.isEmpty()) {
        throw unexpected(
            "--language",
            String.join(", ", Language.all().stream().map(Language::tag).toList()),
            language);
      }
      return found;
    }

    private static void within(String option, int value, int least, int most) throws FileProblem {
      if (value < least || value > most) {
        throw unexpected(option, least + " .. " + most, Integer.toString(value));
      }
    }

    Integer run(JobDocument document, Optional<Path> file) throws FileProblem {
      if (shot == null) {
        DeskStart.open(Optional.of(document), file, spoken());
        return 0;
      }
      if (!STATIONS.contains(station)) {
        throw unexpected("--station", String.join(", ", STATIONS), station);
      }
      if (operation != null) {
        SeatPlace first = document.job().engine().seats().getFirst();
        within("--operation", operation, 0, document.job().planOf(first).steps().size());
      }
      if (test != null) {
        within("--test", test, 1, document.job().bench().tests().size());
      }
      within("--text", text, 100, 150);
      if (!theme.equals("paper") && !theme.equals("dark")) {
        throw unexpected("--theme", "paper, dark", theme);
      }
      Shot.take(
          shot,
          new Shot.View(
              document,
              file,
              Optional.ofNullable(seat),
              size,
              Theme.byId(theme),
              Optional.ofNullable(units),
              lift,
              found,
              text,
              station,
              Optional.ofNullable(operation),
              Optional.ofNullable(test),
              Optional.ofNullable(air)
                  .map(a -> AirColours.Layer.valueOf(a.name().toUpperCase(Locale.ROOT))),
              spoken().orElse(Language.ENGLISH)));
      return 0;
    }
  }

  /** Opens the demo job. */
  @Command(name = "demo", description = "Opens the demo job.")
  static final class Demo implements Callable<Integer> {
    @CommandLine.Mixin private Picture picture;

    @Option(
        names = "--job",
        defaultValue = "skarn-1.6",
        description = "Which demo job: skarn-1.6, tuff-650, gabbro-4.2 or dolerite-2.0.")
    private String job;

    @Override
    public Integer call() throws FileProblem {
      if (!JobFile.demoNames().contains(job)) {
        throw unexpected("--job", String.join(", ", JobFile.demoNames()), job);
      }
      return picture.run(JobDocument.fresh(JobFile.demo(job)), Optional.empty());
    }
  }

  /** Opens a job file, or the last job. */
  @Command(name = "open", description = "Opens a job file, or the last job.")
  static final class Open implements Callable<Integer> {
    @Parameters(index = "0", arity = "0..1", paramLabel = "FILE")
    private Path file;

    @CommandLine.Mixin private Picture picture;

    @Override
    public Integer call() throws FileProblem {
      if (file == null && picture.shot == null) {
        DeskStart.open(Optional.empty(), Optional.empty(), picture.spoken());
        return 0;
      }
      if (file == null) {
        throw unexpected("FILE", "open FILE --shot " + picture.shot, "");
      }
      return picture.run(JobFile.read(file), Optional.of(file));
    }
  }
}
