package finebore.formats.json;

import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A value that may be missing, which is null in the file. */
record NullableForm<T>(Form<T> form) implements Form<Optional<T>> {

  @Override
  public Optional<T> read(Node n) {
    return n.isAbsent() ? Optional.empty() : Optional.of(form.read(n));
  }

  @Override
  public JsonNode write(Optional<T> value) {
    return value.map(form::write).orElse(JsonNodeFactory.instance.nullNode());
  }

  @Override
  public ObjectNode schema(Definitions definitions) {
    return Definitions.orNull(form.schema(definitions));
  }

  @Override
  public boolean mayLack() {
    return true;
  }

  @Override
  public boolean knowsAll(JsonNode read) {
    return read.isNull() || form.knowsAll(read);
  }

  @Override
  public void carry(JsonNode read, JsonNode written) {
    if (!read.isNull() && !written.isNull()) {
      form.carry(read, written);
    }
  }
}
