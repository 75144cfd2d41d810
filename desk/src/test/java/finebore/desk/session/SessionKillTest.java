package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
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
      EditingProgram program = new EditingProgram(home, file, edited + 1);
      program.workFor(chance.nextDouble() * 0.4);
      program.kill();
      int inFile = Integer.parseInt(JobFile.read(file).job().notes());
      Recovery recovery = new Recovery(new DeskFolder(home));
      Recovery.Found found = recovery.lost();
      assertThat(found.unreadable()).isEmpty();
      int kept =
          found.work().stream()
              .mapToInt(l -> Integer.parseInt(l.document().job().notes()))
              .max()
              .orElse(0);
      assertThat(inFile).as("saved, kill %s", k).isGreaterThanOrEqualTo(program.saved());
      assertThat(Math.max(inFile, kept))
          .as("kept, kill %s", k)
          .isGreaterThanOrEqualTo(program.edited());
      edited = Math.max(Math.max(inFile, kept), program.edited());
      found.work().forEach(recovery::discard);
      recovery.close();
    }
    System.out.println("kills: " + kills + ", edits made: " + edited + ", lost: 0");
    try (Stream<Path> left = Files.list(home)) {
      assertThat(left.filter(f -> f.toString().endsWith(".json"))).isEmpty();
    }
  }
}
