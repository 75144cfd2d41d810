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
}
