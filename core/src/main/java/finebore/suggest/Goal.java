package finebore.suggest;

import finebore.code.Coded;
import java.util.List;
import java.util.Locale;

/** What a suggestion is to be best at. */
public enum Goal implements Coded {
  LOW(List.of(0.05, 0.1)),
  MID(List.of(0.15, 0.22)),
  WHOLE(List.of(0.06, 0.13, 0.2, 0.27)),
  LIFE(List.of());

  private final List<Double> lifts;

  Goal(List<Double> lifts) {
    this.lifts = lifts;
  }

  @Override
  public String code() {
    return "goal." + name().toLowerCase(Locale.ROOT);
  }

  /** Lifts that are looked at, as shares of the found valve's diameter; none where flow is not. */
  List<Double> lifts() {
    return lifts;
  }
}
