package finebore.words;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.formats.FileProblem;
import finebore.units.Dimension;
import finebore.units.Units;
import java.text.FieldPosition;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Turns codes and figures into sentences of a language, in a unit system. Patterns are those of
 * ICU's MessageFormat; what stands in them is put into words first, so that a figure comes with its
 * unit.
 *
 * <p>Besides a name {@code x} of a message, its pattern may use {@code xKey}: the last part of the
 * code of what is named, for {@code select}.
 */
public final class Words {

  private static final Map<String, MessageFormat> FORMATS = new ConcurrentHashMap<>();

  private final Language language;
  private final UnitSystem units;

  public Words(Language language, UnitSystem units) {
    this.language = language;
    this.units = units;
  }

  public static Words of(Language language, Units units) {
    return new Words(language, UnitSystem.of(units));
  }

  public Language language() {
    return language;
  }

  public UnitSystem units() {
    return units;
  }

  /** The same language in other units. */
  public Words in(Units changed) {
    return of(language, changed);
  }

  /** A sentence without anything in it, by its key. */
  public String text(String key) {
    return sentence(key).orElse(key);
  }

  /** A sentence with plain texts in it: names and values in turn. */
  public String text(String key, Object... named) {
    Map<String, Object> arguments = new HashMap<>();
    for (int k = 0; k + 1 < named.length; k += 2) {
      Object value = named[k + 1];
      if (value instanceof Coded coded) {
        arguments.put(named[k] + "Key", key(coded));
        arguments.put((String) named[k], name(coded));
      } else {
        arguments.put((String) named[k], value instanceof Integer n ? Long.valueOf(n) : value);
      }
    }
    return format(key, arguments);
  }

  /** What a thing is called where it stands alone, as on a label. */
  public String label(Coded coded) {
    return coded instanceof Message message ? say(message) : text(coded.code());
  }

  /** What a thing is called within a sentence. */
  public String name(Coded coded) {
    if (coded instanceof Message message) {
      return say(message);
    }
    return sentence(coded.code() + ".spoken").orElseGet(() -> text(coded.code()));
  }

  /** A further text of a thing: how it is taken, what it means. */
  public String of(Coded coded, String what) {
    return text(coded.code() + "." + what);
  }

  /** A message in words. */
  public String say(Message message) {
    Map<String, Object> arguments = new HashMap<>();
    message
        .terms()
        .forEach(
            (name, term) -> {
              arguments.put(name, argument(term));
              if (term instanceof Term.Name thing) {
                arguments.put(name + "Key", key(thing.coded()));
              }
            });
    return format(message.code(), arguments);
  }

  /** What is wrong, in words. */
  public String say(RuleViolation e) {
    return say(e.violated());
  }

  /** What is wrong with a file, in words. */
  public String say(FileProblem e) {
    return say(e.problem());
  }

  /** What could not be read, in words. */
  public String say(NotationException e) {
    return say(e.problem());
  }

  private Object argument(Term term) {
    return term instanceof Term.Figure(Dimension dimension, double value)
            && dimension == Dimension.COUNT
        ? Long.valueOf(Math.round(value))
        : term(term);
  }

  /** A term in words. */
  public String term(Term term) {
    return switch (term) {
      case Term.Figure(Dimension dimension, double value) -> figure(dimension, value);
      case Term.Name(Coded coded, String otherwise) ->
          sentence(coded.code()).isPresent() ? name(coded) : otherwise;
      case Term.Phrase(Message message) -> say(message);
      case Term.Each(List<Term> terms) -> each(terms.stream().map(this::term).toList());
      case Term.Quote(String text) -> text;
    };
  }

  /** Several things one after the other: "a, b and c". */
  public String each(List<String> things) {
    if (things.size() < 2) {
      return String.join("", things);
    }
    return things.subList(0, things.size() - 1).stream().collect(Collectors.joining(", "))
        + " "
        + text("word.and")
        + " "
        + things.getLast();
  }

  /** A figure with its unit. */
  public String figure(Dimension dimension, double value) {
    return dimension == Dimension.CLOCK ? clock(value) : units.text(dimension, value);
  }

  /** A clock position as it is spoken: 3 o'clock, 1:30. */
  private String clock(double clock) {
    int minutes = (int) Math.round(clock * 60);
    int hour = Math.floorMod(minutes / 60 - 1, 12) + 1;
    int rest = Math.floorMod(minutes, 60);
    return rest == 0
        ? text("clock.whole", "hour", String.valueOf(hour))
        : text(
            "clock.part", "hour", String.valueOf(hour), "minutes", (rest < 10 ? "0" : "") + rest);
  }

  private static String key(Coded coded) {
    return coded.code().substring(coded.code().lastIndexOf('.') + 1);
  }

  private Optional<String> sentence(String key) {
    return Optional.ofNullable(language.sentences().get(key));
  }

  private String format(String key, Map<String, Object> arguments) {
    String pattern = text(key);
    if (pattern.indexOf('{') < 0) {
      return pattern;
    }
    MessageFormat format =
        FORMATS.computeIfAbsent(
            language.tag() + ":" + pattern,
            k -> new MessageFormat(pattern, new ULocale(language.tag())));
    synchronized (format) {
      return format.format(arguments, new StringBuffer(), new FieldPosition(0)).toString();
    }
  }
}
