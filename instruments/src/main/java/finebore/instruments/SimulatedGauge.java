package finebore.instruments;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.units.Unit;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * A hand gauge that is not there: a digital caliper or depth gauge, or a dial for seat runout. Its
 * zero creeps with every use, it scatters and shows whole steps of its resolution, as real ones do;
 * and it can go wrong on demand. It is a line of its own: pressing its key sends a reading.
 */
public final class SimulatedGauge implements BenchLink {

  /** Kinds of gauge; figures are invented. */
  public enum Kind implements Coded {
    CALIPER("caliper", 0.01, 0.008),
    DEPTH_GAUGE("depth-gauge", 0.01, 0.006),
    RUNOUT_DIAL("runout-dial", 0.002, 0.002);

    private final String name;
    private final double resolutionMm;
    private final double noiseMm;

    Kind(String name, double resolutionMm, double noiseMm) {
      this.name = name;
      this.resolutionMm = resolutionMm;
      this.noiseMm = noiseMm;
    }

    @Override
    public String code() {
      return "gauge." + name;
    }

    /** Its name on the line and in the history. */
    public String gaugeName() {
      return name;
    }
  }

  /** What can go wrong. */
  public enum Fault implements Coded {
    /** The cable is out. */
    LOST_LINK,
    /** The next line is noise. */
    GARBAGE,
    /** Someone has pressed the unit key: it shows inches and says mm. */
    WRONG_UNIT,
    /** It sends the last reading again. */
    REPEATED;

    @Override
    public String code() {
      return "gaugeFault." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** How far the zero creeps at each use, mm. */
  private static final double ZERO_CREEP_MM = 0.0006;

  private static final double INCH_RESOLUTION = 0.0005;

  private final Kind kind;
  private final Random random;
  private final Deque<String> sent = new ArrayDeque<>();
  private Unit unit = Unit.MM;
  private double zeroMm;
  private int count;
  private String last = "";
  private Optional<Fault> fault = Optional.empty();

  /** A gauge whose noise follows from a seed. */
  public SimulatedGauge(Kind kind, long seed) {
    this.kind = kind;
    this.random = new Random(seed);
  }

  public Kind kind() {
    return kind;
  }

  /** Lets something go wrong with the next reading; a lost link stays lost until reopened. */
  public void fail(Fault next) {
    fault = Optional.of(next);
  }

  /** Switches between mm and inches, as its key does. */
  public void switchUnit() {
    unit = unit == Unit.MM ? Unit.INCH : Unit.MM;
  }

  /** Sets the zero anew on the master. */
  public void zero() {
    zeroMm = 0;
  }

  /** Its key is pressed on something of a size. */
  public void press(double trueMm) {
    if (fault.equals(Optional.of(Fault.LOST_LINK))) {
      return;
    }
    boolean repeats = fault.equals(Optional.of(Fault.REPEATED)) && !last.isEmpty();
    if (!repeats) {
      count++;
      zeroMm += ZERO_CREEP_MM * random.nextGaussian();
      double shownMm = trueMm + zeroMm + kind.noiseMm * random.nextGaussian();
      last = line(shownMm);
    }
    sent.add(fault.equals(Optional.of(Fault.GARBAGE)) ? last.replace('=', '~') : last);
    fault = Optional.empty();
  }

  private String line(double mm) {
    boolean wrong = fault.equals(Optional.of(Fault.WRONG_UNIT));
    Unit shown = wrong ? Unit.INCH : unit;
    double step = shown == Unit.MM ? kind.resolutionMm : INCH_RESOLUTION;
    double value = Math.round(shown.fromBase(mm) / step) * step;
    return new Frame(
            String.format(
                Locale.ROOT,
                "READING gauge=%s count=%d value=%.4f unit=%s",
                kind.name,
                count,
                value,
                wrong ? Unit.MM.symbol() : unit.symbol()))
        .line();
  }

  @Override
  public void send(String line) {
    // A hand gauge takes no commands.
  }

  @Override
  public Optional<String> receive(Duration timeout) throws LinkLost {
    if (fault.equals(Optional.of(Fault.LOST_LINK))) {
      throw new LinkLost(Message.of("gauge.lost"));
    }
    return Optional.ofNullable(sent.poll());
  }

  @Override
  public void reopen() {
    fault = Optional.empty();
    sent.clear();
  }

  @Override
  public void close() {
    sent.clear();
  }
}
