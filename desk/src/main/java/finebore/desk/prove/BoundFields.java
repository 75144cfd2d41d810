package finebore.desk.prove;

import finebore.desk.controls.EntryField;
import finebore.units.NotationException;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * Entry fields of a thing that is edited by making it anew, each with its name, its unit and how it
 * shows the thing.
 */
final class BoundFields<T> {

  /** Reads a number in the job's units. */
  interface Reader {
    double read(String typed, UnitSystem units) throws NotationException;
  }

  private record Bound<T>(
      EntryField field,
      String name,
      Function<UnitSystem, String> unit,
      BiFunction<T, UnitSystem, String> shown) {}

  private final Supplier<UnitSystem> units;
  private final Consumer<UnaryOperator<T>> edit;
  private final List<Bound<T>> fields = new ArrayList<>();

  /** Fields that hand their changes to an edit. */
  BoundFields(Supplier<UnitSystem> units, Consumer<UnaryOperator<T>> edit) {
    this.units = units;
    this.edit = edit;
  }

  /** A field of words. */
  EntryField text(String name, Function<T, String> shown, BiFunction<T, String, T> change) {
    EntryField field =
        new EntryField(name, typed -> edit.accept(thing -> change.apply(thing, typed)));
    fields.add(new Bound<>(field, name, u -> "", (thing, u) -> shown.apply(thing)));
    return field;
  }

  /** A field of a number that may be left out. */
  EntryField number(
      String name,
      Function<UnitSystem, String> unit,
      BiFunction<T, UnitSystem, String> shown,
      Reader reader,
      BiFunction<T, OptionalDouble, T> change) {
    EntryField field =
        new EntryField(
            name,
            typed -> {
              OptionalDouble value =
                  typed.isEmpty()
                      ? OptionalDouble.empty()
                      : OptionalDouble.of(reader.read(typed, units.get()));
              edit.accept(thing -> change.apply(thing, value));
            });
    fields.add(new Bound<>(field, name, unit, shown));
    return field;
  }

  void show(T thing) {
    for (Bound<T> bound : fields) {
      bound.field().name(bound.name(), bound.unit().apply(units.get()));
      bound.field().show(bound.shown().apply(thing, units.get()));
    }
  }

  /** A value in words, or nothing. */
  static String optional(OptionalDouble value, Function<Double, String> words) {
    return value.isPresent() ? words.apply(value.getAsDouble()) : "";
  }
}
