package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeftoverEdgeTest {

  private static final Surface ROOF = Surface.of(Trace.CHAMBER_ROOF);
  private static final Surface STEP = Surface.of(Trace.STEP_BESIDE_CUTTER);
  private static final Surface TOP = Surface.cut(0, 30);
  private static final Surface SEAT = Surface.cut(1, 45);
  private static final Surface LOWER = Surface.cut(2, 60);
  private static final Surface LEDGE = Surface.of(Trace.STEP_UNDER_CUTTER);
  private static final Surface THROAT = Surface.of(Trace.THROAT);
  private static final Surface BOWL = Surface.of(Trace.BOWL);

  /** A seat whose 30 ends under a step of a height, and whose throat begins with a ledge. */
  private static Profile wall(double stepMm, double ledgeMm) {
    Profile.Builder wall = new Profile.Builder(new Point(30, -5 + stepMm + 1), Tolerance.FINE);
    wall.to(new Point(20.5, -5 + stepMm), ROOF);
    wall.to(new Point(20.5, -5), STEP);
    wall.to(new Point(19.5, -5 - Math.tan(Math.toRadians(30))), TOP);
    Point at = wall.last();
    wall.to(at.plus(-1, -1), SEAT);
    at = wall.last();
    wall.to(at.plus(-0.5, -0.5 * Math.sqrt(3)), LOWER);
    at = wall.last();
    wall.to(at.plus(-ledgeMm, 0), LEDGE);
    at = wall.last();
    wall.to(at.plus(0, -4), THROAT);
    wall.to(at.plus(0.5, -10), BOWL);
    return wall.build();
  }

  @Test
  void nothingStandsWhereTheWallLeadsOn() {
    assertThat(LeftoverEdge.of(wall(0, 0), 1)).isEmpty();
  }

  @Test
  void aStepOverTheCutsHasItsHeightAndTurn() {
    List<LeftoverEdge> witnesses = LeftoverEdge.of(wall(0.4, 0), 1);
    assertThat(witnesses).hasSize(1);
    LeftoverEdge ridge = witnesses.getFirst();
    assertThat(ridge.inChamber()).isTrue();
    assertThat(ridge.heightMm()).isCloseTo(0.4, within(1e-9));
    assertThat(ridge.turnDeg()).isCloseTo(60, within(1e-9));
    assertThat(ridge.at().r()).isEqualTo(20.5);
    assertThat(ridge.surface()).isEqualTo(STEP);
  }

  @Test
  void aLedgeUnderThemStandsInByItsWidth() {
    List<LeftoverEdge> witnesses = LeftoverEdge.of(wall(0, 0.3), 1);
    assertThat(witnesses).hasSize(1);
    LeftoverEdge ledge = witnesses.getFirst();
    assertThat(ledge.inChamber()).isFalse();
    assertThat(ledge.heightMm()).isCloseTo(0.3, within(1e-9));
    // From 60 degrees to flat.
    assertThat(ledge.turnDeg()).isCloseTo(60, within(1e-9));
  }

  @Test
  void whatCannotBeFeltIsNoWitness() {
    assertThat(LeftoverEdge.of(wall(0.03, 0.03), 1)).isEmpty();
    assertThat(LeftoverEdge.of(wall(0.4, 0.3), 1)).hasSize(2);
  }

  @Test
  void aSeatThatIsNotThereHasNone() {
    assertThat(LeftoverEdge.of(wall(0.4, 0.3), 7)).isEmpty();
  }
}
