package finebore.formats.json;

import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a value stands in a JSON file: the one declaration by which it is read, written and described
 * in the schema, and which tells what of a file it knows.
 *
 * @param <T> what is read and written
 */
public interface Form<T> {

  /**
   * Reads the value at a place.
   *
   * @throws Node.Misfit naming the place, what was expected and what is there
   */
  T read(Node n);

  /** The value as it is written; nothing at all where Java's null comes back. */
  JsonNode write(T value);

  /**
   * What a schema says of it.
   *
   * @param definitions takes what is described once and referred to
   */
  ObjectNode schema(Definitions definitions);

  /** Whether a file may leave it out, which then reads as null does. */
  default boolean mayLack() {
    return false;
  }

  /** Whether everything in a tree that was read with it is known to it. */
  default boolean knowsAll(JsonNode read) {
    return true;
  }

  /** Puts what it does not know of a tree as read into the one as written. */
  default void carry(JsonNode read, JsonNode written) {}

  /** The same in the file, and something else of it in the program. */
  default <U> Form<U> as(Function<T, U> to, Function<U, T> from) {
    return new MappedForm<>(this, to, from);
  }

  /** With null where there is none. */
  default Form<Optional<T>> orNull() {
    return new NullableForm<>(this);
  }
}
