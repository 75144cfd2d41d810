package finebore.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A leaning head held against closed forms and against a circle that a geometry library turns in
 * space and that is walked round in small steps.
 */
class RimTest {

  private static final int STEPS = 7200;

  /** Points of an edge: a level circle turned onto the axis. */
  private static Vector3D[] sampled(ValveHead head, double out) {
    Vector3D axis =
        new Vector3D(
                Math.tan(Math.toRadians(head.leanAlongDeg())),
                Math.tan(Math.toRadians(head.leanAcrossDeg())),
                1)
            .normalize();
    Rotation turn = new Rotation(Vector3D.PLUS_K, axis);
    Vector3D middle =
        new Vector3D(head.alongMm(), head.acrossMm(), 0).add(axis.scalarMultiply(out));
    Vector3D[] points = new Vector3D[STEPS];
    for (int k = 0; k < STEPS; k++) {
      double angle = 2 * Math.PI * k / STEPS;
      points[k] =
          turn.applyTo(new Vector3D(Math.cos(angle), Math.sin(angle), 0))
              .scalarMultiply(head.radiusMm())
              .add(middle);
    }
    return points;
  }

  private static ValveHead any(Random random) {
    return new ValveHead(
        40 * random.nextDouble() - 20,
        40 * random.nextDouble() - 20,
        60 * random.nextDouble() - 30,
        60 * random.nextDouble() - 30,
        10 + 15 * random.nextDouble(),
        4 - 16 * random.nextDouble(),
        0.5 + 2 * random.nextDouble());
  }

  /** R cos(lean) across the lean, R sin(lean) up and down, h sin(lean) aside: by hand. */
  @ParameterizedTest
  @CsvSource({"28", "-28", "15", "0", "45"})
  void aLeaningHeadReachesAndRisesAsTrigonometrySays(double lean) {
    double b = Math.toRadians(lean);
    ValveHead head = new ValveHead(3, -12, 0, lean, 20, -7, 1.5);
    Rim seen = head.seen();
    assertThat(seen.alongMm()).isCloseTo(3, within(1e-12));
    assertThat(seen.acrossMm()).isCloseTo(-12 - 5.5 * Math.sin(b), within(1e-12));
    assertThat(seen.heightMm()).isCloseTo(-5.5 * Math.cos(b), within(1e-12));
    assertThat(seen.reachMm(0, 1)).isCloseTo(20 * Math.cos(b), within(1e-12));
    assertThat(seen.reachMm(1, 0)).isCloseTo(20, within(1e-12));
    assertThat(seen.heightMm(0, 1)).isCloseTo(seen.heightMm() - 20 * Math.sin(b), within(1e-12));
    assertThat(seen.heightMm(0, -1)).isCloseTo(seen.heightMm() + 20 * Math.sin(b), within(1e-12));
    assertThat(head.rim(4, 0).acrossMm() - head.rim(0, 0).acrossMm())
        .isCloseTo(4 * Math.sin(b), within(1e-12));
  }

  @Test
  void whatAnEdgeKeepsFromABoreIsThatOfASampledOne() {
    Random random = new Random(4);
    for (int k = 0; k < 60; k++) {
      ValveHead head = any(random);
      double far = 0;
      for (Vector3D p : sampled(head, head.restMm() + head.marginMm())) {
        double out = Math.hypot(p.getX(), p.getY());
        far = Math.max(far, out);
      }
      assertThat(head.seen().farthestMm()).isCloseTo(far, within(1e-4));
      assertThat(head.seen().gapToBoreMm(86)).as(head.toString()).isCloseTo(43 - far, within(1e-4));
    }
  }

  @Test
  void whatACaliperFindsBetweenTwoEdgesIsThatOfSampledOnes() {
    Random random = new Random(5);
    int apart = 0;
    for (int k = 0; k < 40; k++) {
      ValveHead a = any(random).at(-20, 3 * random.nextDouble());
      ValveHead b = any(random).at(24, 3 * random.nextDouble());
      double caliper = a.seen().to(b.seen()).mm();
      double least = Double.POSITIVE_INFINITY;
      Vector3D[] others = sampled(b, b.restMm() + b.marginMm());
      Vector3D[] own = sampled(a, a.restMm() + a.marginMm());
      for (int i = 0; i < STEPS; i += 12) {
        for (int j = 0; j < STEPS; j += 12) {
          least = Math.min(least, own[i].distance(others[j]));
        }
      }
      if (caliper > 0.5) {
        apart++;
        assertThat(caliper).as(a + " " + b).isCloseTo(least, within(0.01));
      }
    }
    assertThat(apart).isGreaterThan(10);
  }

  @Test
  void aRayMeetsAnEdgeWhereItsEllipseLies() {
    Random random = new Random(6);
    for (int k = 0; k < 200; k++) {
      Rim rim = any(random).seen();
      double angle = 2 * Math.PI * random.nextDouble();
      Rim.Place target = rim.toward(angle);
      double fromX = target.alongMm() + 50 * Math.sin(angle);
      double fromY = target.acrossMm() + 50 * Math.cos(angle);
      assertThat(rim.metMm(fromX, fromY, -Math.sin(angle), -Math.cos(angle)).orElseThrow())
          .isCloseTo(50, within(1e-9));
      assertThat(rim.planeMm(target.alongMm(), target.acrossMm()))
          .isCloseTo(target.heightMm(), within(1e-9));
      assertThat(rim.metMm(fromX, fromY, Math.sin(angle), Math.cos(angle))).isEmpty();
    }
  }

  /** A lean the other way is the mirror image, as all that is kept from a bore about 0. */
  @Test
  void aMirroredCantKeepsTheSame() {
    Random random = new Random(7);
    for (int k = 0; k < 50; k++) {
      ValveHead head = any(random);
      ValveHead mirrored =
          new ValveHead(
              -head.alongMm(),
              head.acrossMm(),
              -head.leanAlongDeg(),
              head.leanAcrossDeg(),
              head.radiusMm(),
              head.restMm(),
              head.marginMm());
      assertThat(mirrored.leastToBoreMm(86, 9)).isCloseTo(head.leastToBoreMm(86, 9), within(1e-4));
      assertThat(mirrored.seen().farthestMm()).isCloseTo(head.seen().farthestMm(), within(1e-5));
    }
  }

  /** Level heads by hand: the bore's radius less the axis' place and the head's. */
  @Test
  void anUprightHeadKeepsTheSameAllTheWay() {
    ValveHead head = new ValveHead(0, -20, 0, 0, 21, -9, 1);
    assertThat(head.leastToBoreMm(86, 12)).isCloseTo(2, within(1e-9));
    assertThat(head.leastToBoreMm(80, 12)).isCloseTo(-1, within(1e-9));
    assertThat(head.farthestInHeadMm(12)).isCloseTo(41, within(1e-9));
    assertThat(new ValveHead(0, -20, 0, 0, 21, 0.95, 1).seen().heightMm())
        .isCloseTo(1.95, within(1e-12));
  }
}
