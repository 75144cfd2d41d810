package finebore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every command line of the README works as it stands there, and every command of the help is. */
class DocumentedLinesTest extends OnTheExample {

  /** What the script does itself or opens a window for: held by the desk's test of its pictures. */
  private static final Set<String> NOT_OURS =
      Set.of(
          "demo",
          "open",
          "test",
          "package",
          "benchmark",
          "mutate",
          "measure",
          "airdata",
          "aircampaign",
          "airfit",
          "demotests");

  private static final Path ROOT = Path.of("..");

  @BeforeEach
  void writeWhatTheLinesSpeakOf() throws IOException, FileProblem {
    JobFile.write(
        JobDocument.fresh(JobFile.demo("dolerite-2.0")),
        folder.resolve("four-valve.finebore.json"));
    Files.writeString(
        folder.resolve("notebook.csv"), "lift mm,flow l/s\n1,10.5\n2,21\n3,30\n4,38\n");
  }

  static List<String> linesOfTheReadme() throws IOException {
    return Files.readAllLines(ROOT.resolve("README.md")).stream()
        .filter(l -> l.startsWith("    ./finebore "))
        .map(l -> l.replaceFirst("\\s+#.*", "").strip().substring("./finebore ".length()))
        .filter(l -> !NOT_OURS.contains(l.split(" ")[0]))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("linesOfTheReadme")
  void aLineOfTheReadmeWorks(String line) throws IOException {
    if (line.startsWith("example ")) {
      Files.delete(job);
    }
    List<String> words = new ArrayList<>();
    for (String word : line.split(" ")) {
      words.add(word.matches(".*\\.[a-z]+") ? folder.resolve(word).toString() : word);
    }
    assertThat(run(words.toArray(String[]::new))).as(err.toString()).isZero();
    int out = words.indexOf("-o");
    assertThat(out < 0 || Files.isRegularFile(Path.of(words.get(out + 1)))).isTrue();
  }

  /** What the help names is there, with every option it names. */
  @Test
  void theHelpNamesWhatThereIs() throws IOException {
    String script = Files.readString(ROOT.resolve("finebore"));
    List<String> help =
        script.substring(script.indexOf("<<'TEXT'"), script.indexOf("\nTEXT\n")).lines().toList();
    var commands = Commands.commandLine().getSubcommands();
    for (String line : help) {
      if (!line.startsWith("  ./finebore ")) {
        continue;
      }
      String[] words = line.strip().split("[ \\[\\]|]+");
      if (NOT_OURS.contains(words[1])) {
        continue;
      }
      assertThat(commands).as(line).containsKey(words[1]);
      Set<String> options = commands.get(words[1]).getCommandSpec().optionsMap().keySet();
      Stream<String> named = Arrays.stream(words).filter(w -> w.matches("-o|--[a-z-]+"));
      assertThat(named).as(line).allSatisfy(o -> assertThat(options).contains(o));
    }
    for (String command : commands.keySet()) {
      assertThat(help).as(command).anyMatch(l -> l.startsWith("  ./finebore " + command));
    }
  }
}
