package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.desk.session.DeskFolder;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever has become of the last job, the program starts and says what is the matter. */
class LastJobTest {

  @TempDir private Path home;

  @Test
  void theJobBeforeItOrTheWelcomeStandsInForABadLastJob() throws Exception {
    DeskFolder folder = new DeskFolder(home);
    Path good = home.resolve("good" + JobFile.EXTENSION);
    JobFile.write(JobDocument.fresh(JobFile.demo("tuff-650")), good);
    Path bad = Files.writeString(home.resolve("bad" + JobFile.EXTENSION), "{");
    folder.keepRecent(good);
    folder.keepRecent(bad);
    DeskStart.Start start = DeskStart.lastJob(folder);
    assertThat(start.welcome()).isFalse();
    assertThat(start.file()).contains(good);
    assertThat(start.session().job()).isEqualTo(JobFile.demo("tuff-650"));
    assertThat(start.problem().orElseThrow().problem().code()).isEqualTo("file.damagedAt");
    Files.writeString(good, "no job");
    DeskStart.Start welcome = DeskStart.lastJob(folder);
    assertThat(welcome.welcome()).isTrue();
    assertThat(welcome.file()).isEmpty();
    assertThat(welcome.problem()).isPresent();
  }
}
