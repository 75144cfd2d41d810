package finebore.formats.campaign;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Damages files the way bad days do, by a seed. */
final class Mutations {

  private static final double[] NUMBERS = {
    0, -1, 1, 2, 0.5, 1e-9, -1e-9, 17, 90, 180, 1e3, 1e6, 1e18, -1e18, 1e300, 4.9e-324
  };

  private static final String[] TEXTS = {
    "",
    " ",
    "x",
    "mm",
    "intake",
    "../up",
    "/etc/passwd",
    "=1+1",
    "\u0000",
    "\u001b[2J",
    "\ud800",
    "ä",
    "NaN",
    "2026-13-40",
    "9".repeat(300)
  };

  private final Random random;

  Mutations(long seed) {
    random = new Random(seed);
  }

  /** Changes a few things of a tree. */
  void damage(ObjectNode tree) {
    for (int k = random.nextInt(3); k >= 0; k--) {
      List<JsonNode> containers = new ArrayList<>();
      collect(tree, containers);
      JsonNode at = containers.get(random.nextInt(containers.size()));
      switch (at) {
        case ObjectNode object when !object.isEmpty() -> damage(object, key(object));
        case ArrayNode list -> damage(list);
        default -> {}
      }
    }
  }

  private String key(ObjectNode object) {
    List<String> keys = new ArrayList<>(object.propertyNames());
    return keys.get(random.nextInt(keys.size()));
  }

  private void damage(ObjectNode object, String key) {
    switch (random.nextInt(8)) {
      case 0 -> object.remove(key);
      case 1 -> object.set(key + "x", object.remove(key));
      case 2 -> object.set(key(object), object.get(key).deepCopy());
      default -> object.set(key, instead(object.get(key)));
    }
  }

  private void damage(ArrayNode list) {
    if (list.isEmpty() || random.nextInt(4) == 0) {
      list.add(instead(null));
      return;
    }
    int at = random.nextInt(list.size());
    switch (random.nextInt(4)) {
      case 0 -> list.remove(at);
      case 1 -> list.add(list.get(at).deepCopy());
      default -> list.set(at, instead(list.get(at)));
    }
  }

  /** Mostly of the same kind, so that the damage goes deep. */
  private JsonNode instead(JsonNode was) {
    JsonNodeFactory make = JsonNodeFactory.instance;
    int kind = random.nextInt(10);
    if (was != null && was.isNumber() && kind < 7) {
      return switch (random.nextInt(3)) {
        case 0 -> make.numberNode(was.doubleValue() * (0.5 + random.nextDouble()));
        case 1 -> make.numberNode(-was.doubleValue());
        default -> make.numberNode(NUMBERS[random.nextInt(NUMBERS.length)]);
      };
    }
    if (was != null && was.isBoolean() && kind < 5) {
      return make.booleanNode(!was.booleanValue());
    }
    return switch (kind) {
      case 0 -> make.nullNode();
      case 1 -> make.objectNode();
      case 2 -> make.arrayNode();
      case 3 -> make.booleanNode(random.nextBoolean());
      case 4, 5 -> make.numberNode(random.nextInt(100));
      default -> make.stringNode(TEXTS[random.nextInt(TEXTS.length)]);
    };
  }

  private static void collect(JsonNode node, List<JsonNode> containers) {
    if (node.isContainer()) {
      containers.add(node);
      node.forEach(child -> collect(child, containers));
    }
  }

  /** Changes some characters of a text: cut, doubled, swapped, put in. */
  String damage(String text) {
    StringBuilder out = new StringBuilder(text);
    for (int k = random.nextInt(6); k >= 0 && !out.isEmpty(); k--) {
      int at = random.nextInt(out.length());
      int end = Math.min(out.length(), at + 1 + random.nextInt(1 + random.nextInt(40)));
      switch (random.nextInt(6)) {
        case 0 -> out.delete(at, end);
        case 1 -> out.insert(at, out.substring(at, end));
        case 2 -> out.setLength(at);
        case 3 -> out.insert(at, TEXTS[random.nextInt(TEXTS.length)]);
        case 4 -> out.setCharAt(at, (char) random.nextInt(0x250));
        default -> out.insert(at, ",;\t\"\n\r#{}[]:".charAt(random.nextInt(12)));
      }
    }
    return out.toString();
  }
}
