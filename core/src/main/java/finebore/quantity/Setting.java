package finebore.quantity;

import finebore.code.Coded;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * One number that a user may set of something: what it is called in files and messages, what kind
 * of number it is, and how it is read and changed. Declared once, it drives the field on the
 * screen, the line on a sheet and the entry in a file.
 *
 * @param <T> what the number is set of
 * @param id its name in files
 * @param code what it is called in messages
 * @param quantity its dimension and bounds
 * @param empty what it means that nothing is set
 * @param get reads it
 * @param with changes it
 */
public record Setting<T>(
    String id,
    String code,
    Quantity quantity,
    Empty empty,
    Function<T, OptionalDouble> get,
    BiFunction<T, OptionalDouble, T> with)
    implements Coded {

  /** What it means that nothing is set. */
  public enum Empty {
    /** It cannot be: there is always a number. */
    NEVER,
    /** Nobody knows it, or there is none. */
    UNKNOWN,
    /** It follows something else. */
    FOLLOWS
  }

  /** The same under another id, where several of its kind stand side by side. */
  public Setting<T> named(String other) {
    return new Setting<>(other, code, quantity, empty, get, with);
  }

  /** A number that is always there. */
  public static <T> Setting<T> number(
      String id,
      String code,
      Quantity quantity,
      ToDoubleFunction<T> get,
      BiFunction<T, Double, T> with) {
    return new Setting<>(
        id,
        code,
        quantity,
        Empty.NEVER,
        t -> OptionalDouble.of(get.applyAsDouble(t)),
        (t, value) -> with.apply(t, value.orElseThrow()));
  }

  /** A number that may be missing. */
  public static <T> Setting<T> optional(
      String id,
      String code,
      Quantity quantity,
      Function<T, OptionalDouble> get,
      BiFunction<T, OptionalDouble, T> with) {
    return new Setting<>(id, code, quantity, Empty.UNKNOWN, get, with);
  }

  /** A number that follows something else while it is not set. */
  public static <T> Setting<T> following(
      String id,
      String code,
      Quantity quantity,
      Function<T, OptionalDouble> get,
      BiFunction<T, OptionalDouble, T> with) {
    return new Setting<>(id, code, quantity, Empty.FOLLOWS, get, with);
  }

  public OptionalDouble of(T thing) {
    return get.apply(thing);
  }

  /**
   * With another value.
   *
   * @throws finebore.code.RuleViolation if it cannot be that
   */
  public T on(T thing, OptionalDouble value) {
    return with.apply(thing, quantity.check(value));
  }
}
