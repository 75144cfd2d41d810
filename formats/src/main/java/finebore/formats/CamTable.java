package finebore.formats;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.flow.CamLift;
import finebore.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A cam's lifts as typed, or pasted out of a spreadsheet: crank degrees and lift at the valve, one
 * pair a line, with a tab, semicolon, comma or space between them. Lines of words above the first
 * pair are headings; the unit of lift that one of them names is obeyed.
 */
public final class CamTable {

  private CamTable() {}

  /**
   * Reads a table.
   *
   * @param usual the unit of lift where none is named
   * @throws FileProblem naming the line that is no pair of numbers, or the unit that is none
   * @throws RuleViolation if the pairs are no cam
   */
  public static CamLift read(String text, Unit usual) throws FileProblem {
    List<String> lines = text.lines().toList();
    List<CamLift.Step> steps = new ArrayList<>();
    Unit unit = usual;
    for (int k = 0; k < lines.size(); k++) {
      String line = lines.get(k).strip();
      if (line.isEmpty() || line.startsWith("#")) {
        continue;
      }
      List<String> cells = cells(line);
      if (cells.size() == 2 && cells.stream().allMatch(CsvTable::isNumber)) {
        steps.add(new CamLift.Step(number(cells.get(0)), unit.toBase(number(cells.get(1)))));
      } else if (steps.isEmpty() && cells.stream().noneMatch(CsvTable::isNumber)) {
        unit = unitIn(cells).orElse(unit);
      } else {
        throw new FileProblem(
            Message.of("cam.line").with("line", Term.count(k + 1)).with("found", Term.quote(line)));
      }
    }
    return CamLift.measured(steps);
  }

  private static Optional<Unit> unitIn(List<String> headings) throws FileProblem {
    for (String heading : headings) {
      TestImport.Column column = TestImport.guess(heading);
      TestImport.Column lift = column.as(TestImport.Role.LIFT);
      if (lift.unit().isPresent()) {
        return lift.unit();
      }
      if (column.role().equals(lift.role()) && !lift.saidUnit().isEmpty()) {
        throw new FileProblem(lift.question().orElseThrow());
      }
    }
    return Optional.empty();
  }

  private static List<String> cells(String line) {
    for (String between : new String[] {"\t", ";", "\\s+", ","}) {
      List<String> cells = Stream.of(line.split(between)).map(String::strip).toList();
      if (cells.size() > 1) {
        // Commas stand for decimal points in one table and between the cells of another.
        return cells.stream().map(c -> c.replaceAll(",$", "")).toList();
      }
    }
    return List.of(line);
  }

  private static double number(String cell) {
    return Double.parseDouble(cell.replace(',', '.'));
  }

  /** Writes a table as it would be typed. */
  public static String written(CamLift cam, Unit unit) {
    StringBuilder text = new StringBuilder();
    for (CamLift.Step step : cam.table()) {
      text.append(
          String.format(
              Locale.ROOT,
              "%s\t%s%n",
              trimmed(step.crankDeg(), 3),
              trimmed(unit.fromBase(step.liftMm()), 5)));
    }
    return text.toString();
  }

  private static String trimmed(double value, int digits) {
    String text = String.format(Locale.ROOT, "%." + digits + "f", value);
    return text.replaceAll("\\.?0+$", "");
  }
}
