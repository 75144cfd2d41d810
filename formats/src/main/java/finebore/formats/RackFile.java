package finebore.formats;

import finebore.code.Term;
import finebore.cutting.Cutter;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.Node;
import finebore.formats.json.RecordForm;
import finebore.seat.Element;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A rack of form cutters as JSON: the one that ships with the program, and a shop's own. */
public final class RackFile {

  private static final long MOST_BYTES = 4L << 20;

  private static final String FORMAT = "finebore-rack";
  private static final int VERSION = 1;

  private RackFile() {}

  private static final Form<List<Cutter>> CUTTERS =
      Forms.list(
          new RecordForm<>("") {
            private final Field<String> name = field("name", Forms.TEXT, Cutter::name);
            private final Field<String> use = field("use", Forms.TEXT, Cutter::use);
            private final Field<Integer> sealing =
                field("sealing", Forms.WHOLE, c -> c.sealing() + 1);
            private final Field<List<Element>> profile =
                field("profile", SeatForms.PROFILE, Cutter::elements);

            @Override
            protected Cutter of(Values v) {
              return new Cutter(v.of(name), v.of(use), v.of(profile), v.of(sealing) - 1);
            }
          });

  /** The rack that ships with the program, invented cutters in the usual stacks. */
  public static List<Cutter> shipped() {
    try {
      return parse(shippedText(), "rack.json");
    } catch (FileProblem e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }

  /** The shipped rack as text, for a shop to begin its own with. */
  public static String shippedText() {
    try (InputStream in = RackFile.class.getResourceAsStream("rack/rack.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Reads a shop's rack.
   *
   * @throws FileProblem naming the file, the place and what was expected
   */
  public static List<Cutter> read(Path file) throws FileProblem {
    return parse(SafeFile.text(file, MOST_BYTES), file.toString());
  }

  /**
   * Writes a shop's rack; the last good one is kept beside it with the ending .bak.
   *
   * @throws FileProblem if it cannot be written; the old file is then untouched
   */
  public static void write(List<Cutter> cutters, Path file) throws FileProblem {
    SafeFile.write(file, text(cutters).getBytes(StandardCharsets.UTF_8), true);
  }

  /** A rack as text, which {@link #parse} reads back. */
  public static String text(List<Cutter> cutters) {
    ObjectNode root = JsonMapper.shared().createObjectNode();
    root.put("format", FORMAT).put("version", VERSION);
    root.set("cutters", CUTTERS.write(cutters));
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  /** Reads a rack from text; the name stands in messages. */
  public static List<Cutter> parse(String text, String name) throws FileProblem {
    try {
      Node root = new Node(JsonMapper.shared().readTree(text), "");
      if (!FORMAT.equals(root.at("format").text()) || root.at("version").whole() > VERSION) {
        throw new FileProblem(
            FileProblem.of("notARack", name)
                .with("format", Term.quote(FORMAT))
                .with("most", Term.count(VERSION)));
      }
      List<Cutter> cutters = CUTTERS.read(root.at("cutters"));
      if (cutters.isEmpty()) {
        throw new FileProblem(FileProblem.of("noCutters", name));
      }
      return cutters;
    } catch (Node.Misfit e) {
      throw new FileProblem(FileProblem.of("within", name).with("problem", e.problem()), e);
    } catch (JacksonException e) {
      throw new FileProblem(
          FileProblem.of("damaged", name).with("cause", Term.quote(e.getOriginalMessage())), e);
    }
  }
}
