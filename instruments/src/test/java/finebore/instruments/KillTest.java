package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * A bench run killed again and again at moments of chance, each time gone on with: no reading that
 * was told of is ever lost.
 */
@Tag("long")
class KillTest {

  private static final int KILLS = 200;
  private static final int MOST_STARTS = 600;

  @TempDir private Path folder;

  @Test
  @Timeout(600)
  void nothingThatWasTakenIsLost() throws IOException, InterruptedException {
    Random chance = new Random(20260504);
    int kills = 0;
    int starts = 0;
    int runs = 0;
    while (kills < KILLS) {
      Path journal = folder.resolve("run-" + runs++ + RunJournal.EXTENSION);
      Map<String, Double> told = new LinkedHashMap<>();
      boolean done = false;
      while (!done && kills < KILLS) {
        starts++;
        assertThat(starts).as("starts for %s kills", kills).isLessThan(MOST_STARTS);
        Process process = start(journal, starts);
        try (BufferedReader said = process.inputReader()) {
          long wait = (long) (chance.nextDouble() * 45_000_000);
          String line = said.readLine();
          long until = System.nanoTime() + wait;
          while (line != null && System.nanoTime() < until) {
            done |= keep(told, line);
            line = said.readLine();
          }
          if (!done) {
            process.toHandle().destroyForcibly();
            kills++;
          }
          // What the pipe still holds was said before the end.
          while (line != null) {
            done |= keep(told, line);
            line = said.readLine();
          }
        }
        process.waitFor(10, TimeUnit.SECONDS);
        check(journal, told);
      }
    }
    assertThat(kills).isEqualTo(KILLS);
  }

  private static boolean keep(Map<String, Double> told, String line) {
    String[] words = line.split(" ");
    if (words.length == 3) {
      told.put(words[0] + " " + words[1], Double.valueOf(words[2]));
    }
    return line.equals("done");
  }

  /** Every reading told of stands in the journal with its figure; one more may, the last. */
  private static void check(Path journal, Map<String, Double> told) throws IOException {
    RunJournal.Contents kept = RunJournal.read(journal).orElseThrow();
    Map<String, Double> written = new LinkedHashMap<>();
    for (Taken taken : kept.taken()) {
      assertThat(written)
          .as("read once only")
          .doesNotContainKey(taken.liftMm() + " " + taken.repeat());
      written.put(taken.liftMm() + " " + taken.repeat(), taken.percent());
    }
    told.forEach(
        (reading, percent) ->
            assertThat(Math.abs(written.getOrDefault(reading, -99.0) - percent))
                .as("%s of %s", reading, journal)
                .isLessThan(0.001));
    assertThat(written.size() - told.size()).as("on disk but not told of").isBetween(0, 1);
    written.forEach((reading, percent) -> told.putIfAbsent(reading, percent));
  }

  private static Process start(Path journal, int seed) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-XX:+UseSerialGC",
            "-Xshare:auto",
            "-cp",
            System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
            KilledRun.class.getName(),
            journal.toString(),
            String.valueOf(seed))
        .redirectError(ProcessBuilder.Redirect.DISCARD)
        .start();
  }
}
