package finebore.formats;

import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Practices as JSON: those that ship with the program, and the reader for a user's own. */
public final class PracticeFiles {

  private static final List<String> SHIPPED = List.of("road", "fast-road", "race", "boosted");

  private static final List<Practice> ALL = SHIPPED.stream().map(PracticeFiles::shipped).toList();

  private PracticeFiles() {}

  /** The shipped practices, the mildest first. */
  public static List<Practice> all() {
    return ALL;
  }

  /** A shipped practice by its id. */
  public static Optional<Practice> byId(String id) {
    return ALL.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  /** A job's practice, or the mildest one where it names none that is known. */
  public static Practice orDefault(String id) {
    return byId(id).orElse(ALL.getFirst());
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
      throw new FileProblem(name + " is damaged: " + e.getOriginalMessage(), e);
    } catch (Node.Misfit e) {
      throw new FileProblem(name + ": " + e.getMessage(), e);
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
                n -> new Range(n.at("min").number(), n.at("max").number(), n.at("basis").text())));
      }
    }
    for (String field : node.json().propertyNames()) {
      if (!known.contains(field)) {
        throw new Node.Misfit(
            "at " + node.path() + ": \"" + field + "\" is not a reading; known are " + known);
      }
    }
    return ranges;
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
