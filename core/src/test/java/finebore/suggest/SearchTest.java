package finebore.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.Cutter;
import finebore.cutting.OpenThroat;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import finebore.suggest.Search.Slice;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SearchTest {

  private static final Cutter FOUR =
      cutter("four", 1, new Cut(30, 1), new Cut(45, 1.25), new Cut(60, 1.4), new Cut(75, 2));
  private static final Cutter WIDE =
      cutter("wide", 1, new Cut(30, 1), new Cut(45, 1.45), new Cut(60, 1.6), new Cut(75, 2));

  private static Cutter cutter(String name, int sealing, Cut... cuts) {
    return new Cutter(name, "", List.of(cuts).stream().map(c -> (Element) c).toList(), sealing);
  }

  private static Job job() {
    Seat worn = Seat.of(List.of(new Cut(45, 2.2)), 0, 38.6, 7, 34, 4, 35.5, 14, 12);
    Valve valve = new Valve(39, 1.4, 45, 2.4, List.of(), new Underhead(14, 9), 7, 0);
    Job job = Samples.job();
    return job.withGroup(Port.INTAKE, job.intake().withFound(new Pairing(worn, valve)));
  }

  private static Search search(Job job, Practice practice, Goal goal) {
    SeatPlace place = job.engine().seats().getFirst();
    return Search.of(job, place, List.of(FOUR, WIDE), practice, goal);
  }

  private static Slice whole(Search search) {
    return search.look(0, search.size());
  }

  @ParameterizedTest
  @EnumSource(Goal.class)
  void whatItFindsBreaksNoLimitAndHasNoFault(Goal goal) {
    Job job = job();
    Search search = search(job, Samples.practice(), goal);
    Slice slice = whole(search);
    assertThat(slice.best()).isNotEmpty();
    for (Candidate candidate : slice.best()) {
      double ratio =
          candidate.wanted().seat().throatDiameterMm()
              / candidate.wanted().valve().headDiameterMm();
      assertThat(ratio).isBetween(0.87 - 1e-9, 0.9 + 1e-9);
      assertThat(candidate.wanted().seat().throatDiameterMm()).isGreaterThanOrEqualTo(34);
      assertThat(candidate.plan().operations().getFirst()).isInstanceOf(OpenThroat.class);
    }
    for (Suggestion suggestion : search.suggestions(slice.best(), 2)) {
      // What nobody has measured is asked for whatever the plan.
      assertThat(
              PlanFindings.blockers(
                  PlanFindings.of(suggestion.study().outcome(), Samples.practice())))
          .allMatch(f -> f.code() == FindingCode.READING_MISSING);
    }
  }

  @Test
  void theBestComesFirstAndAFewOfEachCutterAreKept() {
    Slice slice = whole(search(job(), Samples.practice(), Goal.MID));
    assertThat(slice.best())
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(Candidate::score).reversed());
    assertThat(slice.best().stream().filter(c -> c.cutter().equals(FOUR)).count())
        .isBetween(1L, 3L);
  }

  @Test
  void sameInputSameResult() {
    assertThat(whole(search(job(), Samples.practice(), Goal.WHOLE)))
        .isEqualTo(whole(search(job(), Samples.practice(), Goal.WHOLE)));
  }

  @Test
  void longLifePrefersTheWideSeat() {
    Slice slice = whole(search(job(), Samples.practice(), Goal.LIFE));
    assertThat(slice.best().getFirst().cutter()).isEqualTo(WIDE);
  }

  @Test
  void whereNothingIsLegalTheLimitsThatStopItAreCounted() {
    Practice strict =
        new Practice(
            "strict",
            "Strict",
            "For tests.",
            Map.of(ReadingKind.SEAT_WIDTH, Samples.range(3, 4)),
            Map.of());
    Slice slice = whole(search(job(), strict, Goal.LOW));
    assertThat(slice.best()).isEmpty();
    assertThat(slice.broken()).containsOnlyKeys(ReadingKind.SEAT_WIDTH);
    assertThat(slice.broken().get(ReadingKind.SEAT_WIDTH)).isPositive();
  }

  @Test
  void aThinWallKeepsThroatAndSeatAwayFromIt() {
    Practice dry =
        new Practice(
            "dry",
            "Dry",
            "For tests.",
            Map.of(ReadingKind.WATER, Samples.range(2.3, 40)),
            Map.of());
    Job thin =
        job().withHead(job().head().withReading("I1", Measure.WALL_THROAT, OptionalDouble.of(3.2)));
    List<Candidate> best = whole(search(thin, dry, Goal.LOW)).best();
    assertThat(best).isNotEmpty();
    for (Candidate candidate : best) {
      double opened = (candidate.wanted().seat().throatDiameterMm() - 34) / 2;
      assertThat(3.2 - opened).isGreaterThanOrEqualTo(2.3 - 0.02);
    }
  }

  @Test
  void slicesAddUpInAnyOrder() {
    Search search = search(job(), Samples.practice(), Goal.LOW);
    int half = search.size() / 2;
    Slice first = search.look(0, half);
    Slice second = search.look(half, search.size());
    assertThat(first.and(second)).isEqualTo(second.and(first)).isEqualTo(whole(search));
    assertThat(Slice.NONE.and(first)).isEqualTo(first);
    assertThat(search.look(search.size(), search.size() + 100).best()).isEmpty();
  }
}
