package finebore.code;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A sentence before it is spoken: which one, and what it speaks of. The words are made at the edge,
 * in the user's language and units.
 *
 * @param code which sentence
 * @param terms what stands in it, by the names the languages' files use
 */
public record Message(String code, Map<String, Term> terms) implements Coded {

  public Message {
    terms = Collections.unmodifiableMap(new TreeMap<>(terms));
  }

  public static Message of(String code) {
    return new Message(code, Map.of());
  }

  public static Message of(Coded coded) {
    return of(coded.code());
  }

  /** With one more term. */
  public Message with(String name, Term term) {
    Map<String, Term> more = new TreeMap<>(terms);
    more.put(name, term);
    return new Message(code, more);
  }

  public Message with(String name, Coded coded) {
    return with(name, coded instanceof Message message ? Term.phrase(message) : Term.name(coded));
  }
}
