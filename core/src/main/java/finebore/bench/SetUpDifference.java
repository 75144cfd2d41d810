package finebore.bench;

import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
  public enum Item {
    DIRECTION("direction"),
    BENCH("bench"),
    BORE("bore fixture"),
    INLET("inlet"),
    PIPE("exhaust pipe"),
    VALVE("valve"),
    DEPRESSION("depression"),
    SEAT("seat"),
    AIR("air");

    private final String words;

    Item(String words) {
      this.words = words;
    }

    public String words() {
      return words;
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
    boolean otherValve =
        Math.abs(a.valve().headDiameterMm() - b.valve().headDiameterMm()) > SAME_MM
            || !a.valve().name().equals(b.valve().name());
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

  /** In words, for example "exhaust pipe: none, then 41.0 mm by 200.0 mm". */
  public String words(UnitSystem units) {
    return item.words()
        + ": "
        + words(reference, units)
        + ", then "
        + words(test, units)
        + (item == Item.VALVE && !spoils ? " (that is what was tried)" : "")
        + (item == Item.DEPRESSION && !spoils ? " (both brought to the same)" : "");
  }

  private String words(FlowTest t, UnitSystem units) {
    SetUp s = t.setUp();
    return switch (item) {
      case DIRECTION -> s.direction().name().toLowerCase(java.util.Locale.ROOT);
      case BENCH -> s.bench().isBlank() ? "not named" : s.bench();
      case BORE ->
          s.boreMm().isPresent() ? units.lengthText(s.boreMm().getAsDouble()) : "not written down";
      case INLET ->
          s.inlet().kind().words()
              + (s.inlet().radiusMm().isPresent()
                  ? " " + units.lengthText(s.inlet().radiusMm().getAsDouble())
                  : "");
      case PIPE ->
          s.pipe()
              .map(p -> units.lengthText(p.diameterMm()) + " by " + units.lengthText(p.lengthMm()))
              .orElse("none");
      case VALVE -> (units.lengthText(s.valve().headDiameterMm()) + " " + s.valve().name()).strip();
      case DEPRESSION ->
          s.depressionPa().isPresent()
              ? units.pressureText(s.depressionPa().getAsDouble())
              : "not written down";
      case SEAT -> s.seat();
      case AIR -> t.air().isPresent() ? "written down" : "not written down";
    };
  }
}
