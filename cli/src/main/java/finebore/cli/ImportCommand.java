package finebore.cli;

import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.code.Message;
import finebore.code.Term;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.TableText;
import finebore.formats.TestImport;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.Role;
import finebore.formats.TestTaking;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.units.Unit;
import finebore.words.Words;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Takes flow tests from a CSV file into a job file. */
@Command(
    name = "import",
    description = "Adds the flow tests of a CSV file to a job; rejected rows are listed.")
final class ImportCommand implements Callable<Integer> {

  enum State {
    found,
    finished,
    blended
  }

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Parameters(index = "1", paramLabel = "TEST.csv", description = "The table of readings.")
  private Path table;

  @Option(names = "--seat", description = "Seat that was tested, where the table has none.")
  private String seat;

  @Option(names = "--state", description = "found (default), finished or blended.")
  private State state = State.found;

  @Option(
      names = "--column",
      paramLabel = "HEADING=ROLE[:UNIT]",
      description =
          "What a column holds, where its heading does not say: for example \"A=lift:mm\" or"
              + " \"Q=flow:cfm\".")
  private Map<String, String> given = new LinkedHashMap<>();

  @Option(
      names = "--units-are-right",
      description = "Takes flows that look as if they were in another unit as they are.")
  private boolean unitsAreRight;

  @Override
  public Integer call() throws FileProblem {
    JobDocument document = JobFile.read(file);
    Job job = document.job();
    Words words = speech.of(job);
    CsvTable cells = CsvTable.of(TableText.read(table));
    List<Column> columns = mapped(TestImport.guess(cells));
    Optional<Message> open = TestImport.missing(columns);
    if (open.isPresent()) {
      throw new FileProblem(
          Message.of("cli.columns")
              .with("open", Term.phrase(open.get()))
              .with("roles", Term.quote(roles())));
    }
    String name = table.getFileName().toString().replaceFirst("\\.[^.]*$", "");
    TestImport.Result result = TestImport.read(cells, columns, name);
    TestTaking taking = TestTaking.into(job, result, place(job), tested());
    for (TestTaking.Question question : taking.questions()) {
      if (!unitsAreRight) {
        throw new FileProblem(
            Message.of("cli.mixUp").with("question", Term.phrase(question.message())));
      }
    }
    if (!taking.job().equals(job)) {
      JobFile.save(document.withJob(taking.job()), file);
    }
    for (FlowTest test : taking.tests()) {
      Terminal.println(
          spec, words.text("cli.took", "test", test.name(), "count", test.lifts().size()));
    }
    taking.refused().forEach(refused -> Terminal.println(spec, words.say(refused)));
    for (TestImport.Rejected row : result.rejected()) {
      Terminal.println(
          spec,
          words.text(
              "cli.rejected",
              "row",
              String.valueOf(row.row()),
              "reason",
              words.say(row.reason()),
              "text",
              row.text()));
    }
    return taking.tests().isEmpty() ? 1 : 0;
  }

  private static String roles() {
    return Arrays.stream(Role.values()).map(Role::key).collect(Collectors.joining(", "));
  }

  private List<Column> mapped(List<Column> guessed) throws FileProblem {
    List<Column> columns = new ArrayList<>(guessed);
    for (Map.Entry<String, String> entry : given.entrySet()) {
      int at = columns.stream().map(Column::heading).toList().indexOf(entry.getKey());
      if (at < 0) {
        throw new FileProblem(
            Message.of("cli.noColumn")
                .with("column", Term.quote(entry.getKey()))
                .with(
                    "columns",
                    Term.quote(String.join(", ", columns.stream().map(Column::heading).toList()))));
      }
      columns.set(at, mapped(columns.get(at), entry.getValue()));
    }
    return columns;
  }

  private static Column mapped(Column column, String words) throws FileProblem {
    String[] parts = words.split(":", 2);
    Role role =
        Arrays.stream(Role.values())
            .filter(r -> r.key().equalsIgnoreCase(parts[0].strip()))
            .findFirst()
            .orElseThrow(
                () ->
                    new FileProblem(
                        Message.of("cli.noRole")
                            .with("role", Term.quote(parts[0]))
                            .with("roles", Term.quote(roles()))));
    Column as = column.as(role);
    if (parts.length == 1) {
      return as;
    }
    return role.units().stream()
        .filter(u -> u.symbol().equalsIgnoreCase(parts[1].strip()))
        .findFirst()
        .map(as::in)
        .orElseThrow(
            () ->
                new FileProblem(
                    Message.of("cli.noUnit")
                        .with("role", role)
                        .with("unit", Term.quote(parts[1]))
                        .with(
                            "units",
                            Term.quote(
                                String.join(
                                    ", ", role.units().stream().map(Unit::symbol).toList())))));
  }

  private TestedState tested() {
    return switch (state) {
      case found -> TestedState.AS_FOUND;
      case finished -> TestedState.FINISHED;
      case blended -> new TestedState(TestedState.Kind.BLENDED, 0);
    };
  }

  private SeatPlace place(Job job) throws FileProblem {
    return seat == null ? job.engine().seats().getFirst() : SeatByLabel.of(job, seat);
  }
}
