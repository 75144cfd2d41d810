package finebore.formats.json;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One of several kinds of objects. Fields of the other kinds are known, so that none of them is
 * carried into an object that has become another kind.
 *
 * @param <T> what is read and written
 */
public final class UnionForm<T> implements Form<T> {

  /**
   * One of the kinds.
   *
   * @param key its name in the file
   * @param form its fields
   * @param is whether a value is of it
   */
  public record Case<T>(String key, RecordForm<T> form, Predicate<T> is) {}

  private final String name;
  private final String tag;
  private final List<Case<T>> cases;
  private final boolean tagged;
  private final Set<String> keys = new LinkedHashSet<>();

  private UnionForm(String name, String tag, List<Case<T>> cases, boolean tagged) {
    this.name = name;
    this.tag = tag;
    this.cases = cases;
    this.tagged = tagged;
    keys.add(tag);
    cases.forEach(c -> keys.addAll(c.form().keys()));
  }

  /**
   * Kinds that are told by the text of a field.
   *
   * @param name under which a schema describes it once
   */
  public static <T> UnionForm<T> tagged(String name, String tag, List<Case<T>> cases) {
    return new UnionForm<>(name, tag, cases, true);
  }

  /** Two kinds that are told by whether a field of the second is there. */
  public static <T> UnionForm<T> either(String field, Case<T> without, Case<T> with) {
    return new UnionForm<>("", field, List.of(without, with), false);
  }

  private Case<T> at(Node n) {
    Node told = n.at(tag);
    if (tagged) {
      String key = told.oneOf(cases.stream().map(Case::key).toArray(String[]::new), k -> k);
      return cases.stream().filter(c -> c.key().equals(key)).findFirst().orElseThrow();
    }
    return cases.get(told.isAbsent() ? 0 : 1);
  }

  @Override
  public T read(Node n) {
    return at(n).form().read(n);
  }

  @Override
  public ObjectNode write(T value) {
    Case<T> one = cases.stream().filter(c -> c.is().test(value)).findFirst().orElseThrow();
    ObjectNode fields = one.form().write(value);
    if (!tagged) {
      return fields;
    }
    ObjectNode n = Definitions.object().put(tag, one.key());
    n.setAll(fields);
    return n;
  }

  @Override
  public ObjectNode schema(Definitions definitions) {
    return name.isEmpty()
        ? description(definitions)
        : definitions.refer(name, () -> description(definitions));
  }

  private ObjectNode description(Definitions definitions) {
    ObjectNode schema = Definitions.object();
    ArrayNode kinds = schema.putArray("oneOf");
    for (Case<T> one : cases) {
      ObjectNode kind =
          tagged ? one.form().description(definitions) : one.form().schema(definitions);
      ObjectNode properties = kind.withObjectProperty("properties");
      if (tagged) {
        properties.set(tag, Definitions.object().put("const", one.key()));
        kind.withArrayProperty("required").insert(0, tag);
      } else if (!one.form().keys().contains(tag)) {
        properties.set(tag, Definitions.type("null"));
      }
      kinds.add(kind);
    }
    return schema;
  }

  @Override
  public boolean knowsAll(JsonNode read) {
    return knowsAll(read, Set.of());
  }

  /** Whether it knows everything, but for fields that somebody else knows. */
  public boolean knowsAll(JsonNode read, Set<String> others) {
    Set<String> known = with(others);
    return cases.stream().anyMatch(c -> isOf(c, read) && c.form().knowsAll(read, known));
  }

  private Set<String> with(Set<String> others) {
    if (others.isEmpty()) {
      return keys;
    }
    Set<String> known = new LinkedHashSet<>(keys);
    known.addAll(others);
    return known;
  }

  private boolean isOf(Case<T> one, JsonNode n) {
    if (tagged) {
      return one.key().equals(n.path(tag).asString(""));
    }
    boolean there = !n.path(tag).isNull() && !n.path(tag).isMissingNode();
    return there == (one == cases.getLast());
  }

  @Override
  public void carry(JsonNode read, JsonNode written) {
    carry(read, written, Set.of());
  }

  /** Carries what neither it nor somebody else knows; one of another kind hands nothing on. */
  public void carry(JsonNode read, JsonNode written, Set<String> others) {
    Set<String> known = with(others);
    cases.stream()
        .filter(c -> isOf(c, read) && isOf(c, written))
        .findFirst()
        .ifPresent(c -> c.form().carry(read, written, known));
  }
}
