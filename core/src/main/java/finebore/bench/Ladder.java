package finebore.bench;

import finebore.flow.Bands;
import finebore.flow.CamLift;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;

/**
 * A chain of tests, each a step from the one before: what each change gave, alone and in sum.
 *
 * @param earlier how many tests of the chain come before the rungs
 * @param rungs the last of the chain, at most {@link #MOST}
 */
public record Ladder(int earlier, List<Rung> rungs) {

  /** More steps than this nobody reads at a time. */
  public static final int MOST = 60;

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
   * @param valveTried whether another valve is what was tried between two tests
   */
  public static Ladder to(
      FlowTest last,
      BenchBook book,
      Function<FlowTest, ReducedTest> reduced,
      Noise noise,
      Bands bands,
      CamLift cam,
      BiPredicate<FlowTest, FlowTest> valveTried) {
    List<FlowTest> chain = book.chainTo(last);
    int earlier = Math.max(0, chain.size() - MOST);
    List<Rung> rungs = new ArrayList<>();
    ReducedTest first = reduced.apply(chain.getFirst());
    ReducedTest before = reduced.apply(chain.get(Math.max(0, earlier - 1)));
    for (FlowTest test : chain.subList(earlier, chain.size())) {
      ReducedTest now = reduced.apply(test);
      boolean begins = test == chain.getFirst();
      rungs.add(
          new Rung(
              now,
              begins
                  ? Optional.empty()
                  : Optional.of(Comparison.of(before, now, noise, bands, cam, valveTried)),
              begins
                  ? Optional.empty()
                  : Optional.of(Comparison.of(first, now, noise, bands, cam, valveTried))));
      before = now;
    }
    return new Ladder(earlier, rungs);
  }
}
