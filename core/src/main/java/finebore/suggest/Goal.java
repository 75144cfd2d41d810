package finebore.suggest;

import java.util.List;

/** What a suggestion is to be best at. */
public enum Goal {
  LOW("best low lift", List.of(0.05, 0.1)),
  MID("best mid lift", List.of(0.15, 0.22)),
  WHOLE("best whole curve", List.of(0.06, 0.13, 0.2, 0.27)),
  LIFE("longest life", List.of());

  private final String words;
  private final List<Double> lifts;

  Goal(String words, List<Double> lifts) {
    this.words = words;
    this.lifts = lifts;
  }

  public String words() {
    return words;
  }

  /** Lifts that are looked at, as shares of the found valve's diameter; none where flow is not. */
  List<Double> lifts() {
    return lifts;
  }
}
