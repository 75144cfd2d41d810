package finebore.formats;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.formats.json.Node;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Practices as JSON: those that ship with the program, and the reader for a user's own. */
public final class PracticeFiles {

  private static final List<String> SHIPPED = List.of("road", "fast-road", "race", "boosted");

  /** Names for the grounds that are no source; anything else in a file is taken for a source. */
  private static final Map<String, Basis> BASES =
      Map.of(
          "common practice",
          Basis.COMMON_PRACTICE,
          "common practice, no source",
          Basis.COMMON_PRACTICE,
          "own practice",
          Basis.OWN_PRACTICE,
          "geometry",
          Basis.GEOMETRY);

  private static final long MOST_BYTES = 1L << 20;

  private static final List<Practice> ALL = SHIPPED.stream().map(PracticeFiles::shipped).toList();

  private PracticeFiles() {}

  /** The shipped practices, the mildest first. */
  public static List<Practice> all() {
    return ALL;
  }

  /** A practice's file name ends so. */
  public static final String EXTENSION = ".practice.json";

  /**
   * The shipped practices and those in a folder, by name of file; one of the same id stands in for
   * a shipped one.
   *
   * @param problem told what cannot be read and is left out
   */
  public static List<Practice> with(Path folder, Consumer<FileProblem> problem) {
    Map<String, Practice> all = new LinkedHashMap<>();
    ALL.forEach(p -> all.put(p.id(), p));
    for (Path file : in(folder, problem)) {
      try {
        Practice own = read(file);
        all.put(own.id(), own);
      } catch (FileProblem e) {
        problem.accept(e);
      }
    }
    return List.copyOf(all.values());
  }

  /** Whether a practice ships with the program and stands as it does. */
  public static boolean isShipped(Practice practice) {
    return ALL.contains(practice);
  }

  /**
   * Keeps a practice of the shop's own in a folder, in the file it came from or one of its id.
   *
   * @throws FileProblem if it cannot be written; what was there is then untouched
   */
  public static void save(Practice practice, Path folder) throws FileProblem {
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw FileProblem.unreadable(folder, e);
    }
    write(practice, fileOf(practice, folder).orElse(folder.resolve(practice.id() + EXTENSION)));
  }

  /** Writes a practice to a file, to be handed on. */
  public static void write(Practice practice, Path file) throws FileProblem {
    SafeFile.write(file, text(practice).getBytes(StandardCharsets.UTF_8), true);
  }

  /** Takes a practice out of a folder; its last copy stays beside it with the ending .bak. */
  public static void remove(Practice practice, Path folder) throws FileProblem {
    Optional<Path> file = fileOf(practice, folder);
    if (file.isPresent()) {
      try {
        Path kept = file.get().resolveSibling(file.get().getFileName() + ".bak");
        Files.move(file.get(), kept, StandardCopyOption.REPLACE_EXISTING);
      } catch (IOException e) {
        throw FileProblem.unwritable(file.get(), e);
      }
    }
  }

  private static Optional<Path> fileOf(Practice practice, Path folder) {
    for (Path file : in(folder, e -> {})) {
      try {
        if (read(file).id().equals(practice.id())) {
          return Optional.of(file);
        }
      } catch (FileProblem e) {
        // A file that is no practice is nobody's.
        continue;
      }
    }
    return Optional.empty();
  }

  private static List<Path> in(Path folder, Consumer<FileProblem> problem) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.toString().endsWith(EXTENSION)).sorted().toList();
    } catch (IOException e) {
      problem.accept(FileProblem.unreadable(folder, e));
      return List.of();
    }
  }

  /**
   * Reads a practice's file.
   *
   * @throws FileProblem if it cannot be read
   */
  public static Practice read(Path file) throws FileProblem {
    return parse(SafeFile.text(file, MOST_BYTES), file.toString());
  }

  /** A practice as JSON, which {@link #parse} reads back. */
  public static String text(Practice practice) {
    ObjectNode root = JsonMapper.shared().createObjectNode();
    root.put("id", practice.id()).put("name", practice.name()).put("about", practice.about());
    ranges(root.putObject("intake"), practice.intake());
    ranges(root.putObject("exhaust"), practice.exhaust());
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  private static void ranges(ObjectNode node, Map<ReadingKind, Range> ranges) {
    for (ReadingKind kind : ReadingKind.values()) {
      Range range = ranges.get(kind);
      if (range != null) {
        ObjectNode one = node.putObject(kind.key());
        range.min().ifPresent(v -> one.put("min", v));
        range.max().ifPresent(v -> one.put("max", v));
        one.put("basis", text(range.basis()));
      }
    }
  }

  private static String text(Basis basis) {
    return BASES.entrySet().stream()
        .filter(e -> e.getValue().equals(basis))
        .map(Map.Entry::getKey)
        .min(Comparator.comparing(String::length))
        .orElse(basis.source());
  }

  /** A job's practice among those that are here; one that wants nothing where it is not. */
  public static Practice named(String id, List<Practice> here) {
    return here.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseGet(() -> Practice.notInstalled(id));
  }

  /**
   * Reads a practice.
   *
   * @throws FileProblem naming the place and what was expected
   */
  public static Practice parse(String text, String name) throws FileProblem {
    try {
      JsonNode tree = JsonMapper.shared().readTree(text);
      Node root = new Node(tree, "");
      return root.build(
          n ->
              new Practice(
                  n.at("id").text(),
                  n.at("name").text(),
                  n.at("about").text(),
                  ranges(n.at("intake")),
                  ranges(n.at("exhaust"))));
    } catch (JacksonException e) {
      throw new FileProblem(
          FileProblem.of("damaged", name).with("cause", Term.quote(e.getOriginalMessage())), e);
    } catch (Node.Misfit e) {
      throw new FileProblem(FileProblem.of("within", name).with("problem", e.problem()), e);
    }
  }

  private static Map<ReadingKind, Range> ranges(Node node) {
    Map<ReadingKind, Range> ranges = new EnumMap<>(ReadingKind.class);
    List<String> known = new ArrayList<>();
    for (ReadingKind kind : ReadingKind.values()) {
      known.add(kind.key());
      Node at = node.at(kind.key());
      if (!at.isAbsent()) {
        ranges.put(
            kind,
            at.build(
                n ->
                    new Range(
                        n.at("min").optionalNumber(),
                        n.at("max").optionalNumber(),
                        basis(n.at("basis").text()))));
      }
    }
    for (String field : node.json().propertyNames()) {
      if (!known.contains(field)) {
        throw new Node.Misfit(
            Message.of("place.notAReading")
                .with("place", Term.quote(node.path()))
                .with("found", Term.quote(field))
                .with("names", Term.quote(String.join(", ", known))));
      }
    }
    return ranges;
  }

  private static Basis basis(String text) {
    return BASES.getOrDefault(text, Basis.source(text));
  }

  private static Practice shipped(String id) {
    String name = "practices/" + id + ".json";
    try (InputStream in = PracticeFiles.class.getResourceAsStream(name)) {
      return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8), name);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (FileProblem e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }
}
