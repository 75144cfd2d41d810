package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Another program that edits and saves a job until it is stopped, and tells what it has done. */
final class EditingProgram implements AutoCloseable {

  private final Process process;
  private final BufferedReader lines;
  private int edited;
  private int saved;

  /** Starts it on a job's file, its first edit having a number; returns when it works. */
  EditingProgram(Path home, Path file, int from) throws IOException {
    String modules = System.getProperty("jdk.module.path", "");
    process =
        new ProcessBuilder(
                List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-cp",
                    System.getProperty("java.class.path")
                        + (modules.isEmpty() ? "" : File.pathSeparator + modules),
                    KilledSession.class.getName(),
                    home.toString(),
                    file.toString(),
                    String.valueOf(from)))
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    lines = process.inputReader();
    String line = lines.readLine();
    assertThat(line).as("first line").isNotNull();
    note(line);
  }

  /** Lets it work for a while. */
  void workFor(double seconds) throws IOException {
    long until = System.nanoTime() + (long) (seconds * 1e9);
    String line = "";
    while (line != null && System.nanoTime() < until) {
      line = lines.readLine();
      note(line);
    }
  }

  /** Holds it where it is, and takes note of what it has told up to then. */
  void hold() throws IOException, InterruptedException {
    new ProcessBuilder("kill", "-STOP", String.valueOf(process.pid())).start().waitFor();
    while (lines.ready()) {
      note(lines.readLine());
    }
  }

  /** Kills it, and takes note of all that it has told. */
  void kill() throws IOException, InterruptedException {
    process.toHandle().destroyForcibly();
    String line = lines.readLine();
    while (line != null) {
      note(line);
      line = lines.readLine();
    }
    process.waitFor(10, TimeUnit.SECONDS);
  }

  private void note(String line) {
    String[] words = line == null ? new String[0] : line.split(" ");
    if (words.length == 2 && words[0].equals("edit")) {
      edited = Integer.parseInt(words[1]);
    } else if (words.length == 2 && words[0].equals("save")) {
      saved = Integer.parseInt(words[1]);
    }
  }

  /** Number of the last edit that it said was kept. */
  int edited() {
    return edited;
  }

  /** Number of the last edit that it said was saved. */
  int saved() {
    return saved;
  }

  @Override
  public void close() {
    process.destroyForcibly();
  }
}
