package finebore.suggest;

import finebore.flow.field.AirChange;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
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
 */
public record SolvedSuggestion(Suggestion suggestion, OptionalDouble share) {

  /** Whether the change is one that can be told from none. */
  public boolean isClear() {
    return share.isPresent() && Math.abs(share.getAsDouble()) >= AirChange.LEAST;
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
      return suggestions.stream()
          .map(s -> new SolvedSuggestion(s, OptionalDouble.empty()))
          .toList();
    }
    SeatStudy found = suggestions.getFirst().study().found();
    double head = found.pairing().valve().headDiameterMm();
    List<Double> lifts = goal.lifts().stream().map(l -> l * head).toList();
    // Each begins from the plan before it at the same lift: sooner done, to the same answer.
    AirFlow[] last = new AirFlow[lifts.size()];
    Optional<double[]> before = areas(found, lifts, last, stop);
    List<SolvedSuggestion> solved = new ArrayList<>();
    for (Suggestion suggestion : suggestions) {
      Optional<double[]> after =
          before.flatMap(b -> areas(suggestion.study().finished(), lifts, last, stop));
      solved.add(
          new SolvedSuggestion(
              suggestion,
              after
                  .map(
                      a ->
                          OptionalDouble.of(
                              mean(found, suggestion.study().finished(), lifts, before.get(), a)))
                  .orElse(OptionalDouble.empty())));
    }
    solved.sort(Comparator.comparingDouble(s -> -s.share().orElse(Double.NEGATIVE_INFINITY)));
    return List.copyOf(solved);
  }

  /** Walls and port as the lift strip has them. */
  private static double mean(
      SeatStudy found, SeatStudy planned, List<Double> liftsMm, double[] before, double[] after) {
    double sum = 0;
    for (int k = 0; k < before.length; k++) {
      AirChange.Walls walls = SolvedChange.walls(found, planned, liftsMm.get(k));
      sum +=
          AirChange.share(
              before[k] * walls.found(), after[k] * walls.planned(), found.portPerMm4());
    }
    return sum / before.length;
  }

  private static Optional<double[]> areas(
      SeatStudy study, List<Double> liftsMm, AirFlow[] last, BooleanSupplier stop) {
    double[] areas = new double[liftsMm.size()];
    try {
      for (int k = 0; k < areas.length; k++) {
        AirQuestion question = study.airAt(liftsMm.get(k), Turbulence.EVEN, Fineness.COARSE);
        last[k] = AirSolver.solve(question, Optional.ofNullable(last[k]), stop);
        areas[k] = last[k].effectiveAreaMm2();
      }
    } catch (AirNotSolved e) {
      return Optional.empty();
    }
    return Optional.of(areas);
  }
}
