package finebore.figures;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import org.locationtech.jts.geom.Geometry;

/** Every figure that a record holds, one to a line with the way to it. */
final class Figures {

  /** Lists with more figures than this are mostly drawn lines, and are put in one. */
  private static final int LONG = 30;

  /** What goes in and is not worked out. */
  private static final Set<String> GIVEN =
      Set.of("Job", "Plan", "Group", "FlowTest", "BenchBook", "Practice");

  private final List<String> lines = new ArrayList<>();

  /** Notes whatever there is of a value under a name. */
  Figures with(String name, Object value) {
    switch (value) {
      case null -> line(name, "null");
      case Double d -> line(name, figure(d));
      case OptionalDouble d -> line(name, d.isPresent() ? figure(d.getAsDouble()) : "-");
      case OptionalInt i -> line(name, i.toString());
      case Optional<?> o -> o.ifPresentOrElse(v -> with(name, v), () -> line(name, "-"));
      case Geometry g -> line(name, figure(g.getArea()) + " around " + figure(g.getLength()));
      case Map<?, ?> map -> {
        Map<String, Object> sorted = new TreeMap<>();
        map.forEach((k, v) -> sorted.put(k.toString(), v));
        sorted.forEach((k, v) -> with(name + "." + k, v));
      }
      case Collection<?> many -> with(name, List.copyOf(many));
      case Record r when GIVEN.contains(r.getClass().getSimpleName()) -> {}
      case Record r -> {
        for (RecordComponent component : r.getClass().getRecordComponents()) {
          with(name + "." + component.getName(), read(r, component));
        }
      }
      default -> line(name, plain(value));
    }
    return this;
  }

  private void with(String name, List<?> many) {
    Figures inner = new Figures();
    for (int k = 0; k < many.size(); k++) {
      inner.with(name + "." + k, many.get(k));
    }
    lines.addAll(inner.lines.size() <= LONG ? inner.lines : List.of(inner.inOneLine(name)));
  }

  /** How many figures, their sum with each weighed by its place, and what words stand there. */
  private String inOneLine(String name) {
    double sum = 0;
    StringBuilder words = new StringBuilder();
    for (int k = 0; k < lines.size(); k++) {
      String said = lines.get(k).substring(lines.get(k).indexOf('=') + 1);
      if (said.matches("-?[0-9].*e[+-][0-9]+|0")) {
        sum += Double.parseDouble(said) * (1 + k % 7);
      } else {
        words.append(said);
      }
    }
    return name
        + "="
        + lines.size()
        + " figures "
        + figure(sum)
        + " words "
        + words.toString().hashCode();
  }

  private static String plain(Object value) {
    boolean shows = value instanceof Enum || value instanceof String || value instanceof Number;
    return shows || value instanceof Boolean || value instanceof Character
        ? value.toString()
        : value.getClass().getSimpleName();
  }

  private static Object read(Record record, RecordComponent component) {
    try {
      component.getAccessor().setAccessible(true);
      return component.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(component + " cannot be read", e);
    }
  }

  private void line(String name, String value) {
    lines.add(name + "=" + value);
  }

  /** Six figures, and nothing so small that rounding alone decides it. */
  private static String figure(double value) {
    return Math.abs(value) < 1e-7 ? "0" : String.format(Locale.ROOT, "%.5e", value);
  }

  @Override
  public String toString() {
    return String.join("\n", lines) + "\n";
  }
}
