package finebore.formats.json;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * An object of named fields. A subclass declares each field once, in the order in which they are
 * written, and makes the value of them.
 *
 * @param <T> what is read and written
 */
public abstract class RecordForm<T> implements Form<T> {

  private final String name;
  private final List<Field<?>> fields = new ArrayList<>();
  private final Map<String, Field<?>> byKey = new LinkedHashMap<>();

  /**
   * Begins an object.
   *
   * @param name under which a schema describes it once; empty to describe it where it stands
   */
  protected RecordForm(String name) {
    this.name = name;
  }

  /** A field as it is declared. */
  public final class Field<V> {
    private final String key;
    private final Form<V> form;
    private final Function<T, V> get;
    private final int place;

    private Field(String key, Form<V> form, Function<T, V> get, int place) {
      this.key = key;
      this.form = form;
      this.get = get;
      this.place = place;
    }

    private JsonNode of(T value) {
      return form.write(get.apply(value));
    }
  }

  /** What was read, field by field. */
  public static final class Values {
    private final Object[] read;

    private Values(int count) {
      read = new Object[count];
    }

    @SuppressWarnings("unchecked")
    public <V> V of(RecordForm<?>.Field<V> field) {
      return (V) read[field.place];
    }
  }

  /** Declares a field. */
  protected final <V> Field<V> field(String key, Form<V> form, Function<T, V> get) {
    Field<V> field = new Field<>(key, form, get, fields.size());
    fields.add(field);
    byKey.put(key, field);
    return field;
  }

  /** The value of what was read. */
  protected abstract T of(Values values);

  /** Adds to the schema what its fields do not say. */
  protected void refine(ObjectNode schema) {}

  @Override
  public T read(Node n) {
    return n.build(
        at -> {
          Values values = new Values(fields.size());
          for (Field<?> field : fields) {
            values.read[field.place] = field.form.read(at.at(field.key));
          }
          return of(values);
        });
  }

  @Override
  public ObjectNode write(T value) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    for (Field<?> field : fields) {
      JsonNode written = field.of(value);
      if (written != null) {
        n.set(field.key, written);
      }
    }
    return n;
  }

  @Override
  public ObjectNode schema(Definitions definitions) {
    return name.isEmpty()
        ? description(definitions)
        : definitions.refer(name, () -> description(definitions));
  }

  /** What a schema says of it, in its place. */
  ObjectNode description(Definitions definitions) {
    ObjectNode schema = Definitions.type("object");
    ArrayNode required = JsonNodeFactory.instance.arrayNode();
    ObjectNode properties = Definitions.object();
    for (Field<?> field : fields) {
      properties.set(field.key, field.form.schema(definitions));
      if (!field.form.mayLack()) {
        required.add(field.key);
      }
    }
    if (!required.isEmpty()) {
      schema.set("required", required);
    }
    schema.set("properties", properties);
    refine(schema);
    return schema;
  }

  /** Names of its fields. */
  Set<String> keys() {
    return byKey.keySet();
  }

  @Override
  public boolean knowsAll(JsonNode read) {
    return knowsAll(read, Set.of());
  }

  /** Whether it knows everything, but for fields that somebody else knows. */
  boolean knowsAll(JsonNode read, Set<String> others) {
    for (Map.Entry<String, JsonNode> one : read.properties()) {
      Field<?> field = byKey.get(one.getKey());
      if (field == null ? !others.contains(one.getKey()) : !field.form.knowsAll(one.getValue())) {
        return false;
      }
    }
    return true;
  }

  @Override
  public void carry(JsonNode read, JsonNode written) {
    carry(read, written, Set.of());
  }

  /** Carries what neither it nor somebody else knows. */
  void carry(JsonNode read, JsonNode written, Set<String> others) {
    for (Field<?> field : fields) {
      if (read.has(field.key) && written.has(field.key)) {
        field.form.carry(read.get(field.key), written.get(field.key));
      }
    }
    for (Map.Entry<String, JsonNode> field : read.properties()) {
      if (!byKey.containsKey(field.getKey()) && !others.contains(field.getKey())) {
        ((ObjectNode) written).set(field.getKey(), field.getValue());
      }
    }
  }
}
