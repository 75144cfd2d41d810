package finebore.formats;

import finebore.code.Term;
import finebore.job.Port;
import finebore.sizes.ShelfValve;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Valves on the shelf as JSON: the list that ships with the program, and a shop's own. */
public final class ShelfFile {

  private static final long MOST_BYTES = 4L << 20;
  private static final String FORMAT = "finebore-shelf";
  private static final int VERSION = 1;

  private ShelfFile() {}

  /** The list that ships with the program, invented valves. */
  public static List<ShelfValve> shipped() {
    try {
      return parse(shippedText(), "shelf.json");
    } catch (FileProblem e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }

  /** The shipped list as text, for a shop to begin its own with. */
  public static String shippedText() {
    try (InputStream in = ShelfFile.class.getResourceAsStream("shelf/shelf.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Reads a shop's list.
   *
   * @throws FileProblem naming the file, the place and what was expected
   */
  public static List<ShelfValve> read(Path file) throws FileProblem {
    return parse(SafeFile.text(file, MOST_BYTES), file.toString());
  }

  /** A list as text, which {@link #parse} reads back. */
  public static String text(List<ShelfValve> valves) {
    ObjectNode root = JsonMapper.shared().createObjectNode();
    root.put("format", FORMAT).put("version", VERSION);
    ArrayNode list = root.putArray("valves");
    for (ShelfValve valve : valves) {
      ObjectNode one = list.addObject();
      one.put("name", valve.name()).put("for", valve.port().key());
      one.put("lengthMm", valve.lengthMm()).put("price", valve.price());
      one.set("valve", JobWriter.valve(valve.valve()));
    }
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  /** Reads a list from text; the name stands in messages. */
  public static List<ShelfValve> parse(String text, String name) throws FileProblem {
    try {
      Node root = new Node(JsonMapper.shared().readTree(text), "");
      if (!FORMAT.equals(root.at("format").text()) || root.at("version").whole() > VERSION) {
        throw new FileProblem(
            FileProblem.of("notAShelf", name)
                .with("format", Term.quote(FORMAT))
                .with("most", Term.count(VERSION)));
      }
      return root.at("valves").list(v -> v.build(ShelfFile::valve));
    } catch (Node.Misfit e) {
      throw new FileProblem(FileProblem.of("within", name).with("problem", e.problem()), e);
    } catch (JacksonException e) {
      throw new FileProblem(
          FileProblem.of("damaged", name).with("cause", Term.quote(e.getOriginalMessage())), e);
    }
  }

  private static ShelfValve valve(Node n) {
    return new ShelfValve(
        n.at("name").text(),
        n.at("for").oneOf(Port.values(), Port::key),
        n.at("valve").build(JobReader::valve),
        n.at("lengthMm").number(),
        n.at("price").number());
  }
}
