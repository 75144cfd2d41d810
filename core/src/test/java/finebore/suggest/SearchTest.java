package finebore.suggest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.Samples;
import finebore.cutting.CutForm;
import finebore.cutting.Cutter;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.flow.Calibration;
import finebore.flow.field.AirChange;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import finebore.suggest.Search.Slice;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

  /** As many of them as show what holds for all. */
  private static final int PART = 1500;

  private static Slice whole(Search search) {
    return search.look(0, search.size());
  }

  /** The whole of the usual search, looked through once. */
  private static final Map<Goal, Slice> USUAL = new EnumMap<>(Goal.class);

  private static Slice usual(Goal goal) {
    return USUAL.computeIfAbsent(goal, g -> whole(search(job(), Samples.practice(), g)));
  }

  @ParameterizedTest
  @EnumSource(Goal.class)
  void whatItFindsBreaksNoLimitAndHasNoFault(Goal goal) {
    Job job = job();
    Search search = search(job, Samples.practice(), goal);
    Slice slice = usual(goal);
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
    Slice slice = usual(Goal.MID);
    assertThat(slice.best())
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(Candidate::score).reversed());
    assertThat(slice.best().stream().filter(c -> c.cutter().equals(FOUR)).count())
        .isBetween(1L, 3L);
  }

  /** The solver has the last word on which is best. */
  @Test
  void suggestionsAreSolvedBeforeTheyAreCalledBest() {
    Search search = search(job(), Samples.practice(), Goal.LOW);
    List<Suggestion> suggestions = search.suggestions(usual(Goal.LOW).best(), 2);
    List<SolvedSuggestion> solved = SolvedSuggestion.of(suggestions, Goal.LOW, () -> false);
    assertThat(solved)
        .extracting(SolvedSuggestion::suggestion)
        .containsExactlyInAnyOrderElementsOf(suggestions);
    assertThat(solved.getFirst().share().orElseThrow())
        .isGreaterThanOrEqualTo(solved.getLast().share().orElseThrow());
    SolvedSuggestion best = solved.getFirst();
    assertThat(best.share().orElseThrow()).isCloseTo(lowChange(best.suggestion()), within(0.004));
    // Told to stop, nothing is solved and the order stays.
    assertThat(SolvedSuggestion.of(suggestions, Goal.LOW, () -> true))
        .allMatch(s -> s.share().isEmpty())
        .extracting(SolvedSuggestion::suggestion)
        .containsExactlyElementsOf(suggestions);
    assertThat(SolvedSuggestion.of(suggestions, Goal.LIFE, () -> false))
        .allMatch(s -> s.share().isEmpty());
  }

  /** What the solver has for the two low lifts, begun from nothing. */
  private static double lowChange(Suggestion suggestion) {
    SeatStudy found = suggestion.study().found();
    return Stream.of(0.05, 0.1)
        .map(share -> share * found.pairing().valve().headDiameterMm())
        .mapToDouble(
            lift ->
                AirChange.share(
                    solved(found, lift),
                    solved(suggestion.study().finished(), lift),
                    found.portPerMm4()))
        .average()
        .orElseThrow();
  }

  private static double solved(SeatStudy study, double liftMm) {
    return AirSolver.solve(study.airAt(liftMm, Turbulence.EVEN, Fineness.COARSE))
        .effectiveAreaMm2();
  }

  /** Two hundredths can be told from none, up or down. */
  @ParameterizedTest
  @CsvSource({"0.0201, true", "0.0199, false", "-0.0201, true", "-0.0199, false", ", false"})
  void aSolvedChangeIsClearFromTwoHundredthsOn(Double share, boolean clear) {
    OptionalDouble much = share == null ? OptionalDouble.empty() : OptionalDouble.of(share);
    assertThat(new SolvedSuggestion(null, much, 0.019).isClear()).isEqualTo(clear);
    // What it may be off by is more.
    assertThat(new SolvedSuggestion(null, much, 0.021).isClear()).isFalse();
  }

  @Test
  void sameInputSameResult() {
    Slice slice = search(job(), Samples.practice(), Goal.WHOLE).look(0, PART);
    assertThat(slice.best()).isNotEmpty();
    assertThat(search(job(), Samples.practice(), Goal.WHOLE).look(0, PART)).isEqualTo(slice);
  }

  @Test
  void longLifePrefersTheWideSeat() {
    Slice slice = usual(Goal.LIFE);
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

  /** What the metal as cut may differ from the seat as wanted in flow, measured: up to 1.7 %. */
  private static final double NOMINAL_PERCENT = 2;

  /** Limits that the search knows of and a full study answers for. */
  private static boolean isLegal(PlanStudy study, Practice practice) {
    return study.cutting().steps().stream().allMatch(s -> s.problem().isEmpty())
        && practice.intake().entrySet().stream()
            .allMatch(
                wanted ->
                    study.finished().reading(wanted.getKey()).stream()
                        .allMatch(wanted.getValue()::holds));
  }

  private static double score(PlanStudy study, Goal goal, double foundHeadMm) {
    return goal.lifts().stream()
        .mapToDouble(share -> share * foundHeadMm)
        .map(
            lift ->
                study.finished().fit().lossesAt(lift, study.finished().setting()).effectiveAreaMm2()
                    / (Math.PI * foundHeadMm * lift))
        .average()
        .orElseThrow();
  }

  /** Every plan of a coarse grid of one cutter, made here and carried out in full. */
  private static List<PlanStudy> everyPlan(Job job, SeatPlace place, SeatStudy found) {
    Valve valve = job.intake().found().valve();
    List<PlanStudy> all = new ArrayList<>();
    for (double larger : new double[] {0, 1, 2, 3}) {
      for (double overhang : new double[] {0.25, 0.5}) {
        for (double ratio : new double[] {0.87, 0.88, 0.89, 0.9}) {
          for (double past : new double[] {0, 0.06}) {
            double head = valve.headDiameterMm() + larger;
            double throat = Math.round(ratio * head * 100) / 100.0;
            Seat seat =
                job.intake()
                    .found()
                    .seat()
                    .withCuts(FOUR.elements(), FOUR.sealing())
                    .withOutsideDiameterMm(head - 2 * overhang)
                    .withThroatDiameter(throat)
                    .withBowl(Math.max(35.5, throat * 1.02), 14);
            Pairing wanted = new Pairing(seat, valve.withHeadDiameterMm(head));
            Plan plan =
                Plan.of(
                    wanted,
                    List.of(
                        OpenThroat.AS_WANTED,
                        new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(past, false)),
                        OpenBowl.AS_WANTED));
            all.add(PlanStudy.of(job, place, plan, found));
          }
        }
      }
    }
    return all;
  }

  @ParameterizedTest
  @EnumSource(
      value = Goal.class,
      names = {"LOW", "MID", "WHOLE"})
  void noPlanCarriedOutInFullBeatsTheBestItFinds(Goal goal) {
    Job job = job();
    SeatPlace place = job.engine().seats().getFirst();
    SeatStudy found = PlanStudy.asFound(job, place, Calibration.UNCALIBRATED);
    double head = job.intake().found().valve().headDiameterMm();
    Practice practice =
        Samples.practice()
            .with(Port.INTAKE, ReadingKind.FACE_WIDTH, Optional.empty())
            .with(Port.INTAKE, ReadingKind.OVERHANG, Optional.of(Samples.range(0.3, 0.7)))
            .with(Port.INTAKE, ReadingKind.THROAT_RATIO, Optional.of(Samples.range(0.875, 0.905)));
    Search search = Search.of(job, place, List.of(FOUR), practice, goal);
    Candidate best = whole(search).best().getFirst();
    PlanStudy carriedOut = PlanStudy.of(job, place, best.plan(), found);
    assertThat(isLegal(carriedOut, practice)).isTrue();
    assertThat(score(carriedOut, goal, head))
        .isCloseTo(best.score(), withinPercentage(NOMINAL_PERCENT));
    List<Double> legal =
        everyPlan(job, place, found).stream()
            .filter(s -> isLegal(s, practice))
            .map(s -> score(s, goal, head))
            .toList();
    assertThat(legal.size()).isBetween(10, 60);
    assertThat(Collections.max(legal)).isLessThan(best.score() * (1 + NOMINAL_PERCENT / 100));
    // Such plans are among those it looks at, so its best is near theirs or better.
    assertThat(best.score()).isGreaterThan(Collections.max(legal) * (1 - NOMINAL_PERCENT / 100));
  }

  @Test
  void slicesAddUpInAnyOrder() {
    Search search = search(job(), Samples.practice(), Goal.LOW);
    int half = PART / 2;
    Slice first = search.look(0, half);
    Slice second = search.look(half, PART);
    assertThat(first.and(second)).isEqualTo(second.and(first)).isEqualTo(search.look(0, PART));
    assertThat(Slice.NONE.and(first)).isEqualTo(first);
    assertThat(search.look(search.size(), search.size() + 100).best()).isEmpty();
  }
}
