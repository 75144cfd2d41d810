package finebore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.work.ReadBack;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What goes out for others: card, drawings, readings; and readings that come in. */
class ExportsTest extends OnTheExample {

  private Path to(String name) {
    return folder.resolve(name);
  }

  @Test
  void writesTheCardWithWhatIsAskedFor() throws Exception {
    assertThat(run("card", job.toString(), "-o", to("a.pdf").toString())).isZero();
    assertThat(
            run(
                "card",
                job.toString(),
                "-o",
                to("b.pdf").toString(),
                "--with",
                "history,quote",
                "--paper",
                "letter"))
        .isZero();
    assertThat(
            run(
                "card",
                job.toString(),
                "-o",
                to("c.pdf").toString(),
                "--without",
                "drawings,flow,seal"))
        .isZero();
    assertThat(new String(Files.readAllBytes(to("a.pdf")), 0, 5, StandardCharsets.US_ASCII))
        .isEqualTo("%PDF-");
    assertThat(Files.size(to("b.pdf"))).isGreaterThan(Files.size(to("a.pdf")));
    assertThat(Files.size(to("c.pdf"))).isLessThan(Files.size(to("a.pdf")));
    assertThat(err.toString()).isEmpty();
  }

  @Test
  void writesSectionAndCutter() throws Exception {
    assertThat(run("dxf", job.toString(), "--seat", "E2", "-o", to("s.dxf").toString())).isZero();
    assertThat(run("dxf", job.toString(), "--seat", "E2", "--cutter", "-o", to("c.dxf").toString()))
        .isZero();
    assertThat(run("svg", job.toString(), "--seat", "E2", "-o", to("s.svg").toString())).isZero();
    assertThat(Files.readString(to("s.dxf"))).contains("FINISHED").endsWith("EOF\r\n");
    assertThat(Files.readString(to("c.dxf")))
        .contains("\r\nCUTTER\r\n")
        .doesNotContain("VERTEX\r\n8\r\nFOUND");
    assertThat(Files.readString(to("s.svg"))).contains("Skarn 1.6, E2");
  }

  @Test
  void aSectionCanBeDrawnWithItsValveOpen() throws Exception {
    String seat = "--seat";
    assertThat(run("svg", job.toString(), seat, "E2", "-o", to("shut.svg").toString())).isZero();
    assertThat(
            run("svg", job.toString(), seat, "E2", "--lift", "6", "-o", to("open.svg").toString()))
        .isZero();
    assertThat(Files.readString(to("shut.svg"))).doesNotContain("class=\"GATE\"");
    assertThat(Files.readString(to("open.svg"))).contains("class=\"GATE\"", "class=\"SHUT\"");
    assertThat(run("svg", job.toString(), seat, "E2", "--lift", "51", "-o", to("x.svg").toString()))
        .isEqualTo(1);
    assertThat(err.toString()).contains("--lift: 51.0 is no lift; expected 0 to 50 mm");
  }

  @Test
  void theScribeSheetIsWrittenWhereWallsWereMeasured() throws Exception {
    Path measured = to("d.finebore.json");
    Files.writeString(measured, JobFile.text(JobDocument.fresh(JobFile.demo("dolerite-2.0"))));
    for (String ending : new String[] {"pdf", "svg", "dxf", "txt"}) {
      assertThat(
              run(
                  "scribe",
                  measured.toString(),
                  "--seat",
                  "I3a",
                  "-o",
                  to("s." + ending).toString()))
          .as(ending)
          .isZero();
      assertThat(Files.size(to("s." + ending))).isGreaterThan(500);
    }
    assertThat(Files.readString(to("s.txt"))).contains("cylinder 3", "I3a: set the compass");
    assertThat(Files.readString(to("s.dxf"))).contains("STOP_LINE", "TAKE_BACK");
    Job skarn = JobFile.demo();
    Files.writeString(
        to("bare.finebore.json"),
        JobFile.text(JobDocument.fresh(skarn.withHead(skarn.head().withReadings(Map.of())))));
    String bare = to("bare.finebore.json").toString();
    assertThat(run("scribe", bare, "--seat", "I1", "-o", to("n.pdf").toString())).isEqualTo(1);
    assertThat(err.toString()).contains("Seat I1: nobody has measured where its valve lies");
    assertThat(run("scribe", measured.toString(), "--seat", "I1a", "-o", to("n.png").toString()))
        .isEqualTo(1);
    assertThat(to("n.png")).doesNotExist();
  }

  @Test
  void readingsGoOutAndComeIn() throws Exception {
    assertThat(run("csv", job.toString(), "-o", to("r.csv").toString())).isZero();
    String table = Files.readString(to("r.csv"));
    assertThat(table).startsWith("seat,taken,reading,value,unit,at,who,gauge\n");
    Files.writeString(
        to("in.csv"),
        "seat,taken,reading,value,unit\nE4,machine,valveDepth,8.41,mm\nE4,found,bowl,29.6,mm\n");
    assertThat(run("csv", job.toString(), "--in", to("in.csv").toString(), "--who", "N.")).isZero();
    var taken = JobFile.read(job).job();
    assertThat(taken.log().value("E4", ReadBack.VALVE_DEPTH)).hasValue(8.41);
    assertThat(taken.log().entries().getLast().who()).isEqualTo("N.");
    assertThat(taken.head().readingsOf("E4").value(Measure.BOWL_DIAMETER)).hasValue(29.6);
  }

  @Test
  void aTableThatIsWrongChangesNothing() throws Exception {
    String before = Files.readString(job);
    Files.writeString(
        to("in.csv"), "seat,taken,reading,value,unit\nE4,machine,valveDepth,8.41,m\n");
    assertThat(run("csv", job.toString(), "--in", to("in.csv").toString())).isEqualTo(1);
    assertThat(err.toString()).contains("Row 2", "unit", "\"m\"", "mm, cm, in, thou");
    assertThat(Files.readString(job)).isEqualTo(before);
  }

  @Test
  void theWholeWorkInItsOrder() throws Exception {
    assertThat(run("cutsheet", job.toString(), "--run", "-o", to("r.txt").toString())).isZero();
    assertThat(Files.readString(to("r.txt"))).startsWith("RUN SHEET  Skarn 1.6, 80 steps");
    assertThat(
            run(
                "cutsheet",
                job.toString(),
                "--run",
                "--language",
                "de",
                "-o",
                to("r.csv").toString()))
        .isZero();
    assertThat(Files.readString(to("r.csv"))).contains("Führung und Pilotdorn");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "card JOB -o FOLDER/a.txt",
        "dxf JOB --seat I1 -o FOLDER/a.svg",
        "svg JOB --seat I1 -o FOLDER/a.dxf",
        "dxf JOB --seat I7 -o FOLDER/a.dxf",
        "svg JOB --seat I7 -o FOLDER/a.svg",
        "card JOB -o FOLDER/a.pdf --with gold",
        "card JOB -o FOLDER/a.pdf --paper a3",
        "csv JOB",
        "csv JOB --in FOLDER/none.csv",
        "card FOLDER/none.json -o FOLDER/a.pdf",
        "card JOB -o FOLDER/nowhere/a.pdf"
      })
  void whatCannotBeIsOneClearLine(String command) {
    String[] arguments =
        command.replace("JOB", job.toString()).replace("FOLDER", folder.toString()).split(" ");
    assertThat(run(arguments)).isNotZero();
    assertThat(err.toString().strip().lines())
        .hasSize(1)
        .first()
        .asString()
        .startsWith("finebore: ");
    assertThat(to("a.pdf")).doesNotExist();
  }
}
