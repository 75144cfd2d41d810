package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.seat.Cut;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a form touches and where it has cleaned up, worked out by hand on walls of few corners. */
class FormTest {

  private static final Surface ROOF = Surface.of(Trace.CHAMBER_ROOF);
  private static final Surface THROAT = Surface.of(Trace.THROAT);

  /** One 45 from radius 20 to 19, a millimetre high. */
  private static final Form FORM = Form.of(List.of(new Cut(45, Math.sqrt(2))), 0, 40);

  private static Profile wall(double... rz) {
    Profile.Builder wall = new Profile.Builder(new Point(rz[0], rz[1]), Tolerance.FINE);
    for (int k = 2; k < rz.length; k += 2) {
      wall.to(new Point(rz[k], rz[k + 1]), rz[k] == rz[k - 2] ? THROAT : ROOF);
    }
    return wall.build();
  }

  private static double clean(Profile wall) {
    return FORM.cleanDepth(0, wall).orElseThrow();
  }

  private static double touch(Profile wall) {
    return FORM.touchDepth(0, wall).orElseThrow();
  }

  @Test
  void onAFlatRoofTheInnerEdgeTouchesFirstAndTheOuterLast() {
    Profile flat = wall(30, -5, 10, -5);
    assertThat(touch(flat)).isCloseTo(4, within(1e-6));
    assertThat(clean(flat)).isCloseTo(5, within(1e-6));
  }

  @Test
  void aCornerBetweenItsEndsCountsToo() {
    // A ridge, whose top lies over the middle of the cut, and a pit there.
    Profile ridge = wall(30, -8, 19.5, -4.5, 10, -23.5);
    assertThat(touch(ridge)).isCloseTo(4, within(1e-6));
    Profile pit = wall(30, -4, 20.5, -4, 19.5, -7, 10, -4);
    assertThat(clean(pit)).isCloseTo(6.5, within(1e-6));
    assertThat(touch(pit)).isCloseTo(5.5, within(1e-6));
  }

  @Test
  void aStepInTheWallIsMeasuredOnBothSides() {
    Profile step = wall(30, -5, 19.5, -5, 19.5, -9, 10, -9);
    assertThat(touch(step)).isCloseTo(4.5, within(1e-6));
    assertThat(clean(step)).isCloseTo(8.5, within(1e-6));
  }

  /**
   * What is left between the form's end and an upright throat just outside it breaks away; the wall
   * under that throat lies deep.
   */
  @ParameterizedTest
  @CsvSource({"19.059, 3, 5", "19.061, 3, 8.999", "19.03, 0.0601, 5", "19.03, 0.0599, 8.999"})
  void aLipBesideAThroatIsNoMetal(double throatR, double upright, double depth) {
    Profile wall = wall(30, -5, throatR, -5, throatR, -5 - upright, 19.001, -9.998, 17, -10);
    assertThat(clean(wall)).isCloseTo(depth, within(1e-5));
  }

  @Test
  void whereThereIsNoMetalItNeverTouches() {
    assertThat(FORM.cleanDepth(0, wall(30, -5, 20, -5, 20, -9))).isEmpty();
    assertThat(FORM.touchDepth(0, wall(30, -5, 22, -5, 22, -9))).isEmpty();
    assertThat(FORM.touchDepth(0, wall(18.5, -5, 15, -5, 15, -9))).isEmpty();
    assertThat(FORM.touchDepth(0, wall(30, -5, 19.999, -5, 19.999, -9))).isPresent();
  }

  @Test
  void itsCutsHangTogetherAboutTheSeat() {
    Form form = Form.of(List.of(new Cut(30, 2), new Cut(45, Math.sqrt(2)), new Cut(60, 1)), 1, 40);
    List<Point> corners = form.at(3);
    double[] r = {20 + Math.sqrt(3), 20, 19, 18.5};
    double[] z = {-3 + 1, -3, -4, -4 - Math.sqrt(3) / 2};
    for (int k = 0; k < 4; k++) {
      assertThat(corners.get(k).r()).isCloseTo(r[k], within(1e-12));
      assertThat(corners.get(k).z()).isCloseTo(z[k], within(1e-12));
    }
    assertThat(form.innerR()).isCloseTo(18.5, within(1e-12));
    // Never past the axis.
    assertThat(Form.of(List.of(new Cut(30, 40)), 0, 40).innerR()).isZero();
  }
}
