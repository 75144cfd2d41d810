package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.formats.TestImport.Imported;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables as other programs write them, and as others read ours. */
class TableTextTest {

  private static final Job DEMO = JobFile.demo("tuff-650");

  @TempDir private Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16", "windows-1252"})
  void isReadInWhateverItIsWritten(String charset) throws Exception {
    String table = "lift (mm),flow (l/s),remarks\n2,21.5,f\u00fcr \u00b0\n";
    Path file = folder.resolve("table.csv");
    Files.write(file, table.getBytes(Charset.forName(charset)));
    assertThat(TableText.read(file)).isEqualTo(table);
    Files.write(file, ("\uFEFF" + table).getBytes(StandardCharsets.UTF_16LE));
    assertThat(TableText.read(file)).isEqualTo(table);
  }

  @ParameterizedTest
  @ValueSource(strings = {"=1+2", "+more", "-", "@x", "'quoted", "'=x", "plain", "", "\tx"})
  void noCellIsAFormulaAndEveryOneComesBack(String text) {
    assertThat(TableText.cell(text)).doesNotMatch("(?s)[=+\\-@\t].*");
    assertThat(TableText.text(TableText.cell(text))).isEqualTo(text);
  }

  @Test
  void figuresAreLeftAndFormulasAreNot() {
    assertThat(TableText.figureOrText("-0.28 mm")).isEqualTo("-0.28 mm");
    assertThat(TableText.figureOrText("+5.2")).isEqualTo("+5.2");
    assertThat(TableText.figureOrText(-3.5)).isEqualTo(-3.5);
    assertThat(TableText.figureOrText("-1+cmd|x")).isEqualTo("'-1+cmd|x");
    assertThat(TableText.figureOrText("=HYPERLINK(1)")).isEqualTo("'=HYPERLINK(1)");
  }

  @Test
  void remarksThatLookLikeFormulasComeBackFromAnExport() throws Exception {
    FlowTest test = DEMO.bench().tests().getFirst().withName("=SUM(A1)");
    FlowTest noted = test.with(test.lifts().getFirst().withRemarks("-1 turn on the screw"));
    Job job = DEMO.withBench(DEMO.bench().with(noted));
    String csv = TestExport.csv(job);
    assertThat(csv).contains("'=SUM(A1)").contains("'-1 turn");
    Imported back = read(csv).tests().getFirst();
    assertThat(back.name()).isEqualTo("=SUM(A1)");
    assertThat(back.lifts().getFirst().remarks()).isEqualTo("-1 turn on the screw");
  }

  private static TestImport.Result read(String csv) throws FileProblem {
    CsvTable table = CsvTable.of(csv);
    return TestImport.read(table, TestImport.guess(table), "table");
  }

  private static TestTaking taken(String csv) throws FileProblem {
    SeatPlace first = DEMO.engine().seats().getFirst();
    return TestTaking.into(DEMO, read(csv), first, TestedState.AS_FOUND);
  }

  @Test
  void aTestOfOneNameOnTwoSeatsIsTwoTests() throws Exception {
    String labels =
        DEMO.engine().seats().stream().map(SeatPlace::label).collect(Collectors.joining(" "));
    String first = labels.split(" ")[0];
    String second = labels.split(" ")[1];
    TestTaking taking =
        taken(
            "test,seat,lift (mm),flow (l/s)\nbase,%s,2,21\nbase,%s,2,24\nbase,%s,4,38\n"
                .formatted(first, second, first));
    assertThat(taking.refused()).isEmpty();
    assertThat(taking.tests())
        .extracting(t -> t.setUp().seat(), t -> t.lifts().size())
        .containsExactly(
            org.assertj.core.api.Assertions.tuple(first, 2),
            org.assertj.core.api.Assertions.tuple(second, 1));
  }

  @Test
  void whatCannotBeATestIsRefusedAndTheOthersAreTaken() throws Exception {
    String many =
        IntStream.rangeClosed(1, 61)
            .mapToObj(k -> "long," + k * 0.1 + ",1." + k + "\n")
            .collect(Collectors.joining());
    TestTaking taking = taken("test,lift (mm),flow (l/s)\nshort,2,21\n" + many);
    assertThat(taking.tests()).extracting(FlowTest::name).containsExactly("short");
    assertThat(taking.refused()).hasSize(1);
    assertThat(taking.refused().getFirst().code()).isEqualTo("import.cannotBe");
  }

  @Test
  void onlyPlainNumbersAreNumbers() throws Exception {
    for (String odd : List.of("1d", "0x1p4", "1e999", "NaN", "Infinity", "1f")) {
      TestImport.Result result = read("lift (mm),flow (l/s)\n2,21\n3,%s\n".formatted(odd));
      assertThat(result.rejected()).hasSize(1);
      assertThat(result.tests().getFirst().lifts()).hasSize(1);
    }
  }
}
