package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Tolerance;
import org.junit.jupiter.api.Test;

class TurningTest {

  private static final Surface CUT = Surface.cut(0, 45);

  /** A wall that leaves (20, 0) inward along r and turns down by a quarter circle in steps. */
  private static Profile bend(double radius, int steps) {
    Profile.Builder wall = new Profile.Builder(new Point(20, 0), Tolerance.FINE);
    wall.to(new Point(18, 0), CUT);
    for (int k = 1; k <= steps; k++) {
      double a = Math.PI / 2 * k / steps;
      wall.to(new Point(18 - radius * Math.sin(a), -radius * (1 - Math.cos(a))), CUT);
    }
    return wall.to(wall.last().plus(0, -10), CUT).build();
  }

  /** The stream runs outward along r, the wall is walked against it. */
  private static final Turning.Stream OUTWARD = new Turning.Stream(0, true, 1);

  private static Turning along(Profile wall) {
    return Turning.taut(new Turning.Walk(wall, 0, wall.points().getFirst(), 1), OUTWARD, 100);
  }

  @Test
  void theWholeTurnIsAQuarter() {
    assertThat(along(bend(3, 12)).total()).isCloseTo(Math.PI / 2, within(1e-9));
    assertThat(along(bend(1e-4, 1)).total()).isCloseTo(Math.PI / 2, within(1e-9));
  }

  @Test
  void manySmallCornersActAsTheirRadius() {
    Turning arc = along(bend(3, 200));
    assertThat(arc.radius(Double.POSITIVE_INFINITY, 0.5)).isCloseTo(3, within(0.1));
    Turning sharp = along(bend(1e-4, 1));
    assertThat(sharp.radius(Double.POSITIVE_INFINITY, 0.5)).isLessThan(0.01);
  }

  @Test
  void cornersShedLessAsTheyAreShared() {
    double one = along(bend(1e-4, 1)).shed(0.2, 0.55, 4);
    double two = along(bend(3, 2)).shed(0.2, 0.55, 4);
    double six = along(bend(3, 6)).shed(0.2, 0.55, 4);
    assertThat(one).isCloseTo(1, within(1e-3));
    assertThat(two).isLessThan(one);
    assertThat(six).isLessThan(0.2 * two);
  }

  @Test
  void aHollowIsBridged() {
    Profile wall =
        new Profile.Builder(new Point(20, 0), Tolerance.FINE)
            .to(new Point(18, -2), CUT)
            .to(new Point(18, -5), CUT)
            .to(new Point(15, -5), CUT)
            .to(new Point(15, -12), CUT)
            .build();
    Turning turning = Turning.taut(new Turning.Walk(wall, 0, new Point(20, 0), 1), OUTWARD, 100);
    // From (20, 0) the stream sees (15, -5) at 45 degrees and then the upright wall; (18, -2) lies
    // on the way.
    assertThat(turning.total()).isCloseTo(Math.PI / 2, within(1e-9));
    assertThat(turning.corners()).allSatisfy(c -> assertThat(c.turn()).isPositive());
    assertThat(turning.corners().getLast().at()).isEqualTo(new Point(15, -5));
  }

  @Test
  void theWindowTapers() {
    assertThat(Turning.weight(0, 2)).isEqualTo(1);
    assertThat(Turning.weight(1, 2)).isEqualTo(0.25);
    assertThat(Turning.weight(3, 2)).isZero();
  }
}
