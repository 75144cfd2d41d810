package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import finebore.bench.Air;
import finebore.bench.BenchBook;
import finebore.bench.BenchRange;
import finebore.bench.BenchReading;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.PlateCheck;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.flow.Direction;
import finebore.job.Job;
import finebore.units.Units;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Any book of flow tests comes back from its file, agrees with the schema, and survives CSV. */
class BenchJsonTest {

  /** A book of chance. */
  private static BenchBook book(long seed) {
    Random chance = new Random(seed);
    List<BenchRange> ranges = new ArrayList<>();
    for (int k = 1; k <= chance.nextInt(4); k++) {
      List<PlateCheck> checks = new ArrayList<>();
      for (int c = 0; c < chance.nextInt(3); c++) {
        CheckPlate plate =
            chance.nextBoolean()
                ? new CheckPlate.Stamped(0.01 + chance.nextDouble(), 7000)
                : new CheckPlate.Measured(10 + 50 * chance.nextDouble());
        checks.add(
            new PlateCheck(
                LocalDate.of(2026, 1, 1).plusDays(chance.nextInt(300)),
                plate,
                10 + 90 * chance.nextDouble(),
                7000,
                air(chance)));
      }
      ranges.add(new BenchRange("range " + k, checks));
    }
    List<FlowTest> tests = new ArrayList<>();
    for (int id = 1; id <= chance.nextInt(5); id++) {
      tests.add(test(id, chance));
    }
    return new BenchBook(ranges, tests);
  }

  private static Optional<Air> air(Random chance) {
    return chance.nextBoolean()
        ? Optional.empty()
        : Optional.of(
            new Air(
                40 * chance.nextDouble(),
                90_000 + 15_000 * chance.nextDouble(),
                chance.nextDouble()));
  }

  private static OptionalDouble maybe(Random chance, double value) {
    return chance.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static FlowTest test(int id, Random chance) {
    SetUp setUp =
        new SetUp(
            chance.nextBoolean() ? "" : "bench \"two\"",
            "I" + (1 + chance.nextInt(4)),
            Direction.values()[chance.nextInt(2)],
            new TestedState(TestedState.Kind.values()[chance.nextInt(4)], chance.nextInt(5)),
            new TestedValve(20 + 30 * chance.nextDouble(), "valve, " + id),
            maybe(chance, 86.4),
            new Inlet(Inlet.Kind.values()[chance.nextInt(3)], maybe(chance, 12.7)),
            chance.nextBoolean() ? Optional.empty() : Optional.of(new Pipe(38.1, 203.2)),
            maybe(chance, 6974.5),
            maybe(chance, 0.0003));
    List<LiftReadings> lifts = new ArrayList<>();
    List<FlowTest.Predicted> predicted = new ArrayList<>();
    for (int k = 1; k <= chance.nextInt(8); k++) {
      LiftReadings lift = LiftReadings.of(k * 1.27, List.of());
      for (int r = 0; r < chance.nextInt(4); r++) {
        boolean percent = chance.nextBoolean();
        lift =
            lift.withReading(
                new BenchReading(
                    percent ? 100 * chance.nextDouble() : 0.1 * chance.nextDouble(),
                    percent ? Optional.of("range 1") : Optional.empty(),
                    maybe(chance, 6900 + 100 * chance.nextDouble()),
                    maybe(chance, 30 * chance.nextDouble())));
      }
      lift =
          lift.withNoisy(chance.nextBoolean())
              .withSwirl(maybe(chance, chance.nextInt(1000) - 500))
              .withSpeed(PortPlace.values()[chance.nextInt(6)], maybe(chance, 90.5))
              .withProbeDrop(PortPlace.values()[chance.nextInt(6)], maybe(chance, 0.002))
              .withRemarks(chance.nextBoolean() ? "" : "streaks; \"wet\", then dry");
      lifts.add(lift);
      predicted.add(new FlowTest.Predicted(k * 1.27, chance.nextDouble(), 0.02));
    }
    return new FlowTest(
        id,
        "test " + id,
        chance.nextBoolean() ? Optional.empty() : Optional.of(LocalDate.of(2026, 4, id)),
        setUp,
        air(chance),
        id > 1 && chance.nextBoolean() ? Optional.of(id - 1) : Optional.empty(),
        "what was changed",
        chance.nextBoolean(),
        lifts,
        predicted,
        List.of(new FlowTest.Picture("dye.png", "dry behind the guide")),
        "remarks\nin two lines");
  }

  private static Schema schema() {
    try (InputStream in = JobFile.class.getResourceAsStream("schema/job-7.schema.json")) {
      return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static final Schema SCHEMA = schema();

  @Property(tries = 60)
  void comesBackFromItsFileAsItWas(@ForAll long seed) throws FileProblem {
    Job job = JobFile.demo().withBench(book(seed));
    String text = JobFile.text(JobDocument.fresh(job));
    assertThat(JobFile.parse(text, "f").job()).isEqualTo(job);
    assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
  }

  @Property(tries = 60)
  void readingsSurviveCsvInEitherUnits(@ForAll long seed, @ForAll Units units) throws FileProblem {
    Job job = JobFile.demo().withBench(book(seed)).withUnits(units);
    long readings =
        readings(job.bench().tests().stream().flatMap(t -> t.lifts().stream()).toList());
    String csv = TestExport.csv(job);
    if (csv.lines().count() < 2) {
      assertThat(readings).isZero();
      return;
    }
    CsvTable table = CsvTable.of(csv);
    TestImport.Result result = TestImport.read(table, TestImport.guess(table), "x");
    assertThat(readings(result.tests().stream().flatMap(t -> t.lifts().stream()).toList()))
        .isEqualTo(readings);
    // Only lifts at which nothing was read and nothing seen have nothing to come back.
    assertThat(result.rejected()).allMatch(r -> r.reason().code().equals("import.row.noReading"));
  }

  private static long readings(List<LiftReadings> lifts) {
    return lifts.stream().mapToLong(l -> l.readings().size()).sum();
  }

  /** Each row of a table of chance is either taken or rejected, and by the rule that says so. */
  @Property(tries = 60)
  void everyRowIsTakenOrRejectedByItsCells(@ForAll long seed) throws FileProblem {
    Random chance = new Random(seed);
    String[] cells = {"1", "2,5", "x", "", "-3", "1e9", "NaN", "yes"};
    StringBuilder text = new StringBuilder("lift (mm);flow (l/s);swirl (rpm);noisy\n");
    List<Long> bad = new ArrayList<>();
    for (int row = 0; row < 12; row++) {
      List<String> line = new ArrayList<>();
      for (int column = 0; column < 4; column++) {
        line.add(cells[chance.nextInt(cells.length)]);
      }
      text.append(String.join(";", line)).append('\n');
      boolean positive = List.of("1", "2,5").contains(line.get(0));
      boolean flow = List.of("1", "2,5", "").contains(line.get(1));
      boolean swirl = List.of("1", "2,5", "-3", "").contains(line.get(2));
      boolean noisy = List.of("1", "x", "yes", "").contains(line.get(3));
      boolean anything = !(line.get(1) + line.get(2) + line.get(3)).isEmpty();
      if (!(positive && flow && swirl && noisy && anything)
          && !line.stream().allMatch(String::isEmpty)) {
        bad.add(row + 2L);
      }
    }
    CsvTable table = CsvTable.of(text.toString());
    TestImport.Result result = TestImport.read(table, TestImport.guess(table), "x");
    assertThat(result.rejected())
        .extracting(TestImport.Rejected::row)
        .as(text.toString())
        .isEqualTo(bad);
    assertThat(result.rejected()).noneMatch(r -> r.reason().code().isBlank());
  }

  @Property(tries = 60)
  void noTextMakesTheImportThrow(@ForAll long seed) {
    Random chance = new Random(seed);
    String[] pieces = {
      "1", "2,5", "\"", ";", ",", "\n", "#", "lift (mm)", "flow (l/s)", "\t", "\u0000"
    };
    StringBuilder text = new StringBuilder("lift (mm);flow (l/s)\n");
    for (int k = 0; k < 40; k++) {
      text.append(pieces[chance.nextInt(pieces.length)]);
    }
    try {
      CsvTable table = CsvTable.of(text.toString());
      TestImport.Result result = TestImport.read(table, TestImport.guess(table), "x");
      assertThat(result.rejected()).noneMatch(r -> r.reason().code().isBlank());
    } catch (FileProblem e) {
      // An opened quote that never closes is no table; it is said, not thrown about.
      assertThat(e.problem().code()).isIn("table.unreadable", "import.lacks");
    }
  }
}
