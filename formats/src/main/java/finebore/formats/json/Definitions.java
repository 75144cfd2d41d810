package finebore.formats.json;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a schema describes once under a name, in the order in which it was met. */
public final class Definitions {

  private final Map<String, ObjectNode> named = new LinkedHashMap<>();

  /** A reference to what has a name, which is described now if it has not been. */
  ObjectNode refer(String name, Supplier<ObjectNode> description) {
    if (!named.containsKey(name)) {
      named.put(name, object());
      named.put(name, description.get());
    }
    return object().put("$ref", "#/$defs/" + name);
  }

  /** Every description by its name. */
  public Map<String, ObjectNode> named() {
    return named;
  }

  /** An empty description. */
  public static ObjectNode object() {
    return JsonNodeFactory.instance.objectNode();
  }

  /** A description of a plain type. */
  public static ObjectNode type(String type) {
    return object().put("type", type);
  }

  /** The same, or null. */
  static ObjectNode orNull(ObjectNode description) {
    if (description.path("type").isString() && !description.has("enum")) {
      String type = description.get("type").stringValue();
      description.putArray("type").add(type).add("null");
      return description;
    }
    ObjectNode either = object();
    either.putArray("oneOf").add(type("null")).add(description);
    return either;
  }
}
