package finebore.formats.json;

import finebore.code.Message;
import finebore.quantity.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Forms of single values, and of lists and figures of them. */
public final class Forms {

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private static final String NOT_BLANK = "\\S";

  private Forms() {}

  /** Any text. */
  public static final Form<String> TEXT =
      single(Node::text, NODES::stringNode, () -> Definitions.type("string"));

  /** Any text that is not blank; whoever takes it says so where it is. */
  public static final Form<String> WORDS =
      single(
          Node::text,
          NODES::stringNode,
          () -> Definitions.type("string").put("pattern", NOT_BLANK));

  /** Any number that a double holds. */
  public static final Form<Double> NUMBER =
      single(Node::number, NODES::numberNode, () -> Definitions.type("number"));

  /** Yes or no. */
  public static final Form<Boolean> FLAG =
      single(Node::flag, NODES::booleanNode, () -> Definitions.type("boolean"));

  /** A whole number of either sign. */
  public static final Form<Integer> WHOLE = whole(-Integer.MAX_VALUE, Integer.MAX_VALUE);

  /** A moment as ISO 8601 writes it, in UTC and with seconds. */
  public static final Form<Instant> MOMENT =
      single(
          Node::moment,
          at -> NODES.stringNode(at.toString()),
          () ->
              Definitions.type("string")
                  .put(
                      "pattern",
                      "^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])T"
                          + "([01]\\d|2[0-3]):[0-5]\\d:[0-5]\\d(\\.\\d{1,9})?Z$"));

  /** A day, for example 2026-03-14. */
  public static final Form<LocalDate> DAY =
      single(
          Forms::day,
          day -> NODES.stringNode(day.toString()),
          () ->
              Definitions.type("string")
                  .put("format", "date")
                  .put("pattern", "^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])$"));

  private static LocalDate day(Node n) {
    try {
      return LocalDate.parse(n.text());
    } catch (DateTimeParseException e) {
      throw n.misfit(Message.of("expected.day"));
    }
  }

  /** Text of at most so many characters; whoever takes it says so where it is longer. */
  public static Form<String> text(int most) {
    return single(
        Node::text, NODES::stringNode, () -> Definitions.type("string").put("maxLength", most));
  }

  /** Text of at most so many characters that is not blank; whoever takes it says so otherwise. */
  public static Form<String> words(int most) {
    return single(
        Node::text,
        NODES::stringNode,
        () -> Definitions.type("string").put("maxLength", most).put("pattern", NOT_BLANK));
  }

  /** A number within the bounds of a quantity. */
  public static Form<Double> number(Quantity quantity) {
    return single(
        n -> n.checked(at -> quantity.check(at.number())),
        NODES::numberNode,
        () ->
            Definitions.type("number")
                .put("minimum", quantity.min())
                .put("maximum", quantity.max()));
  }

  /** A number within the bounds of a quantity, or null. */
  public static Form<OptionalDouble> figure(Quantity quantity) {
    return figure(number(quantity));
  }

  /** A number or null. */
  public static Form<OptionalDouble> figure(Form<Double> number) {
    return number
        .orNull()
        .as(
            v -> v.map(OptionalDouble::of).orElse(OptionalDouble.empty()),
            v -> v.stream().boxed().findFirst());
  }

  /** A whole number within the bounds of a quantity. */
  public static Form<Integer> count(Quantity quantity) {
    Form<Integer> whole = whole((int) quantity.min(), (int) quantity.max());
    return single(
        n -> n.checked(at -> (int) quantity.check(at.whole())),
        NODES::numberNode,
        () -> whole.schema(new Definitions()));
  }

  /** A whole number; whoever takes it says so where it is out of the bounds. */
  public static Form<Integer> whole(int least, int most) {
    return single(
        Node::whole,
        NODES::numberNode,
        () -> Definitions.type("integer").put("minimum", least).put("maximum", most));
  }

  /** A whole number or null. */
  public static Form<OptionalInt> wholeOrNull() {
    return WHOLE
        .orNull()
        .as(
            v -> v.map(OptionalInt::of).orElse(OptionalInt.empty()),
            v -> v.isPresent() ? Optional.of(v.getAsInt()) : Optional.empty());
  }

  /** One of several, by its name. */
  public static <E> Form<E> oneOf(E[] values, Function<E, String> name) {
    return single(
        n -> n.oneOf(values, name),
        value -> NODES.stringNode(name.apply(value)),
        () -> {
          ObjectNode schema = Definitions.object();
          ArrayNode names = schema.putArray("enum");
          for (E value : values) {
            names.add(name.apply(value));
          }
          return schema;
        });
  }

  /** A list of any length. */
  public static <T> ListForm<T> list(Form<T> item) {
    return new ListForm<>(item, 0, Integer.MAX_VALUE, false, "");
  }

  /** Figures by name, each a number or null. */
  public static <E extends Enum<E>> Form<Map<E, Double>> figures(
      Class<E> kind, Function<E, String> name, Function<E, Quantity> quantity) {
    return new RecordForm<>("") {
      private final Map<E, Field<OptionalDouble>> figures = new EnumMap<>(kind);

      {
        for (E one : kind.getEnumConstants()) {
          figures.put(
              one,
              field(
                  name.apply(one),
                  figure(quantity.apply(one)),
                  m ->
                      m.containsKey(one) ? OptionalDouble.of(m.get(one)) : OptionalDouble.empty()));
        }
      }

      @Override
      protected Map<E, Double> of(Values values) {
        Map<E, Double> read = new EnumMap<>(kind);
        figures.forEach((one, field) -> values.of(field).ifPresent(v -> read.put(one, v)));
        return read;
      }
    };
  }

  /** What a schema says of a single value. */
  @FunctionalInterface
  private interface Description {
    ObjectNode schema();
  }

  private static <T> Form<T> single(
      Function<Node, T> reader, Function<T, JsonNode> writer, Description description) {
    return new Form<>() {
      @Override
      public T read(Node n) {
        return reader.apply(n);
      }

      @Override
      public JsonNode write(T value) {
        return writer.apply(value);
      }

      @Override
      public ObjectNode schema(Definitions definitions) {
        return description.schema();
      }
    };
  }
}
