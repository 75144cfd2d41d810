package finebore.cutting;

import finebore.code.Coded;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.seat.Seat;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * One thing that can be set of an operation.
 *
 * @param <O> the kind of operation
 */
public sealed interface OperationSetting<O extends Operation> extends Coded {

  /** The kind of operation it belongs to. */
  Class<O> of();

  /** Its name in files. */
  String id();

  /** What it comes to, open settings as the wanted seat has them; nothing where nothing is set. */
  List<Term> term(Operation operation, Seat wanted);

  /** The operation as it follows a change of the wanted seat. */
  default Operation following(Operation operation, Seat before, Seat after) {
    return operation;
  }

  /**
   * A number.
   *
   * @param setting how it is read and changed
   * @param wanted what it follows of the wanted seat while it is open; nothing where it follows
   *     what the metal is like
   */
  record Number<O extends Operation>(
      Class<O> of, Setting<O> setting, Function<Seat, OptionalDouble> wanted)
      implements OperationSetting<O> {

    @Override
    public String id() {
      return setting.id();
    }

    @Override
    public String code() {
      return setting.code();
    }

    /** The number that is set; empty where it is open. */
    public OptionalDouble set(Operation operation) {
      return setting.of(of.cast(operation));
    }

    /** The number it comes to, where that can be told without the metal. */
    public OptionalDouble value(Operation operation, Seat seat) {
      OptionalDouble own = set(operation);
      return own.isPresent() ? own : wanted.apply(seat);
    }

    /** With another number, or open. */
    public O on(Operation operation, OptionalDouble value) {
      return setting.on(of.cast(operation), value);
    }

    @Override
    public List<Term> term(Operation operation, Seat seat) {
      return value(operation, seat).stream()
          .mapToObj(v -> (Term) new Term.Figure(setting.quantity().dimension(), v))
          .toList();
    }

    @Override
    public Operation following(Operation operation, Seat before, Seat after) {
      boolean changed = !wanted.apply(before).equals(wanted.apply(after));
      return changed && setting.empty() == Setting.Empty.FOLLOWS
          ? on(operation, OptionalDouble.empty())
          : operation;
    }
  }

  /** One of several. */
  record Choice<O extends Operation, C extends Coded>(
      Class<O> of, String id, List<C> values, Function<O, C> get, BiFunction<O, C, O> with)
      implements OperationSetting<O> {

    @Override
    public String code() {
      return "setting." + id;
    }

    public C value(Operation operation) {
      return get.apply(of.cast(operation));
    }

    public O on(Operation operation, Coded value) {
      C one = values.stream().filter(v -> v == value).findFirst().orElseThrow();
      return with.apply(of.cast(operation), one);
    }

    @Override
    public List<Term> term(Operation operation, Seat wanted) {
      return List.of(Term.name(value(operation)));
    }
  }

  /** A name that the shop has given. */
  record Text<O extends Operation>(
      Class<O> of, String id, Function<O, String> get, BiFunction<O, String, O> with)
      implements OperationSetting<O> {

    @Override
    public String code() {
      return "setting." + id;
    }

    public String value(Operation operation) {
      return get.apply(of.cast(operation));
    }

    public O on(Operation operation, String value) {
      return with.apply(of.cast(operation), value);
    }

    @Override
    public List<Term> term(Operation operation, Seat wanted) {
      String text = value(operation);
      return text.isBlank() ? List.of() : List.of(Term.quote(text));
    }
  }

  /** How far a cutter goes down. */
  record Depth<O extends Operation>(
      Class<O> of, Function<O, Plunge> get, BiFunction<O, Plunge, O> with)
      implements OperationSetting<O> {

    @Override
    public String id() {
      return "plunge";
    }

    @Override
    public String code() {
      return "setting.plunge";
    }

    public Plunge value(Operation operation) {
      return get.apply(of.cast(operation));
    }

    public O on(Operation operation, Plunge value) {
      return with.apply(of.cast(operation), value);
    }

    @Override
    public List<Term> term(Operation operation, Seat wanted) {
      return List.of(Term.phrase(value(operation).message()));
    }

    @Override
    public Operation following(Operation operation, Seat before, Seat after) {
      return before.depthMm() == after.depthMm()
          ? operation
          : on(operation, new Plunge.AsPlanned());
    }
  }

  /** A number that is always set. */
  static <O extends Operation> Number<O> number(
      Class<O> of,
      String id,
      Quantity quantity,
      ToDoubleFunction<O> get,
      BiFunction<O, Double, O> with) {
    return new Number<>(
        of,
        Setting.number(id, "setting." + id, quantity, get, with),
        seat -> OptionalDouble.empty());
  }

  /** A number that follows the wanted seat, or the metal, while it is open. */
  static <O extends Operation> Number<O> open(
      Class<O> of,
      String id,
      Quantity quantity,
      Function<O, OptionalDouble> get,
      BiFunction<O, OptionalDouble, O> with,
      Function<Seat, OptionalDouble> wanted) {
    return new Number<>(of, Setting.following(id, "setting." + id, quantity, get, with), wanted);
  }
}
