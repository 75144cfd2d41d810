package finebore.formats;

import finebore.formats.json.Definitions;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON schema of job files (draft 2020-12), made of the declarations by which they are read and
 * written.
 */
public final class JobSchema {

  private final Properties words;
  private final Set<String> unused;

  private JobSchema(Properties words) {
    this.words = words;
    this.unused = new TreeSet<>(words.stringPropertyNames());
  }

  /** The schema as text. */
  public static String text() {
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(tree()) + "\n";
  }

  private static ObjectNode tree() {
    Definitions definitions = new Definitions();
    ObjectNode file = JobForms.FILE.schema(definitions);
    ObjectNode root =
        Definitions.object()
            .put("$schema", "https://json-schema.org/draft/2020-12/schema")
            .put("title", "Fine Bore job file, version " + JobFile.VERSION);
    root.setAll(file);
    JobSchema schema = new JobSchema(read());
    schema.describe(root, "");
    ObjectNode named = root.putObject("$defs");
    for (Map.Entry<String, ObjectNode> one : definitions.named().entrySet()) {
      schema.describe(one.getValue(), one.getKey());
      named.set(one.getKey(), one.getValue());
    }
    if (!schema.unused.isEmpty()) {
      throw new IllegalStateException("words for what is not there: " + schema.unused);
    }
    return root;
  }

  private static Properties read() {
    Properties words = new Properties();
    try (InputStream in = JobSchema.class.getResourceAsStream("schema/words.properties");
        Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
      words.load(reader);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return words;
  }

  /** Puts the words for a thing, and for what is within it, to their places. */
  private void describe(ObjectNode schema, String key) {
    within(schema, key);
    if (words.containsKey(key)) {
      schema.put("description", words.getProperty(key));
      unused.remove(key);
    }
  }

  private void within(ObjectNode schema, String key) {
    for (Map.Entry<String, JsonNode> field : schema.path("properties").properties()) {
      String own = key.isEmpty() ? field.getKey() : key + "." + field.getKey();
      describe((ObjectNode) field.getValue(), own);
    }
    if (schema.get("items") instanceof ObjectNode item) {
      describe(item, key + ".each");
    }
    for (JsonNode kind : schema.path("oneOf")) {
      within((ObjectNode) kind, key + tagOf(kind));
    }
  }

  /** The text by which one of several kinds is told; empty where it is not told by a text. */
  private static String tagOf(JsonNode kind) {
    return kind.path("properties")
        .valueStream()
        .filter(p -> p.has("const"))
        .map(p -> "." + p.get("const").asString())
        .findFirst()
        .orElse("");
  }
}
