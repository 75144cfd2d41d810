package finebore.formats.json;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * A place in a JSON file that knows its own path, so that whatever is wrong is named by place,
 * value and what was expected.
 */
public record Node(JsonNode json, String path) {

  /** What is wrong at a place; turned into a file problem at the file's border. */
  public static final class Misfit extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Message problem;

    public Misfit(Message problem) {
      super(problem.code() + problem.terms());
      this.problem = problem;
    }

    public Message problem() {
      return problem;
    }
  }

  /** What was expected at this place, and what is there. */
  public Misfit misfit(Message expected) {
    boolean missing = json == null || json.isMissingNode();
    Message problem =
        Message.of(missing ? "place.missing" : "place.misfit")
            .with("place", Term.quote(path))
            .with("expected", Term.phrase(expected));
    return new Misfit(
        missing ? problem : problem.with("found", Term.quote(shorten(json.toString()))));
  }

  private Misfit misfit(String expected) {
    return misfit(Message.of("expected." + expected));
  }

  private static String shorten(String text) {
    return text.length() > 60 ? text.substring(0, 57) + "..." : text;
  }

  public Node at(String field) {
    if (json == null || !json.isObject()) {
      throw misfit("object");
    }
    JsonNode child = json.get(field);
    return new Node(child, path.isEmpty() ? field : path + "." + field);
  }

  public boolean isAbsent() {
    return json == null || json.isNull();
  }

  public String text() {
    if (json == null || !json.isString()) {
      throw misfit("text");
    }
    return json.stringValue();
  }

  /** Whatever number stands here; infinite past what a double holds, NaN where none stands. */
  private double value() {
    return json == null || !json.isNumber() ? Double.NaN : json.decimalValue().doubleValue();
  }

  public double number() {
    double value = value();
    if (!Double.isFinite(value)) {
      throw misfit("number");
    }
    return value;
  }

  public int whole() {
    double value = value();
    if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
      throw misfit("whole");
    }
    return (int) value;
  }

  private static final Pattern MOMENT =
      Pattern.compile("\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d{1,9})?Z");

  /** A moment as ISO 8601 writes it, in UTC and with seconds. */
  public Instant moment() {
    if (!MOMENT.matcher(text()).matches()) {
      throw misfit("moment");
    }
    try {
      return Instant.parse(text());
    } catch (DateTimeParseException e) {
      throw misfit("moment");
    }
  }

  public boolean flag() {
    if (json == null || !json.isBoolean()) {
      throw misfit("flag");
    }
    return json.booleanValue();
  }

  public OptionalDouble optionalNumber() {
    return isAbsent() ? OptionalDouble.empty() : OptionalDouble.of(number());
  }

  public <T> List<T> list(Function<Node, T> reader) {
    if (json == null || !json.isArray()) {
      throw misfit("list");
    }
    List<T> list = new ArrayList<>();
    for (int k = 0; k < json.size(); k++) {
      list.add(reader.apply(new Node(json.get(k), path + "[" + k + "]")));
    }
    return list;
  }

  public <E> E oneOf(E[] values, Function<E, String> name) {
    String text = text();
    List<String> names = new ArrayList<>();
    for (E value : values) {
      if (name.apply(value).equals(text)) {
        return value;
      }
      names.add(name.apply(value));
    }
    throw misfit(Message.of("expected.oneOf").with("names", Term.quote(String.join(", ", names))));
  }

  /** Builds a record from this place; a broken invariant is reported with the place. */
  public <T> T build(Function<Node, T> reader) {
    if (json == null || !json.isObject()) {
      throw misfit("object");
    }
    return checked(reader);
  }

  /** What is made of this place; a broken rule is reported with the place. */
  <T> T checked(Function<Node, T> reader) {
    try {
      return reader.apply(this);
    } catch (RuleViolation e) {
      throw new Misfit(
          Message.of("place.rule")
              .with("place", Term.quote(path))
              .with("rule", Term.phrase(e.violated())));
    }
  }
}
