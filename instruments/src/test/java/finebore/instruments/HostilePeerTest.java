package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.units.Unit;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Instruments that say anything: with the right checksum and the wrong figures, twice, late, never,
 * without end. A run ends, with what it read or with why not.
 */
class HostilePeerTest {

  /** No run of the lifts tried here needs nearly as many lines. */
  private static final int MOST_LINES = 20_000;

  private static final long LONGEST_NS = 5_000_000_000L;
  private static final double PA = Unit.INCH_OF_WATER.toBase(28);

  private static final List<String> FIGURES =
      List.of(
          "0", "-1", "5", "98", "1e300", "-1e300", "NaN", "Infinity", "", "x", "1e-320", "0x1p3");

  @TempDir private Path folder;

  @Test
  void aRunEndsWhateverThePeerSays() {
    assertThat(run(1, 300)).isEmpty();
  }

  @Test
  @Tag("long")
  void aRunEndsWhateverThePeerSaysAtLength() {
    assertThat(run(1_000_000, Integer.getInteger("finebore.peers", 20_000))).isEmpty();
  }

  @Test
  void aRangeNamedTwiceIsOneRange() throws BenchTrouble {
    SimulatedBench real = new SimulatedBench(lift -> 75 * lift, 3);
    FlowBench bench =
        new FlowBench(
            new SimulatedLink(
                line ->
                    real.answer(line)
                        .flatMap(Frame::of)
                        .map(f -> f.text().replaceFirst("ranges=\\S*", "ranges=1,2,1,2"))
                        .map(t -> new Frame(t).line())),
            Duration.ofMillis(1));
    bench.hello();
    assertThat(bench.ranges()).containsExactly("1", "2");
  }

  private List<String> run(long from, int tries) {
    Map<String, Integer> outcomes = new TreeMap<>();
    List<String> failed = new ArrayList<>();
    for (int k = 0; k < tries; k++) {
      long seed = from + k;
      long began = System.nanoTime();
      try {
        outcomes.merge(k % 3 == 0 ? vacuum(seed) : bench(seed), 1, Integer::sum);
      } catch (RuntimeException e) {
        failed.add(seed + ": " + e);
      }
      if (System.nanoTime() - began > LONGEST_NS) {
        failed.add(seed + ": took more than 5 s");
      }
    }
    System.out.println("hostile peers: " + tries + ", " + outcomes + ", failed " + failed);
    return failed;
  }

  private String bench(long seed) {
    SimulatedBench real = new SimulatedBench(lift -> 75 * lift, seed);
    FlowBench bench = new FlowBench(new SimulatedLink(new Liar(real, seed)), Duration.ofMillis(1));
    RunJournal.Plan plan = new RunJournal.Plan(1, List.of(1.0, 4.0, 9.0), 2, PA);
    Path journal = folder.resolve(seed + RunJournal.EXTENSION);
    BenchRun run = new BenchRun(bench, plan, journal, BenchRun.Pace.NONE, new BenchRunTest.Told());
    BenchRun.Outcome outcome = seed % 2 == 0 ? run.checkPlates() : run.run();
    return outcome.done()
        ? "bench done"
        : outcome.trouble().map(t -> t.code()).orElse("bench stopped");
  }

  private static String vacuum(long seed) {
    SimulatedVacuum real = new SimulatedVacuum(seed, 101_325);
    VacuumRun run = VacuumRun.begin(new SimulatedLink(new Liar(real, seed)));
    for (int k = 0; k < MOST_LINES; k++) {
      if (run.look() == VacuumRun.State.DONE || run.state() == VacuumRun.State.LOST) {
        run.reading();
        return run.trouble().map(t -> t.code()).orElse("vacuum done");
      }
    }
    throw new IllegalStateException("no end");
  }

  /** Passes on what an instrument says, changed now and then, or always in one thing. */
  private static final class Liar implements SimulatedLink.Answering {
    private final SimulatedLink.Answering real;
    private final Random random;
    private final double often;
    private final List<String> always = new ArrayList<>();
    private int lines;

    Liar(SimulatedLink.Answering real, long seed) {
      this.real = real;
      random = new Random(seed);
      often = random.nextInt(3) == 0 ? 0 : Math.pow(random.nextDouble(), 3) / 2;
      List<String> keys =
          List.of("percent", "lift", "ranges", "depression", "vacuum", "humidity", "stamped");
      for (int k = random.nextInt(3); k > 0; k--) {
        always.add(keys.get(random.nextInt(keys.size())));
      }
    }

    @Override
    public Optional<String> answer(String line) {
      if (lines++ > MOST_LINES) {
        throw new IllegalStateException("no end");
      }
      Optional<Frame> told = real.answer(line).flatMap(Frame::of);
      if (told.isEmpty()) {
        return told.map(Frame::line);
      }
      String text = told.get().text();
      for (String key : always) {
        text = with(new Frame(text), key);
      }
      if (random.nextDouble() >= often) {
        return said(text);
      }
      return switch (random.nextInt(8)) {
        case 0 -> Optional.empty();
        case 1 -> Optional.of("\u0000\u00ff".repeat(random.nextInt(3000)));
        case 2 -> said(text.replaceFirst("^\\d+", "7"));
        case 3 -> said(text.replace("OK", "ERR"));
        case 4 -> said(text.split(" ")[0]);
        case 5 -> said(text + " x=" + "9".repeat(random.nextInt(2000)));
        case 6 -> said(text.replaceFirst(" [a-z]+=\\S*", ""));
        default -> said(figure(text));
      };
    }

    private static Optional<String> said(String text) {
      return Optional.of(text + "*" + Frame.checksum(text));
    }

    private String figure(String text) {
      List<String> keys = List.copyOf(new Frame(text).values().keySet());
      return keys.isEmpty() ? text : with(new Frame(text), keys.get(random.nextInt(keys.size())));
    }

    /**
     * With another figure for a key; a needle that swings from one end of its range to the other.
     */
    private String with(Frame frame, String key) {
      String value =
          key.equals("percent") && always.contains(key)
              ? frame.values().getOrDefault("range", "").equals("1") ? "98" : often > 0 ? "5" : "99"
              : FIGURES.get(random.nextInt(FIGURES.size()));
      return frame.text().replaceFirst(" " + key + "=\\S*", " " + key + "=" + value);
    }
  }
}
