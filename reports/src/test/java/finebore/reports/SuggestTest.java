package finebore.reports;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.Cutter;
import finebore.finding.Severity;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.Reading;
import finebore.suggest.Candidate;
import finebore.suggest.Goal;
import finebore.suggest.Search;
import finebore.suggest.Search.Slice;
import finebore.suggest.Suggestion;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** The search over the shipped rack on the demo jobs. */
class SuggestTest {

  private static final Job DEMO = JobFile.demo();
  private static final SeatPlace PLACE = DEMO.engine().seats().getFirst();
  private static final Practice PRACTICE =
      PracticeFiles.named(DEMO.practice(), PracticeFiles.all());

  /** A few cutters, so that every candidate can be looked at. */
  private static final List<Cutter> RACK =
      List.of(RackFile.shipped().get(1), RackFile.shipped().get(3), RackFile.shipped().get(9));

  private static Search search(Goal goal) {
    return Search.of(DEMO, PLACE, RACK, PRACTICE, goal);
  }

  @Test
  void theOrderOfTheSlicesMakesNoDifference() {
    Search search = search(Goal.LOW);
    int size = search.size();
    Slice whole = search.look(0, size);
    Slice parts = Slice.NONE;
    for (int from = (size - 1) / 700 * 700; from >= 0; from -= 700) {
      parts = parts.and(search.look(from, from + 700));
    }
    assertThat(parts).isEqualTo(whole);
    assertThat(whole.best()).isNotEmpty();
    assertThat(whole.broken()).isNotEmpty();
  }

  @Test
  void suggestionsBreakNoLimitAndAreBetterThanTheFoundSeat() {
    Search search = search(Goal.LOW);
    List<Suggestion> suggestions = search.suggestions(search.look(0, search.size()).best(), 3);
    assertThat(suggestions).isNotEmpty();
    for (Suggestion suggestion : suggestions) {
      assertThat(suggestion.findings()).noneMatch(f -> f.severity() == Severity.FAULT);
      for (Reading reading : suggestion.study().finished().readings()) {
        PRACTICE
            .wanted(PLACE.port(), reading.kind())
            .map(range -> range(range))
            .ifPresent(
                range ->
                    assertThat(range.holds(reading.value()))
                        .as(reading + " of " + suggestion.candidate().cutter().name())
                        .isTrue());
      }
      assertThat(
              suggestion
                  .study()
                  .change()
                  .orElseThrow()
                  .bands()
                  .get(finebore.flow.Bands.Band.LOW)
                  .changeM3s())
          .isPositive();
    }
    assertThat(suggestions.stream().map(s -> s.candidate().cutter().name()))
        .doesNotHaveDuplicates();
  }

  /** What is left of a wall in full may differ from the quick look by a little. */
  private static Range range(Range range) {
    double slack = 0.02 * (1 + Math.abs(range.middle()));
    return new Range(
        range.min().isPresent()
            ? OptionalDouble.of(range.min().getAsDouble() - slack)
            : range.min(),
        range.max().isPresent()
            ? OptionalDouble.of(range.max().getAsDouble() + slack)
            : range.max(),
        range.basis());
  }

  @Test
  void theBestAtAGoalIsNoWorseAtItThanTheBestAtAnother() {
    Candidate low = best(Goal.LOW);
    Candidate life = best(Goal.LIFE);
    assertThat(life.wanted().seat().sealingCut().widthMm())
        .isGreaterThanOrEqualTo(low.wanted().seat().sealingCut().widthMm());
    assertThat(best(Goal.LOW)).isEqualTo(low);
  }

  private static Candidate best(Goal goal) {
    Search search = search(goal);
    return search.look(0, search.size()).best().getFirst();
  }
}
