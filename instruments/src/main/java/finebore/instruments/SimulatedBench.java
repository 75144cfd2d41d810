package finebore.instruments;

import finebore.code.Coded;
import finebore.flow.TestConditions;
import finebore.units.Unit;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/**
 * A flow bench that is not there: it answers the protocol's lines as a real one would, with noise,
 * leakage, needles that take their time, a meter that drifts as it warms up, and faults on demand.
 *
 * <p>Its clock advances by a tenth of a second with every reading.
 */
public final class SimulatedBench implements SimulatedLink.Answering {

  /** What can go wrong. */
  public enum Fault implements Coded {
    /** The valve fixture stops short of where it should go, for a few moves. */
    STICKING_FIXTURE,
    /** A few lines get no answer. */
    LOST_LINE,
    /** A few answers are noise. */
    GARBAGE,
    /** It falls silent in the middle of a reading and stays so until it is greeted again. */
    STOPPED;

    @Override
    public String code() {
      return "fault." + name().toLowerCase(Locale.ROOT);
    }
  }

  private static final List<String> RANGES = List.of("1", "2", "3", "4", "5");
  private static final double[] FULL_CFM = {15, 50, 120, 250, 500};

  /** Stamped on the plates, as a share of the nominal range. */
  private static final double PLATE_SHARE = 0.75;

  private static final double PLATE_AT_PA = Unit.INCH_OF_WATER.toBase(28);
  private static final double SECONDS_A_READING = 0.1;
  private static final double NEEDLE_SECONDS = 0.35;
  private static final double WARM_UP_SECONDS = 500;
  private static final double WARM_UP_DRIFT = 0.006;
  private static final double NOISE = 0.0016;
  private static final double WANDER = 0.0018;
  private static final double LEAK_MM2 = 2.2;
  private static final double PLAY_MM = 0.0015;
  private static final int FAULT_LASTS = 2;

  private record Planned(int afterReadings, Fault fault) {}

  private final Random random;
  private final double[] trueFull = new double[RANGES.size()];
  private final Deque<Planned> planned = new ArrayDeque<>();
  private DoubleUnaryOperator head;
  private boolean plateOn;
  private int plate;
  private double lift;
  private double off;
  private double depressionPa;
  private int range = RANGES.size() - 1;
  private double needle;
  private double wander;
  private double seconds;
  private int readings;
  private int stickingMoves;
  private int lostLines;
  private int garbledLines;
  private boolean silent;

  /**
   * A bench with a head on it.
   *
   * @param head effective area by lift, mm2
   */
  public SimulatedBench(DoubleUnaryOperator head, long seed) {
    this.head = head;
    this.random = new Random(seed);
    for (int k = 0; k < trueFull.length; k++) {
      // No range is quite what stands on its selector.
      trueFull[k] = Unit.CFM.toBase(FULL_CFM[k]) * (1 + 0.008 * (2 * random.nextDouble() - 1));
    }
  }

  /** Puts another head on, or the same in another state. */
  public void headOn(DoubleUnaryOperator other) {
    head = other;
  }

  /** Lets something go wrong after so many readings from now. */
  public void plan(Fault fault, int afterReadings) {
    planned.add(new Planned(readings + afterReadings, fault));
  }

  /** Flow of the head at the standard air, m3/s: what a perfect bench would say. */
  public double truth(double liftMm, double pa) {
    return TestConditions.USUAL.withDepression(pa).flow(head.applyAsDouble(liftMm));
  }

  /** Answers a line; empty when nothing comes back. */
  @Override
  public Optional<String> answer(String line) {
    Optional<Frame> asked = Frame.of(line);
    if (asked.isEmpty()) {
      return Optional.empty();
    }
    String[] words = asked.get().words();
    boolean greeted = words.length > 1 && words[1].equals("HELLO");
    if (silent && !greeted) {
      return Optional.empty();
    }
    silent = false;
    if (lostLines > 0) {
      lostLines--;
      return Optional.empty();
    }
    String reply = words[0] + " " + reply(words);
    if (silent) {
      return Optional.empty();
    }
    if (garbledLines > 0) {
      garbledLines--;
      return Optional.of(garbled(reply));
    }
    return Optional.of(new Frame(reply).line());
  }

  private String garbled(String reply) {
    char[] noise = new Frame(reply).line().toCharArray();
    for (int k = 0; k < noise.length; k += 3) {
      noise[k] = (char) (33 + random.nextInt(90));
    }
    return new String(noise);
  }

  private String reply(String[] words) {
    String command = words.length > 1 ? words[1] : "";
    String value = words.length > 2 ? words[2] : "";
    return switch (command) {
      case "HELLO" -> "OK protocol=1 name=simulated ranges=" + String.join(",", RANGES);
      case "DEPRESSION" -> number(value, 0, 20_000).map(this::blow).orElse("ERR depression");
      case "LIFT" -> number(value, 0, 40).map(this::move).orElse("ERR lift");
      case "RANGE" -> turn(value);
      case "FIXTURE" -> fixture(words);
      case "READ" -> read();
      case "OFF" -> blow(0);
      default -> "ERR unknown command";
    };
  }

  private static Optional<Double> number(String text, double min, double max) {
    try {
      double value = Double.parseDouble(text);
      return value >= min && value <= max ? Optional.of(value) : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  private String blow(double pa) {
    depressionPa = pa;
    return "OK";
  }

  private String move(double to) {
    if (stickingMoves > 0) {
      stickingMoves--;
      lift += 0.6 * (to - lift);
    } else {
      lift = to;
    }
    // No fixture goes back to quite the same place, and its scale does not show it.
    off = lift > 0 ? PLAY_MM * random.nextGaussian() : 0;
    return String.format(Locale.ROOT, "OK lift=%.3f", lift);
  }

  private String turn(String name) {
    int to = RANGES.indexOf(name);
    if (to < 0) {
      return "ERR no such range";
    }
    needle *= FULL_CFM[range] / FULL_CFM[to];
    range = to;
    return "OK range=" + name;
  }

  private String fixture(String[] words) {
    if (words.length > 3 && words[2].equals("PLATE") && RANGES.contains(words[3])) {
      plateOn = true;
      plate = RANGES.indexOf(words[3]);
      return String.format(Locale.ROOT, "OK stamped=%.6f at=%.1f", stamped(), PLATE_AT_PA);
    }
    if (words.length > 2 && words[2].equals("HEAD")) {
      plateOn = false;
      return "OK";
    }
    return "ERR no such fixture";
  }

  private double stamped() {
    return Unit.CFM.toBase(FULL_CFM[plate]) * PLATE_SHARE;
  }

  private String read() {
    readings++;
    seconds += SECONDS_A_READING;
    takePlanned();
    if (silent) {
      return "";
    }
    double pa = depressionPa * (1 + 0.001 * random.nextGaussian());
    double flow = pa > 0 ? flowAt(pa) : 0;
    double warm = 1 + WARM_UP_DRIFT * Math.exp(-seconds / WARM_UP_SECONDS);
    double target = 100 * flow / trueFull[range] * warm;
    needle = target + (needle - target) * Math.exp(-SECONDS_A_READING / NEEDLE_SECONDS);
    wander = 0.97 * wander + Math.sqrt(1 - 0.97 * 0.97) * WANDER * random.nextGaussian();
    double shown = Math.min(needle * (1 + wander + NOISE * random.nextGaussian()), 110);
    return String.format(
        Locale.ROOT,
        "OK lift=%.3f range=%s percent=%.3f depression=%.1f temperature=%.2f pressure=%.0f"
            + " humidity=%.3f",
        lift,
        RANGES.get(range),
        Math.max(0, shown),
        Math.max(pa, 100),
        20.5 + 3 * (1 - Math.exp(-seconds / 900)),
        100_600.0,
        0.46);
  }

  /** Meter and head see the same air, so its density falls out of the meter's reading. */
  private double flowAt(double pa) {
    if (plateOn) {
      return stamped() * Math.sqrt(pa / PLATE_AT_PA);
    }
    return TestConditions.USUAL.withDepression(pa).flow(head.applyAsDouble(lift + off) + LEAK_MM2);
  }

  private void takePlanned() {
    while (!planned.isEmpty() && planned.peek().afterReadings() <= readings) {
      switch (planned.poll().fault()) {
        case STICKING_FIXTURE -> stickingMoves = FAULT_LASTS;
        case LOST_LINE -> lostLines = FAULT_LASTS;
        case GARBAGE -> garbledLines = FAULT_LASTS;
        case STOPPED -> silent = true;
      }
    }
  }

  /** Makes the fixture stick for good, so that a hand has to free it. */
  public void jam() {
    stickingMoves = Integer.MAX_VALUE;
  }

  /** Frees a jammed fixture. */
  public void free() {
    stickingMoves = 0;
  }
}
