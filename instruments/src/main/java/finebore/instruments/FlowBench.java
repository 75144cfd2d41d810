package finebore.instruments;

import finebore.bench.CheckPlate;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.instruments.BenchLink.LinkLost;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A flow bench, spoken with over a link. What goes wrong on the line is tried again a few times;
 * every command may be sent twice without harm.
 */
public final class FlowBench implements AutoCloseable {

  private static final int TRIES = 4;

  private final BenchLink link;
  private final Duration patience;
  private int number;
  private List<String> ranges = List.of();

  /** A bench on a link, given so long to answer. */
  public FlowBench(BenchLink link, Duration patience) {
    this.link = link;
    this.patience = patience;
  }

  /** What a bench says of itself. */
  public record Hello(String name, List<String> ranges) {}

  /** Greets the bench; its ranges come from the smallest up. */
  public Hello hello() throws BenchTrouble {
    Frame answer = ask("HELLO");
    if (!"1".equals(answer.values().get("protocol"))) {
      throw new BenchTrouble(
          Message.of("bench.protocol")
              .with("found", Term.quote(answer.values().getOrDefault("protocol", "?"))));
    }
    ranges =
        Arrays.stream(answer.values().getOrDefault("ranges", "").split(",")).distinct().toList();
    return new Hello(answer.values().getOrDefault("name", "bench"), ranges);
  }

  public List<String> ranges() {
    return ranges;
  }

  /** Sets the blower to a depression, Pa. */
  public void depression(double pa) throws BenchTrouble {
    ask(String.format(Locale.ROOT, "DEPRESSION %.1f", pa));
  }

  /** Moves the valve; gives where it really stands, mm. */
  public double lift(double mm) throws BenchTrouble {
    return number(ask(String.format(Locale.ROOT, "LIFT %.3f", mm)), "lift");
  }

  public void range(String name) throws BenchTrouble {
    ask("RANGE " + name);
  }

  /** Puts the head on. */
  public void head() throws BenchTrouble {
    ask("FIXTURE HEAD");
  }

  /** Puts the check plate for a range on; gives what is stamped on it. */
  public CheckPlate plate(String range) throws BenchTrouble {
    Frame answer = ask("FIXTURE PLATE " + range);
    return new CheckPlate.Stamped(number(answer, "stamped"), number(answer, "at"));
  }

  public Sample read() throws BenchTrouble {
    try {
      return Sample.of(ask("READ"));
    } catch (RuleViolation e) {
      throw new BenchTrouble(nonsense(e));
    }
  }

  /** Stops the blower. */
  public void off() throws BenchTrouble {
    ask("OFF");
  }

  private static Message nonsense(RuleViolation e) {
    return Message.of("bench.nonsense").with("rule", Term.phrase(e.violated()));
  }

  private static double number(Frame frame, String key) throws BenchTrouble {
    try {
      return frame.number(key);
    } catch (RuleViolation e) {
      throw new BenchTrouble(nonsense(e));
    }
  }

  private Frame ask(String command) throws BenchTrouble {
    Message why = Message.of("bench.silent");
    for (int k = 0; k < TRIES; k++) {
      try {
        if (k > 0) {
          link.reopen();
          // A bench that fell silent wakes when it is greeted.
          number++;
          link.send(new Frame(number + " HELLO").line());
          answer();
        }
        number++;
        link.send(new Frame(number + " " + command).line());
        Optional<Frame> answer = answer();
        if (answer.isPresent()) {
          return understood(answer.get());
        }
        why = Message.of("bench.silent");
      } catch (LinkLost e) {
        why = e.loss();
      }
    }
    throw new BenchTrouble(Message.of("bench.lost").with("why", Term.phrase(why)));
  }

  /** The answer to the last command; what answers an earlier one, or is garbled, is passed over. */
  private Optional<Frame> answer() throws LinkLost {
    long until = System.nanoTime() + patience.toNanos();
    do {
      Optional<String> line = link.receive(patience);
      if (line.isEmpty()) {
        return Optional.empty();
      }
      Optional<Frame> frame = Frame.of(line.get());
      if (frame.isPresent() && frame.get().text().startsWith(number + " ")) {
        return frame;
      }
    } while (System.nanoTime() < until);
    return Optional.empty();
  }

  private static Frame understood(Frame answer) throws BenchTrouble {
    String[] words = answer.words();
    if (words.length > 1 && words[1].equals("OK")) {
      return answer;
    }
    throw new BenchTrouble(
        Message.of("bench.refuses")
            .with("answer", Term.quote(answer.text().replaceFirst("^\\d+ (ERR )?", ""))));
  }

  @Override
  public void close() {
    link.close();
  }
}
