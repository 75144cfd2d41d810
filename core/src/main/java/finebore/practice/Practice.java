package finebore.practice;

import finebore.code.Coded;
import finebore.code.Term;
import finebore.job.Port;
import finebore.study.ReadingKind;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A school of practice: what it wants of intake and exhaust seats.
 *
 * @param id short name in files
 * @param name as shown
 * @param about one sentence on whom it is for
 * @param intake wanted ranges by reading
 * @param exhaust wanted ranges by reading
 */
public record Practice(
    String id,
    String name,
    String about,
    Map<ReadingKind, Range> intake,
    Map<ReadingKind, Range> exhaust)
    implements Coded {

  public Practice {
    intake = Collections.unmodifiableMap(new TreeMap<>(intake));
    exhaust = Collections.unmodifiableMap(new TreeMap<>(exhaust));
  }

  @Override
  public String code() {
    return "practice." + id;
  }

  /** Its name, in the user's language where it is one that ships. */
  public Term term() {
    return new Term.Name(this, name);
  }

  public Optional<Range> wanted(Port port, ReadingKind kind) {
    return Optional.ofNullable((port == Port.INTAKE ? intake : exhaust).get(kind));
  }
}
