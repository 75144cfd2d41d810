package finebore.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.apache.commons.geometry.euclidean.twod.RegionBSPTree2D;
import org.apache.commons.geometry.euclidean.twod.Vector2D;
import org.apache.commons.geometry.euclidean.twod.path.LinePath;
import org.apache.commons.numbers.core.Precision;
import org.junit.jupiter.api.Test;

/** Areas and volumes against closed formulas and against Apache Commons Geometry. */
class RegionTest {

  private static final Precision.DoubleEquivalence FINE =
      Precision.doubleEquivalenceOfEpsilon(1e-9);

  /** Volume of a frustum, from Pappus by hand: pi h / 3 (R^2 + R r + r^2). */
  private static double frustum(double a, double b, double h) {
    return Math.PI * h / 3 * (a * a + a * b + b * b);
  }

  @Property(tries = 100)
  void aFrustumHasItsVolume(
      @ForAll @DoubleRange(min = 1, max = 40) double a,
      @ForAll @DoubleRange(min = 1, max = 40) double b,
      @ForAll @DoubleRange(min = 0.1, max = 30) double h) {
    Region cone =
        Region.inside(List.of(new Point(0, 0), new Point(a, 0), new Point(b, h), new Point(0, h)));
    assertThat(cone.volumeMm3()).isCloseTo(frustum(a, b, h), within(1e-6 * frustum(a, b, h)));
  }

  @Test
  void aRingHasItsVolume() {
    Region ring = Region.box(18, 22, -14, -6);
    assertThat(ring.areaMm2()).isCloseTo(32, within(1e-12));
    assertThat(ring.volumeMm3()).isCloseTo(Math.PI * (22 * 22 - 18 * 18) * 8, within(1e-9));
    // A seat cut out of it at 45 degrees, 2 mm in from the bore: a frustum less a cylinder.
    Region cut =
        ring.and(Region.inside(List.of(new Point(0, -6), new Point(20, -6), new Point(0, -26))));
    assertThat(cut.volumeMm3()).isCloseTo(frustum(20, 18, 2) - Math.PI * 18 * 18 * 2, within(1e-9));
  }

  @Property(tries = 60)
  void twoGeometryLibrariesAgree(
      @ForAll @DoubleRange(min = 15, max = 20) double throat,
      @ForAll @DoubleRange(min = 1, max = 8) double depth,
      @ForAll @DoubleRange(min = 10, max = 80) double angle) {
    List<Point> metal =
        List.of(
            new Point(14, -30),
            new Point(40, -30),
            new Point(40, 0),
            new Point(24, -3),
            new Point(19, -8),
            new Point(16, -12));
    double slope = Math.tan(Math.toRadians(angle));
    List<Point> tool =
        List.of(
            new Point(1, 20),
            new Point(1, -depth - (22 - 1) * slope),
            new Point(22, -depth),
            new Point(22, 20));
    List<Point> bore =
        List.of(new Point(1, 21), new Point(1, -20), new Point(throat, -20), new Point(throat, 21));
    Region left = Region.inside(metal).minus(Region.inside(tool)).minus(Region.inside(bore));
    RegionBSPTree2D other = tree(metal);
    other.difference(tree(tool));
    other.difference(tree(bore));
    assertThat(left.areaMm2()).isCloseTo(other.getSize(), within(1e-6));
    assertThat(left.volumeMm3())
        .isCloseTo(2 * Math.PI * other.getCentroid().getX() * other.getSize(), within(1e-3));
  }

  private static RegionBSPTree2D tree(List<Point> outline) {
    double signed = 0;
    for (int k = 0; k < outline.size(); k++) {
      Point a = outline.get(k);
      Point b = outline.get((k + 1) % outline.size());
      signed += a.r() * b.z() - b.r() * a.z();
    }
    List<Vector2D> loop = new ArrayList<>();
    (signed > 0 ? outline : outline.reversed()).forEach(p -> loop.add(Vector2D.of(p.r(), p.z())));
    return LinePath.fromVertexLoop(loop, FINE).toTree();
  }

  @Test
  void openingRoundsCornersAndAddsNothing() {
    Region square = Region.box(10, 20, 0, 10);
    Region round = square.opened(2);
    // Four corners lose a square less a quarter circle each; chords stray by under 1 %.
    assertThat(square.areaMm2() - round.areaMm2()).isCloseTo((4 - Math.PI) * 4, within(0.15));
    assertThat(round.minus(square).isEmpty()).isTrue();
    assertThat(Region.box(0, 1, 0, 1).opened(2).isEmpty()).isTrue();
  }

  /** The nearest places lie within stretches, at ends, and where chains cross. */
  @Test
  void chainsAreHeldAgainstEachOtherWhole() {
    List<Point> bent = List.of(new Point(0, 0), new Point(4, 0), new Point(4, 4));
    List<Point> beside = List.of(new Point(9, 9), new Point(6, 3), new Point(6, 1));
    assertThat(Region.distance(bent, beside)).isEqualTo(2);
    assertThat(Region.distance(beside, bent)).isEqualTo(2);
    assertThat(Region.distance(bent, List.of(new Point(3, 2), new Point(5, 2)))).isZero();
    assertThat(Region.distance(List.of(new Point(7, 8)), bent)).isEqualTo(5);
    assertThat(Region.distance(List.of(new Point(1, 1)), List.of(new Point(4, 5)))).isEqualTo(5);
    Region box = Region.box(0, 1, 0, 1);
    assertThat(box.holds(new Point(1, 0.5))).as("on its edge").isTrue();
    assertThat(box.holds(new Point(1.000001, 0.5))).isFalse();
  }

  @Test
  void distancesAndPieces() {
    Region two = Region.box(0, 1, 0, 1).plus(Region.box(3, 6, 0, 1));
    assertThat(two.pieces()).hasSize(2);
    assertThat(two.pieces().getFirst().areaMm2()).isEqualTo(3);
    assertThat(two.holds(new Point(0.5, 0.5))).isTrue();
    assertThat(two.holds(new Point(2, 0.5))).isFalse();
    assertThat(two.distanceTo(List.of(new Point(2, 0.5)))).isEqualTo(1);
    assertThat(Region.distance(List.of(new Point(0, 0), new Point(0, 2)), List.of(new Point(3, 1))))
        .isEqualTo(3);
    assertThat(Region.EMPTY.volumeMm3()).isZero();
  }
}
