package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SafeFileTest {

  @TempDir private Path folder;

  /** Whoever reads while another writes finds one whole state or the other, never a part. */
  @Test
  void aReaderNeverSeesHalfAFile() throws Exception {
    Path file = folder.resolve("a.finebore.json");
    String first = JobFile.text(JobDocument.fresh(JobFile.demo()));
    String second = JobFile.text(JobDocument.fresh(JobFile.demo().withName("Other")));
    SafeFile.write(file, first.getBytes(StandardCharsets.UTF_8), true);
    AtomicBoolean stop = new AtomicBoolean();
    AtomicReference<String> wrong = new AtomicReference<>("");
    Thread reader =
        Thread.ofPlatform()
            .start(
                () -> {
                  while (!stop.get()) {
                    try {
                      String seen = Files.readString(file);
                      if (!seen.equals(first) && !seen.equals(second)) {
                        wrong.set(seen);
                      }
                    } catch (java.io.IOException e) {
                      wrong.set(e.toString());
                    }
                  }
                });
    Random random = new Random(4);
    for (int k = 0; k < 60; k++) {
      SafeFile.write(
          file, (random.nextBoolean() ? first : second).getBytes(StandardCharsets.UTF_8), true);
    }
    stop.set(true);
    reader.join();
    assertThat(wrong.get()).isEmpty();
    assertThat(Files.readString(folder.resolve("a.finebore.json.bak"))).isIn(first, second);
  }

  @Test
  void withoutALastCopyNoneIsKept() throws Exception {
    Path file = folder.resolve("sheet.txt");
    SafeFile.write(file, new byte[] {1}, false);
    SafeFile.write(file, new byte[] {2}, false);
    assertThat(Files.readAllBytes(file)).containsExactly(2);
    try (var all = Files.list(folder)) {
      assertThat(all).containsExactly(file);
    }
  }
}
