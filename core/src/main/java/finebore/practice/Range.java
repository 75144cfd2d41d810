package finebore.practice;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a school of practice wants of a reading.
 *
 * @param min lowest, in the reading's unit; empty for no lower limit
 * @param max highest; empty for no upper limit
 * @param basis where it comes from
 */
public record Range(OptionalDouble min, OptionalDouble max, Basis basis) {

  /**
   * Readings come off trigonometry: a value typed at the very limit must still count as within it.
   */
  private static final double ROUNDING = 1e-9;

  public Range {
    if (min.isEmpty() && max.isEmpty()) {
      throw RuleViolation.of("rangeNeedsLimit");
    }
    if (min.isPresent() && max.isPresent() && !(min.getAsDouble() <= max.getAsDouble())) {
      throw RuleViolation.of("rangeRises")
          .with("min", new Term.Figure(Dimension.RATIO, min.getAsDouble()))
          .with("max", new Term.Figure(Dimension.RATIO, max.getAsDouble()));
    }
  }

  /** A range with both limits. */
  public static Range of(double min, double max, Basis basis) {
    return new Range(OptionalDouble.of(min), OptionalDouble.of(max), basis);
  }

  /**
   * A range between limits that someone of the shop has set; empty where both are gone.
   *
   * @throws RuleViolation if the lower one lies above the upper one
   */
  public static Optional<Range> own(OptionalDouble min, OptionalDouble max) {
    return min.isEmpty() && max.isEmpty()
        ? Optional.empty()
        : Optional.of(new Range(min, max, Basis.OWN_PRACTICE));
  }

  /** The same limits resting on something else. */
  public Range restingOn(Basis other) {
    return new Range(min, max, other);
  }

  public boolean holds(double value) {
    return excess(value) <= ROUNDING;
  }

  /** By how much a value lies outside, 0 or less within. */
  public double excess(double value) {
    double over = max.isPresent() ? value - max.getAsDouble() : Double.NEGATIVE_INFINITY;
    double under = min.isPresent() ? min.getAsDouble() - value : Double.NEGATIVE_INFINITY;
    return Math.max(over, under);
  }

  public boolean isAbove(double value) {
    return max.isPresent() && value > max.getAsDouble();
  }

  /** The limit nearest to a value outside. */
  public double nearest(double value) {
    return isAbove(value) ? max.getAsDouble() : min.orElseGet(max::getAsDouble);
  }

  /** The middle, or the one limit there is. */
  public double middle() {
    return min.isPresent() && max.isPresent()
        ? (min.getAsDouble() + max.getAsDouble()) / 2
        : min.orElseGet(max::getAsDouble);
  }

  /** The limits as they are spoken of: from to, at least, at most. */
  public Message message(ReadingKind kind) {
    Message message =
        Message.of(
            min.isEmpty() ? "range.atMost" : max.isEmpty() ? "range.atLeast" : "range.between");
    if (min.isPresent()) {
      message = message.with("min", new Term.Figure(kind.dimension(), min.getAsDouble()));
    }
    if (max.isPresent()) {
      message = message.with("max", new Term.Figure(kind.dimension(), max.getAsDouble()));
    }
    return message;
  }
}
