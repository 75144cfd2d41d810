package finebore.instruments;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.instruments.BenchLink.LinkLost;
import finebore.seal.VacuumReading;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One vacuum test, look by look: the pump draws until the needle rests, then it is shut and the
 * fall to half is timed by the number of looks. Whoever shows it calls {@link #look} ten times a
 * second.
 */
public final class VacuumRun {

  /** Where a test stands. */
  public enum State {
    PUMPING,
    FALLING,
    DONE,
    LOST
  }

  /** Time between two looks, s. */
  public static final double LOOK_SECONDS = 0.1;

  /** A needle whose last looks lie within this rests, as a share; common practice, no source. */
  private static final double RESTS_WITHIN = 0.008;

  private static final double LEAST_SWING_PA = 600;
  private static final int LOOKS_AT_REST = 12;

  /** A good seat holds for minutes: nobody waits longer than this, s. */
  public static final double LONGEST_FALL_SECONDS = 30;

  private static final int MOST_PUMPING = 200;
  private static final int TRIES = 4;
  private static final Duration PATIENCE = Duration.ofMillis(300);

  private final BenchLink link;
  private final Deque<Double> last = new ArrayDeque<>();
  private State state = State.PUMPING;
  private int number;
  private int looks;
  private int falling;
  private double needlePa;
  private double heldPa;
  private double ambientPa = VacuumReading.STANDARD_PA;
  private OptionalDouble fall = OptionalDouble.empty();
  private Optional<Message> trouble = Optional.empty();

  private VacuumRun(BenchLink link) {
    this.link = link;
  }

  /** Begins a test. */
  public static VacuumRun begin(BenchLink link) {
    VacuumRun run = new VacuumRun(link);
    run.ask("HELLO");
    run.ask("PUMP");
    return run;
  }

  /** Looks at the needle once. */
  public State look() {
    if (state != State.PUMPING && state != State.FALLING) {
      return state;
    }
    Optional<Frame> answer = ask("READ");
    if (answer.isEmpty()) {
      return state;
    }
    try {
      needlePa = answer.get().number("vacuum");
      ambientPa = answer.get().number("ambient");
    } catch (RuleViolation e) {
      return lost(e.violated());
    }
    looks++;
    return state == State.PUMPING ? pumping() : falling();
  }

  private State pumping() {
    last.addLast(needlePa);
    if (last.size() > LOOKS_AT_REST) {
      last.removeFirst();
    }
    double high = last.stream().mapToDouble(d -> d).max().orElse(0);
    double low = last.stream().mapToDouble(d -> d).min().orElse(0);
    boolean rests =
        last.size() == LOOKS_AT_REST && high - low <= Math.max(LEAST_SWING_PA, RESTS_WITHIN * high);
    if (rests || looks >= MOST_PUMPING) {
      // It may still have crept up while it was watched: the later half counts.
      heldPa = last.stream().skip(LOOKS_AT_REST / 2).mapToDouble(d -> d).average().orElse(needlePa);
      ask("SHUT");
      state = state == State.LOST ? state : State.FALLING;
    }
    return state;
  }

  private State falling() {
    falling++;
    double seconds = falling * LOOK_SECONDS;
    if (needlePa <= heldPa / 2 || seconds >= LONGEST_FALL_SECONDS) {
      fall = OptionalDouble.of(seconds);
      state = State.DONE;
    }
    return state;
  }

  private Optional<Frame> ask(String command) {
    try {
      for (int k = 0; k < TRIES; k++) {
        number++;
        link.send(new Frame(number + " " + command).line());
        Optional<String> line = link.receive(PATIENCE);
        Optional<Frame> frame = line.flatMap(Frame::of);
        boolean own = frame.filter(f -> f.command().equals(String.valueOf(number))).isPresent();
        if (own) {
          return frame;
        }
      }
      lost(Message.of("vacuum.silent"));
    } catch (LinkLost e) {
      lost(e.loss());
    }
    return Optional.empty();
  }

  private State lost(Message why) {
    trouble = Optional.of(why);
    state = State.LOST;
    return state;
  }

  public State state() {
    return state;
  }

  /** What the needle shows now, Pa. */
  public double needlePa() {
    return needlePa;
  }

  /** What went wrong, where it did. */
  public Optional<Message> trouble() {
    return trouble;
  }

  /** The reading; empty until it is done. */
  public Optional<VacuumReading> reading() {
    return state == State.DONE
        ? Optional.of(new VacuumReading(Math.max(0, heldPa), fall, ambientPa))
        : Optional.empty();
  }
}
