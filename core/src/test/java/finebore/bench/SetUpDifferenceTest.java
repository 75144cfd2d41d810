package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.bench.SetUpDifference.Item;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.seat.Cut;
import finebore.units.Dimension;
import finebore.units.Unit;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What counts as the same on the bench, just inside and just outside, and how it is told. */
class SetUpDifferenceTest {

  private static final FlowTest BASE = SuspectReadingTest.test(6, 0, 0).test();

  private static List<Item> differences(UnaryOperator<SetUp> one, UnaryOperator<SetUp> other) {
    return SetUpDifference.between(
            BASE.withSetUp(one.apply(BASE.setUp())), BASE.withSetUp(other.apply(BASE.setUp())))
        .stream()
        .map(SetUpDifference::item)
        .toList();
  }

  private static UnaryOperator<SetUp> pipe(double diameterMm, double lengthMm) {
    return s -> s.withPipe(Optional.of(new Pipe(diameterMm, lengthMm)));
  }

  @ParameterizedTest
  @CsvSource({
    "41, 200, 41.49, 200, true",
    "41, 200, 41.51, 200, false",
    "41, 200, 40.51, 200, true",
    "41, 200, 40.49, 200, false",
    "41, 200, 41, 201.9, true",
    "41, 200, 41, 202.1, false",
    "41, 200, 41.6, 201.9, false"
  })
  void pipesAreTheSameWithinHalfAMillimetreAndTwoOfLength(
      double diameter, double length, double other, double otherLength, boolean same) {
    List<Item> found = differences(pipe(diameter, length), pipe(other, otherLength));
    assertThat(found).isEqualTo(same ? List.of() : List.of(Item.PIPE));
  }

  @Test
  void aPipeAgainstNoneIsAnother() {
    assertThat(differences(pipe(41, 200), s -> s)).containsExactly(Item.PIPE);
    assertThat(differences(s -> s, pipe(41, 200))).containsExactly(Item.PIPE);
  }

  @ParameterizedTest
  @CsvSource({"86, 86.049, true", "86, 86.051, false", "86, 85.951, true", "86, 85.949, false"})
  void boresAreTheSameWithinAFewHundredths(double bore, double other, boolean same) {
    assertThat(
            differences(
                s -> s.withBoreMm(OptionalDouble.of(bore)),
                s -> s.withBoreMm(OptionalDouble.of(other))))
        .isEqualTo(same ? List.of() : List.of(Item.BORE));
  }

  @ParameterizedTest
  @CsvSource({"12, 12.49, true", "12, 12.51, false"})
  void inletsAreTheSameByKindAndRadius(double radius, double other, boolean same) {
    assertThat(
            differences(
                s -> s.withInlet(Inlet.radius(radius)), s -> s.withInlet(Inlet.radius(other))))
        .isEqualTo(same ? List.of() : List.of(Item.INLET));
    Inlet flange = new Inlet(Inlet.Kind.FLANGE, OptionalDouble.empty());
    assertThat(differences(s -> s, s -> s.withInlet(flange))).containsExactly(Item.INLET);
  }

  /** Depressions within 0.2 % of the first are the same; one that is not written is none. */
  @ParameterizedTest
  @CsvSource({"7000, 7013.9, true", "7000, 7014.1, false", "7000, 6986.1, true"})
  void depressionsAreTheSameWithinAShare(double pa, double other, boolean same) {
    assertThat(
            differences(
                s -> s.withDepressionPa(OptionalDouble.of(pa)),
                s -> s.withDepressionPa(OptionalDouble.of(other))))
        .isEqualTo(same ? List.of() : List.of(Item.DEPRESSION));
    assertThat(differences(s -> s, s -> s.withDepressionPa(OptionalDouble.empty())))
        .containsExactly(Item.DEPRESSION);
    assertThat(
            differences(
                s -> s.withDepressionPa(OptionalDouble.empty()),
                s -> s.withDepressionPa(OptionalDouble.empty())))
        .isEmpty();
  }

  private static boolean same(UnaryOperator<Valve> change) {
    Valve valve = Samples.backCutValve();
    return TestedValve.of(valve, "a").isSameAs(TestedValve.of(change.apply(valve), "b"));
  }

  @Test
  void valvesAreTheSameByEveryDimensionOfTheirShape() {
    assertThat(same(v -> v)).isTrue();
    Map<String, UnaryOperator<Valve>> changes =
        Map.of(
            "face angle", v -> v.withFaceAngleDeg(v.faceAngleDeg() + 0.021),
            "face width", v -> v.withFaceWidthMm(v.faceWidthMm() - 0.021),
            "margin", v -> v.withMarginMm(v.marginMm() + 0.021),
            "edge radius", v -> v.withEdgeRadiusMm(v.edgeRadiusMm() + 0.021),
            "stem", v -> v.withStemDiameterMm(v.stemDiameterMm() + 0.021),
            "cone", v -> v.withUnderhead(new Underhead(15.021, 8)),
            "fillet", v -> v.withUnderhead(new Underhead(15, 8.021)),
            "no back cut", v -> v.withBackCuts(List.of()),
            "back cut's angle", v -> v.withBackCuts(List.of(new Cut(30.021, 1.5))),
            "back cut's width", v -> v.withBackCuts(List.of(new Cut(30, 1.521))));
    changes.forEach((what, change) -> assertThat(same(change)).as(what).isFalse());
    assertThat(same(v -> v.withFaceWidthMm(v.faceWidthMm() + 0.019))).isTrue();
    assertThat(same(v -> v.withBackCuts(List.of(new Cut(30.019, 1.519))))).isTrue();
    // Where the shape of one is not known the head tells.
    TestedValve shape = TestedValve.of(Samples.backCutValve(), "");
    assertThat(shape.isSameAs(new TestedValve(42.049, "x"))).isTrue();
    assertThat(shape.isSameAs(new TestedValve(42.051, "x"))).isFalse();
    assertThat(new TestedValve(41.951, "x").isSameAs(shape)).isTrue();
  }

  @Test
  void everythingThatDiffersIsToldAsItStood() {
    SetUp own = BASE.setUp();
    FlowTest other =
        BASE.withSetUp(
                own.withBench("")
                    .withBoreMm(OptionalDouble.of(86))
                    .withInlet(Inlet.radius(12))
                    .withPipe(Optional.of(new Pipe(41, 200)))
                    .withValve(new TestedValve(42, "new"))
                    .withDepressionPa(OptionalDouble.empty())
                    .withSeat("E1", finebore.flow.Direction.EXHAUST))
            .withAir(Optional.of(Air.USUAL));
    List<SetUpDifference> found = SetUpDifference.between(BASE, other);
    assertThat(found).extracting(SetUpDifference::item).containsExactlyInAnyOrder(Item.values());
    assertThat(found.subList(0, 7)).allMatch(SetUpDifference::spoils);
    assertThat(found.subList(7, 9)).noneMatch(SetUpDifference::spoils);
    Map<Item, Term> stood =
        Map.of(
            Item.DIRECTION, Term.name(finebore.flow.Direction.EXHAUST),
            Item.BENCH, word("notNamed"),
            Item.BORE, Term.length(86),
            Item.INLET, Term.phrase(Message.of("inlet.radius.of").with("radius", Term.length(12))),
            Item.PIPE,
                Term.phrase(
                    Message.of("pipe.size")
                        .with("diameter", Term.length(41))
                        .with("length", Term.length(200))),
            Item.VALVE,
                Term.phrase(
                    Message.of("tested.valve")
                        .with("head", Term.length(42))
                        .with("name", Term.quote("new"))),
            Item.DEPRESSION, word("notWritten"),
            Item.SEAT, Term.quote("E1"),
            Item.AIR, word("written"));
    Map<Item, Term> before =
        Map.of(
            Item.DIRECTION, Term.name(finebore.flow.Direction.INTAKE),
            Item.BENCH, Term.quote("bench"),
            Item.BORE, word("notWritten"),
            Item.INLET, Term.phrase(Message.of(Inlet.Kind.BARE)),
            Item.PIPE, word("none"),
            Item.VALVE,
                Term.phrase(
                    Message.of("tested.valve")
                        .with("head", Term.length(40))
                        .with("name", Term.quote(""))),
            Item.DEPRESSION, new Term.Figure(Dimension.PRESSURE, Unit.INCH_OF_WATER.toBase(28)),
            Item.SEAT, Term.quote("I1"),
            Item.AIR, word("notWritten"));
    for (SetUpDifference difference : found) {
      assertThat(difference.message())
          .as(difference.item().code())
          .isEqualTo(
              Message.of("difference")
                  .with("item", difference.item())
                  .with("reference", before.get(difference.item()))
                  .with("test", stood.get(difference.item())));
      assertThat(SetUpDifference.same(difference.item(), other))
          .isEqualTo(
              Message.of("difference.same")
                  .with("item", difference.item())
                  .with("reference", stood.get(difference.item())));
    }
  }

  private static Term word(String word) {
    return Term.phrase(Message.of("word." + word));
  }

  @Test
  void aLiftIsEmptyOnlyWithNothingNotedAtAll() {
    LiftReadings none = LiftReadings.of(3, List.of());
    assertThat(none.isEmpty()).isTrue();
    List<LiftReadings> noted =
        List.of(
            none.withReading(BenchReading.flow(0.02)),
            none.withNoisy(true),
            none.withSwirl(OptionalDouble.of(-400)),
            none.withSpeed(PortPlace.ROOF, OptionalDouble.of(90)),
            none.withProbeDrop(PortPlace.SHORT_SIDE, OptionalDouble.of(0.001)),
            none.withRemarks("whistles"));
    assertThat(noted).noneMatch(LiftReadings::isEmpty);
    assertThat(noted.get(1).noisy()).isTrue();
    assertThat(noted.get(2).swirlRpm()).hasValue(-400);
    assertThat(TestFigures.SWIRL.of(noted.get(2))).hasValue(-400);
    assertThat(TestFigures.speed(PortPlace.ROOF).of(noted.get(3))).hasValue(90);
    assertThat(TestFigures.speed(PortPlace.FLOOR).of(noted.get(3))).isEmpty();
    assertThat(TestFigures.probeDrop(PortPlace.SHORT_SIDE).of(noted.get(4))).hasValue(0.001);
    assertThat(
            TestFigures.probeDrop(PortPlace.SHORT_SIDE)
                .on(noted.get(4), OptionalDouble.empty())
                .isEmpty())
        .isTrue();
    assertThat(TestFigures.speed(PortPlace.PINCH).on(none, OptionalDouble.of(12)).speedsMs())
        .containsExactly(Map.entry(PortPlace.PINCH, 12.0));
    assertThat(noted.getLast().remarks()).isEqualTo("whistles");
  }

  @Test
  void moreRepeatsOrLiftsThanOneWouldReadAreRefused() {
    List<BenchReading> thirty = Collections.nCopies(30, BenchReading.flow(0.02));
    LiftReadings most = LiftReadings.of(3, thirty);
    assertThatThrownBy(() -> most.withReading(BenchReading.flow(0.02)))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("repeatsAtLift");
    assertThatThrownBy(
            () -> LiftReadings.of(3, List.of()).withSpeed(PortPlace.ROOF, OptionalDouble.of(400.1)))
        .hasMessageContaining("airSpeed");
    assertThatThrownBy(
            () ->
                LiftReadings.of(3, List.of())
                    .withProbeDrop(PortPlace.ROOF, OptionalDouble.of(1.01)))
        .hasMessageContaining("probeDrop");
    FlowTest test = FlowTest.empty(1, "x".repeat(80), BASE.setUp());
    for (int k = 1; k <= 60; k++) {
      test = test.with(LiftReadings.of(k / 2.0, thirty));
    }
    FlowTest full = test;
    assertThat(full.lifts()).hasSize(60);
    assertThatThrownBy(() -> full.with(LiftReadings.of(31, thirty)))
        .hasMessageContaining("liftsInTest");
    assertThatThrownBy(() -> full.withName("x".repeat(81))).hasMessageContaining("testName");
    assertThatThrownBy(() -> full.withName(" ")).hasMessageContaining("testName");
  }

  /** Lifts closer than two hundredths are the same lift. */
  @Test
  void aLiftIsFoundWithinTwoHundredths() {
    FlowTest test = FlowTest.empty(1, "a", BASE.setUp());
    test = test.with(LiftReadings.of(3, List.of(BenchReading.flow(0.02))));
    assertThat(test.at(3.019)).isPresent();
    assertThat(test.at(3.021)).isEmpty();
    assertThat(test.noted(3.019).readings()).hasSize(1);
    assertThat(test.noted(3.021).isEmpty()).isTrue();
    assertThat(test.noted(3.021).liftMm()).isEqualTo(3.021);
    FlowTest replaced = test.with(LiftReadings.of(3.019, List.of(BenchReading.flow(0.03))));
    assertThat(replaced.lifts()).hasSize(1);
    assertThat(test.with(LiftReadings.of(3.021, List.of(BenchReading.flow(0.03)))).lifts())
        .hasSize(2);
    ReducedTest reduced = ReducedTest.of(test, BenchBook.EMPTY, Unit.INCH_OF_WATER.toBase(28));
    assertThat(reduced.at(3.019)).isPresent();
    assertThat(reduced.at(3.021)).isEmpty();
  }

  @Test
  void meansPeaksAndFallsAreOfTheLiftsThatWereRead() {
    ReducedTest test = SuspectReadingTest.test(10, 9, -0.10);
    double ninth = test.lifts().get(8).meanM3s();
    assertThat(test.peakM3s().orElseThrow()).isEqualTo(test.lifts().get(9).meanM3s());
    assertThat(test.meanM3s().orElseThrow())
        .isCloseTo(
            test.lifts().stream().mapToDouble(ReducedTest.Lift::meanM3s).sum() / 10, within(1e-15));
    // It falls back from the eighth by its share; only past what a reading scatters does it count.
    double fall = 1 - ninth / test.lifts().get(7).meanM3s();
    assertThat(fall).isPositive();
    assertThat(test.backsUpFromMm(new Noise(fall * 0.999, 4, false, 2))).hasValue(9);
    assertThat(test.backsUpFromMm(new Noise(fall * 1.001, 4, false, 2))).isEmpty();
    assertThat(test.ratioTo(test, 4)).hasValue(1);
    assertThat(test.ratioTo(SuspectReadingTest.test(10, 4, 1), 4).orElseThrow())
        .isCloseTo(0.5, within(1e-12));
    assertThat(test.ratioTo(SuspectReadingTest.test(3, 0, 0), 4)).isEmpty();
    assertThat(test.ratioTo(SuspectReadingTest.test(10, 4, -1), 4)).isEmpty();
    assertThat(test.camMeanM3s(new finebore.flow.CamLift(10.019, 270))).isPresent();
    assertThat(test.camMeanM3s(new finebore.flow.CamLift(10.021, 270))).isEmpty();
  }

  /** Just inside and just outside of what asks for a new check of a range. */
  @Test
  void aRangeIsCheckedAnewForWeatherAgeAndDrift() {
    LocalDate day = LocalDate.of(2026, 3, 1);
    CheckPlate plate = new CheckPlate.Stamped(0.1, 7000);
    Air then = new Air(20, 100_000, 0);
    BenchRange range =
        new BenchRange("3", List.of(new PlateCheck(day, plate, 80, 7000, Optional.of(then))));
    assertThat(why(range, day, new Air(20, 100_990, 0))).isEmpty();
    assertThat(why(range, day, new Air(20, 101_010, 0))).isEqualTo("recheck.denser");
    assertThat(why(range, day, new Air(20, 99_010, 0))).isEmpty();
    assertThat(why(range, day, new Air(20, 98_990, 0))).isEqualTo("recheck.thinner");
    assertThat(why(range, day.plusDays(90), then)).isEmpty();
    assertThat(why(range, day.plusDays(91), then)).isEqualTo("recheck.old");
    assertThat(why(drifted(range, day, 80 * 1.0049), day, then)).isEmpty();
    assertThat(why(drifted(range, day, 80 * 1.0051), day, then)).isEqualTo("recheck.driftedDown");
    assertThat(why(drifted(range, day, 80 / 1.0051), day, then)).isEqualTo("recheck.driftedUp");
    assertThatThrownBy(() -> new BenchRange("x".repeat(41), List.of()))
        .hasMessageContaining("rangeName");
    assertThat(new BenchRange("x".repeat(40), List.of()).drift()).isEmpty();
    assertThatThrownBy(() -> new BenchRange(" ", List.of())).hasMessageContaining("rangeName");
  }

  private static BenchRange drifted(BenchRange range, LocalDate day, double percent) {
    return range.with(
        new PlateCheck(
            day.plusDays(1),
            new CheckPlate.Stamped(0.1, 7000),
            percent,
            7000,
            Optional.of(new Air(20, 100_000, 0))));
  }

  private static String why(BenchRange range, LocalDate day, Air air) {
    return range.recheck(Optional.of(day), Optional.of(air)).map(Message::code).orElse("");
  }

  @Test
  void statesAndKindsHaveNamesOfTheirOwn() {
    assertThat(TestedState.after(2).message())
        .isEqualTo(Message.of(TestedState.Kind.PARTLY).with("operations", Term.count(2)));
    assertThat(TestedState.Kind.BLENDED.code()).isEqualTo("state.blended");
    assertThat(Inlet.Kind.THROTTLE.code()).isEqualTo("inlet.throttle");
    assertThat(Item.DEPRESSION.code()).isEqualTo("item.depression");
    assertThat(PortPlace.SHORT_SIDE.key()).isEqualTo("short-side");
    assertThat(PortPlace.SHORT_SIDE.code()).isEqualTo("spot.short_side");
  }
}
