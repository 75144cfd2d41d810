package finebore.desk.session;

import finebore.code.Coded;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.Locale;

/** How far the work on a seat has come. */
public enum SeatState implements Coded {
  OPEN("-", 0.1),
  FOUND("M", 0.2),
  PLANNED("P", 0.3),
  READY("R", 0.4);

  private final String letter;
  private final double part;

  SeatState(String letter, double part) {
    this.letter = letter;
    this.part = part;
  }

  public static SeatState of(Job job, SeatPlace place) {
    if (job.planOf(place).ready()) {
      return READY;
    }
    if (!job.planOf(place).follows()
        && !job.planOf(place).wanted().equals(job.group(place.port()).found())) {
      return PLANNED;
    }
    return job.head().readingsOf(place.label()).isEmpty() ? OPEN : FOUND;
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
