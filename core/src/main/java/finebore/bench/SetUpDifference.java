package finebore.bench;

import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import finebore.units.Dimension;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;

/**
 * One thing that was not the same on the bench.
 *
 * @param item what
 * @param reference the test held against
 * @param test the other
 * @param spoils whether tests that differ so may not be ranked
 */
public record SetUpDifference(Item item, FlowTest reference, FlowTest test, boolean spoils) {

  /** What can differ. */
  public enum Item implements Coded {
    DIRECTION,
    BENCH,
    BORE,
    INLET,
    PIPE,
    VALVE,
    DEPRESSION,
    SEAT,
    AIR;

    @Override
    public String code() {
      return "item." + name().toLowerCase(Locale.ROOT);
    }
  }

  private static final double SAME_MM = 0.05;
  private static final double SAME_SHARE = 0.002;

  /** Differences between two tests, those that spoil a ranking first. */
  public static List<SetUpDifference> between(FlowTest reference, FlowTest test) {
    return between(reference, test, () -> false);
  }

  /**
   * The same.
   *
   * @param valveTried whether another valve is what was tried in a step between the two; only asked
   *     where the valves differ
   */
  static List<SetUpDifference> between(
      FlowTest reference, FlowTest test, BooleanSupplier valveTried) {
    SetUp a = reference.setUp();
    SetUp b = test.setUp();
    List<SetUpDifference> found = new ArrayList<>();
    add(found, Item.DIRECTION, a.direction() != b.direction(), true, reference, test);
    add(found, Item.BENCH, !a.bench().equals(b.bench()), true, reference, test);
    add(found, Item.BORE, !same(a.boreMm(), b.boreMm(), SAME_MM), true, reference, test);
    add(found, Item.INLET, !same(a.inlet(), b.inlet()), true, reference, test);
    add(found, Item.PIPE, !samePipe(a.pipe(), b.pipe()), true, reference, test);
    boolean otherValve = !a.valve().isSameAs(b.valve());
    add(
        found,
        Item.VALVE,
        otherValve,
        otherValve && !test.valveIsTheChange() && !valveTried.getAsBoolean(),
        reference,
        test);
    add(
        found,
        Item.DEPRESSION,
        !sameDepression(a, b),
        a.depressionPa().isEmpty() || b.depressionPa().isEmpty(),
        reference,
        test);
    add(found, Item.SEAT, !a.seat().equals(b.seat()), false, reference, test);
    add(
        found,
        Item.AIR,
        reference.air().isPresent() != test.air().isPresent(),
        false,
        reference,
        test);
    found.sort(Comparator.comparing(d -> !d.spoils()));
    return found;
  }

  private static void add(
      List<SetUpDifference> found,
      Item item,
      boolean differs,
      boolean spoils,
      FlowTest reference,
      FlowTest test) {
    if (differs) {
      found.add(new SetUpDifference(item, reference, test, spoils));
    }
  }

  private static boolean same(OptionalDouble a, OptionalDouble b, double tolerance) {
    return a.isPresent() == b.isPresent()
        && (a.isEmpty() || Math.abs(a.getAsDouble() - b.getAsDouble()) <= tolerance);
  }

  private static boolean same(Inlet a, Inlet b) {
    return a.kind() == b.kind() && same(a.radiusMm(), b.radiusMm(), 0.5);
  }

  private static boolean samePipe(Optional<Pipe> a, Optional<Pipe> b) {
    return a.isPresent() == b.isPresent()
        && (a.isEmpty()
            || Math.abs(a.get().diameterMm() - b.get().diameterMm()) <= 0.5
                && Math.abs(a.get().lengthMm() - b.get().lengthMm()) <= 2);
  }

  private static boolean sameDepression(SetUp a, SetUp b) {
    double first = a.depressionPa().orElse(0);
    return same(a.depressionPa(), b.depressionPa(), SAME_SHARE * first);
  }

  /** What was which, for example "exhaust pipe: none, then 41.0 mm by 200.0 mm". */
  public Message message() {
    String how =
        item == Item.VALVE && !spoils
            ? ".tried"
            : item == Item.DEPRESSION && !spoils ? ".reduced" : "";
    return Message.of("difference" + how)
        .with("item", item)
        .with("reference", term(reference))
        .with("test", term(test));
  }

  /** How something stood on the bench, for example "exhaust pipe: none". */
  public static Message same(Item item, FlowTest test) {
    return Message.of("difference.same")
        .with("item", item)
        .with("reference", new SetUpDifference(item, test, test, false).term(test));
  }

  private Term term(FlowTest t) {
    SetUp s = t.setUp();
    return switch (item) {
      case DIRECTION -> Term.name(s.direction());
      case BENCH -> s.bench().isBlank() ? word("notNamed") : Term.quote(s.bench());
      case BORE -> length(s.boreMm());
      case INLET -> Term.phrase(inlet(s.inlet()));
      case PIPE ->
          s.pipe()
              .map(
                  p ->
                      Term.phrase(
                          Message.of("pipe.size")
                              .with("diameter", Term.length(p.diameterMm()))
                              .with("length", Term.length(p.lengthMm()))))
              .orElse(word("none"));
      case VALVE ->
          Term.phrase(
              Message.of("tested.valve")
                  .with("head", Term.length(s.valve().headDiameterMm()))
                  .with("name", Term.quote(s.valve().name())));
      case DEPRESSION ->
          s.depressionPa().isPresent()
              ? new Term.Figure(Dimension.PRESSURE, s.depressionPa().getAsDouble())
              : word("notWritten");
      case SEAT -> Term.quote(s.seat());
      case AIR -> word(t.air().isPresent() ? "written" : "notWritten");
    };
  }

  private static Message inlet(Inlet inlet) {
    return inlet.radiusMm().isPresent()
        ? Message.of("inlet.radius.of").with("radius", Term.length(inlet.radiusMm().getAsDouble()))
        : Message.of(inlet.kind());
  }

  private static Term length(OptionalDouble mm) {
    return mm.isPresent() ? Term.length(mm.getAsDouble()) : word("notWritten");
  }

  private static Term word(String word) {
    return Term.phrase(Message.of("word." + word));
  }
}
