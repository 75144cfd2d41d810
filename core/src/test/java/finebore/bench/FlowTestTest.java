package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.bench.Comparison.Verdict;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.bench.SetUpDifference.Item;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.flow.Bands;
import finebore.flow.Bands.Band;
import finebore.flow.CamLift;
import finebore.flow.Direction;
import finebore.quantity.Quantity;
import finebore.units.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** Tests of a head, brought to standard and held against each other. */
class FlowTestTest {

  private static final double STANDARD = Unit.INCH_OF_WATER.toBase(28);
  private static final CamLift CAM = new CamLift(10, 270);
  private static final double[] LIFTS = {2, 4, 6, 8, 10};
  private static final double[] FLOWS = {0.02, 0.0385, 0.053, 0.063, 0.068};

  private static SetUp setUp() {
    return new SetUp(
        "big bench",
        "I1",
        Direction.INTAKE,
        TestedState.AS_FOUND,
        new TestedValve(40, "found"),
        OptionalDouble.of(86),
        Inlet.radius(12),
        Optional.empty(),
        OptionalDouble.of(STANDARD),
        OptionalDouble.of(0));
  }

  /** A test whose flows are a share of the sample's, each read so often with a little scatter. */
  private static FlowTest test(int id, double share, double... scatter) {
    FlowTest test = FlowTest.empty(id, "test " + id, setUp());
    for (int k = 0; k < LIFTS.length; k++) {
      LiftReadings lift = LiftReadings.of(LIFTS[k], List.of());
      for (double s : scatter) {
        lift = lift.withReading(BenchReading.flow(FLOWS[k] * share * (1 + s)));
      }
      test = test.with(lift);
    }
    return test;
  }

  private static ReducedTest reduced(FlowTest test) {
    return ReducedTest.of(test, BenchBook.EMPTY, STANDARD);
  }

  private static Comparison compare(FlowTest a, FlowTest b) {
    List<ReducedTest> both = List.of(reduced(a), reduced(b));
    return Comparison.of(
        both.get(0), both.get(1), Noise.of(both), Bands.USUAL, CAM, (x, y) -> false);
  }

  @Test
  void aReadingOutOfAllBoundsIsKeptMarkedAndNotCounted() {
    BenchReading odd =
        new BenchReading(
            150, Optional.of("3"), OptionalDouble.of(50), OptionalDouble.of(Double.MIN_VALUE));
    assertThat(odd.oddity().orElseThrow().terms())
        .containsEntry("quantity", Term.name(Quantity.READING_PERCENT));
    assertThat(BenchReading.percent(130, "3").oddity()).isEmpty();
    assertThat(BenchReading.percent(130.01, "3").oddity()).isPresent();
    assertThat(BenchReading.flow(-0.001).oddity()).isPresent();
    assertThatThrownBy(() -> BenchReading.flow(Double.NaN)).isInstanceOf(RuleViolation.class);
    FlowTest plain = test(1, 1, 0, 0.002);
    LiftReadings third = plain.lifts().get(2);
    FlowTest marked = plain.with(third.withReading(odd));
    assertThat(marked.lifts().get(2).readings()).contains(odd);
    ReducedTest reduced = reduced(marked);
    assertThat(reduced.lifts().get(2).flowsM3s())
        .isEqualTo(reduced(plain).lifts().get(2).flowsM3s());
    assertThat(reduced.notes())
        .contains(
            Message.of("reduced.oddReading")
                .with("lift", Term.length(6))
                .with("oddity", odd.oddity().orElseThrow()));
  }

  @Test
  void airOutOfAllBoundsIsKeptAndNotAllowedFor() {
    Air vacuum = new Air(20, 5, 0.4);
    FlowTest plain = test(1, 1, 0);
    ReducedTest reduced = reduced(plain.withAir(Optional.of(vacuum)));
    assertThat(reduced.flowAt(6)).isEqualTo(reduced(plain).flowAt(6));
    assertThat(reduced.notes())
        .contains(Message.of("reduced.oddAir").with("oddity", vacuum.oddity().orElseThrow()));
  }

  @Test
  void flowGoesWithTheRootOfDepressionAndDensity() {
    Air thin = new Air(30, 95_000, 0.6);
    FlowTest test =
        FlowTest.empty(
                1,
                "thin air",
                setUp()
                    .withDepressionPa(OptionalDouble.of(Unit.INCH_OF_WATER.toBase(10)))
                    .withLeakageM3s(OptionalDouble.of(0.001)))
            .withAir(Optional.of(thin))
            .with(LiftReadings.of(5, List.of(BenchReading.flow(0.031))));
    double expected = 0.030 * Math.sqrt(2.8) * Math.sqrt(thin.densityKgM3() / 1.2041);
    assertThat(reduced(test).lifts().getFirst().meanM3s()).isCloseTo(expected, within(1e-12));
    assertThat(reduced(test).notes()).isEmpty();
    FlowTest bare =
        FlowTest.empty(
                2,
                "bare",
                setUp()
                    .withDepressionPa(OptionalDouble.empty())
                    .withLeakageM3s(OptionalDouble.empty()))
            .with(LiftReadings.of(5, List.of(BenchReading.flow(0.031))));
    assertThat(reduced(bare).lifts().getFirst().meanM3s()).isEqualTo(0.031);
    assertThat(reduced(bare).notes())
        .hasSize(3)
        .extracting(Message::code)
        .containsExactlyInAnyOrder("reduced.noDepression", "reduced.noAir", "reduced.noLeakage");
  }

  @Test
  void aReadingMayBringItsOwnDepressionAndTemperature() {
    Air room = new Air(20, 101_325, 0.4);
    BenchReading warm =
        new BenchReading(
            0.03, Optional.empty(), OptionalDouble.of(STANDARD / 2), OptionalDouble.of(35));
    FlowTest test =
        FlowTest.empty(1, "warm", setUp())
            .withAir(Optional.of(room))
            .with(LiftReadings.of(5, List.of(warm)));
    assertThat(reduced(test).lifts().getFirst().meanM3s())
        .isCloseTo(
            0.03 * Math.sqrt(2 * room.withTemperature(35).densityKgM3() / 1.2041), within(1e-12));
  }

  @Test
  void perCentOfARangeIsWorthWhatItsPlateSays() {
    LocalDate day = LocalDate.of(2026, 3, 1);
    PlateCheck check =
        new PlateCheck(
            day,
            new CheckPlate.Stamped(Unit.CFM.toBase(300), STANDARD),
            75,
            STANDARD,
            Optional.of(new Air(20, 101_325, 0.4)));
    BenchBook book = BenchBook.EMPTY.withCheck("4", check);
    FlowTest test =
        FlowTest.empty(1, "per cent", setUp())
            .withDate(Optional.of(day))
            .withAir(Optional.of(new Air(35, 90_000, 0.4)))
            .with(LiftReadings.of(5, List.of(BenchReading.percent(50, "4"))))
            .with(LiftReadings.of(6, List.of(BenchReading.percent(50, "9"))));
    ReducedTest reduced = ReducedTest.of(test, book, STANDARD);
    assertThat(reduced.lifts()).hasSize(1);
    assertThat(Unit.CFM.fromBase(reduced.lifts().getFirst().meanM3s()))
        .isCloseTo(200, within(1e-9));
    assertThat(reduced.notes())
        .containsExactly(Message.of("reduced.noPlate").with("range", Term.quote("9")));
  }

  @Test
  void rangesDriftAndAskToBeCheckedAgain() {
    LocalDate day = LocalDate.of(2026, 3, 1);
    Air usual = new Air(20, 101_325, 0.4);
    CheckPlate plate = new CheckPlate.Stamped(0.1, STANDARD);
    PlateCheck first = new PlateCheck(day, plate, 80, STANDARD, Optional.of(usual));
    BenchRange range = new BenchRange("3", List.of(first));
    assertThat(range.recheck(Optional.of(day), Optional.of(usual))).isEmpty();
    assertThat(range.recheck(Optional.of(day), Optional.of(new Air(28, 99_000, 0.7))))
        .hasValueSatisfying(m -> assertThat(m.code()).isEqualTo("recheck.thinner"));
    assertThat(range.recheck(Optional.of(day.plusDays(120)), Optional.of(usual)))
        .hasValueSatisfying(
            m ->
                assertThat(m)
                    .isEqualTo(
                        Message.of("recheck.old")
                            .with("range", Term.quote("3"))
                            .with("day", Term.quote("2026-03-01"))));
    BenchRange drifted =
        range.with(new PlateCheck(day.plusDays(3), plate, 79, STANDARD, Optional.of(usual)));
    assertThat(drifted.drift().orElseThrow()).isCloseTo(80 / 79.0 - 1, within(1e-12));
    assertThat(drifted.recheck(Optional.of(day.plusDays(4)), Optional.of(usual)))
        .hasValueSatisfying(
            m -> {
              assertThat(m.code()).isEqualTo("recheck.driftedUp");
              assertThat(((Term.Figure) m.terms().get("change")).value())
                  .isCloseTo(80 / 79.0 - 1, within(1e-12));
            });
    assertThat(drifted.fullFlowM3s(Optional.of(day.plusDays(1))).orElseThrow())
        .isCloseTo(0.125, within(1e-12));
    assertThat(new BenchRange("9", List.of()).recheck(Optional.of(day), Optional.empty()))
        .hasValueSatisfying(m -> assertThat(m.code()).isEqualTo("recheck.never"));
  }

  @Test
  void noiseIsPooledOverAllRepeats() {
    // Three lifts' worth of pairs that differ by 2 d have a relative deviation of d sqrt(2).
    Noise noise = Noise.of(List.of(reduced(test(1, 1, 0.01, -0.01)), reduced(test(2, 1, 0))));
    assertThat(noise.assumed()).isFalse();
    assertThat(noise.freedom()).isEqualTo(5);
    assertThat(noise.share()).isCloseTo(0.01 * Math.sqrt(2), within(1e-12));
    assertThat(noise.scatter(2, 2)).isCloseTo(2.571 * 0.01 * Math.sqrt(2), within(1e-5));
    assertThat(noise.limit(2, 2))
        .isCloseTo(Math.hypot(noise.scatter(2, 2), 1.96 * Math.sqrt(2) * 0.002), within(1e-6));
    Noise none = Noise.of(List.of(reduced(test(1, 1, 0))));
    assertThat(none.assumed()).isTrue();
    assertThat(none.scatter(1, 1)).isCloseTo(1.96 * 0.01 * Math.sqrt(2), within(1e-5));
  }

  @Test
  void aChangeCountsOnlyPastWhatTheBenchCanTell() {
    Comparison small = compare(test(1, 1, 0), test(2, 1.02, 0));
    assertThat(small.lines()).hasSize(5).allMatch(l -> l.verdict() == Verdict.WITHIN);
    // Over several lifts the same change is past what chance would do.
    assertThat(small.whole().orElseThrow().verdict()).isEqualTo(Verdict.GAIN);
    Comparison large = compare(test(1, 1, 0), test(2, 1.05, 0));
    assertThat(large.lines()).allMatch(l -> l.verdict() == Verdict.GAIN);
    assertThat(large.lines().getFirst().share()).isCloseTo(0.05, within(1e-12));
    assertThat(large.bands().get(Band.LOW).lifts()).isEqualTo(2);
    assertThat(large.camShare().orElseThrow()).isCloseTo(0.05, within(1e-12));
    Comparison repeated = compare(test(1, 1, 0.001, -0.001, 0), test(2, 0.98, 0.001, -0.001, 0));
    assertThat(repeated.lines()).allMatch(l -> l.verdict() == Verdict.LOSS);
  }

  private static FlowTest with(UnaryOperator<SetUp> change) {
    FlowTest test = test(2, 1.05, 0);
    return test.withSetUp(change.apply(test.setUp()));
  }

  @Test
  void testsThatMayNotBeRankedAreNotAndSayWhy() {
    Map<Item, FlowTest> spoilt =
        Map.of(
            Item.PIPE, with(s -> s.withPipe(Optional.of(new Pipe(41, 200)))),
            Item.BORE, with(s -> s.withBoreMm(OptionalDouble.of(92))),
            Item.INLET, with(s -> s.withInlet(Inlet.BARE)),
            Item.BENCH, with(s -> s.withBench("other bench")),
            Item.VALVE, with(s -> s.withValve(new TestedValve(42, "bigger"))),
            Item.DEPRESSION, with(s -> s.withDepressionPa(OptionalDouble.empty())),
            Item.DIRECTION, with(s -> s.withSeat("E1", Direction.EXHAUST)));
    spoilt.forEach(
        (item, test) -> {
          Comparison comparison = compare(test(1, 1, 0), test);
          assertThat(comparison.isRanked()).as(item.code()).isFalse();
          assertThat(comparison.differences().getFirst().item()).isEqualTo(item);
          assertThat(comparison.lines()).allMatch(l -> l.verdict() == Verdict.UNRANKED);
          assertThat(comparison.lines().getFirst().share()).isCloseTo(0.05, within(1e-12));
          assertThat(comparison.differences().getFirst().item()).isEqualTo(item);
        });
  }

  @Test
  void whatWasAllowedForOrMeantIsNamedButRanked() {
    FlowTest bigger =
        with(s -> s.withValve(new TestedValve(42, "bigger")))
            .withStep(Optional.of(1), "42 mm valve", true);
    Comparison valve = compare(test(1, 1, 0), bigger);
    assertThat(valve.isRanked()).isTrue();
    assertThat(valve.differences().getFirst().message().code()).isEqualTo("difference.tried");
    Comparison brought =
        compare(
            test(1, 1, 0),
            with(s -> s.withDepressionPa(OptionalDouble.of(Unit.INCH_OF_WATER.toBase(10)))));
    assertThat(brought.isRanked()).isTrue();
    assertThat(brought.differences().getFirst().message().code()).isEqualTo("difference.reduced");
    assertThat(compare(test(1, 1, 0), with(s -> s.withSeat("I2", Direction.INTAKE))).isRanked())
        .isTrue();
  }

  @Test
  void liftsWithoutAPartnerAreSaid() {
    FlowTest other = test(2, 1.1, 0).with(LiftReadings.of(12, List.of(BenchReading.flow(0.08))));
    Comparison comparison = compare(test(1, 1, 0), other.with(LiftReadings.of(2, List.of())));
    // 2 mm lies below what the test has read and 12 mm past the reference: neither is guessed.
    assertThat(comparison.lines()).extracting(Comparison.Line::liftMm).doesNotContain(12.0);
    assertThat(comparison.unpartnered()).contains(12.0);
  }

  @Test
  void theLadderTellsWhatEachStepGave() {
    FlowTest first = test(1, 1, 0);
    FlowTest second = test(2, 1.06, 0).withStep(Optional.of(1), "back cut", false);
    FlowTest third = test(3, 1.06 * 0.95, 0).withStep(Optional.of(2), "opened throat", false);
    BenchBook book = new BenchBook(List.of(), List.of(first, second, third));
    Ladder ladder =
        Ladder.to(
            third, book, FlowTestTest::reduced, Noise.UNKNOWN, Bands.USUAL, CAM, book::valveTried);
    assertThat(ladder.rungs()).extracting(r -> r.test().test().id()).containsExactly(1, 2, 3);
    assertThat(ladder.rungs().getFirst().alone()).isEmpty();
    Ladder.Rung last = ladder.rungs().getLast();
    assertThat(last.alone().orElseThrow().bands().get(Band.MID).share())
        .isCloseTo(-0.05, within(1e-12));
    assertThat(last.alone().orElseThrow().bands().get(Band.LOW).verdict()).isEqualTo(Verdict.LOSS);
    assertThat(last.inSum().orElseThrow().bands().get(Band.MID).share())
        .isCloseTo(1.06 * 0.95 - 1, within(1e-12));
    BenchBook bitten = book.with(first.withStep(Optional.of(3), "round and round", false));
    assertThat(
            Ladder.to(
                    third,
                    bitten,
                    FlowTestTest::reduced,
                    Noise.UNKNOWN,
                    Bands.USUAL,
                    CAM,
                    bitten::valveTried)
                .rungs())
        .hasSize(3);
    BenchBook tried =
        book.with(
                second
                    .withSetUp(second.setUp().withValve(new TestedValve(42, "bigger")))
                    .withStep(Optional.of(1), "42 mm valve", true))
            .with(third.withSetUp(third.setUp().withValve(new TestedValve(42, "bigger"))));
    Ladder bigger =
        Ladder.to(
            tried.test(3).orElseThrow(),
            tried,
            FlowTestTest::reduced,
            Noise.UNKNOWN,
            Bands.USUAL,
            CAM,
            tried::valveTried);
    assertThat(bigger.rungs().getLast().inSum().orElseThrow().isRanked()).isTrue();
    assertThat(book.without(2).test(3).orElseThrow().after()).contains(1);
  }

  @Test
  void flowThatFallsBackIsFlagged() {
    FlowTest test = test(1, 1, 0).with(LiftReadings.of(10, List.of(BenchReading.flow(0.061))));
    assertThat(reduced(test).backsUpFromMm(Noise.UNKNOWN)).hasValue(10);
    assertThat(reduced(test(2, 1, 0)).backsUpFromMm(Noise.UNKNOWN)).isEmpty();
  }

  @Test
  void aReadingFarFromTheCurveIsQuestionedNotDropped() {
    // A curve that bends over as real ones do, with the model's own dip in the second opinion.
    java.util.function.DoubleUnaryOperator model =
        lift -> 0.013 * Math.pow(lift, 0.8) * (lift > 7 ? 0.85 : 1);
    FlowTest smooth = curve(1);
    assertThat(SuspectReading.of(reduced(smooth), Optional.of(model), Noise.UNKNOWN)).isEmpty();
    assertThat(SuspectReading.of(reduced(curve(1.04)), Optional.empty(), Noise.UNKNOWN)).isEmpty();
    List<SuspectReading> suspects =
        SuspectReading.of(reduced(curve(1.15)), Optional.of(model), Noise.UNKNOWN);
    assertThat(suspects).hasSize(1);
    assertThat(suspects.getFirst().liftMm()).isEqualTo(6);
    assertThat(suspects.getFirst().expectedM3s())
        .isCloseTo(0.01 * Math.pow(6, 0.8), withinPercentage(1));
    assertThat(suspects.getFirst().modelM3s().orElseThrow())
        .isCloseTo(0.01 * Math.pow(6, 0.8), withinPercentage(8));
    assertThat(reduced(curve(1.15)).lifts()).hasSize(10);
  }

  /** A smooth test over ten lifts whose reading at 6 mm is off by a factor. */
  private static FlowTest curve(double slip) {
    FlowTest test = FlowTest.empty(1, "smooth", setUp());
    for (int lift = 1; lift <= 10; lift++) {
      double flow = 0.01 * Math.pow(lift, 0.8) * (lift == 6 ? slip : 1);
      test = test.with(LiftReadings.of(lift, List.of(BenchReading.flow(flow))));
    }
    return test;
  }

  @Test
  void coefficientsSpeedsAndRatiosFollowTheirAreas() {
    ReducedTest intake = reduced(test(1, 1, 0));
    double curtain = Math.PI * 40 * 4;
    double ideal = curtain * 1e-6 * Math.sqrt(2 * STANDARD / 1.2041);
    assertThat(intake.coefficient(0.04, curtain)).isCloseTo(0.04 / ideal, within(1e-9));
    assertThat(ReducedTest.speedMs(0.04, 1000)).isCloseTo(40, within(1e-9));
    assertThat(reduced(test(2, 0.75, 0)).ratioTo(intake, 4).orElseThrow())
        .isCloseTo(0.75, within(1e-9));
    assertThat(intake.ratioTo(intake, 5)).isEmpty();
    assertThat(intake.meanM3s(Band.LOW, Bands.USUAL).orElseThrow())
        .isCloseTo((0.02 + 0.0385) / 2, within(1e-12));
    assertThat(intake.camMeanM3s(new CamLift(12, 270))).isEmpty();
    assertThat(intake.flowAt(5)).isCloseTo(0.04575, within(1e-12));
  }

  @Test
  void theFitFindsWhatWasPutIn() {
    double[] alone = {80, 160, 240, 390, 600, 730};
    List<PortFit.Sample> exact =
        java.util.Arrays.stream(alone)
            .mapToObj(a -> new PortFit.Sample(a, 1e-6, 0.93 / Math.sqrt(1 / (a * a) + 0.8 * 1e-6)))
            .toList();
    PortFit fit = PortFit.to(exact, 7).orElseThrow();
    assertThat(fit.calibration().portLoss()).isCloseTo(0.8, within(1e-6));
    assertThat(fit.calibration().factor()).isCloseTo(0.93, within(1e-7));
    assertThat(fit.calibration().source()).hasValue(7);
    assertThat(fit.spread()).isLessThan(1e-7);
    assertThat(PortFit.to(exact.subList(0, 3), 7)).isEmpty();
    List<PortFit.Sample> growing =
        java.util.Arrays.stream(alone)
            .mapToObj(a -> new PortFit.Sample(a, 1e-6, a * (1 + a / 2000)))
            .toList();
    PortFit bound = PortFit.to(growing, 7).orElseThrow();
    assertThat(bound.bound()).isTrue();
    assertThat(bound.calibration().portLoss()).isZero();
    assertThat(bound.calibration().factor()).isBetween(1.05, 1.3);
  }

  @Test
  void aLongLadderShowsItsLastStepsAgainstTheFirstOfAll() {
    BenchBook book = new BenchBook(List.of(), List.of(test(1, 1, 0)));
    for (int k = 2; k <= Ladder.MOST + 10; k++) {
      book = book.with(test(k, 1 + 0.01 * k, 0).withStep(Optional.of(k - 1), "", false));
    }
    FlowTest last = book.tests().getLast();
    Ladder ladder =
        Ladder.to(
            last,
            book,
            t -> ReducedTest.of(t, BenchBook.EMPTY, STANDARD),
            Noise.UNKNOWN,
            Bands.USUAL,
            CAM,
            book::valveTried);
    assertThat(ladder.earlier()).isEqualTo(10);
    assertThat(ladder.rungs()).hasSize(Ladder.MOST);
    Ladder.Rung first = ladder.rungs().getFirst();
    assertThat(first.test().test().id()).isEqualTo(11);
    assertThat(first.alone().orElseThrow().reference().test().id()).isEqualTo(10);
    assertThat(first.inSum().orElseThrow().reference().test().id()).isEqualTo(1);
    BenchBook loop = book.with(book.tests().getFirst().withStep(Optional.of(5), "", false));
    assertThat(loop.chainTo(loop.tests().get(4)))
        .extracting(FlowTest::id)
        .containsExactly(1, 2, 3, 4, 5);
  }

  @Test
  void nonsenseIsRefusedByName() {
    assertThatThrownBy(() -> LiftReadings.of(90, List.of())).hasMessageContaining("quantity.lift");
    assertThatThrownBy(() -> test(1, 1, 0).withName(" ")).hasMessageContaining("testName");
    LiftReadings near = LiftReadings.of(2.01, List.of(BenchReading.flow(0.02)));
    assertThatThrownBy(() -> test(1, 1, 0).withLifts(List.of(near, LiftReadings.of(2, List.of()))))
        .hasMessageContaining("liftsApart");
    assertThatThrownBy(() -> new BenchBook(List.of(), List.of(test(1, 1, 0), test(1, 1, 0))))
        .hasMessageContaining("testIdsDiffer");
  }
}
