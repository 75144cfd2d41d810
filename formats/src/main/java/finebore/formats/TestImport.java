package finebore.formats;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.units.Dimension;
import finebore.units.Unit;
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
 *
 * <p>What a column holds and in which unit is what its heading or the user says. Nothing is
 * guessed: a column of lifts or flows without a unit is asked about.
 */
public final class TestImport {

  private TestImport() {}

  /** What a column holds. */
  public enum Role implements Coded {
    IGNORE("ignore"),
    TEST("test"),
    SEAT("seat"),
    LIFT("lift", Dimension.LENGTH),
    FLOW("flow", Dimension.FLOW),
    PERCENT("percent"),
    RANGE("range"),
    DEPRESSION("depression", Dimension.PRESSURE),
    TEMPERATURE("temperature", Dimension.TEMPERATURE),
    NOISY("noisy"),
    SWIRL("swirl"),
    REMARKS("remarks");

    private final String key;
    private final List<Unit> units;

    Role(String key) {
      this.key = key;
      this.units = List.of();
    }

    Role(String key, Dimension dimension) {
      this.key = key;
      this.units = Unit.of(dimension);
    }

    /** Its name on the command line. */
    public String key() {
      return key;
    }

    @Override
    public String code() {
      return "column." + key;
    }

    /** The units it may be in; none where it takes none. */
    public List<Unit> units() {
      return units;
    }
  }

  /**
   * What one column is taken for.
   *
   * @param heading as the table has it
   * @param role what it holds; empty where nobody has said
   * @param unit the unit its numbers are in; empty where it takes none or nobody has said
   * @param saidUnit the unit that stands in its heading, understood or not; empty where none does
   */
  public record Column(String heading, Optional<Role> role, Optional<Unit> unit, String saidUnit) {

    /** Taken for something else, in the unit its heading says. */
    public Column as(Role changed) {
      return new Column(
          heading,
          Optional.of(changed),
          changed.units().stream().filter(u -> isSymbol(u, saidUnit)).findFirst(),
          saidUnit);
    }

    public Column in(Unit changed) {
      return new Column(heading, role, Optional.of(changed), saidUnit);
    }

    boolean is(Role asked) {
      return role.equals(Optional.of(asked));
    }

    /** What is still to be said of it; empty when it can be read. */
    public Optional<Message> question() {
      Message about = Message.of("import.column").with("column", Term.quote(heading));
      if (role.isEmpty()) {
        return Optional.of(about.with("question", Message.of("import.whatIsIt")));
      }
      List<Unit> fit = role.get().units();
      if (fit.isEmpty() || unit.filter(fit::contains).isPresent()) {
        return Optional.empty();
      }
      Message which =
          saidUnit.isEmpty()
              ? Message.of("import.whichUnit")
              : Message.of("import.unknownUnit").with("said", Term.quote(saidUnit));
      return Optional.of(
          about.with(
              "question",
              which
                  .with("role", role.get())
                  .with(
                      "units",
                      Term.quote(String.join(", ", fit.stream().map(Unit::symbol).toList())))));
    }
  }

  /** A row, or a cell of it, that was not taken, and why. */
  public record Rejected(long row, String text, Message reason) {}

  /** Readings of one test. */
  public record Imported(String name, Optional<String> seat, List<LiftReadings> lifts) {}

  /** What came out of a table. */
  public record Result(List<Imported> tests, List<Rejected> rejected) {
    public Result {
      tests = List.copyOf(tests);
      rejected = List.copyOf(rejected);
    }
  }

  /** A name, and behind it a unit in brackets or after an underscore. */
  private static final Pattern HEADING =
      Pattern.compile(
          "^(.*?)[\\s_]*(?:[\\[(]\\s*(.*?)\\s*[\\])]|_([a-z0-9/]+)|,\\s*([a-z0-9/%\"]+))?$",
          Pattern.DOTALL);

  /** A unit of flow, at a depression or not: "cfm", "CFM @ 28". */
  private static final Pattern FLOW_AT =
      Pattern.compile("^(cfm|l/s|m3/s)(\\s*@\\s*[\\d.]+\\s*\"?.*)?$");

  /** A name, and behind it one word, or one and where it was measured. */
  private static final Pattern BARE = Pattern.compile("^(.*?)\\s+(\\S+(?:\\s*@.*)?)$");

  private static final Map<String, Role> NAMES =
      Map.ofEntries(
          Map.entry("test", Role.TEST),
          Map.entry("name", Role.TEST),
          Map.entry("seat", Role.SEAT),
          Map.entry("valve", Role.SEAT),
          Map.entry("port", Role.SEAT),
          Map.entry("lift", Role.LIFT),
          Map.entry("valve lift", Role.LIFT),
          Map.entry("opening", Role.LIFT),
          Map.entry("flow", Role.FLOW),
          Map.entry("reading", Role.FLOW),
          Map.entry("percent", Role.PERCENT),
          Map.entry("%", Role.PERCENT),
          Map.entry("range", Role.RANGE),
          Map.entry("depression", Role.DEPRESSION),
          Map.entry("test pressure", Role.DEPRESSION),
          Map.entry("temperature", Role.TEMPERATURE),
          Map.entry("temp", Role.TEMPERATURE),
          Map.entry("noisy", Role.NOISY),
          Map.entry("noise", Role.NOISY),
          Map.entry("swirl", Role.SWIRL),
          Map.entry("remarks", Role.REMARKS),
          Map.entry("remark", Role.REMARKS),
          Map.entry("notes", Role.REMARKS));

  /** Columns that the export writes and the import has no use for. */
  private static final List<String> OURS =
      List.of("at standard", "repeat", "direction", "state", "date");

  /** Takes columns for what their headings say. */
  public static List<Column> guess(CsvTable table) {
    return table.headings().stream().map(TestImport::guess).toList();
  }

  /** Whether a cell is a heading that is understood. */
  static boolean isHeading(String cell) {
    return !cell.isBlank() && guess(cell).role().isPresent();
  }

  static Column guess(String heading) {
    String plain = heading.strip().toLowerCase(Locale.ROOT).replace("\u00b0", "");
    Matcher at = FLOW_AT.matcher(plain);
    if (at.matches()) {
      return new Column(heading, Optional.empty(), Optional.empty(), at.group(1)).as(Role.FLOW);
    }
    Matcher parts = HEADING.matcher(plain);
    parts.matches();
    String name = parts.group(1).strip();
    String unit =
        parts.group(2) != null
            ? parts.group(2)
            : parts.group(3) != null ? parts.group(3) : parts.group(4);
    if (unit == null) {
      // The bare unit behind a name that is known: "lift mm", "flow cfm @ 28".
      Matcher last = BARE.matcher(plain);
      if (last.matches() && isInUnit(last.group(1), last.group(2))) {
        name = last.group(1);
        unit = last.group(2);
      }
    }
    String said = unit == null ? "" : unit.replace(" ", "");
    Matcher flow = FLOW_AT.matcher(said);
    if (flow.matches()) {
      said = flow.group(1);
    }
    Column column = new Column(heading, Optional.empty(), Optional.empty(), said);
    if (said.equals("%")) {
      return column.as(Role.PERCENT);
    }
    if (OURS.contains(name)) {
      return column.as(Role.IGNORE);
    }
    if (NAMES.containsKey(name)) {
      return column.as(NAMES.get(name));
    }
    // A heading of its own in a unit of flow is a test in a column.
    return flow.matches() ? column.as(Role.FLOW) : column;
  }

  private static boolean isInUnit(String name, String said) {
    Role role = NAMES.getOrDefault(name, Role.IGNORE);
    return role.units().stream().anyMatch(unit -> isSymbol(unit, said))
        || role == Role.FLOW && FLOW_AT.matcher(said).matches();
  }

  private static boolean isSymbol(Unit unit, String said) {
    return unit.symbol().equalsIgnoreCase(said)
        || unit == Unit.INCH && (said.equals("\"") || said.equalsIgnoreCase("inch"))
        || unit == Unit.THOU && said.equalsIgnoreCase("th")
        || unit == Unit.INCH_OF_WATER && said.equalsIgnoreCase("inh20");
  }

  /** What a mapping lacks; empty when it can be used. */
  public static Optional<Message> missing(List<Column> columns) {
    long lifts = columns.stream().filter(c -> c.is(Role.LIFT)).count();
    long flows = columns.stream().filter(c -> c.is(Role.FLOW)).count();
    long percents = columns.stream().filter(c -> c.is(Role.PERCENT)).count();
    Optional<Message> open = columns.stream().flatMap(c -> c.question().stream()).findFirst();
    if (open.isPresent()) {
      return open;
    }
    if (lifts != 1) {
      return Optional.of(Message.of("import.oneLift").with("found", Term.count(lifts)));
    }
    if (flows + percents == 0) {
      return Optional.of(Message.of("import.noFlow"));
    }
    if (percents > 0 && columns.stream().noneMatch(c -> c.is(Role.RANGE))) {
      return Optional.of(Message.of("import.noRange"));
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
    Optional<Message> missing = missing(columns);
    if (missing.isPresent()) {
      throw new FileProblem(
          Message.of("import.lacks")
              .with("lack", Term.phrase(missing.get()))
              .with("headings", Term.quote(String.join(", ", table.headings()))));
    }
    return new Reader(columns, name).read(table);
  }

  private static final class Reader {
    private static final int LONGEST = 80;

    private final List<Column> columns;
    private final String name;
    private final boolean wide;
    private final Map<Key, Map<Double, LiftReadings>> tests = new LinkedHashMap<>();
    private final List<Rejected> rejected = new ArrayList<>();

    Reader(List<Column> columns, String name) {
      this.columns = columns;
      this.name = name;
      this.wide = columns.stream().filter(c -> c.is(Role.FLOW)).count() > 1;
    }

    /** What readings are put together by: those of other seats are no repeats. */
    private record Key(String test, String seat) {}

    /** What is wrong with a row. */
    private static final class Wrong extends Exception {
      private static final long serialVersionUID = 1L;

      private final transient Message reason;

      Wrong(Message reason) {
        super(reason.code());
        this.reason = reason;
      }

      Wrong(String what) {
        this(Message.of("import.row." + what));
      }
    }

    Result read(CsvTable table) {
      for (CsvTable.Row row : table.rows()) {
        try {
          take(row);
        } catch (Wrong e) {
          rejected.add(new Rejected(row.number(), row.text(), e.reason));
        } catch (RuleViolation e) {
          rejected.add(new Rejected(row.number(), row.text(), e.violated()));
        }
      }
      List<Imported> imported = new ArrayList<>();
      tests.forEach(
          (key, lifts) ->
              imported.add(
                  new Imported(
                      key.test(),
                      Optional.of(key.seat()).filter(s -> !s.isEmpty()),
                      List.copyOf(lifts.values()))));
      return new Result(imported, rejected);
    }

    private void take(CsvTable.Row row) throws Wrong {
      double lift = number(row, Role.LIFT).orElseThrow(() -> new Wrong("noLift"));
      LiftReadings noted =
          LiftReadings.of(lift, List.of())
              .withNoisy(flag(row))
              .withSwirl(optional(number(row, Role.SWIRL)))
              .withRemarks(text(row, Role.REMARKS));
      boolean any = false;
      for (int k = 0; k < columns.size(); k++) {
        Column column = columns.get(k);
        boolean percent = column.is(Role.PERCENT);
        if ((column.is(Role.FLOW) || percent) && !row.cell(k).isEmpty()) {
          try {
            BenchReading reading = reading(row, k, percent);
            put(key(row, column), lift, noted, Optional.of(reading));
            any = true;
          } catch (Wrong e) {
            if (!wide) {
              throw e;
            }
            // The other tests of the row are none the worse.
            rejected.add(new Rejected(row.number(), row.cell(k), e.reason));
            any = true;
          } catch (RuleViolation e) {
            if (!wide) {
              throw e;
            }
            rejected.add(new Rejected(row.number(), row.cell(k), e.violated()));
            any = true;
          }
        }
      }
      if (!any && noted.isEmpty()) {
        throw new Wrong("noReading");
      }
      if (!any) {
        put(key(row, columns.getFirst()), lift, noted, Optional.empty());
      }
    }

    private Key key(CsvTable.Row row, Column column) {
      String own = wide ? column.heading() : text(row, Role.TEST);
      String seat = text(row, Role.SEAT);
      // Seats are no repeats of each other, whatever their readings are called.
      String plain = seat.isEmpty() ? name : seat + " " + name;
      String test = own.isEmpty() ? plain : own;
      return new Key(test.length() > LONGEST ? test.substring(0, LONGEST) : test, seat);
    }

    private void put(Key test, double lift, LiftReadings noted, Optional<BenchReading> reading) {
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
        throw new Wrong("noRangeName");
      }
      BenchReading reading =
          new BenchReading(
              value, percent ? Optional.of(range) : Optional.empty(), depression, temperature);
      if (reading.oddity().isPresent()) {
        throw new Wrong(reading.oddity().get());
      }
      return reading;
    }

    private static OptionalDouble optional(Optional<Double> value) {
      return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private String text(CsvTable.Row row, Role role) {
      for (int k = 0; k < columns.size(); k++) {
        if (columns.get(k).is(role)) {
          return TableText.text(row.cell(k));
        }
      }
      return "";
    }

    private boolean flag(CsvTable.Row row) throws Wrong {
      String text = text(row, Role.NOISY).toLowerCase(Locale.ROOT);
      return switch (text) {
        case "", "no", "0", "false", "n" -> false;
        case "yes", "1", "true", "y", "x" -> true;
        default -> throw new Wrong(Message.of("import.row.noisy").with("found", Term.quote(text)));
      };
    }

    private Optional<Double> number(CsvTable.Row row, Role role) throws Wrong {
      for (int k = 0; k < columns.size(); k++) {
        if (columns.get(k).is(role) && !row.cell(k).isEmpty()) {
          return Optional.of(number(row, k));
        }
      }
      return Optional.empty();
    }

    private double number(CsvTable.Row row, int column) throws Wrong {
      String cell = row.cell(column);
      Column what = columns.get(column);
      double value =
          CsvTable.isNumber(cell) ? Double.parseDouble(cell.replace(',', '.')) : Double.NaN;
      if (Double.isFinite(value)) {
        return what.unit().map(u -> u.toBase(value)).orElse(value);
      }
      throw new Wrong(
          Message.of("import.row.number")
              .with("role", what.role().orElseThrow())
              .with("found", Term.quote(cell)));
    }
  }
}
