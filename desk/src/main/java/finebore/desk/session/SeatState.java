package finebore.desk.session;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;

/** How far the work on a seat has come. */
public enum SeatState {
  OPEN("-", "not measured", 0.1),
  FOUND("M", "measured", 0.2),
  PLANNED("P", "planned", 0.3),
  READY("R", "plan marked ready", 0.4);

  private final String letter;
  private final String words;
  private final double part;

  SeatState(String letter, String words, double part) {
    this.letter = letter;
    this.words = words;
    this.part = part;
  }

  public static SeatState of(Job job, SeatPlace place) {
    if (job.planOf(place).ready()) {
      return READY;
    }
    if (!job.planOf(place).wanted().equals(job.group(place.port()).found())) {
      return PLANNED;
    }
    return job.head().readingsOf(place.label()).isEmpty() ? OPEN : FOUND;
  }

  /** One letter for it. */
  public String letter() {
    return letter;
  }

  public String words() {
    return words;
  }

  /** How much of the ring it fills, of the five stations. */
  public double part() {
    return part;
  }
}
