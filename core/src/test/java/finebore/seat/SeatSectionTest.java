package finebore.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;

class SeatSectionTest {

  private static SeatSection section(Seat seat) {
    return SeatSection.of(seat, Tolerance.FINE);
  }

  private static double lengthOf(Profile wall, Part part) {
    double sum = 0;
    for (int k = 0; k < wall.segmentCount(); k++) {
      if (wall.surfaces().get(k).part() == part) {
        sum += wall.length(k);
      }
    }
    return sum;
  }

  @Test
  void chainsTheCutsFromTheSeatsOutside() {
    SeatSection section = section(Samples.fourAngles(0.80));
    Profile wall = section.profile();
    int seat = wall.surfaces().indexOf(Surface.cut(1, 45));
    assertThat(wall.start(seat).r()).isCloseTo(20.625, within(1e-9));
    assertThat(wall.start(seat).z()).isCloseTo(-10, within(1e-9));
    assertThat(wall.end(seat).r()).isCloseTo(20.625 - 1.2 * Math.sqrt(0.5), within(1e-9));
    assertThat(wall.length(seat + 1)).isCloseTo(1.4, within(1e-9));
    assertThat(wall.start(seat - 1).r()).isCloseTo(20.625 + Math.cos(Math.PI / 6), within(1e-9));
    assertThat(section.shown())
        .allSatisfy(s -> assertThat(s.shownMm()).isCloseTo(s.cut().widthMm(), within(1e-9)));
  }

  @Test
  void leavesASquareShoulderOverASmallThroat() {
    Profile wall = section(Samples.fourAngles(0.80)).profile();
    double end = 20.625 - 1.2 * Math.sqrt(0.5) - 1.4 * 0.5 - 1.5 * Math.cos(Math.toRadians(75));
    assertThat(lengthOf(wall, Part.SHOULDER)).isCloseTo(end - 0.80 * 21, within(1e-9));
  }

  @Test
  void losesTheLowerCutsToALargeThroat() {
    List<ShownCut> shown = section(Samples.fourAngles(0.93)).shown();
    // 20.625 - 0.8485 = 19.7765 is left at the 60, the throat takes 19.53 on the radius: 0.2465 /
    // cos 60.
    assertThat(shown.get(2).shownMm()).isCloseTo(0.4929, within(1e-3));
    assertThat(shown.get(2).isShort()).isTrue();
    assertThat(shown.get(2).neverTouches()).isFalse();
    assertThat(shown.get(3).neverTouches()).isTrue();
  }

  @Test
  void stopsCutsAtTheHeadFace() {
    SeatSection section = section(Samples.fourAngles(0.89).withDepthMm(0.2));
    assertThat(section.shown().get(0).shownMm())
        .isCloseTo(0.2 / Math.sin(Math.PI / 6), within(1e-9));
    assertThat(section.profile().points())
        .allSatisfy(p -> assertThat(p.z()).isLessThanOrEqualTo(1e-12));
  }

  @Test
  void risesWithTheRoofToTheHeadFace() {
    Profile wall = section(Samples.fourAngles(0.89).withDepthMm(2).withRoofAngleDeg(45)).profile();
    assertThat(wall.surfaces().getFirst().part()).isEqualTo(Part.HEAD_FACE);
    assertThat(wall.points().getFirst().z()).isCloseTo(0, within(1e-9));
    assertThat(lengthOf(wall, Part.ROOF)).isCloseTo((2 - 0.5) * Math.sqrt(2), within(1e-9));
  }

  @Property
  void aWidthThatPassesThroughZeroMovesNothingSuddenly(
      @ForAll @DoubleRange(min = 1e-7, max = 1e-4) @Scale(9) double tiny) {
    Seat seat = Samples.fourAngles(0.89);
    Point with = section(seat.withCut(2, new Cut(60, tiny))).profile().points().getLast();
    Point without = section(seat.withCut(2, new Cut(60, 0))).profile().points().getLast();
    assertThat(with.distanceTo(without)).isLessThan(1e-3);
  }

  @Test
  void keepsTheSealingCutWhenTheStackChanges() {
    Seat seat = Samples.fourAngles(0.89);
    assertThat(seat.stack().withInserted(0, new Cut(15, 1)).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().withInserted(4, new Cut(80, 1)).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().without(0).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().without(3).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().without(1).sealingCut().angleDeg()).isEqualTo(30);
    assertThat(seat.stack().withSwapped(1, 2).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().withSwapped(0, 2).sealingCut().angleDeg()).isEqualTo(45);
    assertThat(seat.stack().withSwapped(0, 1).sealing()).isZero();
  }

  @Test
  void namesWhatCannotBe() {
    Seat seat = Samples.fourAngles(0.89);
    assertThatThrownBy(() -> seat.withThroatDiameter(41.25))
        .hasMessageContaining("throatWithinSeat")
        .hasMessageContaining("41.25");
    assertThatThrownBy(() -> seat.withDepthMm(-1))
        .hasMessageContaining("quantity.seatDepth")
        .hasMessageContaining("-1.0");
    assertThatThrownBy(() -> seat.withOutsideDiameterMm(Double.NaN))
        .hasMessageContaining("quantity.seatOutside");
    assertThatThrownBy(() -> seat.withCuts(seat.cuts(), 4)).hasMessageContaining("sealingCutIsOne");
    assertThatThrownBy(() -> seat.withCuts(seat.cuts(), 3).withCut(3, new Cut(80, 1)))
        .hasMessageContaining("quantity.sealingAngle");
    assertThatThrownBy(() -> new Cut(91, 1)).hasMessageContaining("quantity.cutAngle");
    assertThatThrownBy(() -> new Cut(45, -0.1)).hasMessageContaining("quantity.cutWidth");
    assertThatThrownBy(() -> seat.withCuts(List.of(), 0)).hasMessageContaining("seatNeedsCut");
    assertThatThrownBy(() -> seat.withRoofAngleDeg(85)).hasMessageContaining("quantity.roofAngle");
  }

  /**
   * Two cuts above the seat, throat, bowl and port, corner by corner: 41.25 across 10 deep; 30 of 1
   * mm over it and 15 of 2; under it 1.2 of 45 to the throat of 39, 4 long; bowl 40, 12 below the
   * seat's edge.
   */
  @Test
  void everyCornerOfASectionByHand() {
    Seat seat =
        Seat.of(
            List.of(new Cut(15, 2), new Cut(30, 1), new Cut(45, 1.2)),
            2,
            41.25,
            10,
            39,
            4,
            40,
            12,
            0);
    Profile wall = section(seat).profile();
    double r1 = 20.625 + Math.cos(Math.toRadians(30));
    double z1 = -10 + 0.5;
    double r2 = r1 + 2 * Math.cos(Math.toRadians(15));
    double z2 = z1 + 2 * Math.sin(Math.toRadians(15));
    double low = -10 - 1.2 * Math.sqrt(0.5);
    List<Point> corners = wall.points();
    double[][] wanted = {
      {Double.NaN, z2},
      {r2, z2},
      {r1, z1},
      {20.625, -10},
      {20.625 - 1.2 * Math.sqrt(0.5), low},
      {19.5, low},
      {19.5, low - 4},
      {20, -22},
      {20, -10 - 41.25}
    };
    assertThat(corners).hasSize(wanted.length);
    for (int k = 0; k < wanted.length; k++) {
      if (!Double.isNaN(wanted[k][0])) {
        assertThat(corners.get(k).r()).as("r %d", k).isCloseTo(wanted[k][0], within(1e-9));
      }
      assertThat(corners.get(k).z()).as("z %d", k).isCloseTo(wanted[k][1], within(1e-9));
    }
    // A flat roof goes on for 0.55 of the seat.
    assertThat(corners.getFirst().r()).isCloseTo(20.625 + 0.55 * 41.25, within(1e-9));
    assertThat(section(seat).outsideEdge()).isEqualTo(new Point(20.625, -10));
    assertThat(wall.surfaces().get(1)).isEqualTo(Surface.cut(0, 15));
    assertThat(wall.surfaces().get(2)).isEqualTo(Surface.cut(1, 30));
  }

  /** A bowl that would begin above the throat's end begins there, and a port goes on below it. */
  @Test
  void aShallowBowlBeginsWhereTheThroatEnds() {
    Seat seat = Seat.of(List.of(new Cut(45, 1.2)), 0, 41.25, 10, 39, 40, 40, 2, 0);
    List<Point> corners = section(seat).profile().points();
    double end = -10 - 1.2 * Math.sqrt(0.5) - 40;
    assertThat(corners.get(corners.size() - 2).z()).isCloseTo(end, within(1e-9));
    // The seat's own size below its edge, and a millimetre at least.
    assertThat(corners.getLast().z()).isCloseTo(Math.min(-51.25, end - 1), within(1e-9));
    Seat deeper = Seat.of(List.of(new Cut(45, 1.2)), 0, 41.25, 10, 39, 41, 40, 2, 0);
    List<Point> below = section(deeper).profile().points();
    assertThat(below.getLast().z()).isCloseTo(end - 2, within(1e-9));
  }

  /** An upright cut shows while the wall is still outside the throat, and not once it is not. */
  @Test
  void anUprightCutShowsOutsideTheThroatAlone() {
    List<Cut> cuts = List.of(new Cut(45, 1.2), new Cut(90, 1.5));
    double inner = 41.25 - 2 * 1.2 * Math.sqrt(0.5);
    SeatSection outside = section(Seat.of(cuts, 0, 41.25, 10, inner - 0.1, 4, 40, 12, 0));
    assertThat(outside.shown().get(1).shownMm()).isEqualTo(1.5);
    SeatSection within = section(Seat.of(cuts, 0, 41.25, 10, inner + 0.1, 4, 41, 12, 0));
    assertThat(within.shown().get(1).shownMm()).isZero();
    assertThat(within.shown().get(0).shownMm()).isCloseTo(1.2 - 0.05 * Math.sqrt(2), within(1e-9));
  }
}
