package finebore.formats;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table out of a text file or off the clipboard: commas, semicolons or tabs between its cells,
 * with or without headings.
 *
 * @param headings one for each column; "column 1" and so on where the table has none
 * @param rows each with its cells and where it stands in the file
 */
public record CsvTable(List<String> headings, List<Row> rows) {

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
  }

  public CsvTable {
    headings = List.copyOf(headings);
    rows = List.copyOf(rows);
  }

  /** Splits a text into its cells. A row that begins with # is a remark. */
  public static CsvTable of(String text) throws FileProblem {
    String bare = text.startsWith("\uFEFF") ? text.substring(1) : text;
    List<Row> rows = new ArrayList<>();
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(delimiter(bare))
            .setIgnoreEmptyLines(true)
            .setCommentMarker('#')
            .get();
    try (CSVParser parser = CSVParser.parse(new StringReader(bare), format)) {
      for (CSVRecord record : parser) {
        if (record.stream().anyMatch(c -> !c.isBlank())) {
          rows.add(new Row(parser.getCurrentLineNumber(), record.toList()));
        }
      }
    } catch (IOException | UncheckedIOException e) {
      throw new FileProblem("the table cannot be read: " + e.getMessage(), e);
    }
    if (rows.isEmpty()) {
      throw new FileProblem("the table is empty: expected a row of headings and rows of readings");
    }
    int columns = rows.stream().mapToInt(r -> r.cells().size()).max().orElseThrow();
    boolean headed = rows.getFirst().cells().stream().anyMatch(CsvTable::isWords);
    List<String> headings = new ArrayList<>();
    for (int k = 0; k < columns; k++) {
      String heading = headed ? rows.getFirst().cell(k) : "";
      headings.add(heading.isEmpty() ? "column " + (k + 1) : heading);
    }
    return new CsvTable(headings, headed ? rows.subList(1, rows.size()) : rows);
  }

  private static boolean isWords(String cell) {
    return cell.chars().anyMatch(Character::isLetter);
  }

  /**
   * What stands most often in the first line that is no remark; a tab or semicolon before a comma.
   */
  private static char delimiter(String text) {
    String first =
        text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).findFirst().orElse("");
    if (first.indexOf('\t') >= 0) {
      return '\t';
    }
    return first.indexOf(';') >= 0 ? ';' : ',';
  }
}
