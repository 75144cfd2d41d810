package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.found.FoundSeat;
import finebore.found.Ring;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What operations have left, by name: which cut carries the valve, and what stands beside it. */
class LeftSeatTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final CutForm FORM = new CutForm("", OPEN, new Plunge.AsPlanned());

  private static Cutting cut(Seat found, Seat wanted, Operation... operations) {
    return Cutting.of(FoundSeat.plain(found), wanted, List.of(operations));
  }

  private static CutAngle single(double angleDeg, double edgeMm, double depthMm) {
    return new CutAngle(CutAngle.SingleTool.STONE, angleDeg, edgeMm, new Plunge.ToDepth(depthMm));
  }

  /** A stone within 0.3 degrees of the wanted seat makes the seat, others make cuts beside it. */
  @ParameterizedTest
  @CsvSource({"45, 45", "45.29, 45.29", "45.31, 45", "44.71, 44.71", "44.69, 45"})
  void aStoneOfTheSeatsAngleMakesTheSeat(double stoneDeg, double sealingDeg) {
    Cutting cutting = cut(CuttingTest.worn(), CuttingTest.wanted(), single(stoneDeg, 37.4, 8.4));
    assertThat(cutting.finished().seat().sealingCut().angleDeg()).isEqualTo(sealingDeg);
  }

  /** Seats lie between 10 and 75 degrees; a steeper stone bores and a flatter one faces. */
  @ParameterizedTest
  @CsvSource({"75, true", "75.2, false", "10, true", "9.9, false"})
  void onlyAngleOfSeatsMakeASeat(double angleDeg, boolean isSeat) {
    Seat wanted =
        Seat.of(
            List.of(new Cut(Math.clamp(angleDeg, 10, 75), 1.2)), 0, 38.4, 8.3, 35, 4, 36, 12, 10);
    Cutting cutting = cut(CuttingTest.worn(), wanted, single(angleDeg, 37.4, 8.6));
    boolean made = cutting.finished().seat().sealingCut().angleDeg() == angleDeg;
    assertThat(made).isEqualTo(isSeat);
  }

  /** As long as nothing new carries the valve, the old seat's cuts are the seat's. */
  @Test
  void withoutANewSeatTheOldOneStands() {
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new OpenThroat(OptionalDouble.of(35.2), 0, OPEN),
            single(30, 38.6, 8.0));
    Seat left = cutting.finished().seat();
    assertThat(left.cuts()).extracting(Cut::angleDeg).containsExactly(30.0, 45.0);
    assertThat(left.sealing()).isEqualTo(1);
    assertThat(left.throatDiameterMm()).isCloseTo(35.2, within(1e-9));
    assertThat(cutting.metal().madeBy()).contains(0, 1, 2);
    // Each cut is named by its place on the wall, from the chamber in.
    List<Integer> places =
        cutting.finished().profile().surfaces().stream()
            .filter(s -> s.part() == Part.CUT)
            .map(Surface::index)
            .toList();
    assertThat(places).containsExactly(0, 1);
  }

  /** A cut that never shows stands after the one it was asked for with, 0 wide. */
  @Test
  void aCutThatNeverShowsKeepsItsPlace() {
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new OpenThroat(OptionalDouble.of(36.4), 0, OPEN),
            FORM);
    assertThat(cutting.finished().shown())
        .extracting(s -> s.cut().angleDeg())
        .containsExactly(30.0, 45.0, 60.0);
    assertThat(cutting.finished().shown()).extracting(ShownCut::index).containsExactly(0, 1, 2);
    // The 45 ends at 17.85 + 0.5; at 18.2 the throat has taken the 60 and the last of the 45.
    assertThat(cutting.finished().shown().get(2).shownMm()).isCloseTo(0.3, within(0.01));
    Cutting wider =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new OpenThroat(OptionalDouble.of(37), 0, OPEN),
            FORM);
    assertThat(wider.finished().shown().get(2).shownMm()).isZero();
    assertThat(wider.finished().seat().sealing()).isEqualTo(1);
  }

  /** The seat's outside lies where the sealing cut begins, its depth there too. */
  @Test
  void theSeatIsReadOffTheWall() {
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new OpenThroat(OptionalDouble.of(35.6), 0, OptionalDouble.of(15)),
            FORM);
    Seat seat = cutting.finished().seat();
    assertThat(seat.outsideDiameterMm()).isCloseTo(38.4, within(1e-9));
    assertThat(seat.depthMm()).isCloseTo(8.3, within(1e-9));
    // From the cut's own inner edge at -8.3 - 1.2 sin 45 - sin 60 down to where the cutter stopped.
    double inner = 8.3 + 1.2 * Math.sqrt(0.5) + Math.sqrt(0.75);
    assertThat(seat.throat().lengthMm()).isBetween(15 - inner - 0.1, 15 - inner + 0.6);
    assertThat(seat.bowlDepthMm()).isEqualTo(12);
    assertThat(seat.roofAngleDeg()).isEqualTo(10);
  }

  /** The throat goes through whatever is longer: the one that is there or the one wanted. */
  @Test
  void aThroatGoesRightThrough() {
    OpenThroat right = new OpenThroat(OptionalDouble.of(35.6), 0, OPEN);
    double found = CuttingTest.worn().depthMm() + Math.sqrt(2) + 6;
    assertThat(cut(CuttingTest.worn(), CuttingTest.wanted(), right).steps().getFirst().depthMm())
        .hasValueCloseTo(found, within(1e-6));
    Seat longer = Seat.of(CuttingTest.wanted().cuts(), 1, 38.4, 8.3, 35.6, 9, 36, 16, 10);
    double wanted = 8.3 + 1.2 * Math.sqrt(0.5) + Math.sqrt(0.75) + 9;
    assertThat(cut(CuttingTest.worn(), longer, right).steps().getFirst().depthMm())
        .hasValueCloseTo(wanted, within(1e-6));
  }

  /** A bowl begins under the throat as wanted and is as wide as asked where it was asked for. */
  @Test
  void aBowlWidensFromTheThroatDown() {
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new OpenThroat(OptionalDouble.of(35.6), 0, OPEN),
            new OpenBowl(OptionalDouble.of(37), OptionalDouble.of(20)));
    assertThat(cutting.metal().wall().points())
        .anySatisfy(
            p -> {
              assertThat(p.r()).isCloseTo(18.5, within(1e-9));
              assertThat(p.z()).isCloseTo(-20, within(1e-9));
            });
    double throatEnd = -(8.3 + 1.2 * Math.sqrt(0.5) + Math.sqrt(0.75) + 4);
    assertThat(cutting.metal().wall().points())
        .anySatisfy(
            p -> {
              assertThat(p.r()).isCloseTo(17.8, within(1e-9));
              assertThat(p.z()).isCloseTo(throatEnd, within(1e-6));
            });
    assertThat(cutting.finished().seat().bowlDiameterMm()).isCloseTo(37, within(1e-9));
  }

  /** What all take together, less what a ring puts in. */
  @Test
  void whatIsTakenIsTheSumLessWhatARingPutsIn() {
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            CuttingTest.wanted(),
            new FitRing(new Ring(42, 33, 15, 8, 0.1, "")),
            new OpenThroat(OptionalDouble.of(35.6), 0, OPEN),
            FORM);
    double before = cutting.metalAfter(0).region().volumeMm3();
    double after = cutting.metal().region().volumeMm3();
    assertThat(cutting.removedMm3()).isCloseTo(before - after, within(1e-3));
    assertThat(cutting.metalAfter(1)).isEqualTo(cutting.steps().getFirst().metal());
    Cutting none = cut(CuttingTest.worn(), CuttingTest.wanted());
    assertThat(none.removedMm3()).isZero();
    assertThat(none.finishedSides()).isEqualTo(none.sides());
    assertThat(cutting.finishedSides()).isEqualTo(cutting.steps().getLast().sides());
  }

  /** Walls taken back otherwise leave every section; anything else does not. */
  @Test
  void onlyWallsCanBeExchanged() {
    Operation back = new TakeWallBack(2, 4, 30);
    Cutting cutting = cut(CuttingTest.worn(), CuttingTest.wanted(), back, FORM);
    Operation other = new TakeWallBack(3, 5, 28);
    Cutting changed = cutting.withWalls(List.of(other, FORM)).orElseThrow();
    assertThat(changed.steps()).extracting(Cutting.Step::operation).containsExactly(other, FORM);
    assertThat(changed.metal()).isEqualTo(cutting.metal());
    assertThat(cutting.withWalls(List.of(back, FORM))).contains(cutting);
    assertThat(cutting.withWalls(List.of(back))).isEmpty();
    assertThat(cutting.withWalls(List.of(FORM, FORM))).isEmpty();
    assertThat(cutting.withWalls(List.of(back, other))).isEmpty();
  }

  /** A form brings in the wanted stack's own elements; another operation its cuts. */
  @Test
  void aFormsElementsAreThoseOfTheWantedSeat() {
    Seat wanted = CuttingTest.wanted();
    Cutting cutting =
        cut(
            CuttingTest.worn(),
            wanted,
            new OpenThroat(OptionalDouble.of(35.6), 0, OPEN),
            FORM,
            single(75, 35.9, 12));
    assertThat(cutting.steps().getFirst().elementsIn(wanted.stack())).isEmpty();
    assertThat(cutting.steps().get(1).elementsIn(wanted.stack()))
        .extracting(e -> e.element())
        .containsExactlyElementsOf(wanted.stack().elements());
    var sealing = cutting.steps().get(1).elementsIn(wanted.stack()).get(1);
    assertThat(sealing.shownMm()).isCloseTo(1.2, within(1e-6));
    assertThat(sealing.leastMm()).isCloseTo(1.2, within(1e-6));
    assertThat(sealing.mostMm()).isCloseTo(1.2, within(1e-6));
    assertThat(cutting.steps().get(2).elementsIn(wanted.stack())).hasSize(1);
  }
}
