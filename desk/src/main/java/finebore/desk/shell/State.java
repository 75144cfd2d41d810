package finebore.desk.shell;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;

/** How far the work on a seat has come. */
enum State {
  OPEN("not measured", 0.1),
  FOUND("measured", 0.2),
  PLANNED("planned", 0.3),
  READY("plan marked ready", 0.4);

  private final String words;
  private final double part;

  State(String words, double part) {
    this.words = words;
    this.part = part;
  }

  static State of(Job job, SeatPlace place) {
    if (job.planOf(place).ready()) {
      return READY;
    }
    if (!job.planOf(place).wanted().equals(job.group(place.port()).found())) {
      return PLANNED;
    }
    return job.head().readingsOf(place.label()).isEmpty() ? OPEN : FOUND;
  }

  String words() {
    return words;
  }

  /** How much of the ring it fills, of the five stations. */
  double part() {
    return part;
  }
}
