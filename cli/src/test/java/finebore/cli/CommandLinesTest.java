package finebore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;

/**
 * Command lines of anything: each does its work, or says in one line why not and fails; nothing is
 * left behind, and nothing that a terminal would obey is printed.
 */
class CommandLinesTest {

  private static final long LONGEST_NS = 20_000_000_000L;

  @TempDir private Path folder;
  @TempDir private Path originals;
  private final List<String> files = new ArrayList<>();

  @BeforeEach
  void fill() throws IOException, FileProblem {
    JobFile.write(
        JobDocument.fresh(JobFile.demo("skarn-1.6").withName("Gneiss \u001b[2J\u0007 2.0")),
        originals.resolve("job.finebore.json"));
    Files.writeString(originals.resolve("short.finebore.json"), "{\"format\": \"finebore-job\"");
    Files.writeString(originals.resolve("empty.csv"), "");
    Files.writeString(
        originals.resolve("test.csv"), "lift mm,flow l/s\n1,10.5\n2,21\n3,30\n4,38\n");
    Files.writeString(originals.resolve("odd.csv"), "what,ever\n=1+1,\u0007\n");
    Files.write(originals.resolve("binary.csv"), new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1});
    Files.createDirectory(originals.resolve("folder"));
    for (String name : names(originals)) {
      files.add(folder.resolve(name).toString());
    }
    files.addAll(
        List.of(
            folder.resolve("job.finebore.json").toString(),
            folder.resolve("none.finebore.json").toString(),
            folder.resolve("no/such/x.csv").toString(),
            "/",
            "/dev/zero",
            "",
            "a\u0000b",
            "."));
  }

  @Test
  void anyCommandLineWorksOrSaysWhyNot() throws IOException {
    assertThat(run(1, 120)).isEmpty();
  }

  @Test
  @Tag("long")
  void anyCommandLineWorksOrSaysWhyNotAtLength() throws IOException {
    assertThat(run(1_000_000, Integer.getInteger("finebore.lines", 5_000))).isEmpty();
  }

  private List<String> run(long from, int tries) throws IOException {
    Map<String, Integer> outcomes = new TreeMap<>();
    List<String> failed = new ArrayList<>();
    for (int k = 0; k < tries; k++) {
      putBack();
      List<String> line = line(new Random(from + k));
      StringWriter out = new StringWriter();
      StringWriter err = new StringWriter();
      CommandLine commands = Commands.commandLine();
      commands.setOut(new PrintWriter(out));
      commands.setErr(new PrintWriter(err));
      long began = System.nanoTime();
      int status = commands.execute(line.toArray(String[]::new));
      boolean slow = System.nanoTime() - began > LONGEST_NS;
      outcomes.merge(status == 0 ? "done" : "refused", 1, Integer::sum);
      String wrong = slow ? "slow" : wrong(status, out.toString(), err.toString());
      if (!wrong.isEmpty()) {
        failed.add(from + k + ": " + wrong + ": " + line);
      }
    }
    System.out.println("command lines: " + tries + ", " + outcomes + ", failed " + failed);
    return failed;
  }

  /** What is wrong with what a command did; empty where nothing is. */
  private String wrong(int status, String out, String err) throws IOException {
    if (status != 0 && !(err.startsWith("finebore: ") && err.strip().lines().count() == 1)) {
      return "fails with " + err;
    }
    if ((out + err).chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r')) {
      return "prints control characters";
    }
    Set<String> left = names(folder);
    left.removeAll(names(originals));
    left.removeAll(List.of("job.finebore.json.bak", "none.finebore.json"));
    left.removeIf(n -> n.startsWith("out."));
    return left.isEmpty() ? "" : "leaves " + left;
  }

  private List<String> line(Random random) {
    List<String> line = new ArrayList<>();
    List<CommandLine> all = List.copyOf(Commands.commandLine().getSubcommands().values());
    CommandSpec spec = all.get(random.nextInt(all.size())).getCommandSpec();
    line.add(random.nextInt(40) == 0 ? "stud" : spec.name());
    for (ArgSpec argument : spec.args()) {
      boolean told = argument.required() ? random.nextInt(15) > 0 : random.nextInt(3) == 0;
      if (told && argument instanceof OptionSpec option) {
        line.add(option.longestName());
        if (option.arity().max() > 0) {
          for (int k = 0; k < Math.max(1, option.arity().min()); k++) {
            line.add(value(option.longestName(), random));
          }
        }
      } else if (told) {
        line.add(random.nextInt(3) > 0 ? usual(argument) : any(files, random));
      }
    }
    return line;
  }

  private String usual(ArgSpec argument) {
    return folder
        .resolve(argument.paramLabel().endsWith(".csv") ? "test.csv" : "job.finebore.json")
        .toString();
  }

  private String value(String option, Random random) {
    List<String> right =
        switch (option) {
          case "--output" ->
              Stream.of("csv", "txt", "json", "pdf", "svg", "dxf", "png")
                  .map(e -> folder.resolve("out." + e).toString())
                  .toList();
          case "--seat" -> List.of("I1", "E2", "I4");
          case "--lift" -> List.of("3", "2.5 mm", "0.1 in");
          case "--format" -> List.of("text", "csv", "json");
          case "--group" -> List.of("intake", "exhaust");
          case "--plan" -> List.of("found", "planned", "both");
          case "--state" -> List.of("found", "finished", "blended");
          case "--paper" -> List.of("a4", "letter");
          case "--language" -> List.of("en", "de");
          case "--grid" -> List.of("coarse");
          case "--compare" -> List.of("1", "2");
          case "--with", "--without" -> List.of("run", "quote", "history");
          case "--column" -> List.of("lift mm=lift", "flow l/s=flow:l/s", "what=lift:mm");
          case "--in" -> List.of(folder.resolve("test.csv").toString());
          default -> List.of("road");
        };
    List<String> odd =
        List.of("", " ", "-1", "1e99", "NaN", "x=y=z", "I99", "\u001b[31m", "--", "/", "../up");
    return random.nextInt(4) > 0 ? any(right, random) : any(odd, random);
  }

  private static String any(List<String> values, Random random) {
    return values.get(random.nextInt(values.size()));
  }

  private void putBack() throws IOException {
    for (String name : names(folder)) {
      Path file = folder.resolve(name);
      if (!Files.isDirectory(file)) {
        Files.delete(file);
      }
    }
    for (String name : names(originals)) {
      Path file = folder.resolve(name);
      if (!Files.isDirectory(file)) {
        Files.copy(originals.resolve(name), file, StandardCopyOption.REPLACE_EXISTING);
      }
    }
  }

  /** Names of everything in a folder. */
  private static Set<String> names(Path in) throws IOException {
    try (Stream<Path> all = Files.list(in)) {
      return new TreeSet<>(all.map(f -> f.getFileName().toString()).toList());
    }
  }
}
