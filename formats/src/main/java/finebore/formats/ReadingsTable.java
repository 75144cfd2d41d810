package finebore.formats;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.Job;
import finebore.quantity.Quantity;
import finebore.units.Dimension;
import finebore.units.Unit;
import finebore.units.Units;
import finebore.work.ReadBack;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Every reading of a job as CSV, found ones and those at the machine, each with its unit; and read
 * back. Columns: seat, taken, reading, value, unit, at, who, gauge. Numbers are written as they
 * stand, so that nothing is lost on the way.
 */
public final class ReadingsTable {

  private static final List<String> HEADINGS =
      List.of("seat", "taken", "reading", "value", "unit", "at", "who", "gauge");

  private static final String FOUND = "found";
  private static final String MACHINE = "machine";

  private ReadingsTable() {}

  /**
   * Every reading that counts, of the seats that the head has; what was corrected is left out, and
   * so is what was read of a seat before the engine was given another layout.
   */
  public static String csv(Job job) {
    Set<String> seats =
        job.engine().seats().stream().map(SeatPlace::label).collect(Collectors.toSet());
    StringBuilder out = new StringBuilder();
    CSVFormat format = CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get();
    try (CSVPrinter printer = new CSVPrinter(out, format)) {
      printer.printRecord(HEADINGS);
      for (var seat : new TreeMap<>(job.head().readings()).entrySet()) {
        if (!seats.contains(seat.getKey())) {
          continue;
        }
        for (Measure measure : Measure.values()) {
          OptionalDouble value = seat.getValue().value(measure);
          if (value.isPresent()) {
            WrittenIn in = WrittenIn.of(measure.quantity(), job.units());
            printer.printRecord(
                seat.getKey(),
                FOUND,
                measure.key(),
                in.from(value.getAsDouble()),
                in.symbol(),
                "",
                "",
                "");
          }
        }
      }
      for (WorkEntry entry : job.log().entries()) {
        if (entry.taken().isPresent()
            && seats.contains(entry.seat())
            && job.log()
                .entry(entry.seat(), entry.taken().get().what())
                .equals(Optional.of(entry))) {
          Taken taken = entry.taken().get();
          WrittenIn in = WrittenIn.of(taken.what().quantity(), job.units());
          printer.printRecord(
              entry.seat(),
              MACHINE,
              taken.what().key(),
              in.from(taken.value()),
              in.symbol(),
              entry.at(),
              TableText.cell(entry.who()),
              TableText.cell(taken.gauge()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** What a table holds, taken into a job. */
  public record In(Job job, int found, int atMachine) {}

  /**
   * Takes a table's readings into a job: found ones take the place of those before, readings at the
   * machine are added to its history.
   *
   * @param hand who brings them in, and when
   * @throws FileProblem naming the row, what stands there and what was expected; nothing is taken
   *     then
   */
  public static In read(Job job, String text, WorkLog.Hand hand) throws FileProblem {
    CsvTable table = CsvTable.of(text);
    Map<String, Integer> columns = new TreeMap<>();
    for (int k = 0; k < table.headings().size(); k++) {
      columns.putIfAbsent(table.headings().get(k).strip().toLowerCase(Locale.ROOT), k);
    }
    for (String needed : HEADINGS.subList(0, 5)) {
      if (!columns.containsKey(needed)) {
        throw new FileProblem(
            Message.of("readings.noColumn")
                .with("column", Term.quote(needed))
                .with("columns", Term.quote(String.join(", ", table.headings()))));
      }
    }
    Head head = job.head();
    WorkLog log = job.log();
    int found = 0;
    int atMachine = 0;
    for (CsvTable.Row row : table.rows()) {
      Reader reader = new Reader(job, columns, row);
      if (reader.isFound()) {
        Measure measure = reader.oneOf(Measure.values(), Measure::key);
        head =
            reader.with(
                head,
                h ->
                    h.withReading(
                        reader.seat(),
                        measure,
                        OptionalDouble.of(reader.value(measure.quantity()))));
        found++;
      } else {
        ReadBack what = reader.oneOf(ReadBack.values(), ReadBack::key);
        log =
            reader.with(
                log,
                l ->
                    l.with(
                        hand,
                        reader.seat(),
                        "",
                        new Taken(
                            what,
                            reader.value(what.quantity()),
                            TableText.text(reader.cell("gauge"))),
                        ""));
        atMachine++;
      }
    }
    return new In(job.withHead(head).withLog(log), found, atMachine);
  }

  /** One row, which says where it stands when something is wrong with it. */
  private record Reader(Job job, Map<String, Integer> columns, CsvTable.Row row) {

    String cell(String column) {
      Integer at = columns.get(column);
      return at == null ? "" : row.cell(at);
    }

    private Wrong wrong(String column, Message expected) {
      return new Wrong(
          Message.of("readings.wrong")
              .with("row", Term.count(row.number()))
              .with("column", Term.quote(column))
              .with("found", Term.quote(cell(column)))
              .with("expected", Term.phrase(expected)));
    }

    /** Carried out of a lambda. */
    private static final class Wrong extends RuntimeException {
      private static final long serialVersionUID = 1L;
      private final transient Message problem;

      Wrong(Message problem) {
        super(problem.code());
        this.problem = problem;
      }
    }

    <T> T with(T before, UnaryOperator<T> change) throws FileProblem {
      try {
        return change.apply(before);
      } catch (Wrong e) {
        throw new FileProblem(e.problem);
      } catch (RuleViolation e) {
        throw new FileProblem(wrong("value", e.violated()).problem);
      }
    }

    boolean isFound() throws FileProblem {
      String taken = cell("taken");
      if (!taken.equals(FOUND) && !taken.equals(MACHINE)) {
        throw new FileProblem(wrong("taken", oneOfMessage(List.of(FOUND, MACHINE))).problem);
      }
      return taken.equals(FOUND);
    }

    String seat() {
      List<String> seats = job.engine().seats().stream().map(s -> s.label()).toList();
      if (!seats.contains(cell("seat"))) {
        throw wrong("seat", oneOfMessage(seats));
      }
      return cell("seat");
    }

    <E extends Coded> E oneOf(E[] values, Function<E, String> key) throws FileProblem {
      return Stream.of(values)
          .filter(v -> key.apply(v).equals(cell("reading")))
          .findFirst()
          .orElseThrow(
              () ->
                  new FileProblem(
                      wrong("reading", oneOfMessage(Stream.of(values).map(key).toList())).problem));
    }

    private static Message oneOfMessage(List<String> names) {
      return Message.of("expected.oneOf").with("names", Term.quote(String.join(", ", names)));
    }

    double value(Quantity quantity) {
      if (!CsvTable.isNumber(cell("value"))) {
        throw wrong("value", Message.of("expected.number"));
      }
      double value = Double.parseDouble(cell("value").replace(',', '.'));
      String unit = cell("unit");
      List<Unit> units = Unit.of(quantity.dimension());
      Optional<Unit> named = units.stream().filter(u -> u.symbol().equals(unit)).findFirst();
      if (units.isEmpty() && unit.equals(quantity.dimension().unit())) {
        return value;
      }
      double read =
          named
              .orElseThrow(
                  () ->
                      wrong(
                          "unit",
                          oneOfMessage(
                              units.isEmpty()
                                  ? List.of(quantity.dimension().unit())
                                  : units.stream().map(Unit::symbol).toList())))
              .toBase(value);
      return quantity.unrounded(read);
    }
  }

  /** The unit a quantity is written in: the job's for lengths, the core's for all else. */
  private record WrittenIn(Optional<Unit> unit, String symbol) {
    static WrittenIn of(Quantity quantity, Units units) {
      Dimension dimension = quantity.dimension();
      if (dimension == Dimension.LENGTH || dimension == Dimension.FINE_LENGTH) {
        Unit length = TableUnits.of(units).length();
        return new WrittenIn(Optional.of(length), length.symbol());
      }
      return new WrittenIn(Optional.empty(), dimension.unit());
    }

    double from(double value) {
      return unit.map(u -> u.fromBase(value)).orElse(value);
    }
  }
}
