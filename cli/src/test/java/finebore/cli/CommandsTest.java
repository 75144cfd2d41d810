package finebore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.JobSchema;
import finebore.formats.PracticeFiles;
import finebore.practice.Practice;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class CommandsTest extends OnTheExample {

  @Test
  void studiesPlannedIntakesUnlessToldOtherwise() {
    assertThat(run("study", job.toString())).isZero();
    assertThat(out.toString()).startsWith("Skarn 1.6, intake seats I1 I2 I3 I4, as planned");
    assertThat(
            run(
                "study",
                job.toString(),
                "--group",
                "exhaust",
                "--plan",
                "found",
                "--format",
                "csv"))
        .isZero();
    assertThat(out.toString()).contains("seat,section,item,lift_mm,value,unit,remark");
    assertThat(err.toString()).isEmpty();
  }

  @Test
  void studiesOneSeatByItsLabel() {
    assertThat(run("study", job.toString(), "--seat", "E2")).isZero();
    String second = out.toString();
    out.getBuffer().setLength(0);
    assertThat(run("study", job.toString(), "--seat", "E1")).isZero();
    assertThat(second)
        .startsWith("Skarn 1.6, exhaust seats E2, as planned")
        .contains("OPERATIONS")
        .isNotEqualTo(out.toString());
    failsWithOneLine("--seat: expected one of I1, E1", "study", job.toString(), "--seat", "X9");
  }

  @Test
  void judgesByThePracticesOfTheShopAndSaysWhereOneIsNotThere() throws Exception {
    Path practices = folder.resolve("practices");
    Practice race = PracticeFiles.named("race", PracticeFiles.all());
    PracticeFiles.save(race.named("hills", "Tall hills"), practices);
    JobDocument document = JobFile.read(job);
    JobFile.write(document.withJob(document.job().withPractice("hills")), job);
    Path empty = folder.resolve("nothing");
    Path sheet = folder.resolve("sheet.txt");
    assertThat(run("study", job.toString(), "--practices", practices.toString())).isZero();
    assertThat(out.toString()).contains("Tall hills").doesNotContain("not installed");
    assertThat(run("study", job.toString(), "--practices", empty.toString())).isZero();
    assertThat(out.toString())
        .contains("The practice of this job, \"hills\", is not installed here.");
    String at = practices.toString();
    assertThat(run("cutsheet", job.toString(), "-o", sheet.toString(), "--practices", at)).isZero();
    assertThat(Files.readString(sheet)).contains("Tall hills").doesNotContain("not installed");
    at = empty.toString();
    assertThat(run("cutsheet", job.toString(), "-o", sheet.toString(), "--practices", at)).isZero();
    assertThat(Files.readString(sheet)).contains("\"hills\", is not installed here.");
  }

  @Test
  void writesCutSheets() throws IOException {
    Path text = folder.resolve("sheet.txt");
    Path csv = folder.resolve("sheet.csv");
    assertThat(run("cutsheet", job.toString(), "-o", text.toString())).isZero();
    assertThat(run("cutsheet", job.toString(), "-o", csv.toString())).isZero();
    assertThat(Files.readString(text)).startsWith("CUT SHEET  Skarn 1.6, hill climb");
    assertThat(Files.readString(csv)).startsWith("group,seat,step,tool,item,value");
  }

  @Test
  void printsTheSchema() {
    assertThat(run("schema")).isZero();
    assertThat(out.toString()).isEqualToNormalizingNewlines(JobSchema.text());
  }

  private void failsWithOneLine(String expected, String... arguments) {
    err.getBuffer().setLength(0);
    assertThat(run(arguments)).isNotZero();
    assertThat(err.toString().strip().lines())
        .hasSize(1)
        .first()
        .asString()
        .startsWith("finebore: ")
        .contains(expected);
  }

  @Test
  void badInputGetsOneClearLine() throws IOException {
    failsWithOneLine("does not exist", "study", folder.resolve("none").toString());
    failsWithOneLine("--format", "study", job.toString(), "--format", "pdf");
    failsWithOneLine("intake, exhaust", "study", job.toString(), "--group", "left");
    failsWithOneLine(
        "expected a name that ends in .csv, .txt", "cutsheet", job.toString(), "-o", "x.pdf");
    failsWithOneLine("Missing required option", "cutsheet", job.toString());
    failsWithOneLine(
        "its folder does not exist",
        "cutsheet",
        job.toString(),
        "-o",
        folder.resolve("no/x.csv").toString());
    failsWithOneLine("Missing required parameter", "study");
    failsWithOneLine("Unmatched argument", "stud");
    Files.writeString(job, Files.readString(job).substring(0, 200));
    failsWithOneLine("damaged or cut short at line", "study", job.toString());
  }

  @Test
  void everyCommandHelpsAndNothingOddGetsMoreThanALine() throws Exception {
    for (String command : List.of("study", "bench", "import", "cutsheet", "example", "schema")) {
      out.getBuffer().setLength(0);
      assertThat(run(command, "--help")).isZero();
      assertThat(out.toString()).startsWith("Usage: finebore " + command);
    }
    failsWithOneLine("is a folder", "study", folder.toString());
    failsWithOneLine("is a folder", "study", "/");
    failsWithOneLine("cannot be written", "example", "/");
    failsWithOneLine("is a folder", "example", folder.toString());
    failsWithOneLine("cannot be written", "example", job.toString());
    failsWithOneLine("expected a name that ends in", "cutsheet", job.toString(), "-o", "/");
    failsWithOneLine("is a device", "study", "/dev/zero");
    failsWithOneLine("is a device", "import", job.toString(), "/dev/zero");
    failsWithOneLine("a", "study", "a\u0000b");
    failsWithOneLine("job has no test", "bench", job.toString(), "--compare", "1", "99");
    failsWithOneLine("--seat", "study", job.toString(), "--seat", "");
    try (var left = Files.list(folder)) {
      assertThat(left).containsExactly(job);
    }
  }

  @Test
  void controlCharactersOfAJobNeverReachTheTerminal() throws Exception {
    JobDocument document = JobFile.read(job);
    JobFile.write(
        document.withJob(
            document.job().withName("Skarn\u001b[2J\u0007").withPractice("\u001b]0;x\u0007")),
        job);
    for (String format : List.of("text", "csv", "json")) {
      out.getBuffer().setLength(0);
      assertThat(run("study", job.toString(), "--format", format)).isZero();
      assertThat(out.toString()).doesNotContain("\u001b").doesNotContain("\u0007");
    }
    Path odd = folder.resolve("odd\u001b[2J.json");
    failsWithOneLine("does not exist", "study", odd.toString());
    assertThat(err.toString()).doesNotContain("\u001b");
  }

  @Test
  void comparesTwoFlowTests() {
    assertThat(run("bench", job.toString(), "--compare", "1", "2")).isZero();
    assertThat(out.toString()).contains("\"I1 throat opened\"", "low lift", "gain");
    out.getBuffer().setLength(0);
    assertThat(run("bench", job.toString(), "--compare", "E1 finished", "8", "--format", "json"))
        .isZero();
    assertThat(out.toString()).contains("\"ranked\" : false");
    out.getBuffer().setLength(0);
    assertThat(run("bench", job.toString())).isZero();
    assertThat(out.toString()).startsWith("test,seat,direction,state,date,lift (mm),repeat,");
    assertThat(run("bench", job.toString(), "--compare", "1", "99")).isEqualTo(1);
    assertThat(err.toString()).contains("The job has no test \"99\"; it has 1 \"I1 as found\"");
  }

  @Test
  void importsFlowTestsAndListsWhatItRejects() throws IOException {
    Path table = folder.resolve("notebook.csv");
    Files.writeString(table, "lift (in);flow (cfm)\n0,1;44,8\n0,2;x\n0,3;120\n");
    assertThat(
            run("import", job.toString(), table.toString(), "--seat", "E3", "--state", "finished"))
        .isZero();
    assertThat(out.toString())
        .contains("took \"notebook\": 2 lifts")
        .contains("row 3 rejected: flow: expected a number, found \"x\" [0,2 | x]");
    assertThat(Files.readString(job)).contains("\"notebook\"", "\"seat\" : \"E3\"");
    assertThat(job.resolveSibling("skarn.finebore.json.bak")).exists();
    out.getBuffer().setLength(0);
    assertThat(run("bench", job.toString(), "--compare", "7", "notebook")).isZero();
    assertThat(out.toString()).contains("\"notebook\" (E3, finished)");
  }

  @Test
  void asksWhatAColumnHolds() throws IOException {
    Path table = folder.resolve("bare.csv");
    Files.writeString(table, "A,B\n1,8.5\n2,17\n");
    assertThat(run("import", job.toString(), table.toString())).isEqualTo(1);
    assertThat(err.toString())
        .contains("column \"A\": what does it hold?", "--column HEADING=ROLE[:UNIT]");
    assertThat(
            run(
                "import",
                job.toString(),
                table.toString(),
                "--column",
                "A=lift:mm",
                "--column",
                "B=flow:l/s"))
        .isZero();
    assertThat(out.toString()).contains("took \"bare\": 2 lifts");
    assertThat(run("import", job.toString(), table.toString(), "--column", "A=lift:cfm"))
        .isEqualTo(1);
    assertThat(err.toString())
        .contains("lift cannot be in \"cfm\"; expected one of mm, cm, in, thou");
    assertThat(run("import", job.toString(), table.toString(), "--column", "C=lift")).isEqualTo(1);
    assertThat(err.toString()).contains("the table has no column \"C\"");
  }

  @Test
  void solvesTheAirOfOneSeat() throws IOException {
    Path picture = folder.resolve("air.json");
    String[] arguments = {
      "air",
      job.toString(),
      "--seat",
      "I1",
      "--lift",
      "6",
      "--grid",
      "coarse",
      "-o",
      picture.toString()
    };
    assertThat(run(arguments)).isZero();
    assertThat(out.toString()).startsWith("Solved: ").contains("wrote " + picture);
    assertThat(Files.readString(picture))
        .contains("\"state\" : \"planned\"")
        .contains("\"lift_mm\" : 6.0");
  }

  @Test
  void putsFoundAndPlannedSideBySide() throws IOException {
    Path picture = folder.resolve("both.png");
    assertThat(bothTo(picture)).isZero();
    assertThat(out.toString().lines().filter(l -> l.startsWith("Solved: "))).hasSize(2);
    assertThat(Files.size(picture)).isGreaterThan(50_000);
    assertThat(bothTo(folder.resolve("both.svg"))).isEqualTo(1);
  }

  private int bothTo(Path picture) {
    return run(
        "air",
        job.toString(),
        "--seat",
        "I1",
        "--lift",
        "8",
        "--grid",
        "coarse",
        "--plan",
        "both",
        "-o",
        picture.toString());
  }

  @Test
  void refusesAirThatCannotBe() {
    assertThat(run("air", job.toString(), "--seat", "I1", "--lift", "0", "-o", "air.json"))
        .isEqualTo(1);
    assertThat(err.toString()).contains("--lift: ").contains("above 0 and up to 50 mm");
    err.getBuffer().setLength(0);
    assertThat(run("air", job.toString(), "--seat", "X9", "--lift", "3", "-o", "air.json"))
        .isEqualTo(1);
    assertThat(err.toString()).contains("X9");
    err.getBuffer().setLength(0);
    assertThat(run("air", job.toString(), "--seat", "I1", "--lift", "3", "-o", "air.bmp"))
        .isEqualTo(1);
    assertThat(err.toString()).contains(".png, .svg, .csv, .json");
    err.getBuffer().setLength(0);
    assertThat(run("air", job.toString(), "--seat", "I1", "--lift", "0.004", "-o", "air.json"))
        .isEqualTo(1);
    assertThat(err.toString()).contains("the valve leaves no way");
  }

  /** Told that the valve is what was changed, two tests that differ by it alone are ranked. */
  @Test
  void aTriedValveIsRanked() throws Exception {
    JobDocument document = JobFile.read(job);
    var tests = document.job().bench().tests();
    var last = tests.get(1);
    var valve =
        new finebore.bench.SetUp.TestedValve(
            last.setUp().valve().headDiameterMm() + 1.5, "", java.util.Optional.empty());
    var changed = last.withSetUp(last.setUp().withValve(valve)).withValveIsTheChange(false);
    JobFile.write(
        document.withJob(document.job().withBench(document.job().bench().with(changed))), job);
    assertThat(run("bench", job.toString(), "--compare", "1", "2", "--format", "json")).isZero();
    String plain = out.toString();
    out.getBuffer().setLength(0);
    assertThat(
            run(
                "bench",
                job.toString(),
                "--compare",
                "1",
                "2",
                "--valve-tried",
                "--format",
                "json"))
        .isZero();
    assertThat(plain).contains("\"ranked\" : false");
    assertThat(out.toString()).contains("\"ranked\" : true");
  }
}
