package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeftoverEdgeTest {

  private static final Surface ROOF = Surface.of(Part.ROOF, "the chamber roof");
  private static final Surface STEP = Surface.of(Part.RIDGE, "the step");
  private static final Surface TOP = new Surface(Part.CUT, 0, "the 30");
  private static final Surface SEAT = new Surface(Part.CUT, 1, "the 45");
  private static final Surface LOWER = new Surface(Part.CUT, 2, "the 60");
  private static final Surface LEDGE = Surface.of(Part.SHOULDER, "the ledge");
  private static final Surface THROAT = Surface.of(Part.THROAT, "the throat");
  private static final Surface BOWL = Surface.of(Part.BOWL, "the bowl");

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
    assertThat(ridge.surface().name()).isEqualTo("the step");
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
