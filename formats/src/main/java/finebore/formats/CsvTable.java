package finebore.formats;

import finebore.code.Message;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table out of a text file or off the clipboard: commas, semicolons or tabs between its cells,
 * with or without headings. What stands above the headings is kept apart.
 *
 * @param preamble what stood above the table
 * @param headings one for each column, no two alike; "column 1" and so on where the table has none
 * @param headed whether it had headings
 * @param rows each with its cells and where it stands in the file
 */
public record CsvTable(
    List<String> preamble, List<String> headings, boolean headed, List<Row> rows) {

  /** One row: its number in the file from 1, and its cells. */
  public record Row(long number, List<String> cells) {
    public Row {
      cells = List.copyOf(cells);
    }

    /** A cell, empty where the row ends before it. */
    public String cell(int column) {
      return column < cells.size() ? cells.get(column).strip() : "";
    }

    public String text() {
      return String.join(" | ", cells);
    }

    private long numbers() {
      return cells.stream().filter(CsvTable::isNumber).count();
    }

    private long filled() {
      return cells.stream().filter(c -> !c.isBlank()).count();
    }
  }

  /** What stands above a table is not longer than this, rows. */
  private static final int MOST_PREAMBLE = 40;

  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(\\d+([.,]\\d*)?|[.,]\\d+)([eE][-+]?\\d{1,3})?");

  public CsvTable {
    preamble = List.copyOf(preamble);
    headings = List.copyOf(headings);
    rows = List.copyOf(rows);
  }

  /** Whether a cell is a plain number, with a decimal point or comma. */
  static boolean isNumber(String cell) {
    return NUMBER.matcher(cell.strip()).matches();
  }

  /** Splits a text into its cells. A row that begins with # is a remark. */
  public static CsvTable of(String text) throws FileProblem {
    String bare = text.startsWith("\uFEFF") ? text.substring(1) : text;
    List<Row> rows = rows(bare);
    if (rows.isEmpty()) {
      throw new FileProblem(Message.of("table.empty"));
    }
    int known = knownHeadings(rows);
    int data = known < 0 ? firstData(rows) : known + 1;
    boolean headed =
        known >= 0 || data > 0 && !rows.get(data - 1).cells().stream().allMatch(CsvTable::isNumber);
    int heading = headed ? data - 1 : data;
    List<Row> body = rows.subList(data, rows.size());
    int columns =
        Math.max(
            body.stream().mapToInt(r -> r.cells().size()).max().orElse(0),
            headed ? rows.get(heading).cells().size() : 0);
    List<String> headings = new ArrayList<>();
    Map<String, Integer> seen = new HashMap<>();
    for (int k = 0; k < columns; k++) {
      String own = headed ? rows.get(heading).cell(k).replaceAll("\\s+", " ") : "";
      String name = own.isEmpty() ? "column " + (k + 1) : own;
      int times = seen.merge(name, 1, Integer::sum);
      headings.add(times == 1 ? name : name + " " + times);
    }
    return new CsvTable(
        rows.subList(0, Math.max(0, heading)).stream().map(Row::text).toList(),
        headings,
        headed,
        body);
  }

  /** The row with most headings that are understood, the first of such; -1 where there is none. */
  private static int knownHeadings(List<Row> rows) {
    int best = -1;
    long most = 0;
    for (int k = 0; k < Math.min(MOST_PREAMBLE, rows.size()); k++) {
      long known = rows.get(k).cells().stream().filter(TestImport::isHeading).count();
      if (known > most && rows.get(k).numbers() == 0) {
        best = k;
        most = known;
      }
    }
    return best;
  }

  /**
   * Where the readings begin in a table without known headings: the first row with two numbers in
   * it, or with one where it has no more cells; the row after the first where there is none, so
   * that what is wrong can be said.
   */
  private static int firstData(List<Row> rows) {
    for (int k = 0; k < rows.size(); k++) {
      if (rows.get(k).numbers() >= Math.min(2, rows.get(k).filled())) {
        return k;
      }
    }
    return Math.min(1, rows.size());
  }

  private static List<Row> rows(String text) throws FileProblem {
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(delimiter(text))
            .setIgnoreEmptyLines(true)
            .setCommentMarker('#')
            .get();
    List<Row> rows = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord record : parser) {
        if (record.stream().anyMatch(c -> !c.isBlank())) {
          rows.add(new Row(parser.getCurrentLineNumber(), record.toList()));
        }
      }
    } catch (IOException | UncheckedIOException e) {
      throw new FileProblem(Message.of("table.unreadable").with("cause", FileProblem.cause(e)), e);
    }
    return rows;
  }

  /**
   * What stands between the cells: that which makes most headings understood; otherwise a tab or
   * semicolon where most lines have one, for decimal commas look like delimiters.
   */
  private static char delimiter(String text) {
    List<String> lines = text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).toList();
    char best = ',';
    long most = 1;
    for (char candidate : new char[] {'\t', ';', ','}) {
      long known =
          lines.stream().limit(MOST_PREAMBLE).mapToLong(l -> known(l, candidate)).max().orElse(0);
      if (known > most) {
        best = candidate;
        most = known;
      }
    }
    if (most > 1) {
      return best;
    }
    for (char candidate : new char[] {'\t', ';'}) {
      long with = lines.stream().filter(l -> l.indexOf(candidate) >= 0).count();
      if (2 * with > lines.size()) {
        return candidate;
      }
    }
    return ',';
  }

  private static long known(String line, char delimiter) {
    return Stream.of(line.split(Pattern.quote(String.valueOf(delimiter))))
        .filter(TestImport::isHeading)
        .count();
  }
}
