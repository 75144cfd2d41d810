package finebore.suggest;

import finebore.flow.field.AirChange;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.planning.SolvedChange;
import finebore.study.SeatStudy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;

/**
 * A suggestion with what the solver makes of it.
 *
 * @param suggestion the plan
 * @param share mean change of flow against the found seat over the goal's lifts, the found port in
 *     series; empty where a lift could not be solved, or flow is not the goal
 * @param off what that may be off by: for another choice of how walls cost, and where air waves
 */
public record SolvedSuggestion(Suggestion suggestion, OptionalDouble share, double off) {

  /** One that is not solved. */
  private static SolvedSuggestion not(Suggestion suggestion) {
    return new SolvedSuggestion(suggestion, OptionalDouble.empty(), 0);
  }

  /** Whether the change is one that can be told from none. */
  public boolean isClear() {
    return share.isPresent() && Math.abs(share.getAsDouble()) >= Math.max(AirChange.LEAST, off);
  }

  /**
   * Solves the air of suggestions and puts the best first; those that could not be solved keep
   * their order behind them.
   *
   * @param stop asked now and then; true gives up, and nothing is solved
   */
  public static List<SolvedSuggestion> of(
      List<Suggestion> suggestions, Goal goal, BooleanSupplier stop) {
    if (suggestions.isEmpty() || goal.lifts().isEmpty()) {
      return suggestions.stream().map(SolvedSuggestion::not).toList();
    }
    SeatStudy found = suggestions.getFirst().study().found();
    double head = found.pairing().valve().headDiameterMm();
    List<Double> lifts = goal.lifts().stream().map(l -> l * head).toList();
    // Each begins from the plan before it at the same lift: sooner done, to the same answer.
    AirFlow[] last = new AirFlow[lifts.size()];
    Optional<List<SolvedArea>> before = areas(found, lifts, last, stop);
    List<SolvedSuggestion> solved = new ArrayList<>();
    for (Suggestion suggestion : suggestions) {
      solved.add(
          before
              .flatMap(
                  b ->
                      areas(suggestion.study().finished(), lifts, last, stop)
                          .map(a -> of(suggestion, lifts, b, a)))
              .orElseGet(() -> not(suggestion)));
    }
    solved.sort(Comparator.comparingDouble(s -> -s.share().orElse(Double.NEGATIVE_INFINITY)));
    return List.copyOf(solved);
  }

  /** Walls and port as the lift strip has them. */
  private static SolvedSuggestion of(
      Suggestion suggestion,
      List<Double> liftsMm,
      List<SolvedArea> before,
      List<SolvedArea> after) {
    SeatStudy found = suggestion.study().found();
    SeatStudy planned = suggestion.study().finished();
    double sum = 0;
    double off = 0;
    for (int k = 0; k < before.size(); k++) {
      AirChange change =
          AirChange.of(
              List.of(before.get(k), SolvedArea.NONE),
              List.of(after.get(k), SolvedArea.NONE),
              found.portPerMm4(),
              SolvedChange.walls(found, planned, liftsMm.get(k)));
      sum += change.even();
      off += Math.hypot(change.walls().off(), change.swing());
    }
    int count = before.size();
    return new SolvedSuggestion(suggestion, OptionalDouble.of(sum / count), off / count);
  }

  private static Optional<List<SolvedArea>> areas(
      SeatStudy study, List<Double> liftsMm, AirFlow[] last, BooleanSupplier stop) {
    List<SolvedArea> areas = new ArrayList<>();
    try {
      for (int k = 0; k < liftsMm.size(); k++) {
        AirQuestion question = study.airAt(liftsMm.get(k), Turbulence.EVEN, Fineness.COARSE);
        last[k] = AirSolver.solve(question, Optional.ofNullable(last[k]), stop);
        areas.add(SolvedArea.of(last[k]));
      }
    } catch (AirNotSolved e) {
      return Optional.empty();
    }
    return Optional.of(areas);
  }
}
