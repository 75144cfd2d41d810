package finebore.bench;

import finebore.flow.Bands;
import finebore.flow.CamLift;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A chain of tests, each a step from the one before: what each change gave, alone and in sum.
 *
 * @param rungs from the beginning of the chain
 */
public record Ladder(List<Rung> rungs) {

  /**
   * One test of the chain.
   *
   * @param alone against the test before it; empty for the first
   * @param inSum against the first of the chain; empty for the first
   */
  public record Rung(ReducedTest test, Optional<Comparison> alone, Optional<Comparison> inSum) {}

  public Ladder {
    rungs = List.copyOf(rungs);
  }

  /**
   * The chain that ends in a test.
   *
   * @param reduced brings a test of the book to the standard depression
   */
  public static Ladder to(
      FlowTest last,
      BenchBook book,
      Function<FlowTest, ReducedTest> reduced,
      Noise noise,
      Bands bands,
      CamLift cam) {
    List<FlowTest> chain = new ArrayList<>();
    Optional<FlowTest> at = Optional.of(last);
    // A chain that bites its tail ends where it would begin again.
    while (at.isPresent() && !chain.contains(at.get())) {
      chain.addFirst(at.get());
      at = at.get().after().flatMap(book::test);
    }
    List<Rung> rungs = new ArrayList<>();
    ReducedTest first = reduced.apply(chain.getFirst());
    ReducedTest before = first;
    for (FlowTest test : chain) {
      ReducedTest now = reduced.apply(test);
      boolean begins = rungs.isEmpty();
      rungs.add(
          new Rung(
              now,
              begins
                  ? Optional.empty()
                  : Optional.of(Comparison.of(before, now, noise, bands, cam, book)),
              begins
                  ? Optional.empty()
                  : Optional.of(Comparison.of(first, now, noise, bands, cam, book))));
      before = now;
    }
    return new Ladder(rungs);
  }
}
