package finebore.formats;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.units.Unit;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Flow tests out of a table, described in docs/bench-csv.md: one row for each reading, or one row
 * for each lift with a column for each test.
 */
public final class TestImport {

  private TestImport() {}

  /** What a column holds. */
  public enum Role {
    IGNORE("leave out"),
    TEST("test"),
    SEAT("seat"),
    LIFT("lift"),
    FLOW("flow"),
    PERCENT("% of range"),
    RANGE("range"),
    DEPRESSION("depression"),
    TEMPERATURE("temperature"),
    NOISY("noisy"),
    SWIRL("swirl"),
    REMARKS("remarks");

    private final String words;

    Role(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** The units a column may be in; NONE for those without. */
  public enum ColumnUnit {
    NONE(""),
    MM("mm"),
    INCH("in"),
    THOU("thou"),
    CFM("cfm"),
    LITRE_PER_SECOND("l/s"),
    CUBIC_METRE_PER_SECOND("m3/s"),
    INCH_OF_WATER("inH2O"),
    KILOPASCAL("kPa"),
    PASCAL("Pa"),
    CELSIUS("C"),
    FAHRENHEIT("F");

    private final String symbol;

    ColumnUnit(String symbol) {
      this.symbol = symbol;
    }

    public String symbol() {
      return symbol;
    }

    double toBase(double value) {
      return switch (this) {
        case NONE, CELSIUS -> value;
        case FAHRENHEIT -> UnitSystem.INCH.temperatureToC(value);
        case MM -> Unit.MM.toBase(value);
        case INCH -> Unit.INCH.toBase(value);
        case THOU -> Unit.THOU.toBase(value);
        case CFM -> Unit.CFM.toBase(value);
        case LITRE_PER_SECOND -> Unit.LITRE_PER_SECOND.toBase(value);
        case CUBIC_METRE_PER_SECOND -> value;
        case INCH_OF_WATER -> Unit.INCH_OF_WATER.toBase(value);
        case KILOPASCAL -> Unit.KILOPASCAL.toBase(value);
        case PASCAL -> value;
      };
    }

    /** The units that fit a role, the usual one first; empty where it takes none. */
    public static List<ColumnUnit> of(Role role) {
      return switch (role) {
        case LIFT -> List.of(MM, INCH, THOU);
        case FLOW -> List.of(CFM, LITRE_PER_SECOND, CUBIC_METRE_PER_SECOND);
        case DEPRESSION -> List.of(INCH_OF_WATER, KILOPASCAL, PASCAL);
        case TEMPERATURE -> List.of(CELSIUS, FAHRENHEIT);
        default -> List.of();
      };
    }
  }

  /**
   * What one column is taken for.
   *
   * @param known whether its heading said so
   */
  public record Column(String heading, Role role, ColumnUnit unit, boolean known) {

    public Column {
      List<ColumnUnit> fit = ColumnUnit.of(role);
      if (fit.isEmpty() ? unit != ColumnUnit.NONE : !fit.contains(unit)) {
        throw new IllegalArgumentException(
            "column \""
                + heading
                + "\": "
                + role.words()
                + " cannot be in \""
                + unit.symbol()
                + "\"");
      }
    }

    /** Taken for something else, in that role's usual unit. */
    public Column as(Role changed) {
      List<ColumnUnit> fit = ColumnUnit.of(changed);
      return new Column(heading, changed, fit.isEmpty() ? ColumnUnit.NONE : fit.getFirst(), true);
    }

    public Column in(ColumnUnit changed) {
      return new Column(heading, role, changed, true);
    }
  }

  /** A row, or a cell of it, that was not taken, and why. */
  public record Rejected(long row, String text, String reason) {}

  /** Readings of one test. */
  public record Imported(String name, Optional<String> seat, List<LiftReadings> lifts) {}

  /** What came out of a table. */
  public record Result(List<Imported> tests, List<Rejected> rejected) {
    public Result {
      tests = List.copyOf(tests);
      rejected = List.copyOf(rejected);
    }
  }

  private static final Pattern HEADING =
      Pattern.compile("^(.*?)[\\s_]*(?:[\\[(]\\s*(.*?)\\s*[\\])]|_([a-z0-9/]+))?$");

  /** Takes columns for what their headings say. */
  public static List<Column> guess(CsvTable table) {
    return table.headings().stream().map(TestImport::guess).toList();
  }

  private static Column guess(String heading) {
    Matcher parts = HEADING.matcher(heading.strip().toLowerCase(Locale.ROOT).replace("\u00b0", ""));
    parts.matches();
    String name = parts.group(1).strip();
    String unit = parts.group(2) != null ? parts.group(2) : parts.group(3);
    Role role = role(name, unit);
    List<ColumnUnit> fit = ColumnUnit.of(role);
    if (fit.isEmpty()) {
      return new Column(heading, role, ColumnUnit.NONE, role != Role.IGNORE || isOurs(name));
    }
    Optional<ColumnUnit> said =
        fit.stream()
            .filter(u -> unit != null && u.symbol().equalsIgnoreCase(unit.replace(" ", "")))
            .findFirst();
    return new Column(heading, role, said.orElse(fit.getFirst()), said.isPresent());
  }

  /** Columns that the export writes and the import has no use for. */
  private static boolean isOurs(String name) {
    return List.of("at standard", "repeat", "direction", "state", "date").contains(name);
  }

  private static Role role(String name, String unit) {
    boolean flowUnit =
        unit != null
            && ColumnUnit.of(Role.FLOW).stream().anyMatch(u -> u.symbol().equalsIgnoreCase(unit));
    if ("%".equals(unit) || name.equals("percent") || name.equals("%")) {
      return Role.PERCENT;
    }
    return switch (name) {
      case "test", "name" -> Role.TEST;
      case "seat", "valve", "port" -> Role.SEAT;
      case "lift", "valve lift" -> Role.LIFT;
      case "flow", "reading" -> Role.FLOW;
      case "range" -> Role.RANGE;
      case "depression", "test pressure" -> Role.DEPRESSION;
      case "temperature", "temp" -> Role.TEMPERATURE;
      case "noisy", "noise" -> Role.NOISY;
      case "swirl" -> Role.SWIRL;
      case "remarks", "remark", "notes" -> Role.REMARKS;
      case "at standard" -> Role.IGNORE;
      // A heading of its own in a unit of flow is a test in a column.
      default -> flowUnit ? Role.FLOW : Role.IGNORE;
    };
  }

  /** What a mapping lacks, in words; empty when it can be used. */
  public static Optional<String> missing(List<Column> columns) {
    long lifts = columns.stream().filter(c -> c.role() == Role.LIFT).count();
    long flows = columns.stream().filter(c -> c.role() == Role.FLOW).count();
    long percents = columns.stream().filter(c -> c.role() == Role.PERCENT).count();
    if (lifts != 1) {
      return Optional.of("expected one column of lifts, found " + lifts);
    }
    if (flows + percents == 0) {
      return Optional.of("expected a column of flow or of % of a range, found none");
    }
    if (percents > 0 && columns.stream().noneMatch(c -> c.role() == Role.RANGE)) {
      return Optional.of("% of a range needs a column that names the range");
    }
    return Optional.empty();
  }

  /**
   * Takes the readings out of a table.
   *
   * @param name of the test where no column gives one
   * @throws FileProblem if the columns are not enough
   */
  public static Result read(CsvTable table, List<Column> columns, String name) throws FileProblem {
    Optional<String> missing = missing(columns);
    if (missing.isPresent()) {
      throw new FileProblem(
          missing.get() + "; the headings are " + String.join(", ", table.headings()));
    }
    return new Reader(columns, name).read(table);
  }

  private static final class Reader {
    private final List<Column> columns;
    private final String name;
    private final boolean wide;
    private final Map<String, Map<Double, LiftReadings>> tests = new LinkedHashMap<>();
    private final Map<String, String> seats = new LinkedHashMap<>();
    private final List<Rejected> rejected = new ArrayList<>();

    Reader(List<Column> columns, String name) {
      this.columns = columns;
      this.name = name;
      this.wide = columns.stream().filter(c -> c.role() == Role.FLOW).count() > 1;
    }

    /** What is wrong with a row. */
    private static final class Wrong extends Exception {
      private static final long serialVersionUID = 1L;

      Wrong(String message) {
        super(message);
      }
    }

    Result read(CsvTable table) {
      for (CsvTable.Row row : table.rows()) {
        try {
          take(row);
        } catch (Wrong | IllegalArgumentException e) {
          rejected.add(new Rejected(row.number(), row.text(), e.getMessage()));
        }
      }
      List<Imported> imported = new ArrayList<>();
      tests.forEach(
          (test, lifts) ->
              imported.add(
                  new Imported(
                      test, Optional.ofNullable(seats.get(test)), List.copyOf(lifts.values()))));
      return new Result(imported, rejected);
    }

    private void take(CsvTable.Row row) throws Wrong {
      double lift =
          number(row, Role.LIFT)
              .orElseThrow(() -> new Wrong("lift: expected a number, found nothing"));
      LiftReadings noted =
          LiftReadings.of(lift, List.of())
              .withNoisy(flag(row))
              .withSwirl(optional(number(row, Role.SWIRL)))
              .withRemarks(text(row, Role.REMARKS));
      boolean any = false;
      for (int k = 0; k < columns.size(); k++) {
        Column column = columns.get(k);
        boolean percent = column.role() == Role.PERCENT;
        if ((column.role() == Role.FLOW || percent) && !row.cell(k).isEmpty()) {
          try {
            BenchReading reading = reading(row, k, percent);
            put(testName(row, column), lift, noted, Optional.of(reading));
            any = true;
          } catch (Wrong | IllegalArgumentException e) {
            if (!wide) {
              throw e;
            }
            // The other tests of the row are none the worse.
            rejected.add(new Rejected(row.number(), row.cell(k), e.getMessage()));
            any = true;
          }
        }
      }
      if (!any && noted.isEmpty()) {
        throw new Wrong("no reading in this row");
      }
      if (!any) {
        put(testName(row, columns.getFirst()), lift, noted, Optional.empty());
      }
    }

    private String testName(CsvTable.Row row, Column column) {
      String own = wide ? column.heading() : text(row, Role.TEST);
      String test = own.isEmpty() ? name : own;
      String cut = test.length() > 80 ? test.substring(0, 80) : test;
      String seat = text(row, Role.SEAT);
      if (!seat.isEmpty()) {
        seats.putIfAbsent(cut, seat);
      }
      return cut;
    }

    private void put(String test, double lift, LiftReadings noted, Optional<BenchReading> reading) {
      Map<Double, LiftReadings> lifts = tests.computeIfAbsent(test, t -> new TreeMap<>());
      double key =
          lifts.keySet().stream()
              .filter(l -> Math.abs(l - lift) < FlowTest.SAME_LIFT_MM)
              .findFirst()
              .orElse(lift);
      LiftReadings before = lifts.getOrDefault(key, LiftReadings.of(key, List.of()));
      LiftReadings after =
          before
              .withNoisy(before.noisy() || noted.noisy())
              .withSwirl(noted.swirlRpm().isPresent() ? noted.swirlRpm() : before.swirlRpm())
              .withRemarks((before.remarks() + " " + noted.remarks()).strip());
      lifts.put(key, reading.map(after::withReading).orElse(after));
    }

    private BenchReading reading(CsvTable.Row row, int column, boolean percent) throws Wrong {
      double value = number(row, column);
      OptionalDouble depression = optional(number(row, Role.DEPRESSION));
      OptionalDouble temperature = optional(number(row, Role.TEMPERATURE));
      String range = text(row, Role.RANGE);
      if (percent && range.isEmpty()) {
        throw new Wrong("range: expected the name of the bench's range, found nothing");
      }
      return new BenchReading(
          value, percent ? Optional.of(range) : Optional.empty(), depression, temperature);
    }

    private static OptionalDouble optional(Optional<Double> value) {
      return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private String text(CsvTable.Row row, Role role) {
      for (int k = 0; k < columns.size(); k++) {
        if (columns.get(k).role() == role) {
          return row.cell(k);
        }
      }
      return "";
    }

    private boolean flag(CsvTable.Row row) throws Wrong {
      String text = text(row, Role.NOISY).toLowerCase(Locale.ROOT);
      return switch (text) {
        case "", "no", "0", "false", "n" -> false;
        case "yes", "1", "true", "y", "x" -> true;
        default -> throw new Wrong("noisy: expected yes or no, found \"" + text + "\"");
      };
    }

    private Optional<Double> number(CsvTable.Row row, Role role) throws Wrong {
      for (int k = 0; k < columns.size(); k++) {
        if (columns.get(k).role() == role && !row.cell(k).isEmpty()) {
          return Optional.of(number(row, k));
        }
      }
      return Optional.empty();
    }

    private double number(CsvTable.Row row, int column) throws Wrong {
      String cell = row.cell(column);
      Column what = columns.get(column);
      try {
        String plain = cell.matches("[-+]?\\d*,\\d+") ? cell.replace(',', '.') : cell;
        double value = Double.parseDouble(plain);
        if (Double.isFinite(value)) {
          return what.unit().toBase(value);
        }
      } catch (NumberFormatException e) {
        // Said below, as for what is no finite number.
      }
      throw new Wrong(what.role().words() + ": expected a number, found \"" + cell + "\"");
    }
  }
}
