package finebore.work;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * Everything that was done and read of a head at the machine, in order. Lines are added and never
 * taken away.
 *
 * @param entries in the order of their numbers
 */
public record WorkLog(List<WorkEntry> entries) {

  /** Nothing was done yet. */
  public static final WorkLog EMPTY = new WorkLog(List.of());

  public WorkLog {
    entries = List.copyOf(entries);
    for (int k = 1; k < entries.size(); k++) {
      if (entries.get(k).number() <= entries.get(k - 1).number()) {
        throw RuleViolation.of("entriesRise").with("value", Term.count(entries.get(k).number()));
      }
    }
  }

  /** Who says something, and when. */
  public record Hand(Instant at, String who) {}

  private WorkLog add(
      Hand hand,
      String seat,
      String step,
      Kind kind,
      Optional<Taken> taken,
      String reason,
      OptionalInt corrects) {
    int number = entries.isEmpty() ? 1 : entries.getLast().number() + 1;
    List<WorkEntry> more = new ArrayList<>(entries);
    more.add(
        new WorkEntry(
            number, hand.at(), hand.who(), seat, step, kind, taken, reason.strip(), corrects));
    return new WorkLog(more);
  }

  /** With something said of a step. */
  public WorkLog with(Hand hand, String seat, String step, Kind kind, String reason) {
    return add(hand, seat, step, kind, Optional.empty(), reason, OptionalInt.empty());
  }

  /** With a reading; one that was taken before is corrected by it and stays in the history. */
  public WorkLog with(Hand hand, String seat, String step, Taken taken, String reason) {
    Optional<WorkEntry> before = entry(seat, taken.what());
    return add(
        hand,
        seat,
        step,
        Kind.READ,
        Optional.of(taken),
        reason,
        before.map(e -> OptionalInt.of(e.number())).orElse(OptionalInt.empty()));
  }

  /** The last reading of a kind at a seat: the one that counts. */
  public Optional<WorkEntry> entry(String seat, ReadBack what) {
    return entries.reversed().stream()
        .filter(e -> e.seat().equals(seat) && e.taken().filter(t -> t.what() == what).isPresent())
        .findFirst();
  }

  public OptionalDouble value(String seat, ReadBack what) {
    return entry(seat, what)
        .flatMap(WorkEntry::taken)
        .map(t -> OptionalDouble.of(t.value()))
        .orElse(OptionalDouble.empty());
  }

  /** The last that was said of a step, readings aside. */
  public Optional<WorkEntry> lastOf(String step) {
    return entries.reversed().stream()
        .filter(e -> e.step().equals(step) && e.kind() != Kind.READ)
        .findFirst();
  }

  /**
   * Both of two histories that began as the same one: every line once, by time; lines that meet get
   * new numbers.
   */
  public WorkLog merged(WorkLog other) {
    if (other.entries.equals(entries)) {
      return this;
    }
    List<WorkEntry> more = new ArrayList<>(entries);
    more.addAll(other.entries.stream().filter(e -> !entries.contains(e)).toList());
    return numbered(more.stream().sorted(Comparator.comparing(WorkEntry::at)).toList());
  }

  private static WorkLog numbered(Collection<WorkEntry> inOrder) {
    List<WorkEntry> all = new ArrayList<>();
    // What a line sets right is known by the seat and the reading, which stay when numbers change.
    TreeMap<String, Integer> last = new TreeMap<>();
    for (WorkEntry e : inOrder) {
      int number = all.size() + 1;
      OptionalInt corrects = OptionalInt.empty();
      if (e.taken().isPresent()) {
        Integer before = last.put(e.seat() + " " + e.taken().get().what().key(), number);
        corrects = before == null ? OptionalInt.empty() : OptionalInt.of(before);
      }
      all.add(
          new WorkEntry(
              number,
              e.at(),
              e.who(),
              e.seat(),
              e.step(),
              e.kind(),
              e.taken(),
              e.reason(),
              corrects));
    }
    return new WorkLog(all);
  }
}
