package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReducedTest;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.code.Term;
import finebore.flow.Direction;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.Imported;
import finebore.formats.TestImport.Role;
import finebore.job.Job;
import finebore.job.PistonSide;
import finebore.job.Port;
import finebore.units.Unit;
import finebore.units.Units;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Flow tests in job files, CSV and reports, and the demo jobs' tests. */
class BenchFilesTest {

  @TempDir private Path folder;

  private static TestImport.Result read(String text) throws FileProblem {
    CsvTable table = CsvTable.of(text);
    return TestImport.read(table, TestImport.guess(table), "a table");
  }

  private static boolean isPlain(List<Column> columns) {
    return columns.stream().allMatch(c -> c.question().isEmpty())
        && TestImport.missing(columns).isEmpty();
  }

  @Test
  void aPlainTableIsUnderstood() throws FileProblem {
    String text =
        "test,seat,lift (in),flow (cfm),repeat,noisy,swirl (rpm),remarks\n"
            + "found,I2,0.100,45.2,1,,,\n"
            + "found,I2,0.100,45.6,2,,,\n"
            + "found,I2,0.200,88.1,1,yes,-120,\"streaks, wet\"\n";
    CsvTable table = CsvTable.of(text);
    assertThat(isPlain(TestImport.guess(table))).isTrue();
    TestImport.Result result = read(text);
    assertThat(result.rejected()).isEmpty();
    Imported test = result.tests().getFirst();
    assertThat(test.name()).isEqualTo("found");
    assertThat(test.seat()).contains("I2");
    assertThat(test.lifts()).hasSize(2);
    LiftReadings first = test.lifts().getFirst();
    assertThat(first.liftMm()).isCloseTo(2.54, within(1e-9));
    assertThat(first.readings()).hasSize(2);
    assertThat(first.readings().getFirst().value()).isCloseTo(Unit.CFM.toBase(45.2), within(1e-12));
    assertThat(test.lifts().getLast().noisy()).isTrue();
    assertThat(test.lifts().getLast().swirlRpm()).hasValue(-120);
    assertThat(test.lifts().getLast().remarks()).isEqualTo("streaks, wet");
  }

  @Test
  void semicolonsAndDecimalCommasAreUnderstood() throws FileProblem {
    TestImport.Result result =
        read(
            "# from the old bench\nlift [mm];flow [l/s];depression [kPa]\n1,5;12,25;6,97\n3;24;7\n");
    assertThat(result.rejected()).isEmpty();
    BenchReading reading = result.tests().getFirst().lifts().getFirst().readings().getFirst();
    assertThat(reading.value()).isCloseTo(0.01225, within(1e-12));
    assertThat(reading.depressionPa().orElseThrow()).isCloseTo(6970, within(1e-6));
    assertThat(result.tests().getFirst().name()).isEqualTo("a table");
  }

  @Test
  void aColumnForEachTestIsUnderstood() throws FileProblem {
    TestImport.Result result =
        read("lift_mm\tfound (cfm)\tblended (cfm)\n2\t40\t42\n4\t80\tx\n6\t110\t116\n");
    assertThat(result.tests())
        .extracting(Imported::name)
        .containsExactly("found (cfm)", "blended (cfm)");
    assertThat(result.tests().getFirst().lifts()).hasSize(3);
    assertThat(result.tests().getLast().lifts()).hasSize(2);
    assertThat(result.rejected()).hasSize(1);
    assertThat(result.rejected().getFirst().reason().code()).isEqualTo("import.row.number");
    assertThat(result.rejected().getFirst().reason().terms())
        .containsEntry("found", Term.quote("x"));
  }

  @Test
  void everyBadRowIsListedWithItsReason() throws FileProblem {
    TestImport.Result result =
        read(
            "lift (mm),flow (l/s),percent,range,noisy\n"
                + "1,8.5,,,\n"
                + "two,16,,,\n"
                + ",20,,,\n"
                + "3,,,,\n"
                + "4,9999,,,\n"
                + "5,,61,,\n"
                + "6,,61,3,\n"
                + "99,30,,,\n"
                + "7,50,,,perhaps\n");
    assertThat(result.tests().getFirst().lifts())
        .extracting(LiftReadings::liftMm)
        .containsExactly(1.0, 6.0);
    assertThat(result.rejected())
        .extracting(r -> r.row() + ": " + r.reason().code())
        .containsExactly(
            "3: import.row.number",
            "4: import.row.noLift",
            "5: import.row.noReading",
            "6: rule.outside",
            "7: import.row.noRangeName",
            "9: rule.outside",
            "10: import.row.noisy");
  }

  @Test
  void columnsThatSayNothingAskToBeMapped() throws FileProblem {
    CsvTable table = CsvTable.of("A,B\n0.1,45\n0.2,88\n");
    List<Column> columns = new ArrayList<>(TestImport.guess(table));
    assertThat(isPlain(columns)).isFalse();
    assertThat(TestImport.missing(columns)).isPresent();
    assertThatThrownBy(() -> TestImport.read(table, columns, "x"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("A, B");
    columns.set(0, columns.get(0).as(Role.LIFT).in(Unit.INCH));
    columns.set(1, columns.get(1).as(Role.FLOW));
    // Nothing is taken for granted: the flow's unit is still to be said.
    assertThat(TestImport.missing(columns)).isPresent();
    columns.set(1, columns.get(1).in(Unit.CFM));
    assertThat(TestImport.read(table, columns, "x").tests().getFirst().lifts()).hasSize(2);
    assertThat(columns.get(0).in(Unit.CFM).question()).isPresent();
    assertThat(CsvTable.of("1,2\n3,4").headings()).containsExactly("column 1", "column 2");
    assertThatThrownBy(() -> CsvTable.of("\n\n")).hasMessageContaining("table.empty");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Opening (thou)|LIFT|THOU",
        "Valve Lift|LIFT|",
        "Valve lift, mm|LIFT|MM",
        "CFM @ 28|FLOW|CFM",
        "cfm|FLOW|CFM",
        "Flow (l/s)|FLOW|LITRE_PER_SECOND",
        "dp (inH2O)|DEPRESSION|INCH_OF_WATER",
        "depression (kPa)|DEPRESSION|KILOPASCAL",
        "Lift [in]|LIFT|INCH",
        "lift mm|LIFT|MM",
        "Valve Lift in|LIFT|INCH",
        "Lift thou|LIFT|THOU",
        "Flow cfm @ 28|FLOW|CFM",
        "Flow (CFM @ 28)|FLOW|CFM",
        "flow l/s|FLOW|LITRE_PER_SECOND",
        "Depression kPa|DEPRESSION|KILOPASCAL",
      })
  void headingsSayWhatTheySay(String heading, Role role, Unit unit) throws FileProblem {
    CsvTable table = CsvTable.of(heading + "\tremarks\n1\tx\n");
    Column column = TestImport.guess(table).getFirst();
    Column meant = column.role().isPresent() ? column : column.as(role);
    assertThat(meant.role()).contains(role);
    assertThat(meant.unit()).isEqualTo(Optional.ofNullable(unit));
    assertThat(meant.question().isPresent()).isEqualTo(unit == null);
  }

  /** What is no unit of what the name is, is no unit. */
  @ParameterizedTest
  @ValueSource(strings = {"lift cfm", "flow mm", "valve mm", "lift no", "liftmm"})
  void aWordBehindANameThatIsNoUnitOfItAsks(String heading) throws FileProblem {
    CsvTable table = CsvTable.of(heading + "\tremarks\n1\tx\n");
    assertThat(TestImport.guess(table).getFirst().question()).isPresent();
  }

  @Test
  void aUnitInAHeadingIsObeyedAndAnUnknownOneAsksWhich() throws FileProblem {
    CsvTable table = CsvTable.of("Opening (thou),Flow (furlongs)\n40,50\n");
    List<Column> columns = new ArrayList<>(TestImport.guess(table));
    columns.set(0, columns.get(0).as(Role.LIFT));
    columns.set(1, columns.get(1).as(Role.FLOW));
    assertThat(columns.get(1).question()).isPresent();
    assertThatThrownBy(() -> TestImport.read(table, columns, "x"))
        .hasMessageContaining("import.unknownUnit")
        .hasMessageContaining("furlongs");
    columns.set(1, columns.get(1).in(Unit.LITRE_PER_SECOND));
    assertThat(TestImport.read(table, columns, "x").tests().getFirst().lifts().getFirst().liftMm())
        .isCloseTo(1.016, within(1e-12));
  }

  @Test
  void flowInTheWrongUnitIsAskedAbout() throws FileProblem {
    Job job = JobFile.demo();
    FlowTest found = job.bench().tests().getFirst();
    StringBuilder right = new StringBuilder("lift (mm),flow (l/s)\n");
    StringBuilder wrong = new StringBuilder("lift (mm),flow (l/s)\n");
    for (ReducedTest.Lift lift : TestBook.of(job).reduced(found).lifts()) {
      double flow = 1000 * lift.meanM3s();
      right.append(lift.liftMm()).append(',').append(flow).append('\n');
      wrong.append(lift.liftMm()).append(',').append(flow / 0.471947).append('\n');
    }
    assertThat(taking(job, right.toString()).questions()).isEmpty();
    TestTaking asked = taking(job, wrong.toString());
    assertThat(asked.questions()).hasSize(1);
    assertThat(asked.questions().getFirst().mixUp().meant()).isEqualTo(Unit.CFM);
  }

  private static TestTaking taking(Job job, String table) throws FileProblem {
    return TestTaking.into(job, read(table), job.engine().seats().getFirst(), TestedState.AS_FOUND);
  }

  @Test
  void whatIsExportedComesBack() throws FileProblem {
    for (Units units : Units.values()) {
      Job job = JobFile.demo().withUnits(units);
      String csv = TestExport.csv(job);
      CsvTable table = CsvTable.of(csv);
      assertThat(isPlain(TestImport.guess(table))).isTrue();
      TestImport.Result result = TestImport.read(table, TestImport.guess(table), "x");
      assertThat(result.rejected()).isEmpty();
      assertThat(result.tests()).hasSameSizeAs(job.bench().tests());
      for (int k = 0; k < result.tests().size(); k++) {
        FlowTest before = job.bench().tests().get(k);
        Imported after = result.tests().get(k);
        assertThat(after.name()).isEqualTo(before.name());
        assertThat(after.lifts()).hasSameSizeAs(before.lifts());
        for (int l = 0; l < after.lifts().size(); l++) {
          LiftReadings a = after.lifts().get(l);
          LiftReadings b = before.lifts().get(l);
          assertThat(a.liftMm()).isCloseTo(b.liftMm(), within(1e-4));
          assertThat(a.readings()).hasSameSizeAs(b.readings());
          assertThat(a.noisy()).isEqualTo(b.noisy());
          assertThat(a.swirlRpm()).isEqualTo(b.swirlRpm());
          assertThat(a.remarks()).isEqualTo(b.remarks());
          for (int r = 0; r < a.readings().size(); r++) {
            assertThat(a.readings().get(r).value())
                .isCloseTo(b.readings().get(r).value(), within(1e-8));
            assertThat(a.readings().get(r).range()).isEqualTo(b.readings().get(r).range());
            alike(a.readings().get(r).depressionPa(), b.readings().get(r).depressionPa(), 0.01);
            alike(a.readings().get(r).temperatureC(), b.readings().get(r).temperatureC(), 1e-5);
          }
        }
      }
    }
  }

  private static void alike(OptionalDouble a, OptionalDouble b, double closely) {
    assertThat(a.isPresent()).isEqualTo(b.isPresent());
    a.ifPresent(value -> assertThat(value).isCloseTo(b.getAsDouble(), within(closely)));
  }

  @Test
  void importedTestsAreSetUpLikeTheLast() throws FileProblem {
    Job job = JobFile.demo();
    TestTaking taken =
        TestTaking.into(
            job,
            read("test,lift (mm),flow (l/s)\nA,2,17\nA,4,34\nB,2,18\n"),
            job.engine().seats().getFirst(),
            TestedState.FINISHED);
    assertThat(taken.job().bench().tests()).hasSize(job.bench().tests().size() + 2);
    FlowTest added = taken.tests().getFirst();
    FlowTest last = job.bench().last(Direction.INTAKE).orElseThrow();
    assertThat(added.name()).isEqualTo("A");
    assertThat(added.after()).contains(last.id());
    assertThat(added.setUp().boreMm()).isEqualTo(last.setUp().boreMm());
    assertThat(added.setUp().state()).isEqualTo(TestedState.FINISHED);
    assertThat(added.predicted()).isEmpty();
  }

  @Test
  void aJobOfVersionTwoOpensWithoutTests() throws IOException, FileProblem {
    try (InputStream in = BenchFilesTest.class.getResourceAsStream("version-2.finebore.json")) {
      String old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      Job job = JobFile.parse(old, "old").job();
      assertThat(job.bench().tests()).isEmpty();
      // The demo's intake axes were moved since.
      assertThat(job.intake().axisFromBoreMm()).hasValue(19.6);
      assertThat(job.intake())
          .isEqualTo(
              JobFile.demo()
                  .intake()
                  .withPistonSide(PistonSide.UNKNOWN)
                  .withAxisFromBoreMm(job.intake().axisFromBoreMm()));
      assertThat(JobFile.text(JobDocument.fresh(job))).contains("\"version\" : 7");
      assertThat(PredictionConfidence.of(job, Port.INTAKE).isCalibrated()).isFalse();
    }
  }

  @Test
  void allDemosHaveTestsStepsAndOneThatMayNotBeRanked() throws FileProblem {
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      TestBook book = TestBook.of(job);
      assertThat(PredictionConfidence.of(job, Port.INTAKE).calibration().source()).hasValue(1);
      List<Boolean> ranked =
          job.bench().tests().stream()
              .filter(t -> t.after().isPresent())
              .map(t -> book.compare(job.bench().test(t.after().get()).orElseThrow(), t).isRanked())
              .toList();
      assertThat(ranked).as(name).contains(true, false);
      assertThat(JobFile.parse(JobFile.text(JobDocument.fresh(job)), name).job()).isEqualTo(job);
    }
  }

  @Test
  void aBadTestIsNamedByItsPlace() {
    String text = JobFile.text(JobDocument.fresh(JobFile.demo()));
    assertThatThrownBy(
            () ->
                JobFile.parse(
                    text.replaceFirst("\"date\" : \"2026-03-03\"", "\"date\" : \"soon\""), "f"))
        .hasMessageContaining("tests[1].date");
    assertThatThrownBy(
            () ->
                JobFile.parse(
                    text.replaceFirst("\"direction\" : \"intake\"", "\"direction\" : \"up\""), "f"))
        .hasMessageContaining("intake, exhaust");
  }

  @Test
  void whatATestHeldBesidesStaysWithThatTest() throws FileProblem {
    String text =
        JobFile.text(JobDocument.fresh(JobFile.demo()))
            .replaceFirst(
                "\"id\" : 2,(\\s+\"name\")", "\"id\" : 2, \"photo\" : \"of test two\",$1");
    JobDocument document = JobFile.parse(text, "f");
    Job without = document.job().withBench(document.job().bench().without(1));
    assertThat(JobFile.text(document.withJob(without))).contains("of test two");
    Job gone = document.job().withBench(document.job().bench().without(2));
    assertThat(JobFile.text(document.withJob(gone))).doesNotContain("of test two");
  }

  @Test
  void picturesAreCopiedBesideTheJobAndTravelWithIt() throws IOException, FileProblem {
    Path job = folder.resolve("a.finebore.json");
    Path picture = folder.resolve("dye.png");
    Files.write(picture, new byte[] {1, 2, 3});
    assertThat(JobPictures.copyIn(picture, job)).isEqualTo("dye.png");
    assertThat(JobPictures.copyIn(picture, job)).isEqualTo("dye.png");
    Files.write(picture, new byte[] {4, 5, 6});
    assertThat(JobPictures.copyIn(picture, job)).isEqualTo("dye-2.png");
    assertThat(JobPictures.folder(job)).isEqualTo(folder.resolve("a.pictures"));
    Path other = folder.resolve("other").resolve("b.finebore.json");
    JobPictures.takeAlong(job, other, List.of("dye.png", "gone.png", "../dye.png"));
    assertThat(JobPictures.folder(other)).isDirectoryContaining("glob:**/dye.png");
    try (var files = Files.list(JobPictures.folder(other))) {
      assertThat(files).hasSize(1);
    }
    Path text = folder.resolve("notes.txt");
    Files.writeString(text, "x");
    assertThatThrownBy(() -> JobPictures.copyIn(text, job))
        .hasMessageContaining("file.notAPicture");
  }

  @Test
  void aWideRowWithoutAnyReadingIsRefused() throws FileProblem {
    TestImport.Result result = read("lift (mm),a (cfm),b (cfm)\n2,,\n4,80,82\n");
    assertThat(result.rejected())
        .extracting(r -> r.reason().code())
        .containsExactly("import.row.noReading");
    assertThat(result.tests())
        .allMatch(t -> t.lifts().size() == 1 && t.seat().equals(Optional.empty()));
  }
}
