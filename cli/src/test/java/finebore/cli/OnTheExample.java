package finebore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** Commands run on the example job in a folder of its own, and what they print. */
abstract class OnTheExample {

  @TempDir Path folder;
  Path job;
  final StringWriter out = new StringWriter();
  final StringWriter err = new StringWriter();

  int run(String... arguments) {
    CommandLine line = Commands.commandLine();
    line.setOut(new PrintWriter(out));
    line.setErr(new PrintWriter(err));
    return line.execute(arguments);
  }

  @BeforeEach
  void writeTheExample() {
    job = folder.resolve("skarn.finebore.json");
    assertThat(run("example", job.toString())).isZero();
    out.getBuffer().setLength(0);
  }
}
