package finebore.study;

import finebore.code.Term;
import java.util.List;
import java.util.OptionalDouble;

/**
 * One reading.
 *
 * @param value in the core unit of the kind's dimension
 */
public record Reading(ReadingKind kind, double value) {

  /** The value of a kind among readings, if it is there. */
  public static OptionalDouble of(List<Reading> readings, ReadingKind kind) {
    return readings.stream().filter(r -> r.kind() == kind).mapToDouble(Reading::value).findFirst();
  }

  public Term term() {
    return new Term.Figure(kind.dimension(), value);
  }
}
