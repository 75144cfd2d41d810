package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.io.BufferedReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A program killed at any moment loses at most the edit under the hand: whatever it said was on
 * disk is in the job's file or is offered by the next run.
 */
class SessionKillTest {

  @TempDir private Path folder;
  private final Random chance = new Random(20261126);

  @Test
  void aKilledProgramLosesNothingItHadKept() throws Exception {
    kill(2);
  }

  @Test
  @Tag("long")
  void fiveHundredKilledProgramsLoseNothingTheyHadKept() throws Exception {
    kill(Integer.getInteger("finebore.kills", 500));
  }

  private void kill(int kills) throws Exception {
    Path home = folder.resolve("home");
    Path file = folder.resolve("a" + JobFile.EXTENSION);
    JobFile.write(JobDocument.fresh(JobFile.demo("tuff-650").withNotes("0")), file);
    int edited = 0;
    for (int k = 0; k < kills; k++) {
      int[] said = killed(home, file, edited + 1);
      int inFile = Integer.parseInt(JobFile.read(file).job().notes());
      Recovery recovery = new Recovery(new DeskFolder(home));
      Recovery.Found found = recovery.lost();
      assertThat(found.unreadable()).isEmpty();
      int kept =
          found.work().stream()
              .mapToInt(l -> Integer.parseInt(l.document().job().notes()))
              .max()
              .orElse(0);
      assertThat(inFile).as("saved, kill %s", k).isGreaterThanOrEqualTo(said[1]);
      assertThat(Math.max(inFile, kept)).as("kept, kill %s", k).isGreaterThanOrEqualTo(said[0]);
      edited = Math.max(Math.max(inFile, kept), said[0]);
      found.work().forEach(recovery::discard);
      recovery.close();
    }
    System.out.println("kills: " + kills + ", edits made: " + edited + ", lost: 0");
    try (Stream<Path> left = Files.list(home)) {
      assertThat(left.filter(f -> f.toString().endsWith(".json"))).isEmpty();
    }
  }

  /** The last edit and the last save that a program told of before it was killed. */
  private int[] killed(Path home, Path file, int from) throws Exception {
    List<String> command =
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-cp",
            System.getProperty("java.class.path") + modulePath(),
            KilledSession.class.getName(),
            home.toString(),
            file.toString(),
            String.valueOf(from));
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    int[] said = new int[2];
    try (BufferedReader lines = process.inputReader()) {
      String line = lines.readLine();
      assertThat(line).as("first line").isNotNull();
      long until = System.nanoTime() + (long) (chance.nextDouble() * 400_000_000);
      while (line != null && System.nanoTime() < until) {
        note(said, line);
        line = lines.readLine();
      }
      process.toHandle().destroyForcibly();
      while (line != null) {
        note(said, line);
        line = lines.readLine();
      }
    }
    process.waitFor(10, TimeUnit.SECONDS);
    return said;
  }

  private static String modulePath() {
    String modules = System.getProperty("jdk.module.path", "");
    return modules.isEmpty() ? "" : java.io.File.pathSeparator + modules;
  }

  private static void note(int[] said, String line) {
    String[] words = line.split(" ");
    if (words.length == 2) {
      IntStream.range(0, 2)
          .filter(k -> words[0].equals(List.of("edit", "save").get(k)))
          .forEach(k -> said[k] = Integer.parseInt(words[1]));
    }
  }
}
