package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import finebore.units.Unit;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardWatchEventKinds;
import java.nio.file.WatchService;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** The protocol over a real serial port: a pair of pseudo-terminals that socat holds together. */
class SerialLinkTest {

  @TempDir private Path folder;

  private static boolean hasSocat() {
    return List.of(System.getenv().getOrDefault("PATH", "").split(":")).stream()
        .anyMatch(p -> Files.isExecutable(Path.of(p, "socat")));
  }

  @Test
  @Timeout(120)
  void aRunGoesOverASerialPort() throws Exception {
    assumeTrue(hasSocat(), "socat is not installed");
    Path ours = folder.resolve("bench-tty");
    WatchService watch = folder.getFileSystem().newWatchService();
    folder.register(watch, StandardWatchEventKinds.ENTRY_CREATE);
    // What comes out of the bench's end goes through socat's standard streams to the simulation.
    Process socat =
        new ProcessBuilder("socat", "-", "pty,raw,echo=0,link=" + ours)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    SimulatedBench bench = new SimulatedBench(lift -> 75 * lift, 11);
    InputStream fromPort = socat.getInputStream();
    OutputStream toPort = socat.getOutputStream();
    Thread serving =
        Thread.ofPlatform()
            .daemon()
            .start(
                () -> {
                  try {
                    SimulatedLink.serve(bench, fromPort, toPort);
                  } catch (IOException e) {
                    // The port is closed when the test ends.
                    return;
                  }
                });
    try {
      if (!Files.exists(ours, LinkOption.NOFOLLOW_LINKS)) {
        watch.poll(5, TimeUnit.SECONDS);
      }
      bench.plan(SimulatedBench.Fault.GARBAGE, 20);
      bench.plan(SimulatedBench.Fault.STOPPED, 45);
      BenchRunTest.Told told = new BenchRunTest.Told();
      Path journal = folder.resolve("serial.run");
      try (FlowBench flowBench =
          new FlowBench(SerialLink.open(ours.toRealPath().toString()), Duration.ofMillis(500))) {
        BenchRun run =
            new BenchRun(
                flowBench,
                new RunJournal.Plan(1, List.of(2.0, 4.0), 1, Unit.INCH_OF_WATER.toBase(28)),
                journal,
                BenchRun.Pace.NONE,
                told);
        assertThat(run.run()).isEqualTo(BenchRun.Outcome.DONE);
      }
      assertThat(told.taken).hasSize(3);
      assertThat(told.taken.getLast().percent()).isBetween(22.0, 97.0);
      assertThat(RunJournal.read(journal).orElseThrow().finished()).isTrue();
    } finally {
      socat.destroyForcibly().waitFor(5, TimeUnit.SECONDS);
      serving.join(2000);
    }
  }

  @Test
  void aPortThatIsNotThereIsNamed() {
    assertThatThrownBy(() -> SerialLink.open("/dev/no-such-port"))
        .isInstanceOf(BenchLink.LinkLost.class)
        .hasMessageContaining("no-such-port");
  }
}
