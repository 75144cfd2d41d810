package finebore.desk.controls;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.units.Dimension;
import finebore.words.Notation;
import finebore.words.NotationException;
import finebore.words.UnitSystem;
import java.util.OptionalDouble;

/**
 * How a value is typed and written in an entry field.
 *
 * @param <T> the value
 */
public interface Grammar<T> {

  /**
   * Reads what was typed.
   *
   * @throws NotationException if it cannot be understood
   * @throws RuleViolation if it cannot be
   */
  T read(String text, UnitSystem units) throws NotationException;

  /** The value as it would be typed; nothing where there is none. */
  String written(T value, UnitSystem units);

  /** The unit behind it; nothing where it has none. */
  default String unit(UnitSystem units) {
    return "";
  }

  /** The value so many nudges up or down; itself where it cannot be nudged. */
  default T nudged(T value, int nudges, UnitSystem units) {
    return value;
  }

  /** Whether it is words that are typed, not figures: they are set as words are. */
  default boolean isWords() {
    return false;
  }

  /** Any text. */
  static Grammar<String> text() {
    return new Grammar<>() {
      @Override
      public boolean isWords() {
        return true;
      }

      @Override
      public String read(String text, UnitSystem units) {
        return text;
      }

      @Override
      public String written(String value, UnitSystem units) {
        return value;
      }
    };
  }

  /** A number of a quantity that is always there. */
  static Grammar<OptionalDouble> number(Quantity quantity) {
    return new OfNumber(quantity, false);
  }

  /** A number of a quantity; nothing typed is none. */
  static Grammar<OptionalDouble> optional(Quantity quantity) {
    return new OfNumber(quantity, true);
  }

  /** A number of a dimension without bounds; nothing typed is none. */
  static Grammar<OptionalDouble> figure(Dimension dimension) {
    return new OfFigure(dimension);
  }

  /** A number of a dimension, in shop notation. */
  record OfFigure(Dimension dimension) implements Grammar<OptionalDouble> {

    @Override
    public OptionalDouble read(String text, UnitSystem units) throws NotationException {
      // Gauges send the sign of what they read.
      String bare = text.strip().replaceFirst("^\\+0*(?=\\d)", "");
      return bare.isEmpty()
          ? OptionalDouble.empty()
          : OptionalDouble.of(Notation.read(dimension, bare, units));
    }

    @Override
    public String written(OptionalDouble value, UnitSystem units) {
      return value.isPresent() ? units.entry(dimension, value.getAsDouble()) : "";
    }

    @Override
    public String unit(UnitSystem units) {
      return units.unit(dimension);
    }

    @Override
    public OptionalDouble nudged(OptionalDouble value, int nudges, UnitSystem units) {
      return value.isEmpty()
          ? value
          : OptionalDouble.of(
              value.getAsDouble() + nudges * units.nudge(dimension, value.getAsDouble()));
    }
  }

  /** A number within the bounds of a quantity, in shop notation. */
  record OfNumber(Quantity quantity, boolean mayBeEmpty) implements Grammar<OptionalDouble> {

    @Override
    public OptionalDouble read(String text, UnitSystem units) throws NotationException {
      OptionalDouble read = figure().read(text, units);
      if (read.isEmpty()) {
        if (!mayBeEmpty) {
          throw RuleViolation.of("missing").with("quantity", Term.name(quantity));
        }
        return read;
      }
      double value = read.getAsDouble();
      if (quantity.dimension() == Dimension.COUNT && value != Math.rint(value)) {
        throw RuleViolation.of("whole")
            .with("quantity", Term.name(quantity))
            .with("value", new Term.Figure(Dimension.RATIO, value));
      }
      return OptionalDouble.of(quantity.check(quantity.unrounded(value)));
    }

    private OfFigure figure() {
      return new OfFigure(quantity.dimension());
    }

    @Override
    public String written(OptionalDouble value, UnitSystem units) {
      return figure().written(value, units);
    }

    @Override
    public String unit(UnitSystem units) {
      return figure().unit(units);
    }

    @Override
    public OptionalDouble nudged(OptionalDouble value, int nudges, UnitSystem units) {
      return figure().nudged(value, nudges, units);
    }
  }
}
