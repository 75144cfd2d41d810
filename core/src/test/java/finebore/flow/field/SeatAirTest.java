package finebore.flow.field;

import static finebore.flow.field.Fineness.COARSE;
import static finebore.flow.field.Fineness.FULL;
import static finebore.flow.field.Turbulence.EVEN;
import static finebore.flow.field.Turbulence.TRANSPORT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.flow.Direction;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatAirTest {

  private static final Orientation A = Orientation.shape("A");

  /** Flows that several tests begin with, solved once. */
  private static final Map<String, AirFlow> SOLVED = new HashMap<>();

  private static AirFlow solved(String shape, double lift, Turbulence turbulence, Fineness grid) {
    return SOLVED.computeIfAbsent(
        shape + lift + turbulence + grid,
        k -> AirSolver.solve(Orientation.shape(shape).at(lift, turbulence, grid)));
  }

  private static double onCurtain(String shape, double lift, Turbulence turbulence) {
    return Orientation.onCurtain(solved(shape, lift, turbulence, COARSE), lift);
  }

  /**
   * Poppet valves pass 0.65 to 0.85 of their curtain at low lift and less the further they open
   * (Heywood, Internal Combustion Engine Fundamentals, figs. 6-18 to 6-20; Annand and Roe, Gas Flow
   * in the Internal Combustion Engine; both from memory, as bands).
   */
  @ParameterizedTest
  @CsvSource({"2, 0.65, 0.85", "4, 0.65, 0.82", "8, 0.55, 0.75", "11, 0.45, 0.65"})
  void liesWhereBenchesLie(double lift, double least, double most) {
    for (Turbulence turbulence : Turbulence.values()) {
      assertThat(onCurtain("A", lift, turbulence)).as(turbulence.name()).isBetween(least, most);
    }
  }

  /**
   * Another calculation of this shape, on a grid of another kind and with the same even eddy
   * viscosity, has 188.41 mm2 at 2 mm with the jet along the roof. Free it passes a few per cent
   * less.
   */
  @Test
  void theJetLiesFreeWhereItCan() {
    AirFlow low = solved("A", 2, EVEN, COARSE);
    assertThat(low.jetAngleDeg()).isBetween(30.0, 50.0);
    assertThat(low.effectiveAreaMm2()).isBetween(0.92 * 188.41, 0.99 * 188.41);
  }

  /** From lower and from higher lift it comes to the same: no branch of its own by history. */
  @ParameterizedTest
  @CsvSource({"1", "3", "8"})
  void theAnswerHangsOnTheSectionAlone(double from) {
    AirFlow cold = solved("A", 2, EVEN, COARSE);
    AirFlow start = solved("A", from, EVEN, COARSE);
    AirFlow warm = AirSolver.solve(A.at(2, EVEN, COARSE), Optional.of(start), () -> false);
    assertThat(warm.effectiveAreaMm2()).isCloseTo(cold.effectiveAreaMm2(), withinPercentage(0.2));
  }

  /**
   * Half as many cells again across moves an even viscosity's area by well under what decides
   * anything.
   */
  @ParameterizedTest
  @CsvSource({"1", "5", "8"})
  void hardlyDependsOnTheGrid(double lift) {
    double coarse = solved("A", lift, EVEN, COARSE).effectiveAreaMm2();
    double full = solved("A", lift, EVEN, FULL).effectiveAreaMm2();
    assertThat(coarse).isCloseTo(full, withinPercentage(0.5));
  }

  private static double onGrid(double lift, Turbulence turbulence, int across) {
    for (Fineness grid : Fineness.values()) {
      if (grid.across() == across) {
        return solved("A", lift, turbulence, grid).effectiveAreaMm2();
      }
    }
    return AirSolver.solve(A.at(lift, turbulence, COARSE), across, Optional.empty(), () -> false)
        .effectiveAreaMm2();
  }

  /**
   * Three grids, each half as fine again: what the answer moves by falls off faster than the size
   * of the cells, and what is left by Richardson's extrapolation with a safety of 1.25 is small
   * (Roache's grid convergence index, from memory).
   */
  @Test
  void gridsCloseIn() {
    gridsCloseIn(5);
  }

  @ParameterizedTest
  @CsvSource({"2", "8"})
  @Tag("long")
  void gridsCloseInAtOtherLifts(double lift) {
    gridsCloseIn(lift);
  }

  private static void gridsCloseIn(double lift) {
    double rough = onGrid(lift, EVEN, 16);
    double coarse = onGrid(lift, EVEN, 24);
    double full = onGrid(lift, EVEN, 36);
    double order = Math.log(Math.abs((rough - coarse) / (coarse - full))) / Math.log(1.5);
    assertThat(order).isGreaterThan(1);
    double left = 1.25 * Math.abs(coarse / full - 1) / (Math.pow(1.5, order) - 1);
    assertThat(left).isLessThan(0.005);
  }

  /** With a cell more or less across every line lies elsewhere. */
  @ParameterizedTest
  @CsvSource({"5, EVEN, 0.3", "5, TRANSPORT, 0.6"})
  void shiftedGridsAgree(double lift, Turbulence turbulence, double percent) {
    agree(lift, turbulence, percent);
  }

  @ParameterizedTest
  @CsvSource({"2, EVEN, 0.3", "8, EVEN, 0.3", "2, TRANSPORT, 0.6", "8, TRANSPORT, 0.6"})
  @Tag("long")
  void shiftedGridsAgreeAtOtherLifts(double lift, Turbulence turbulence, double percent) {
    agree(lift, turbulence, percent);
  }

  private static void agree(double lift, Turbulence turbulence, double percent) {
    double middle = onGrid(lift, turbulence, 24);
    assertThat(onGrid(lift, turbulence, 23)).isCloseTo(middle, withinPercentage(percent));
    assertThat(onGrid(lift, turbulence, 25)).isCloseTo(middle, withinPercentage(percent));
  }

  @Test
  void keepsMassAndMomentum() {
    AirFlow.Settled settled = solved("A", 5, EVEN, COARSE).settled();
    assertThat(settled.massLeft()).isLessThan(2e-4);
    assertThat(settled.momentumLeft()).isLessThan(1e-3);
    assertThat(settled.unrest()).isLessThan(1e-3);
  }

  /** Settled, or waving within what is said of it: nothing else is given a figure. */
  @ParameterizedTest
  @CsvSource({"A, 2, INTAKE", "C, 8, INTAKE", "F, 2, INTAKE", "A, 8, EXHAUST", "B, 12, EXHAUST"})
  void isOfOneOfTheStatesThatAreStated(String shape, double lift, Direction direction) {
    AirQuestion in = Orientation.shape(shape).at(lift, EVEN, COARSE);
    AirFlow flow =
        AirSolver.solve(
            new AirQuestion(in.wall(), in.valve(), in.headRadiusMm(), direction, EVEN, COARSE));
    AirFlow.Settled settled = flow.settled();
    if (settled.waves()) {
      assertThat(settled.unrest()).isLessThan(AirSolver.MOST_UNREST);
      assertThat(settled.massLeft()).isLessThan(AirSolver.MOST_MASS);
      assertThat(settled.swing()).isEqualTo(settled.unrest());
    } else {
      assertThat(settled.momentumLeft()).isLessThan(AirSolver.ENOUGH);
      assertThat(settled.massLeft()).isLessThan(AirSolver.ENOUGH);
      assertThat(settled.swing()).isZero();
    }
    assertThat(Double.isNaN(flow.jetAngleDeg())).isEqualTo(direction == Direction.EXHAUST);
  }

  /** Air that goes out has no jet to be told by: where it begins from says nothing. */
  @Test
  void anExhaustHangsOnItsSectionAlone() {
    AirQuestion in = A.at(12, EVEN, COARSE);
    AirQuestion out =
        new AirQuestion(in.wall(), in.valve(), in.headRadiusMm(), Direction.EXHAUST, EVEN, COARSE);
    AirFlow cold = AirSolver.solve(out);
    AirFlow other =
        AirSolver.solve(
            new AirQuestion(
                in.wall(),
                A.at(8, EVEN, COARSE).valve(),
                in.headRadiusMm(),
                Direction.EXHAUST,
                EVEN,
                COARSE));
    AirFlow warm = AirSolver.solve(out, Optional.of(other), () -> false);
    assertThat(warm.effectiveAreaMm2()).isEqualTo(cold.effectiveAreaMm2());
  }

  /** A long way on, what is left over falls to rounding: the steps lead to a flow that stands. */
  @Test
  void canBalanceToTheLastDigits() {
    // Of its own: it goes on from here.
    AirFlow flow = AirSolver.solve(A.at(8, EVEN, COARSE));
    Balance balance = new Balance(flow.stream(), 0.85, 2e-3);
    Closure closure = EVEN.on(flow.stream().mesh, A.at(8, EVEN, COARSE).gapMm() / 1000);
    for (int k = 0; k < 400; k++) {
      closure.update(flow.stream());
      balance.round();
    }
    double fed = 0;
    for (int j = 0; j < flow.across(); j++) {
      fed -= flow.stream().edgeFlow[2 * flow.along() + j];
    }
    assertThat(balance.massLeft() / fed).isLessThan(1e-6);
    assertThat(balance.momentumLeft() / (fed * flow.stream().speed)).isLessThan(1e-6);
  }

  /** A hundredth of a millimetre moves the flow by about that share of the lift, not by a leap. */
  @Test
  void doesNotLeapWithLift() {
    double before = onCurtain("A", 4.49, TRANSPORT);
    double after = onCurtain("A", 4.51, TRANSPORT);
    assertThat(after).isCloseTo(before, withinPercentage(0.4));
  }

  /** Begun from a neighbour's flow it comes to the same figure, sooner. */
  @Test
  void startsWarm() {
    AirFlow neighbour = solved("A", 5.1, EVEN, COARSE);
    AirFlow cold = solved("A", 5, EVEN, COARSE);
    AirFlow warm = AirSolver.solve(A.at(5, EVEN, COARSE), Optional.of(neighbour), () -> false);
    assertThat(warm.effectiveAreaMm2()).isCloseTo(cold.effectiveAreaMm2(), withinPercentage(0.3));
    assertThat(warm.settled().rounds()).isLessThan(cold.settled().rounds());
  }

  /** What the trade knows: at low and mid lift, other things equal. */
  @ParameterizedTest
  @CsvSource({"B, 2, -14, -5", "B, 8, -2.5, 0.5", "C, 2, -15, -5", "F, 2, -18, -6"})
  void ranksShapesAsBenchesDo(String shape, double lift, double least, double most) {
    double change = 100 * (onCurtain(shape, lift, EVEN) / onCurtain("A", lift, EVEN) - 1);
    assertThat(change).isBetween(least, most);
  }

  @Test
  void sizeIsScaledAway() {
    AirQuestion question = A.at(5, EVEN, COARSE);
    AirQuestion twice =
        new AirQuestion(
            doubled(question.wall()),
            doubled(question.valve()),
            42,
            Direction.INTAKE,
            EVEN,
            COARSE);
    assertThat(AirSolver.solve(twice).effectiveAreaMm2())
        .isCloseTo(4 * AirSolver.solve(question).effectiveAreaMm2(), withinPercentage(0.01));
  }

  private static finebore.section.Profile doubled(finebore.section.Profile profile) {
    return new finebore.section.Profile(
        profile.points().stream()
            .map(p -> new finebore.section.Point(2 * p.r(), 2 * p.z()))
            .toList(),
        profile.surfaces());
  }

  @Test
  void saysThatThereIsNoWay() {
    assertThatThrownBy(() -> solved("A", 0.005, EVEN, COARSE))
        .isInstanceOfSatisfying(
            AirNotSolved.class, e -> assertThat(e.why()).isEqualTo(AirNotSolved.Why.NO_WAY));
  }

  @Test
  void stopsWhenTold() {
    assertThatThrownBy(() -> AirSolver.solve(A.at(5, EVEN, COARSE), Optional.empty(), () -> true))
        .isInstanceOfSatisfying(
            AirNotSolved.class, e -> assertThat(e.why()).isEqualTo(AirNotSolved.Why.STOPPED));
  }

  @Test
  void airGoesOutToo() {
    AirQuestion in = A.at(5, TRANSPORT, COARSE);
    AirFlow out =
        AirSolver.solve(
            new AirQuestion(
                in.wall(), in.valve(), in.headRadiusMm(), Direction.EXHAUST, TRANSPORT, COARSE));
    assertThat(Orientation.onCurtain(out, 5)).isBetween(0.6, 1.3);
    assertThat(out.upward(5, out.across() / 2)).isNegative();
  }

  /** The figure a picture shows is that of the usual test pressure. */
  @Test
  void tellsSpeedsAtTheUsualPressure() {
    AirFlow flow = solved("A", 5, EVEN, FULL);
    double most = 0;
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        most = Math.max(most, flow.speed(i, j));
      }
    }
    assertThat(most).isCloseTo(AirSolver.SPEED, within(0.35 * AirSolver.SPEED));
    assertThat(flow.totalPressure(2, flow.across() / 2)).isCloseTo(6974, withinPercentage(3));
  }
}
