package finebore.desk.session;

import finebore.code.Coded;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.machine.PortSeal;
import finebore.work.ReadBack;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkLog;
import java.util.Locale;
import java.util.Optional;

/** How far the work on a seat has come. */
public enum SeatState implements Coded {
  OPEN("-", 0.1),
  FOUND("M", 0.2),
  PLANNED("P", 0.3),
  READY("R", 0.4),
  CUTTING("C", 0.5),
  CUT("D", 0.6),
  PROVED("V", 0.8);

  private final String letter;
  private final double part;

  SeatState(String letter, double part) {
    this.letter = letter;
    this.part = part;
  }

  public static SeatState of(Job job, SeatPlace place) {
    Optional<SeatState> atMachine = atMachine(job, place.label());
    if (atMachine.isPresent()) {
      return atMachine.get();
    }
    if (job.planOf(place).ready()) {
      return READY;
    }
    if (!job.planOf(place).follows()
        && !job.planOf(place).wanted().equals(job.group(place.port()).found())) {
      return PLANNED;
    }
    return job.head().readingsOf(place.label()).isEmpty() ? OPEN : FOUND;
  }

  /** How far the work at the machine has come, where it has begun. */
  private static Optional<SeatState> atMachine(Job job, String seat) {
    WorkLog log = job.log();
    if (log.value(seat, ReadBack.VACUUM_DRY).isPresent()
        || log.value(seat, ReadBack.VACUUM_OILED).isPresent()) {
      // What was accepted past its limit is not proved by a vacuum that holds.
      boolean accepted =
          log.entries().stream()
              .filter(e -> e.seat().equals(seat))
              .map(WorkEntry::step)
              .distinct()
              .flatMap(step -> log.lastOf(step).stream())
              .anyMatch(e -> e.kind() == Kind.ACCEPTED);
      boolean good = PortSeal.verdictOf(job, seat).isGood() && !accepted;
      return Optional.of(good ? PROVED : CUT);
    }
    boolean together =
        log.lastOf(seat + ":" + StepKind.ASSEMBLY.key())
            .filter(e -> e.kind() == Kind.DONE || e.kind() == Kind.ACCEPTED)
            .isPresent();
    boolean begun = log.entries().stream().anyMatch(e -> e.seat().equals(seat));
    return together ? Optional.of(CUT) : begun ? Optional.of(CUTTING) : Optional.empty();
  }

  /** One letter for it, the same in every language. */
  public String letter() {
    return letter;
  }

  @Override
  public String code() {
    return "seatState." + name().toLowerCase(Locale.ROOT);
  }

  /** How much of the ring it fills, of the five stations. */
  public double part() {
    return part;
  }
}
