package finebore.formats;

import finebore.code.Term;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.Node;
import finebore.formats.json.RecordForm;
import finebore.job.Port;
import finebore.quantity.Quantity;
import finebore.sizes.ShelfValve;
import finebore.valve.Valve;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Valves on the shelf as JSON: the list that ships with the program, and a shop's own. */
public final class ShelfFile {

  private static final long MOST_BYTES = 4L << 20;
  private static final String FORMAT = "finebore-shelf";
  private static final int VERSION = 1;

  private ShelfFile() {}

  private static final Form<List<ShelfValve>> VALVES =
      Forms.list(
          new RecordForm<>("") {
            private final Field<String> name = field("name", Forms.TEXT, ShelfValve::name);
            private final Field<Port> port =
                field("for", Forms.oneOf(Port.values(), Port::key), ShelfValve::port);
            private final Field<Double> lengthMm =
                field("lengthMm", Forms.number(Quantity.VALVE_LENGTH), ShelfValve::lengthMm);
            private final Field<Double> price =
                field("price", Forms.number(Quantity.VALVE_PRICE), ShelfValve::price);
            private final Field<Valve> valve = field("valve", SeatForms.VALVE, ShelfValve::valve);

            @Override
            protected ShelfValve of(Values v) {
              return new ShelfValve(
                  v.of(name), v.of(port), v.of(valve), v.of(lengthMm), v.of(price));
            }
          });

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
    root.set("valves", VALVES.write(valves));
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
      return VALVES.read(root.at("valves"));
    } catch (Node.Misfit e) {
      throw new FileProblem(FileProblem.of("within", name).with("problem", e.problem()), e);
    } catch (JacksonException e) {
      throw new FileProblem(
          FileProblem.of("damaged", name).with("cause", Term.quote(e.getOriginalMessage())), e);
    }
  }
}
