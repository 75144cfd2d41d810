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

  /** The section's own corner of cone and stem, without a fillet. */
  @Test
  void theHeadIsAsThickAsItsSection() {
    for (Valve valve : List.of(Samples.plainValve(), Samples.backCutValve())) {
      Valve sharp = valve.withUnderhead(new Underhead(valve.underhead().angleDeg(), 0));
      Profile wall = wall(sharp);
      double corner = wall.points().get(wall.points().size() - 2).z();
      assertThat(valve.thicknessAtStemMm()).isCloseTo(valve.marginMm() - corner, within(1e-9));
    }
    // A back cut 1 mm wider of 30 degrees: half a millimetre deeper, less what the cone gives back.
    Valve valve = Samples.backCutValve();
    Cut cut = valve.backCuts().getFirst();
    Valve wider = valve.withBackCut(0, cut.withWidth(cut.widthMm() + 1));
    double cone = Math.tan(Math.toRadians(valve.underhead().angleDeg()));
    assertThat(wider.thicknessAtStemMm() - valve.thicknessAtStemMm())
        .isCloseTo(0.5 - Math.cos(Math.PI / 6) * cone, within(1e-9));
    assertThat(wider.marginMm()).isEqualTo(valve.marginMm());
    assertThat(wider.faceWidthMm()).isEqualTo(valve.faceWidthMm());
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

  /** A quarter circle from the chamber side to the margin, every corner of it on the circle. */
  @Test
  void theChamberEdgeIsAQuarterCircle() {
    Profile wall = wall(Samples.plainValve().withMarginMm(1.9).withEdgeRadiusMm(0.5));
    Point centre = new Point(20.5, 1.4);
    List<Point> arc = wall.points().subList(0, 9);
    assertThat(arc).allSatisfy(p -> assertThat(p.distanceTo(centre)).isCloseTo(0.5, within(1e-9)));
    for (int k = 0; k <= 8; k++) {
      double turned = Math.toDegrees(Math.atan2(arc.get(k).r() - 20.5, arc.get(k).z() - 1.4));
      assertThat(turned).isCloseTo(k * 90.0 / 8, within(1e-6));
    }
    assertThat(wall.points().get(9)).isEqualTo(new Point(21, 0));
    assertThat(wall.surfaces().get(7).part()).isEqualTo(Part.VALVE_EDGE);
    assertThat(wall.surfaces().get(8).part()).isEqualTo(Part.MARGIN);
    // As round as the margin is high: no margin is left, and the face begins where the arc ends.
    Profile round = wall(Samples.plainValve().withMarginMm(0.8).withEdgeRadiusMm(0.8));
    assertThat(round.surfaces()).noneMatch(p -> p.part() == Part.MARGIN);
  }

  /**
   * An underhead of 20 degrees from the face's inner edge (19.3029, -1.6971), fillet 6 on a stem of
   * 3.5: corner at z = -1.6971 - 15.8029 tan 20, tangents 6 tan 35 = 4.2012 long.
   */
  @Test
  void theFilletIsAnArcBetweenConeAndStem() {
    Profile wall = wall(Samples.plainValve().withUnderhead(new Underhead(20, 6)));
    double corner = -1.697056 - 15.802944 * 0.3639702;
    Point first = wall.points().get(3);
    assertThat(first.r()).isCloseTo(3.5 + 4.201245 * 0.9396926, within(1e-5));
    assertThat(first.z()).isCloseTo(corner + 4.201245 * 0.3420201, within(1e-5));
    Point centre = new Point(9.5, corner - 4.201245);
    assertThat(first.distanceTo(centre)).isCloseTo(6, within(1e-5));
    Point last = wall.points().get(3 + 28);
    assertThat(last.r()).isCloseTo(3.5, within(1e-9));
    assertThat(last.z()).isCloseTo(centre.z(), within(1e-5));
    // 70 degrees in 28 chords: corners as far outside the arc as the middles lie inside it.
    double half = Math.toRadians(70.0 / 28 / 2);
    for (int k = 4; k < 3 + 28; k++) {
      double out = wall.points().get(k).distanceTo(centre) - 6;
      assertThat(out).isCloseTo(6 * (1 - Math.cos(half)) / (1 + Math.cos(half)), within(1e-6));
    }
    assertThat(wall.points().getLast()).isEqualTo(new Point(3.5, -1.6 * 42));
    assertThat(wall.surfaces().getLast().part()).isEqualTo(Part.STEM);
  }

  @Test
  void withoutAFilletConeAndStemMeetInACorner() {
    Profile wall = wall(Samples.plainValve().withUnderhead(new Underhead(20, 0)));
    Point corner = wall.points().get(3);
    assertThat(corner.r()).isCloseTo(3.5, within(1e-9));
    assertThat(corner.z()).isCloseTo(-1.697056 - 15.802944 * 0.3639702, within(1e-5));
    assertThat(wall.points()).hasSize(5);
  }

  /** No more than 95 % of the cone goes into the arc. */
  @Test
  void aFilletTooLargeLeavesTheLastOfTheCone() {
    Profile wall = wall(Samples.plainValve().withUnderhead(new Underhead(20, 60)));
    assertThat(wall.points().get(3).r()).isCloseTo(3.5 + 0.95 * 15.802944, within(1e-5));
  }

  @Test
  void twoBackCutsAreNumberedAndFollowEachOther() {
    Valve valve = Samples.plainValve().withBackCuts(List.of(new Cut(30, 1.0), new Cut(20, 2.0)));
    Profile wall = wall(valve);
    assertThat(wall.points().get(3).r()).isCloseTo(19.302944 - 0.8660254, within(1e-5));
    assertThat(wall.points().get(3).z()).isCloseTo(-1.697056 - 0.5, within(1e-5));
    assertThat(wall.points().get(4).z()).isCloseTo(-2.197056 - 0.6840403, within(1e-5));
    assertThat(wall.surfaces().get(3).index()).isEqualTo(1);
    Valve changed = valve.withBackCut(1, new Cut(22, 1.5));
    assertThat(changed.backCuts()).containsExactly(new Cut(30, 1.0), new Cut(22, 1.5));
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
    // From 21 to a stem of 3.5 there are 17.5: the face takes 1.697, a back cut 17.5 - 1.697.
    double left = (17.5 - 2.4 * Math.sqrt(0.5)) / Math.cos(Math.toRadians(30));
    assertThat(valve.withBackCuts(List.of(new Cut(30, left - 1e-6))).backCuts()).hasSize(1);
    assertThatThrownBy(() -> valve.withBackCuts(List.of(new Cut(30, left + 1e-6))))
        .hasMessageContaining("faceReachesStem");
    assertThat(valve.withEdgeRadiusMm(1.2).edgeRadiusMm()).isEqualTo(1.2);
    assertThatThrownBy(() -> valve.withEdgeRadiusMm(1.5))
        .hasMessageContaining("edgeRadiusWithinMargin");
    assertThatThrownBy(() -> valve.withFace(80, 2)).hasMessageContaining("quantity.faceAngle");
    assertThatThrownBy(() -> new Underhead(80, 2)).hasMessageContaining("quantity.underheadAngle");
  }
}
