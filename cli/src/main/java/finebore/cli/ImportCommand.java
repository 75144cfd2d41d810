package finebore.cli;

import finebore.bench.SetUp.TestedState;
import finebore.formats.CsvTable;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.TestImport;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.ColumnUnit;
import finebore.formats.TestImport.Role;
import finebore.formats.TestTaking;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
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

  @Override
  public Integer call() throws FileProblem {
    JobDocument document = JobFile.read(file);
    Job job = document.job();
    CsvTable cells = CsvTable.of(text());
    List<Column> columns = mapped(TestImport.guess(cells));
    PrintWriter out = spec.commandLine().getOut();
    List<Column> unknown = columns.stream().filter(c -> !c.known()).toList();
    if (!unknown.isEmpty()) {
      throw new FileProblem(
          "columns not understood: "
              + unknown.stream()
                  .map(c -> "\"" + c.heading() + "\"")
                  .collect(Collectors.joining(", "))
              + "; say what they hold with --column HEADING=ROLE[:UNIT], ROLE being one of "
              + Arrays.stream(Role.values()).map(Role::words).collect(Collectors.joining(", ")));
    }
    String name = table.getFileName().toString().replaceFirst("\\.[^.]*$", "");
    TestImport.Result result = TestImport.read(cells, columns, name);
    Job grown = TestTaking.into(job, result, place(job), tested());
    if (!grown.equals(job)) {
      JobFile.write(document.withJob(grown), file);
    }
    for (TestImport.Imported test : result.tests()) {
      out.println("took \"" + test.name() + "\": " + test.lifts().size() + " lifts");
    }
    for (TestImport.Rejected row : result.rejected()) {
      out.println("row " + row.row() + " rejected: " + row.reason() + " [" + row.text() + "]");
    }
    out.flush();
    return result.tests().isEmpty() ? 1 : 0;
  }

  private String text() throws FileProblem {
    try {
      return Files.readString(table);
    } catch (IOException e) {
      throw new FileProblem(table + " cannot be read: " + e.getMessage(), e);
    }
  }

  private List<Column> mapped(List<Column> guessed) throws FileProblem {
    List<Column> columns = new ArrayList<>(guessed);
    for (Map.Entry<String, String> entry : given.entrySet()) {
      int at = columns.stream().map(Column::heading).toList().indexOf(entry.getKey());
      if (at < 0) {
        throw new FileProblem("--column: the table has no column \"" + entry.getKey() + "\"");
      }
      columns.set(at, mapped(columns.get(at), entry.getValue()));
    }
    return columns;
  }

  private static Column mapped(Column column, String words) throws FileProblem {
    String[] parts = words.split(":", 2);
    for (Role role : Role.values()) {
      if (role.words().equalsIgnoreCase(parts[0].strip())) {
        Column as = column.as(role);
        if (parts.length == 1) {
          return as;
        }
        for (ColumnUnit unit : ColumnUnit.of(role)) {
          if (unit.symbol().equalsIgnoreCase(parts[1].strip())) {
            return as.in(unit);
          }
        }
        throw new FileProblem(
            "--column: "
                + role.words()
                + " cannot be in \""
                + parts[1]
                + "\"; expected one of "
                + ColumnUnit.of(role).stream()
                    .map(ColumnUnit::symbol)
                    .collect(Collectors.joining(", ")));
      }
    }
    throw new FileProblem("--column: \"" + parts[0] + "\" is not something a column can hold");
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
