package finebore.practice;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.job.Port;
import finebore.study.ReadingKind;
import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param installed whether it is here; one that a job only names wants nothing, and must not be
 *     taken for one that has nothing to want
 */
@RecordBuilder
public record Practice(
    String id,
    String name,
    String about,
    Map<ReadingKind, Range> intake,
    Map<ReadingKind, Range> exhaust,
    boolean installed)
    implements Coded, PracticeBuilder.With {

  private static final int LONGEST_NAME = 60;

  public Practice {
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw RuleViolation.of("practiceName")
          .with("most", Term.count(LONGEST_NAME))
          .with("value", Term.count(name.length()));
    }
    intake = Collections.unmodifiableMap(new TreeMap<>(intake));
    exhaust = Collections.unmodifiableMap(new TreeMap<>(exhaust));
  }

  /** A practice of the shop or of the program. */
  public Practice(
      String id,
      String name,
      String about,
      Map<ReadingKind, Range> intake,
      Map<ReadingKind, Range> exhaust) {
    this(id, name, about, intake, exhaust, true);
  }

  /** The practice that a job names and that is not here. */
  public static Practice notInstalled(String id) {
    String name = id.isBlank() ? "?" : id.substring(0, Math.min(id.length(), LONGEST_NAME));
    return new Practice(id, name, "", Map.of(), Map.of(), false);
  }

  @Override
  public String code() {
    return "practice." + id;
  }

  /** Its name, in the user's language where it is one that ships. */
  public Term term() {
    return installed
        ? new Term.Name(this, name)
        : Term.phrase(Message.of("practiceNotInstalled").with("practice", Term.quote(name)));
  }

  public Optional<Range> wanted(Port port, ReadingKind kind) {
    return Optional.ofNullable(of(port).get(kind));
  }

  private Map<ReadingKind, Range> of(Port port) {
    return port == Port.INTAKE ? intake : exhaust;
  }

  /** The same under another id and name. */
  public Practice named(String otherId, String otherName) {
    return new Practice(otherId, otherName, about, intake, exhaust);
  }

  /** With another range for a reading; nothing wants nothing of it. */
  public Practice with(Port port, ReadingKind kind, Optional<Range> range) {
    Map<ReadingKind, Range> changed = new TreeMap<>(of(port));
    changed.remove(kind);
    range.ifPresent(r -> changed.put(kind, r));
    return port == Port.INTAKE ? withIntake(changed) : withExhaust(changed);
  }
}
