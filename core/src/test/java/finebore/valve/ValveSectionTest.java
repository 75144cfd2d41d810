package finebore.valve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.seat.Cut;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;

class ValveSectionTest {

  private static Profile wall(Valve valve) {
    return ValveSection.of(valve, Tolerance.FINE).profile();
  }

  @Test
  void layoutFollowsFaceAndBackCut() {
    Profile wall = wall(Samples.backCutValve());
    assertThat(wall.points().getFirst()).isEqualTo(new Point(21, 1.2));
    assertThat(wall.points().get(1)).isEqualTo(new Point(21, 0));
    Point face = wall.points().get(2);
    assertThat(face.r()).isCloseTo(21 - 1.6 * Math.sqrt(0.5), within(1e-9));
    assertThat(
            face.distanceTo(
                ValveSection.of(Samples.backCutValve(), Tolerance.FINE).faceInnerEdge()))
        .isLessThan(1e-9);
    Point back = wall.points().get(3);
    assertThat(back.r()).isCloseTo(face.r() - 1.5 * Math.cos(Math.PI / 6), within(1e-9));
  }

  @Test
  void theFilletRunsIntoConeAndStemWithoutACorner() {
    Profile wall = wall(Samples.plainValve());
    double before = Double.NaN;
    for (int k = 0; k < wall.segmentCount(); k++) {
      Part part = wall.surfaces().get(k).part();
      double angle =
          Math.atan2(wall.start(k).z() - wall.end(k).z(), wall.start(k).r() - wall.end(k).r());
      if (part == Part.STEM || part == Part.UNDERHEAD && !Double.isNaN(before)) {
        assertThat(Math.toDegrees(angle - before)).isBetween(-1e-6, 10.0);
      }
      if (part == Part.UNDERHEAD) {
        before = angle;
      }
    }
    assertThat(wall.points()).allSatisfy(p -> assertThat(p.r()).isGreaterThanOrEqualTo(3.5 - 1e-9));
  }

  @Test
  void aLargeFilletIsHeldToWhatFits() {
    Valve valve = Samples.plainValve().withUnderhead(new Underhead(15, 60));
    assertThat(wall(valve).points()).allSatisfy(p -> assertThat(p.r()).isBetween(3.5 - 1e-9, 21.0));
  }

  @Test
  void roundsTheChamberEdge() {
    Profile wall = wall(Samples.plainValve().withEdgeRadiusMm(0.5));
    assertThat(wall.points().getFirst()).isEqualTo(new Point(20.5, 1.2));
    assertThat(wall.surfaces()).anyMatch(s -> s.part() == Part.VALVE_EDGE);
  }

  @Test
  void namesTheForm() {
    assertThat(new Underhead(5, 9).form()).isEqualTo(Underhead.Form.FLAT);
    assertThat(new Underhead(15, 9).form()).isEqualTo(Underhead.Form.MID);
    assertThat(new Underhead(28, 9).form()).isEqualTo(Underhead.Form.TULIP);
  }

  @Test
  void namesWhatCannotBe() {
    Valve valve = Samples.plainValve();
    assertThatThrownBy(() -> valve.withHeadDiameterMm(3))
        .hasMessageContaining("quantity.valveHead")
        .hasMessageContaining("3.0");
    assertThatThrownBy(() -> valve.withBackCuts(List.of(new Cut(30, 19))))
        .hasMessageContaining("faceReachesStem");
    assertThatThrownBy(() -> valve.withEdgeRadiusMm(1.5))
        .hasMessageContaining("edgeRadiusWithinMargin");
    assertThatThrownBy(() -> valve.withFace(80, 2)).hasMessageContaining("quantity.faceAngle");
    assertThatThrownBy(() -> new Underhead(80, 2)).hasMessageContaining("quantity.underheadAngle");
  }
}
