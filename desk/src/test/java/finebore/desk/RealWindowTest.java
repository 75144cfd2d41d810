package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The program in a process of its own: a real window where Xvfb and GTK are there, and a picture
 * without any.
 */
class RealWindowTest {

  @TempDir private Path folder;

  private static boolean isInstalled(String program) {
    return Stream.of(System.getenv("PATH").split(java.io.File.pathSeparator))
        .anyMatch(p -> Files.isExecutable(Path.of(p, program)));
  }

  private static boolean hasGtk() throws IOException, InterruptedException {
    if (!isInstalled("ldconfig") && !Files.isExecutable(Path.of("/sbin/ldconfig"))) {
      return false;
    }
    Process list = new ProcessBuilder("/sbin/ldconfig", "-p").start();
    String text =
        new String(list.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    list.waitFor();
    return text.contains("libgtk-3.so.0");
  }

  private Process run(String display, List<String> properties, String... arguments)
      throws IOException {
    List<String> command =
        new java.util.ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                // It ends before the slow compiler pays.
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path")));
    command.addAll(properties);
    command.add("finebore.desk.Main");
    command.addAll(List.of(arguments));
    ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
    builder.environment().put("DISPLAY", display);
    builder.environment().put("FINEBORE_HOME", folder.toString());
    builder.environment().put("FINEBORE_TIMING", "1");
    builder.redirectOutput(folder.resolve("out.txt").toFile());
    return builder.start();
  }

  @Test
  void aRealWindowOpensOnTheDemo() throws Exception {
    assumeTrue(isInstalled("Xvfb") && hasGtk(), "Xvfb or GTK 3 is not installed");
    Process server =
        new ProcessBuilder("Xvfb", "-displayfd", "1", "-screen", "0", "1280x800x24")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      String display;
      try (var lines = server.inputReader()) {
        display = ":" + lines.readLine();
      }
      Process desk = run(display, List.of("-Dprism.order=sw"), "demo");
      boolean ended = desk.waitFor(90, TimeUnit.SECONDS);
      desk.destroyForcibly();
      String out = Files.readString(folder.resolve("out.txt"));
      assertThat(ended).as(out).isTrue();
      assertThat(out).contains("window up after");
    } finally {
      server.destroy();
    }
  }

  @Test
  void aPictureNeedsNoDisplay() throws Exception {
    Path picture = folder.resolve("shot.png");
    Process desk =
        run(
            "",
            List.of("-Dglass.platform=Headless", "-Dprism.order=sw"),
            "demo",
            "--shot",
            picture.toString(),
            "--seat",
            "E2",
            "--size",
            "1024x700",
            "--theme",
            "dark");
    assertThat(desk.waitFor(90, TimeUnit.SECONDS)).isTrue();
    assertThat(desk.exitValue()).as(Files.readString(folder.resolve("out.txt"))).isZero();
    var image = ImageIO.read(picture.toFile());
    assertThat(image.getWidth()).isEqualTo(1024);
    assertThat(image.getHeight()).isEqualTo(700);
  }

  @Test
  void aWrongOptionIsOneLine() throws Exception {
    Process desk =
        run("", List.of("-Dglass.platform=Headless"), "demo", "--shot", "x.png", "--seat", "I9");
    assertThat(desk.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(desk.exitValue()).isEqualTo(1);
    assertThat(Files.readAllLines(folder.resolve("out.txt")))
        .filteredOn(line -> line.startsWith("finebore"))
        .containsExactly(
            "finebore: --seat: expected one of I1, E1, I2, E2, I3, E3, I4, E4, found I9");
  }
}
