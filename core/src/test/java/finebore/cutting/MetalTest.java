package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.code.RuleViolation;
import finebore.found.Ring;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Surface.Trace;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Metal cut by tools of straight edges, worked out by hand. */
class MetalTest {

  private static final Surface ROOF = Surface.of(Trace.CHAMBER_ROOF);
  private static final Surface THROAT = Surface.of(Trace.THROAT);
  private static final Surface BOWL = Surface.of(Trace.BOWL);

  /** A flat roof 5 below the face from radius 30 to 20, then a throat of 40 down to 25. */
  private static final Profile WALL =
      new Profile(
          List.of(new Point(30, -5), new Point(20, -5), new Point(20, -25)), List.of(ROOF, THROAT));

  private static Metal metal() {
    return Metal.found(WALL, Optional.empty(), -40);
  }

  private static Tool counterbore(double diameterMm, double depthMm) {
    return Tool.tapered(diameterMm, 0, -depthMm, THROAT);
  }

  @Test
  void thePortIsDrawnOnDownToWhereTheWorkEnds() {
    assertThat(metal().wall().points())
        .containsExactly(new Point(30, -5), new Point(20, -5), new Point(20, -40));
    assertThat(metal().madeBy()).containsExactly(0, 0);
    // One that goes deeper already stays.
    assertThat(Metal.found(WALL, Optional.empty(), -10).wall()).isEqualTo(WALL);
    assertThat(metal().region().areaMm2()).isCloseTo(10 * 35, within(1e-9));
    assertThat(metal().ringRegion().isEmpty()).isTrue();
    assertThatThrownBy(() -> new Metal(WALL, List.of(0), Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** The ring is as large as what of its blank is metal. */
  @Test
  void aRingIsWhatIsLeftOfItsBlank() {
    Ring ring = new Ring(44, 38, 13, 8, 0.1, "");
    Metal with = Metal.found(WALL, Optional.of(ring), -40);
    // Blank from radius 19 to 22, of which 20 to 22 is metal.
    assertThat(with.ringRegion().areaMm2()).isCloseTo(2 * 8, within(1e-9));
  }

  @Test
  void aToolLeavesItsWallAndItsFloor() {
    Metal cut = metal().cutBy(counterbore(44, 10), 3);
    assertThat(cut.wall().points())
        .containsExactly(
            new Point(30, -5),
            new Point(22, -5),
            new Point(22, -10),
            new Point(20, -10),
            new Point(20, -40));
    assertThat(cut.wall().surfaces())
        .containsExactly(ROOF, THROAT, Surface.of(Trace.STEP_UNDER_CUTTER), THROAT);
    assertThat(cut.madeBy()).containsExactly(0, 3, 3, 0);
    // A second one takes the first one's wall and leaves its floor where it is no wider.
    Metal twice = cut.cutBy(counterbore(42, 12), 4);
    assertThat(twice.madeBy()).containsExactly(0, 3, 3, 4, 4, 0);
    assertThat(twice.wall().points().get(3)).isEqualTo(new Point(21, -10));
    // What cuts air changes nothing, whoever holds it.
    assertThat(cut.cutBy(counterbore(39, 30), 5)).isEqualTo(cut);
  }

  /** Where two tools leave the same stretch, it is the later one's. */
  @Test
  void whatBothLeaveIsTheLaterTools() {
    Metal cut = metal().cutBy(counterbore(44, 10), 1).cutBy(counterbore(44, 10), 2);
    assertThat(cut.madeBy()).containsExactly(0, 2, 2, 0);
  }

  /**
   * Old stretches in one line of one surface are one; a bend, another surface and a step are not.
   */
  @Test
  void stretchesInOneLineAreOne() {
    Profile split =
        new Profile(
            List.of(new Point(30, -5), new Point(26, -5), new Point(20, -5), new Point(20, -40)),
            List.of(ROOF, ROOF, THROAT));
    Metal straight = Metal.found(split, Optional.empty(), -40).cutBy(counterbore(44, 10), 1);
    assertThat(straight.wall().points().get(1)).isEqualTo(new Point(22, -5));
    Profile bent =
        new Profile(
            List.of(
                new Point(30, -5.4), new Point(26, -5.1), new Point(20, -5), new Point(20, -40)),
            List.of(ROOF, ROOF, THROAT));
    Metal kept = Metal.found(bent, Optional.empty(), -40).cutBy(counterbore(44, 10), 1);
    assertThat(kept.wall().points()).contains(new Point(26, -5.1));
    Profile named = new Profile(split.points(), List.of(Surface.of(Trace.HEAD_FACE), ROOF, THROAT));
    Metal two = Metal.found(named, Optional.empty(), -40).cutBy(counterbore(44, 10), 1);
    assertThat(two.wall().points()).contains(new Point(26, -5));
    // Two floors at one height, of different steps.
    Metal floors = metal().cutBy(counterbore(42, 10), 1).cutBy(counterbore(44, 10), 2);
    assertThat(floors.madeBy()).containsExactly(0, 2, 2, 0);
    Metal apart = metal().cutBy(counterbore(44, 10), 1).cutBy(counterbore(42, 10), 2);
    assertThat(apart.madeBy()).containsExactly(0, 1, 1, 2, 0);
  }

  /** A slot through to the far side: what stands above it has come loose. */
  @Test
  void whatHasComeLooseFallsAway() {
    Tool slot =
        Tool.closed(
            List.of(new Point(10, -20), new Point(35, -20), new Point(35, -22)),
            List.of(BOWL, BOWL),
            new Point(10, -22));
    Metal below = metal().cutBy(slot, 1);
    assertThat(below.wall().points())
        .containsExactly(new Point(30, -22), new Point(20, -22), new Point(20, -40));
    Tool all =
        Tool.closed(
            List.of(new Point(0, 10), new Point(60, 10), new Point(60, -60)),
            List.of(BOWL, BOWL),
            new Point(0, -60));
    assertThatThrownBy(() -> metal().cutBy(all, 1))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("metalLeft");
  }

  /** What is shorter than a hundred thousandth of a millimetre is rounding. */
  @Test
  void burrsOfRoundingAreLeftOut() {
    Metal burr = metal().cutBy(counterbore(40 + 1.8e-5, 10), 1);
    assertThat(burr.wall().points()).hasSize(4);
    Metal step = metal().cutBy(counterbore(40 + 2.2e-5, 10), 1);
    assertThat(step.wall().points()).hasSize(5);
  }

  /** Of an area that no edge explains, new walls take the edge's first name. */
  @Test
  void newWallsOffTheEdgeTakeItsName() {
    Metal metal = metal();
    Region chamfered =
        metal
            .region()
            .minus(Region.inside(List.of(new Point(20, -5), new Point(22, -5), new Point(20, -7))));
    Profile edge =
        new Profile(
            List.of(new Point(0, 500), new Point(1, 500)), List.of(Surface.of(Trace.BLEND_BELOW)));
    Metal blended = metal.rebuilt(chamfered, edge, 7, Optional.empty());
    assertThat(blended.wall().surfaces().get(1).part()).isEqualTo(Part.SHOULDER);
    assertThat(blended.madeBy()).containsExactly(0, 7, 0);
  }

  /** A form takes all that stands above its edge, out to its own side, and under its nose. */
  @Test
  void aPlungedToolTakesAllAboveIt() {
    Surface cut = Surface.cut(0, 45);
    Tool form = Tool.plunged(List.of(new Point(23, -6), new Point(21, -8)), List.of(cut));
    Metal after = metal().cutBy(form, 1);
    assertThat(after.wall().points())
        .containsExactly(
            new Point(30, -5),
            new Point(23, -5),
            new Point(23, -6),
            new Point(21, -8),
            new Point(20, -8),
            new Point(20, -40));
    assertThat(after.wall().surfaces())
        .containsExactly(
            ROOF,
            Surface.of(Trace.STEP_BESIDE_CUTTER),
            cut,
            Surface.of(Trace.STEP_UNDER_CUTTER),
            THROAT);
  }

  /** 10 degrees from 42 at 15 below the face: at the roof, 10 higher, 1.763 wider on the radius. */
  @Test
  void aTaperedCutterIsWiderAbove() {
    Metal cut = metal().cutBy(Tool.tapered(42, 10, -15, THROAT), 1);
    Point mouth = cut.wall().points().get(1);
    assertThat(mouth.r()).isCloseTo(21 + 10 * Math.tan(Math.toRadians(10)), within(1e-6));
    assertThat(mouth.z()).isEqualTo(-5);
    assertThat(cut.wall().points().get(2).r()).isCloseTo(21, within(1e-9));
    assertThat(cut.wall().points().get(2).z()).isCloseTo(-15, within(1e-9));
  }
}
