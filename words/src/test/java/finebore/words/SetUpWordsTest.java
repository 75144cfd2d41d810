package finebore.words;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.Air;
import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.bench.SetUpDifference;
import finebore.flow.Direction;
import finebore.units.Units;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each thing that can differ on the bench, in words, and whether it spoils a ranking. */
class SetUpWordsTest {

  private static final SetUp USUAL =
      new SetUp(
          "shop bench",
          "I1",
          Direction.INTAKE,
          TestedState.AS_FOUND,
          new TestedValve(40, "found"),
          OptionalDouble.of(86),
          Inlet.radius(12),
          Optional.empty(),
          OptionalDouble.of(7000),
          OptionalDouble.empty());

  private static Arguments differs(
      String metric, String inch, boolean spoils, UnaryOperator<SetUp> change) {
    return Arguments.of(metric, inch, spoils, change);
  }

  static Stream<Arguments> differences() {
    return Stream.of(
        differs(
            "bench: shop bench, then not named",
            "bench: shop bench, then not named",
            true,
            s -> s.withBench("")),
        differs(
            "bore fixture: 86.00 mm, then 92.00 mm",
            "bore fixture: 3.386 in, then 3.622 in",
            true,
            s -> s.withBoreMm(OptionalDouble.of(92))),
        differs(
            "bore fixture: 86.00 mm, then not written down",
            "bore fixture: 3.386 in, then not written down",
            true,
            s -> s.withBoreMm(OptionalDouble.empty())),
        differs(
            "inlet: radius 12.00 mm, then flange",
            "inlet: radius 0.472 in, then flange",
            true,
            s -> s.withInlet(new Inlet(Inlet.Kind.FLANGE, OptionalDouble.empty()))),
        differs(
            "exhaust pipe: none, then 38.10 mm by 254.00 mm",
            "exhaust pipe: none, then 1.500 in by 10.000 in",
            true,
            s -> s.withPipe(Optional.of(new Pipe(38.1, 254)))),
        differs(
            "valve: 40.00 mm found, then 42.00 mm bigger",
            "valve: 1.575 in found, then 1.654 in bigger",
            true,
            s -> s.withValve(new TestedValve(42, "bigger"))),
        differs(
            "depression: 7 kPa, then 2.5 kPa (both brought to the same)",
            "depression: 28.1 inH2O, then 10.04 inH2O (both brought to the same)",
            false,
            s -> s.withDepressionPa(OptionalDouble.of(2500))),
        differs(
            "depression: 7 kPa, then not written down",
            "depression: 28.1 inH2O, then not written down",
            true,
            s -> s.withDepressionPa(OptionalDouble.empty())),
        differs(
            "seat: I1, then I3", "seat: I1, then I3", false, s -> s.withSeat("I3", s.direction())));
  }

  private static String said(SetUpDifference difference, Units units) {
    return Words.of(Language.ENGLISH, units).say(difference.message());
  }

  @ParameterizedTest
  @MethodSource("differences")
  void isNamedInTheUnitsOfTheJob(
      String metric, String inch, boolean spoils, UnaryOperator<SetUp> change) {
    FlowTest before = FlowTest.empty(1, "before", USUAL);
    FlowTest after = FlowTest.empty(2, "after", change.apply(USUAL));
    List<SetUpDifference> found = SetUpDifference.between(before, after);
    assertThat(found).hasSize(1);
    assertThat(said(found.getFirst(), Units.MM)).isEqualTo(metric);
    assertThat(said(found.getFirst(), Units.INCH)).isEqualTo(inch);
    assertThat(found.getFirst().spoils()).isEqualTo(spoils);
  }

  @Test
  void nothingDiffersFromItself() {
    FlowTest test = FlowTest.empty(1, "test", USUAL);
    assertThat(SetUpDifference.between(test, test)).isEmpty();
    FlowTest near =
        FlowTest.empty(
            2,
            "near",
            USUAL
                .withBoreMm(OptionalDouble.of(86.04))
                .withDepressionPa(OptionalDouble.of(7010))
                .withState(TestedState.FINISHED)
                .withLeakageM3s(OptionalDouble.of(0.0002)));
    assertThat(SetUpDifference.between(test, near)).isEmpty();
  }

  @Test
  void airWrittenDownOnceOnlyIsNamedButDoesNotSpoil() {
    FlowTest test = FlowTest.empty(1, "test", USUAL);
    FlowTest aired = test.withAir(Optional.of(new Air(20, 101_325, 0.4)));
    assertThat(SetUpDifference.between(test, aired))
        .singleElement()
        .satisfies(d -> assertThat(d.spoils()).isFalse())
        .extracting(d -> said(d, Units.MM))
        .isEqualTo("air: not written down, then written down");
  }
}
