package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SetUp.TestedState;
import finebore.flow.Direction;
import finebore.formats.TestImport.Column;
import finebore.formats.TestImport.ColumnUnit;
import finebore.formats.TestImport.Imported;
import finebore.formats.TestImport.Role;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.PredictionConfidence;
import finebore.study.TestBook;
import finebore.units.Unit;
import finebore.units.UnitSystem;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Flow tests in job files, CSV and reports, and the demo jobs' tests. */
class BenchFilesTest {

  @TempDir private Path folder;

  private static TestImport.Result read(String text) throws FileProblem {
    CsvTable table = CsvTable.of(text);
    return TestImport.read(table, TestImport.guess(table), "a table");
  }

  private static boolean isPlain(List<Column> columns) {
    return columns.stream().allMatch(Column::known) && TestImport.missing(columns).isEmpty();
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
    assertThat(result.rejected().getFirst().reason())
        .isEqualTo("flow: expected a number, found \"x\"");
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
        .extracting(r -> r.row() + ": " + r.reason())
        .containsExactly(
            "3: lift: expected a number, found \"two\"",
            "4: lift: expected a number, found nothing",
            "5: no reading in this row",
            "6: reading must be 0 to 5 m3/s, was 9.999",
            "7: range: expected the name of the bench's range, found nothing",
            "9: lift must be 0.01 to 60 mm, was 99",
            "10: noisy: expected yes or no, found \"perhaps\"");
  }

  @Test
  void columnsThatSayNothingAskToBeMapped() throws FileProblem {
    CsvTable table = CsvTable.of("A,B\n0.1,45\n0.2,88\n");
    List<Column> columns = new ArrayList<>(TestImport.guess(table));
    assertThat(isPlain(columns)).isFalse();
    assertThat(TestImport.missing(columns)).contains("expected one column of lifts, found 0");
    assertThatThrownBy(() -> TestImport.read(table, columns, "x"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("the headings are A, B");
    columns.set(0, columns.get(0).as(Role.LIFT).in(ColumnUnit.INCH));
    columns.set(1, columns.get(1).as(Role.FLOW));
    assertThat(TestImport.read(table, columns, "x").tests().getFirst().lifts()).hasSize(2);
    assertThatThrownBy(() -> columns.get(0).in(ColumnUnit.CFM))
        .hasMessage("column \"A\": lift cannot be in \"cfm\"");
    assertThat(CsvTable.of("1,2\n3,4").headings()).containsExactly("column 1", "column 2");
    assertThatThrownBy(() -> CsvTable.of("\n\n")).hasMessageContaining("the table is empty");
  }

  @Test
  void whatIsExportedComesBack() throws FileProblem {
    for (UnitSystem units : UnitSystem.values()) {
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
          for (int r = 0; r < a.readings().size(); r++) {
            assertThat(a.readings().get(r).value())
                .isCloseTo(b.readings().get(r).value(), within(1e-8));
            assertThat(a.readings().get(r).range()).isEqualTo(b.readings().get(r).range());
          }
        }
      }
    }
  }

  @Test
  void importedTestsAreSetUpLikeTheLast() throws FileProblem {
    Job job = JobFile.demo();
    Job grown =
        TestTaking.into(
            job,
            read("test,lift (mm),flow (l/s)\nA,2,17\nA,4,34\nB,2,18\n"),
            job.engine().seats().getFirst(),
            TestedState.FINISHED);
    assertThat(grown.bench().tests()).hasSize(job.bench().tests().size() + 2);
    FlowTest added = TestTaking.firstNew(job, grown).orElseThrow();
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
      assertThat(job.intake()).isEqualTo(JobFile.demo().intake());
      assertThat(JobFile.text(JobDocument.fresh(job))).contains("\"version\" : 3");
      assertThat(PredictionConfidence.of(job, Port.INTAKE).words()).isEqualTo("not calibrated");
    }
  }

  @Test
  void allDemosHaveTestsStepsAndOneThatMayNotBeRanked() throws FileProblem {
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      TestBook book = TestBook.of(job);
      assertThat(PredictionConfidence.of(job, Port.INTAKE).words())
          .isEqualTo("calibrated on test 1");
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
  void theReportNamesWhatDiffersFirst() throws FileProblem {
    Job job = JobFile.demo();
    FlowTest found = CompareReport.find(job, "1");
    String ranked =
        new CompareReport(job, found, CompareReport.find(job, "I1 throat opened")).text();
    assertThat(ranked).contains("test 2 \"I1 throat opened\"", "low lift", "gain", "cam's mean");
    CompareReport refused =
        new CompareReport(job, CompareReport.find(job, "7"), CompareReport.find(job, "8"));
    assertThat(refused.text())
        .contains("Not ranked: the set-ups differ.\n! exhaust pipe: none, then");
    assertThat(refused.text().indexOf("exhaust pipe")).isLessThan(refused.text().indexOf("before"));
    assertThat(refused.json()).contains("\"ranked\" : false", "\"item\" : \"exhaust pipe\"");
    assertThat(refused.csv().lines().count()).isEqualTo(14);
    assertThat(refused.csv()).contains("not ranked").doesNotContain("gain");
    assertThatThrownBy(() -> CompareReport.find(job, "11"))
        .hasMessageContaining("the job has no test \"11\"; it has 1 \"I1 as found\"");
  }

  @Test
  void aBadTestIsNamedByItsPlace() {
    String text = JobFile.text(JobDocument.fresh(JobFile.demo()));
    assertThatThrownBy(
            () ->
                JobFile.parse(
                    text.replaceFirst("\"date\" : \"2026-03-03\"", "\"date\" : \"soon\""), "f"))
        .hasMessageContaining("tests[1].date: expected a day such as 2026-03-14, found \"soon\"");
    assertThatThrownBy(
            () ->
                JobFile.parse(
                    text.replaceFirst("\"direction\" : \"intake\"", "\"direction\" : \"up\""), "f"))
        .hasMessageContaining("expected one of intake, exhaust");
  }

  @Test
  void whatATestHeldBesidesStaysWithThatTest() throws FileProblem {
    String text =
        JobFile.text(JobDocument.fresh(JobFile.demo()))
            .replace("\"id\" : 2,", "\"id\" : 2, \"photo\" : \"of test two\",");
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
        .hasMessageContaining("is not a picture: expected a name that ends in png");
  }

  @Test
  void aWideRowWithoutAnyReadingIsRefused() throws FileProblem {
    TestImport.Result result = read("lift (mm),a (cfm),b (cfm)\n2,,\n4,80,82\n");
    assertThat(result.rejected())
        .extracting(r -> r.reason())
        .containsExactly("no reading in this row");
    assertThat(result.tests())
        .allMatch(t -> t.lifts().size() == 1 && t.seat().equals(Optional.empty()));
  }
}
