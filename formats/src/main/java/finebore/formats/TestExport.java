package finebore.formats;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReducedTest;
import finebore.bench.SetUp.TestedState;
import finebore.job.Job;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A job's flow tests as CSV, one row for each reading, in the units the job is shown in; {@link
 * TestImport} reads it back.
 */
public final class TestExport {

  private TestExport() {}

  public static String csv(Job job) {
    TableUnits units = TableUnits.of(job.units());
    StringBuilder out = new StringBuilder();
    CSVFormat format = CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get();
    try (CSVPrinter printer = new CSVPrinter(out, format)) {
      printer.printRecord(
          "test",
          "seat",
          "direction",
          "state",
          "date",
          "lift (" + units.length().symbol() + ")",
          "repeat",
          "flow (" + units.flow().symbol() + ")",
          "percent",
          "range",
          "depression (" + units.pressure().symbol() + ")",
          "temperature (" + units.temperature().symbol() + ")",
          "noisy",
          "swirl (rpm)",
          "remarks",
          "at standard (" + units.flow().symbol() + ")");
      for (FlowTest test : job.bench().tests()) {
        ReducedTest reduced = ReducedTest.of(test, job.bench(), job.test().depressionPa());
        for (LiftReadings lift : test.lifts()) {
          print(printer, units, test, lift, reduced.at(lift.liftMm()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static void print(
      CSVPrinter printer,
      TableUnits units,
      FlowTest test,
      LiftReadings lift,
      Optional<ReducedTest.Lift> reduced)
      throws IOException {
    // What was noted at a lift stands once; a lift that was only looked at has a row too.
    int rows = Math.max(1, lift.readings().size());
    for (int k = 0; k < rows; k++) {
      List<String> row = new ArrayList<>();
      row.add(TableText.cell(test.name()));
      row.add(TableText.cell(test.setUp().seat()));
      row.add(test.setUp().direction().name().toLowerCase(Locale.ROOT));
      row.add(state(test.setUp().state()));
      row.add(test.date().map(LocalDate::toString).orElse(""));
      row.add(plain(units.length().fromBase(lift.liftMm())));
      if (k < lift.readings().size()) {
        BenchReading reading = lift.readings().get(k);
        boolean percent = reading.range().isPresent();
        row.add(String.valueOf(k + 1));
        row.add(percent ? "" : plain(units.flow().fromBase(reading.value())));
        row.add(percent ? plain(reading.value()) : "");
        row.add(TableText.cell(reading.range().orElse("")));
        row.add(
            reading.depressionPa().isPresent()
                ? plain(units.pressure().fromBase(reading.depressionPa().getAsDouble()))
                : "");
        row.add(
            reading.temperatureC().isPresent()
                ? plain(units.temperature().fromBase(reading.temperatureC().getAsDouble()))
                : "");
      } else {
        row.addAll(List.of("", "", "", "", "", ""));
      }
      row.add(k == 0 && lift.noisy() ? "yes" : "");
      row.add(k == 0 && lift.swirlRpm().isPresent() ? plain(lift.swirlRpm().getAsDouble()) : "");
      row.add(k == 0 ? TableText.cell(lift.remarks()) : "");
      row.add(
          reduced.isPresent() && k < reduced.get().flowsM3s().size()
              ? plain(units.flow().fromBase(reduced.get().flowsM3s().get(k)), 2)
              : "");
      printer.printRecord(row);
    }
  }

  /** The state as files write it: "found", or "partly 2". */
  private static String state(TestedState state) {
    String kind = state.kind().name().toLowerCase(Locale.ROOT);
    return state.kind() == TestedState.Kind.PARTLY ? kind + " " + state.operations() : kind;
  }

  private static String plain(double value) {
    return plain(value, 6);
  }

  private static String plain(double value, int digits) {
    return BigDecimal.valueOf(value)
        .setScale(digits, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }
}
