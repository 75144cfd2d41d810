package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.JobFile;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

/** Pictures from the command line: of every demo job as it is offered, and refused in one line. */
class PictureLinesTest {

  @TempDir private Path folder;

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "demo --shot OUT --operation -1|--operation: expected one of 0 .. ",
        "demo --shot OUT --operation 99|--operation: expected one of 0 .. ",
        "demo --shot OUT --test 0|--test: expected one of 1 .. ",
        "demo --shot OUT --test 99|--test: expected one of 1 .. ",
        "demo --shot OUT --text 151|--text: expected one of 100 .. 150, found 151",
        "demo --shot OUT --seat I9|--seat: expected one of I1, E1",
        "demo --shot OUT --station attic|--station: expected one of job, found",
        "demo --shot none/such/x.png|none/such",
        "demo --job slate --shot OUT|--job: expected one of skarn-1.6",
        "open --shot OUT|FILE"
      })
  void whatCannotBeShownIsRefused(String line, String said) {
    StringWriter err = new StringWriter();
    CommandLine commands = Main.commands();
    commands.setErr(new PrintWriter(err));
    int code = commands.execute(line.replace("OUT", folder.resolve("x.png").toString()).split(" "));
    assertThat(code).isNotZero();
    assertThat(err.toString().strip().lines())
        .singleElement()
        .asString()
        .startsWith("finebore: ")
        .contains(said);
  }

  /** The demo job whose seats have letters, which once was asked for a seat it does not have. */
  @Test
  void aDemoJobIsDrawnWithoutASeat() throws Exception {
    draws("demo", "--job", "dolerite-2.0");
  }

  @Test
  @Tag("long")
  void everyDemoJobIsDrawnAtEveryStation() throws Exception {
    for (String job : JobFile.demoNames()) {
      for (String station : Main.Picture.STATIONS) {
        draws("demo", "--job", job, "--station", station);
      }
    }
  }

  /** A toolkit ends with its picture, so that each has a program of its own. */
  private void draws(String... words) throws Exception {
    Path out = folder.resolve("shot.png");
    List<String> line =
        new ArrayList<>(
            List.of(
                ProcessHandle.current().info().command().orElseThrow(),
                "-Dglass.platform=Headless",
                "-Dprism.order=sw",
                "-cp",
                System.getProperty("java.class.path"),
                "finebore.desk.Main"));
    line.addAll(List.of(words));
    line.addAll(List.of("--shot", out.toString()));
    Process process =
        new ProcessBuilder(line)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("said.txt").toFile())
            .start();
    assertThat(process.waitFor(120, TimeUnit.SECONDS)).as(line.toString()).isTrue();
    assertThat(process.exitValue())
        .as(line + Files.readString(folder.resolve("said.txt")))
        .isZero();
    assertThat(Files.size(out)).isGreaterThan(10_000);
    Files.delete(out);
  }
}
