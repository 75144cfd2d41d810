package finebore.bench;

import finebore.code.RuleViolation;
import finebore.flow.Direction;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A job's flow tests and the ranges of the bench.
 *
 * @param ranges with their check plates
 * @param tests in the order they were made
 */
public record BenchBook(List<BenchRange> ranges, List<FlowTest> tests) {

  public static final BenchBook EMPTY = new BenchBook(List.of(), List.of());

  public BenchBook {
    ranges = List.copyOf(ranges);
    tests = List.copyOf(tests);
    if (tests.stream().mapToInt(FlowTest::id).distinct().count() < tests.size()) {
      throw RuleViolation.of("testIdsDiffer");
    }
    if (ranges.stream().map(BenchRange::name).distinct().count() < ranges.size()) {
      throw RuleViolation.of("rangeNamesDiffer");
    }
  }

  /** The same tests are mostly the very same; only those that are not are looked into. */
  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof BenchBook book
            && ranges.equals(book.ranges)
            && tests.size() == book.tests.size()
            && IntStream.range(0, tests.size())
                .allMatch(k -> same(tests.get(k), book.tests.get(k)));
  }

  private static boolean same(FlowTest a, FlowTest b) {
    return a == b || a.equals(b);
  }

  @Override
  public int hashCode() {
    return Objects.hash(ranges, tests);
  }

  public Optional<FlowTest> test(int id) {
    return tests.stream().filter(t -> t.id() == id).findFirst();
  }

  public Optional<BenchRange> range(String name) {
    return ranges.stream().filter(r -> r.name().equals(name)).findFirst();
  }

  /**
   * Flow that a share of a range comes to on a day, at the standard air, m3/s; empty when the range
   * has no check plate.
   */
  public OptionalDouble flowM3s(String range, double percent, Optional<LocalDate> day) {
    OptionalDouble full = range(range).map(r -> r.fullFlowM3s(day)).orElse(OptionalDouble.empty());
    return full.isPresent() ? OptionalDouble.of(percent / 100 * full.getAsDouble()) : full;
  }

  /** An id that no test has. */
  public int nextId() {
    return tests.stream().mapToInt(FlowTest::id).max().orElse(0) + 1;
  }

  /** Place of a test from 1, as people say it. */
  public int numberOf(FlowTest test) {
    for (int k = 0; k < tests.size(); k++) {
      if (tests.get(k).id() == test.id()) {
        return k + 1;
      }
    }
    throw new IllegalArgumentException("test: " + test.id());
  }

  /** The last test made in a direction. */
  public Optional<FlowTest> last(Direction direction) {
    return tests.stream().filter(t -> t.setUp().direction() == direction).reduce((a, b) -> b);
  }

  /** Whether the steps that lead from one test to another, either way, tried another valve. */
  public boolean valveTried(FlowTest reference, FlowTest test) {
    return valveTriedSince(reference, test) || valveTriedSince(test, reference);
  }

  private boolean valveTriedSince(FlowTest first, FlowTest last) {
    Map<Integer, FlowTest> byId = byId();
    Set<Integer> passed = new HashSet<>();
    boolean tried = false;
    Optional<FlowTest> at = Optional.of(last);
    while (at.isPresent() && at.get().id() != first.id() && passed.add(at.get().id())) {
      tried |= at.get().valveIsTheChange();
      at = at.get().after().map(byId::get);
    }
    return tried && at.isPresent() && at.get().id() == first.id();
  }

  /** The chain of steps that ends in a test, from its beginning; one that bites its tail is cut. */
  List<FlowTest> chainTo(FlowTest last) {
    Map<Integer, FlowTest> byId = byId();
    Set<Integer> passed = new HashSet<>();
    List<FlowTest> chain = new ArrayList<>();
    Optional<FlowTest> at = Optional.of(last);
    while (at.isPresent() && passed.add(at.get().id())) {
      chain.add(at.get());
      at = at.get().after().map(byId::get);
    }
    return chain.reversed();
  }

  private Map<Integer, FlowTest> byId() {
    Map<Integer, FlowTest> byId = new HashMap<>();
    tests.forEach(t -> byId.put(t.id(), t));
    return byId;
  }

  /** With a test put in the place of the one with its id, or behind the others. */
  public BenchBook with(FlowTest test) {
    List<FlowTest> changed = new ArrayList<>(tests);
    for (int k = 0; k < changed.size(); k++) {
      if (changed.get(k).id() == test.id()) {
        changed.set(k, test);
        return new BenchBook(ranges, changed);
      }
    }
    changed.add(test);
    return new BenchBook(ranges, changed);
  }

  /** Without a test; those that were steps from it become steps from what it was a step from. */
  public BenchBook without(int id) {
    Optional<Integer> before = test(id).flatMap(FlowTest::after);
    List<FlowTest> kept = new ArrayList<>();
    for (FlowTest test : tests) {
      if (test.id() != id) {
        kept.add(
            test.after().equals(Optional.of(id))
                ? test.withStep(before, test.changed(), test.valveIsTheChange())
                : test);
      }
    }
    return new BenchBook(ranges, kept);
  }

  /** With a plate check of a range, which is added where it is new. */
  public BenchBook withCheck(String range, PlateCheck check) {
    List<BenchRange> changed = new ArrayList<>(ranges);
    for (int k = 0; k < changed.size(); k++) {
      if (changed.get(k).name().equals(range)) {
        changed.set(k, changed.get(k).with(check));
        return new BenchBook(changed, tests);
      }
    }
    changed.add(new BenchRange(range, List.of(check)));
    return new BenchBook(changed, tests);
  }
}
