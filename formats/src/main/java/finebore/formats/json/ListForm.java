package finebore.formats.json;

import java.util.List;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A list. Whoever takes it says so where it has too few or too many entries.
 *
 * @param item form of each entry
 * @param least fewest entries
 * @param most most entries
 * @param mayLack whether none at all, or null, stands for an empty list
 * @param knownBy field that an entry is known by whatever else of it changes; empty where it is its
 *     place
 */
public record ListForm<T>(Form<T> item, int least, int most, boolean mayLack, String knownBy)
    implements Form<List<T>> {

  /** With a number of entries. */
  public ListForm<T> of(int fewest, int greatest) {
    return new ListForm<>(item, fewest, greatest, mayLack, knownBy);
  }

  /** That may be left out. */
  public ListForm<T> orNone() {
    return new ListForm<>(item, least, most, true, knownBy);
  }

  /** Whose entries are known by a field. */
  public ListForm<T> by(String field) {
    return new ListForm<>(item, least, most, mayLack, field);
  }

  @Override
  public List<T> read(Node n) {
    return mayLack && n.isAbsent() ? List.of() : n.list(item::read);
  }

  @Override
  public ArrayNode write(List<T> value) {
    ArrayNode list = JsonNodeFactory.instance.arrayNode();
    value.forEach(v -> list.add(item.write(v)));
    return list;
  }

  @Override
  public ObjectNode schema(Definitions definitions) {
    ObjectNode schema = Definitions.type("array");
    if (least > 0) {
      schema.put("minItems", least);
    }
    if (most < Integer.MAX_VALUE) {
      schema.put("maxItems", most);
    }
    schema.set("items", item.schema(definitions));
    return mayLack ? Definitions.orNull(schema) : schema;
  }

  @Override
  public boolean knowsAll(JsonNode read) {
    return read.valueStream().allMatch(item::knowsAll);
  }

  /** Entries keep theirs by their known content first, then by what they are known by. */
  @Override
  public void carry(JsonNode read, JsonNode written) {
    boolean[] taken = new boolean[read.size()];
    boolean[] done = new boolean[written.size()];
    for (int k = 0; k < written.size(); k++) {
      int match = matching(read, taken, written.get(k), k);
      if (match >= 0) {
        taken[match] = true;
        done[k] = true;
        item.carry(read.get(match), written.get(k));
      }
    }
    for (int k = 0; k < written.size(); k++) {
      int before = before(read, written.get(k), k);
      if (!done[k] && before >= 0 && !taken[before]) {
        item.carry(read.get(before), written.get(k));
      }
    }
  }

  /** Where what has changed stood before; -1 where it did not. */
  private int before(JsonNode read, JsonNode written, int place) {
    if (knownBy.isEmpty()) {
      return place < read.size() ? place : -1;
    }
    for (int k = 0; k < read.size(); k++) {
      if (written.path(knownBy).equals(read.get(k).path(knownBy))) {
        return k;
      }
    }
    return -1;
  }

  private static int matching(JsonNode read, boolean[] taken, JsonNode wanted, int place) {
    if (place < read.size() && !taken[place] && agrees(read.get(place), wanted)) {
      return place;
    }
    for (int k = 0; k < read.size(); k++) {
      if (!taken[k] && agrees(read.get(k), wanted)) {
        return k;
      }
    }
    return -1;
  }

  /** Whether everything in the new node stands the same in the old one. */
  private static boolean agrees(JsonNode old, JsonNode written) {
    if (old instanceof ObjectNode && written instanceof ObjectNode) {
      return written.properties().stream()
          .allMatch(f -> old.has(f.getKey()) && agrees(old.get(f.getKey()), f.getValue()));
    }
    if (old instanceof ArrayNode && written instanceof ArrayNode) {
      return old.size() == written.size()
          && IntStream.range(0, old.size()).allMatch(k -> agrees(old.get(k), written.get(k)));
    }
    if (old.isNumber() && written.isNumber()) {
      return old.decimalValue().doubleValue() == written.decimalValue().doubleValue();
    }
    return old.equals(written);
  }
}
