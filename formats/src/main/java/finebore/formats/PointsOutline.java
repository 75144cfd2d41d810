package finebore.formats;

import finebore.code.Term;
import finebore.formats.OutlineFile.Drawn;
import finebore.formats.Polyline.Place;
import finebore.units.Unit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A chamber's outline as a list: along and across from the bore's centre, a pair a line, with a
 * tab, semicolon, space or comma between them. A line of words above names the unit, mm or in.
 */
final class PointsOutline {

  private PointsOutline() {}

  static Drawn read(String text, String name, Unit usual) throws FileProblem {
    Polyline line = new Polyline();
    Unit unit = usual;
    List<String> rows = text.lines().toList();
    for (int k = 0; k < rows.size(); k++) {
      String row = rows.get(k).strip();
      if (row.isEmpty() || row.startsWith("#")) {
        continue;
      }
      List<String> cells = cells(row);
      if (cells.size() == 2 && cells.stream().allMatch(CsvTable::isNumber)) {
        line.add(number(cells.get(0)), number(cells.get(1)));
      } else if (line.isEmpty() && cells.stream().noneMatch(CsvTable::isNumber)) {
        unit = unitIn(row, unit);
      } else {
        throw new FileProblem(
            FileProblem.of("outlineLine", name)
                .with("line", Term.count(k + 1))
                .with("found", Term.quote(row)));
      }
    }
    if (!line.isEmpty()) {
      Place first = line.places().getFirst();
      line.add(first.x(), first.y());
    }
    return new Drawn(List.of(line), List.of(), unit.toBase(1), Optional.of(new Place(0, 0)));
  }

  private static Unit unitIn(String words, Unit usual) {
    String plain = words.toLowerCase(java.util.Locale.ROOT);
    if (plain.matches(".*\\b(in|inch|inches)\\b.*")) {
      return Unit.INCH;
    }
    return plain.matches(".*\\bmm\\b.*") ? Unit.MM : usual;
  }

  private static List<String> cells(String row) {
    for (String between : new String[] {"\t", ";", ",\\s+", "\\s+", ","}) {
      List<String> cells = Stream.of(row.split(between)).map(String::strip).toList();
      if (cells.size() > 1) {
        return cells;
      }
    }
    return List.of(row);
  }

  private static double number(String cell) {
    return Double.parseDouble(cell.replace(',', '.'));
  }
}
