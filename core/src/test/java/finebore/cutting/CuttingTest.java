package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.code.Term;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.section.Region;
import finebore.section.Surface;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class CuttingTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Plunge PLANNED = new Plunge.AsPlanned();

  /** One worn 45 of 2 mm over a straight throat, roof at 10 degrees. */
  static Seat worn() {
    return Seat.of(List.of(new Cut(45, 2.0)), 0, 38, 8, 34, 6, 34.4, 14, 10);
  }

  static Seat wanted() {
    return Seat.of(
        List.of(new Cut(30, 0.6), new Cut(45, 1.2), new Cut(60, 1.0)),
        1,
        38.4,
        8.3,
        35.6,
        4,
        36,
        12,
        10);
  }

  private static Cutting cut(Operation... operations) {
    return Cutting.of(FoundSeat.plain(worn()), wanted(), List.of(operations));
  }

  private static CutForm form(Plunge plunge) {
    return new CutForm("", OPEN, plunge);
  }

  private static OpenThroat throat(double mm) {
    return new OpenThroat(OptionalDouble.of(mm), 0, OPEN);
  }

  private static double shown(Cutting cutting, double angle) {
    return cutting.finished().shown().stream()
        .filter(s -> s.cut().angleDeg() == angle)
        .mapToDouble(ShownCut::shownMm)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void everythingComesInWhereThereIsMetal() {
    Cutting cutting = cut(throat(35.6), form(PLANNED));
    assertThat(shown(cutting, 45)).isCloseTo(1.2, within(1e-6));
    assertThat(shown(cutting, 60)).isCloseTo(1.0, within(1e-6));
    assertThat(cutting.finished().seat().outsideDiameterMm()).isCloseTo(38.4, within(1e-6));
    assertThat(cutting.finished().seat().depthMm()).isCloseTo(8.3, within(1e-6));
    assertThat(cutting.finished().seat().throatDiameterMm()).isCloseTo(35.6, within(1e-6));
    assertThat(cutting.steps().getLast().hangsUpMm()).isEmpty();
  }

  @Test
  void aTopCutRunsOutInTheRoof() {
    // The roof rises at 10 degrees from (19, -8); the 30 starts at (19.2, -8.3):
    // -8.3 + x tan 30 = -8 + (0.2 + x) tan 10 gives x = 0.8368, which is more than 0.6 cos 30,
    // so the cut ends in the roof's metal and its edge leaves a step up to the roof.
    double endR = 19.2 + 0.6 * Math.cos(Math.toRadians(30));
    double endZ = -8.3 + 0.3;
    double roofZ = -8 + (endR - 19) * Math.tan(Math.toRadians(10));
    Cutting cutting = cut(throat(35.6), form(PLANNED));
    List<LeftoverEdge> witnesses = LeftoverEdge.of(cutting.finished().profile(), 1);
    assertThat(witnesses).filteredOn(LeftoverEdge::inChamber).hasSize(1);
    assertThat(witnesses.getFirst().heightMm()).isCloseTo(roofZ - endZ, within(1e-6));
    assertThat(witnesses.getFirst().turnDeg()).isCloseTo(60, within(1e-6));
    Cutting swept = cut(throat(35.6), form(PLANNED), new SweepChamber(12, 60, OPEN));
    assertThat(LeftoverEdge.of(swept.finished().profile(), 1))
        .noneMatch(w -> w.inChamber() && w.heightMm() > 0.06);
  }

  @Test
  void cleanUpIsWhereTheLowestFoundMetalIsReached() {
    // The new 45 lies 0.2 mm further out than the old one, whose edge stands at (19, -8): over the
    // old face it is clean at 8 - 0.2, over the roof beside it, at its own edge, at
    // 8 - 0.2 tan 10 = 7.9647, so the roof decides.
    double expected = 8 - 0.2 * Math.tan(Math.toRadians(10));
    CleanUp clean = cut(throat(35.6), form(PLANNED)).steps().getLast().cleanUp().orElseThrow();
    assertThat(clean.sealingMm().orElseThrow()).isCloseTo(expected, within(1e-6));
    assertThat(clean.touchMm().orElseThrow()).isLessThan(expected);
    Cutting until = cut(throat(35.6), form(new Plunge.UntilClean(0.05, false)));
    assertThat(until.steps().getLast().depthMm().orElseThrow())
        .isCloseTo(expected + 0.05, within(1e-6));
  }

  @Property(tries = 60)
  void anOffsetGivesTheSameCleanUpWhereverItPoints(
      @ForAll @DoubleRange(min = 0.02, max = 0.4) double offset,
      @ForAll @DoubleRange(min = 0, max = 12) double clock) {
    double one = cleanUp(offset, clock);
    assertThat(cleanUp(offset, (clock + 4.7) % 12)).isCloseTo(one, within(1e-9));
    assertThat(cleanUp(offset, 12 - clock)).isCloseTo(one, within(1e-9));
    // Toward the offset the old edge stands at 19 + offset: inside 19.2 the roof decides, outside
    // it the old face.
    double roof = 8 - (0.2 - offset) * Math.tan(Math.toRadians(10));
    assertThat(one).isCloseTo(offset < 0.2 ? roof : 8 + offset - 0.2, within(1e-6));
  }

  private static double cleanUp(double offset, double clock) {
    SeatReadings readings =
        SeatReadings.NONE
            .with(Measure.RUNOUT, OptionalDouble.of(offset))
            .with(Measure.RUNOUT_CLOCK, OptionalDouble.of(clock));
    FoundSeat found = FoundSeat.of(worn(), readings, 39);
    CleanUp clean =
        Cutting.of(found, wanted(), List.of(throat(35.8), form(PLANNED)))
            .steps()
            .getLast()
            .cleanUp()
            .orElseThrow();
    return clean.sealingMm().orElseThrow();
  }

  @Test
  void aFormHangsUpOnASmallThroat() {
    Cutting cutting = cut(form(PLANNED));
    // 38.4 less twice the widths of the 45 and the 60 on the radius.
    double inner = 38.4 - 2 * (1.2 * Math.cos(Math.PI / 4) + 1.0 * Math.cos(Math.PI / 3));
    assertThat(cutting.steps().getFirst().hangsUpMm().orElseThrow()).isCloseTo(inner, within(1e-9));
  }

  @Test
  void volumesAreThoseOfClosedFormulas() {
    // A cylinder of 35.6 through a 34 throat from the old face down to 8.3 + heights + 4 mm.
    Cutting cutting = cut(new OpenThroat(OptionalDouble.of(35.6), 0, OptionalDouble.of(14)));
    double oldFaceZ = -8 - 2 * Math.sin(Math.PI / 4);
    double a = 17.8;
    // The old 45 begins at (19, -8); at r = 17.8 it stands at -9.2; its inner edge is at
    // 19 - sqrt 2, where a flat shoulder runs on to the throat.
    double edge = 19 - Math.sqrt(2);
    double ring = Math.PI * (a * a - 17 * 17) * (oldFaceZ + 14);
    double cone = conical(a, edge, -9.2, oldFaceZ);
    assertThat(cutting.steps().getFirst().removedMm3()).isCloseTo(ring + cone, within(1e-6));
  }

  /** Metal over a floor between two radii under a cone that falls inward to it. */
  private static double conical(double outer, double inner, double topZ, double floorZ) {
    double h = topZ - floorZ;
    double frustum = Math.PI * h / 3 * (outer * outer + outer * inner + inner * inner);
    return Math.PI * outer * outer * h - frustum;
  }

  @Property(tries = 40)
  void cuttingTwiceRemovesNothingMore(
      @ForAll @DoubleRange(min = 34.2, max = 36.5) double throat,
      @ForAll @DoubleRange(min = 8.0, max = 9.5) double depth) {
    Operation form = form(new Plunge.ToDepth(depth));
    Operation sweep = new SweepChamber(15, 50, OPEN);
    Cutting once = cut(throat(throat), form, sweep);
    Cutting twice = cut(throat(throat), throat(throat), form, form, sweep, sweep);
    // A sweep finds its start again to a millionth of a millimetre.
    assertThat(twice.removedMm3()).isCloseTo(once.removedMm3(), within(1e-3));
    Region gone = once.metal().region().minus(twice.metal().region());
    assertThat(gone.areaMm2()).isLessThan(1e-4);
  }

  @Property(tries = 40)
  void depthsThatAreSetCommuteAndVolumeOnlyFalls(
      @ForAll @DoubleRange(min = 36, max = 39) double edge,
      @ForAll @DoubleRange(min = 8.0, max = 9.0) double depth,
      @ForAll @DoubleRange(min = 34.1, max = 36.5) double throat) {
    Operation a = new CutAngle(CutAngle.SingleTool.STONE, 60, edge, new Plunge.ToDepth(depth));
    Operation b = form(new Plunge.ToDepth(8.4));
    Operation c = throat(throat);
    double abc = cut(a, b, c).removedMm3();
    assertThat(cut(c, b, a).removedMm3()).isCloseTo(abc, within(1e-6));
    assertThat(cut(b, c, a).removedMm3()).isCloseTo(abc, within(1e-6));
    for (Cutting.Step step : cut(a, b, c).steps()) {
      assertThat(step.removedMm3()).isNotNegative();
      assertThat(step.addedMm3()).isZero();
    }
  }

  @Test
  void onlyARingPutsMetalBack() {
    Ring ring = new Ring(42, 33, 15, 8, 0.1, "sintered");
    Cutting cutting = cut(new FitRing(ring), throat(35.6), form(PLANNED));
    assertThat(cutting.steps().getFirst().addedMm3()).isPositive();
    assertThat(cutting.metal().ringRegion().isEmpty()).isFalse();
    assertThat(shown(cutting, 45)).isCloseTo(1.2, within(1e-6));
    // What is left of the ring is its blank less what the cutters took.
    assertThat(cutting.metal().ringRegion().volumeMm3()).isLessThan(ring.blank().volumeMm3());
  }

  @Test
  void aRingBlankHasTheVolumeOfARing() {
    Ring ring = new Ring(42, 33, 15, 8, 0.1, "");
    assertThat(ring.blank().volumeMm3())
        .isCloseTo(Math.PI / 4 * (42 * 42 - 33 * 33) * 8, within(1e-6));
  }

  @Test
  void oldMetalBesideANewSeatIsNamedSo() {
    Cutting cutting =
        cut(new CutAngle(CutAngle.SingleTool.BLADE, 45, 37.6, new Plunge.ToDepth(8.5)));
    assertThat(cutting.finished().profile().surfaces())
        .anyMatch(s -> s.part() == Surface.Part.RIDGE && s.angleDeg() == 45);
    assertThat(cutting.finished().seat().cuts()).hasSize(1);
  }

  @Test
  void aSingleCutNarrowsTheSeatFromBelow() {
    Cutting cutting =
        cut(
            new CutAngle(CutAngle.SingleTool.STONE, 45, 38.4, new Plunge.UntilClean(0, false)),
            new CutAngle(CutAngle.SingleTool.STONE, 60, 36.8, PLANNED));
    ShownCut seat = cutting.finished().shown().getFirst();
    // From a diameter of 38.4 to 36.8 on the slope of 45 degrees.
    assertThat(seat.cut().angleDeg()).isEqualTo(45);
    assertThat(seat.shownMm()).isCloseTo(0.8 * Math.sqrt(2), within(1e-6));
    assertThat(shown(cutting, 60)).isPositive();
  }

  @Test
  void aHandCutUnderTheSeatLeansIn() {
    Seat found = worn();
    Cutting cutting =
        Cutting.of(
            FoundSeat.plain(found),
            found,
            List.of(new CutUnder(12, OptionalDouble.of(36), 3, OPEN)));
    assertThat(cutting.steps().getFirst().cameIn().getFirst().shownMm()).isPositive();
    assertThat(cutting.finished().seat().cuts())
        .extracting(Cut::angleDeg)
        .containsExactly(45.0, 78.0);
    Cutting round =
        Cutting.of(
            FoundSeat.plain(found),
            found,
            List.of(new CutUnder(12, OptionalDouble.of(36), 3, OptionalDouble.of(4))));
    assertThat(round.steps().getFirst().cameIn().size()).isGreaterThan(3);
  }

  @Test
  void aBlendTakesCornersAndKeepsOffTheFace() {
    Cutting square = cut(form(PLANNED));
    Cutting blended = cut(form(PLANNED), new Blend(Blend.Side.PORT, 0.75, 1.5));
    assertThat(blended.steps().getLast().removedMm3()).isPositive();
    assertThat(shown(blended, 45)).isCloseTo(shown(square, 45), within(1e-9));
    Cutting chamber = cut(throat(35.6), form(PLANNED), new Blend(Blend.Side.CHAMBER, 0.1, 1.5));
    assertThat(chamber.steps().getLast().removedMm3()).isPositive();
    assertThat(LeftoverEdge.of(chamber.finished().profile(), 1))
        .noneMatch(w -> w.inChamber() && w.turnDeg() > 59);
  }

  @Test
  void aBowlOpensUnderTheThroat() {
    Cutting cutting = cut(throat(35.6), form(PLANNED), new OpenBowl(OPEN, OPEN));
    assertThat(cutting.finished().seat().bowlDiameterMm()).isCloseTo(36, within(1e-6));
  }

  @Test
  void settingsThatCannotBeAreNamed() {
    Cutting.Step sweep = cut(new SweepChamber(15, 30, OPEN)).steps().getFirst();
    assertThat(sweep.problem().orElseThrow().code()).isEqualTo("rule.sweepReach");
    assertThat(sweep.problem().orElseThrow().terms()).containsEntry("value", Term.length(30));
    assertThat(sweep.removedMm3()).isZero();
    assertThatThrownBy(() -> new CutUnder(60, OPEN, 3, OPEN)).hasMessageContaining("undercutLean");
    assertThatThrownBy(() -> new Arc(60, 45, 3)).hasMessageContaining("arcRises");
  }

  @Test
  void anArcIsCutAsShortChordsBetweenPointsOnIt() {
    Arc arc = new Arc(45, 75, 3);
    double drop = arc.cuts().stream().mapToDouble(Cut::heightMm).sum();
    double in = arc.cuts().stream().mapToDouble(Cut::projectedMm).sum();
    double from = Math.toRadians(45);
    double to = Math.toRadians(75);
    assertThat(drop).isCloseTo(3 * (Math.cos(from) - Math.cos(to)), within(1e-9));
    assertThat(in).isCloseTo(3 * (Math.sin(to) - Math.sin(from)), within(1e-9));
  }
}
