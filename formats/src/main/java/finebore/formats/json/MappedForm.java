package finebore.formats.json;

import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A form whose values are others in the program than in the file. */
record MappedForm<T, U>(Form<T> form, Function<T, U> to, Function<U, T> from) implements Form<U> {

  @Override
  public U read(Node n) {
    return n.checked(at -> to.apply(form.read(at)));
  }

  @Override
  public JsonNode write(U value) {
    return form.write(from.apply(value));
  }

  @Override
  public ObjectNode schema(Definitions definitions) {
    return form.schema(definitions);
  }

  @Override
  public boolean mayLack() {
    return form.mayLack();
  }

  @Override
  public boolean knowsAll(JsonNode read) {
    return form.knowsAll(read);
  }

  @Override
  public void carry(JsonNode read, JsonNode written) {
    form.carry(read, written);
  }
}
