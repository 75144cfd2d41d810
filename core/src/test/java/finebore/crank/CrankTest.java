package finebore.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.crank.Piston.Pocket;
import finebore.flow.CamLift;
import finebore.space.ValveHead;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Line;
import org.hipparchus.geometry.euclidean.threed.Plane;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CrankTest {

  private static final SliderCrank CRANK = new SliderCrank(80, 136);
  private static final Piston FLAT = new Piston(CRANK, 1.4, Optional.empty());

  private static ValveHead upright(double radius) {
    return new ValveHead(10, -15, 0, 0, radius, -8, 1.2);
  }

  @Test
  void pistonIsWhereTheClosedFormHasIt() {
    assertThat(CRANK.belowTopMm(0)).isZero();
    assertThat(CRANK.belowTopMm(180)).isCloseTo(80, within(1e-12));
    // At a right angle the rod is the hypotenuse: r + l - sqrt(l^2 - r^2).
    assertThat(CRANK.belowTopMm(90))
        .isCloseTo(40 + 136 - Math.sqrt(136 * 136 - 40 * 40), within(1e-12));
    assertThat(CRANK.belowTopMm(-70)).isCloseTo(CRANK.belowTopMm(70), within(1e-12));
  }

  /** The pin as the place where a circle of the rod's length meets the bore's line; Hipparchus. */
  @ParameterizedTest
  @ValueSource(doubles = {3, 17.5, 61, 90, 123.4, 179, 250, 355})
  void pistonIsWhereASecondLibraryHasIt(double deg) {
    Vector3D pin =
        new Rotation(Vector3D.PLUS_K, Math.toRadians(deg), RotationConvention.VECTOR_OPERATOR)
            .applyTo(new Vector3D(0, 40, 0));
    Line bore = new Line(Vector3D.ZERO, Vector3D.PLUS_J, 1e-12);
    double up = bore.getAbscissa(pin) + Math.sqrt(136.0 * 136 - Math.pow(bore.distance(pin), 2));
    assertThat(CRANK.belowTopMm(deg)).isCloseTo(40 + 136 - up, within(1e-9));
  }

  @Test
  void aRodShorterThanTheThrowCannotBe() {
    assertThatThrownBy(() -> new SliderCrank(80, 40)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void uprightValveOverAFlatCrownKeepsTheStraightDistance() {
    ValveHead valve = upright(16);
    for (double deg : new double[] {-40, 0, 25}) {
      assertThat(FLAT.clearanceMm(valve, 3.2, deg))
          .isCloseTo(1.4 + CRANK.belowTopMm(deg) - (-8 + 1.2 + 3.2), within(1e-12));
    }
  }

  /** The rim of a leaning plate against a plane, by 3600 points of it; Hipparchus. */
  @ParameterizedTest
  @CsvSource({"12, 0, 0", "9, 14, 0", "12, 0, 7", "9, 14, 16.5", "-6, 4, 11"})
  void leaningValveKeepsWhatASecondLibrarySays(double along, double across, double floor) {
    ValveHead valve = new ValveHead(0, 0, along, across, 17, -6, 1.5);
    double lift = 4;
    double deg = 12;
    Vector3D axis =
        new Vector3D(Math.tan(Math.toRadians(along)), Math.tan(Math.toRadians(across)), 1)
            .normalize();
    Vector3D aside = new Vector3D(axis.getX(), axis.getY(), 0).normalize();
    double top = 1.4;
    double depth = 3;
    double lean = Math.toRadians(floor);
    // The pocket's middle is where the axis meets the crown at top dead centre.
    double out = top * Math.tan(valve.leanRad());
    Vector3D middle =
        aside.scalarMultiply(out).add(new Vector3D(0, 0, top + CRANK.belowTopMm(deg) + depth));
    Vector3D normal = aside.scalarMultiply(Math.sin(lean)).add(new Vector3D(0, 0, Math.cos(lean)));
    Plane plane = new Plane(middle, normal, 1e-12);
    Vector3D u = axis.orthogonal();
    Vector3D v = axis.crossProduct(u);
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < 3600; k++) {
      double a = 2 * Math.PI * k / 3600;
      Vector3D rim =
          axis.scalarMultiply(-6 + 1.5 + lift)
              .add(u.scalarMultiply(17 * Math.cos(a)))
              .add(v.scalarMultiply(17 * Math.sin(a)));
      least = Math.min(least, -plane.getOffset(rim));
    }
    Piston piston =
        new Piston(
            CRANK,
            top,
            Optional.of(
                new Pocket(depth, Double.POSITIVE_INFINITY, floor, OptionalDouble.empty())));
    assertThat(piston.clearanceMm(valve, lift, deg)).isCloseTo(least, within(1e-4));
  }

  @Test
  void aPocketTooNarrowForTheHeadIsAsGoodAsNone() {
    ValveHead valve = upright(16);
    Piston wide = new Piston(CRANK, 1.4, Optional.of(new Pocket(4, 18, 0, OptionalDouble.empty())));
    Piston narrow =
        new Piston(CRANK, 1.4, Optional.of(new Pocket(4, 15.9, 0, OptionalDouble.empty())));
    assertThat(narrow.clearanceMm(valve, 8, 0))
        .isCloseTo(FLAT.clearanceMm(valve, 8, 0), within(1e-9));
    // Within it, its rim is nearer than its floor: 18 - 16.
    assertThat(wide.clearanceMm(valve, 8.4, 0)).isCloseTo(2, within(1e-12));
    assertThat(wide.clearanceMm(valve, 10.4, 0)).isCloseTo(1.4 + 4 - 3.6, within(1e-12));
  }

  @Test
  void aCentreAfterTopIsTheIntakesAndLashTakesLift() {
    ValveMotion motion = new ValveMotion(new CamLift(10, 260), 108, 0.25);
    assertThat(motion.liftMm(108)).isCloseTo(9.75, within(1e-12));
    assertThat(motion.liftMm(108 - 131)).isZero();
    assertThat(motion.liftMm(108 + 720)).isCloseTo(9.75, within(1e-12));
    assertThat(motion.liftMm(80)).isCloseTo(motion.liftMm(136), within(1e-12));
    // The exhaust's turn ends in the one before; two turns make a cycle.
    ValveMotion exhaust = new ValveMotion(new CamLift(10, 260), -108, 0);
    assertThat(exhaust.liftMm(-108)).isCloseTo(10, within(1e-12));
    assertThat(exhaust.liftMm(612)).isCloseTo(10, within(1e-12));
    assertThat(exhaust.liftMm(252)).isZero();
    assertThat(exhaust.liftMm(21)).isPositive();
    assertThat(exhaust.liftMm(23)).isZero();
    assertThat(exhaust.liftMm(-239)).isZero();
    assertThat(new ValveMotion(new CamLift(10, 260), 108, 0.5).liftMm(-20)).isZero();
  }

  @Test
  void aMeasuredCamsPeakIsWhereItsTableHasIt() {
    CamLift cam =
        CamLift.measured(
            List.of(
                new CamLift.Step(-20, 0),
                new CamLift.Step(60, 6),
                new CamLift.Step(90, 9),
                new CamLift.Step(100, 9),
                new CamLift.Step(180, 2),
                new CamLift.Step(230, 0)));
    assertThat(cam.peakPart()).isCloseTo(115.0 / 250, within(1e-12));
    assertThat(new ValveMotion(cam, 110, 0).liftMm(110)).isCloseTo(9, within(1e-12));
    assertThat(new ValveMotion(cam, 110, 0).liftMm(110 - 35)).isCloseTo(6, within(1e-12));
  }

  @Test
  void twoUprightHeadsSideBySideKeepTheGapBetweenTheirRims() {
    ValveHead a = new ValveHead(0, 0, 0, 0, 18, -7, 1.5);
    ValveHead b = new ValveHead(36, 0, 0, 0, 15, -7, 1.5);
    assertThat(a.clearanceMm(2, b, 2)).isCloseTo(3, within(1e-9));
    assertThat(b.clearanceMm(2, a, 2)).isCloseTo(3, within(1e-9));
    // One 5 lower than the other: from its edge up to the other's under side, past the margin.
    assertThat(a.clearanceMm(7, b, 2)).isCloseTo(Math.hypot(3, 3.5), within(1e-9));
  }

  @Test
  void headsOneOverTheOtherKeepWhatLiesBetweenTheirFaces() {
    ValveHead a = new ValveHead(0, 0, 0, 0, 18, -7, 1.5);
    ValveHead b = new ValveHead(25, 0, 0, 0, 15, -7, 1.5);
    assertThat(a.clearanceMm(6, b, 1)).isCloseTo(5 - 1.5, within(1e-9));
    assertThat(a.clearanceMm(1.3, b, 1)).isNegative();
  }

  /** Two plates that lean toward each other, by brute force over both rims; Hipparchus. */
  @Test
  void leaningHeadsKeepNoMoreThanAnyTwoPointsOfTheirRims() {
    ValveHead a = new ValveHead(0, -20, 3, 12, 18, -8, 1.2);
    ValveHead b = new ValveHead(2, 19, -2, -14, 15, -8, 1.5);
    double way = a.clearanceMm(4, b, 5);
    double rims = Double.POSITIVE_INFINITY;
    for (Vector3D p : rim(a, 4)) {
      for (Vector3D q : rim(b, 5)) {
        rims = Math.min(rims, p.distance(q));
      }
    }
    assertThat(way).isPositive().isLessThanOrEqualTo(rims + 1e-6).isCloseTo(rims, within(1e-3));
  }

  private static List<Vector3D> rim(ValveHead head, double lift) {
    Vector3D axis =
        new Vector3D(
                Math.tan(Math.toRadians(head.leanAlongDeg())),
                Math.tan(Math.toRadians(head.leanAcrossDeg())),
                1)
            .normalize();
    Vector3D u = axis.orthogonal();
    Vector3D v = axis.crossProduct(u);
    List<Vector3D> points = new java.util.ArrayList<>();
    for (double up : new double[] {0, head.marginMm()}) {
      for (int k = 0; k < 720; k++) {
        double angle = Math.PI * k / 360;
        points.add(
            new Vector3D(head.alongMm(), head.acrossMm(), 0)
                .add(axis.scalarMultiply(head.restMm() + lift + up))
                .add(u.scalarMultiply(head.radiusMm() * Math.cos(angle)))
                .add(v.scalarMultiply(head.radiusMm() * Math.sin(angle))));
      }
    }
    return points;
  }

  @Test
  void theSmallestIsFoundBetweenThePointsThatAreLookedAt() {
    ClearanceCurve curve =
        ClearanceCurve.of(5, deg -> Math.abs(deg) < 60, deg -> 3 + Math.abs(deg - 12.34) / 10)
            .orElseThrow();
    assertThat(curve.least().crankDeg()).isCloseTo(12.34, within(0.02));
    assertThat(curve.least().mm()).isCloseTo(3, within(0.002));
    assertThat(curve.points()).hasSize(23);
    assertThat(ClearanceCurve.of(5, deg -> false, deg -> 1)).isEmpty();
  }

  /** Open from 22 before to 238 after top dead centre, and again 720 degrees on; shut between. */
  @Test
  void aValveOpensOnceInTwoTurns() {
    ValveMotion motion = new ValveMotion(new CamLift(10, 260), 108, 0);
    assertThat(motion.liftMm(108)).isCloseTo(10, within(1e-9));
    assertThat(motion.liftMm(108 + 720)).isCloseTo(10, within(1e-9));
    assertThat(motion.liftMm(108 - 720)).isCloseTo(10, within(1e-9));
    assertThat(motion.liftMm(-23)).isZero();
    assertThat(motion.liftMm(239)).isZero();
    assertThat(motion.liftMm(400)).isZero();
    assertThat(motion.liftMm(-20)).isPositive();
    assertThat(motion.liftMm(236)).isPositive();
    assertThat(motion.liftMm(-20 - 720)).isCloseTo(motion.liftMm(-20), within(1e-12));
  }

  /** Surfaces of piston and head walked over in small steps, for pockets with either wall. */
  @ParameterizedTest
  @CsvSource({
    "0, 16, 18, 0, 8.4",
    "12, 17, 18.5, 12, 9.0",
    "12, 17, 18.5, 0, 9.0",
    "12, 17, 17.2, 12, 6.0",
    "20, 15, 16.5, 20, 8.0",
    "20, 15, 16.5, 0, 8.0",
    "20, 15, 14.0, 0, 6.5",
    "28, 18.5, 20, 28, 7.0",
    "28, 18.5, 20, 10, 7.0"
  })
  void aPocketIsKeptAsSampledSurfacesAre(
      double lean, double radius, double pocket, double wall, double lift) {
    double top = 1.4;
    double depth = 5;
    double floor = lean * 0.8;
    ValveHead valve = new ValveHead(0, 0, lean, 0, radius, -7, 1.2);
    Piston piston =
        new Piston(
            CRANK, top, Optional.of(new Pocket(depth, pocket, floor, OptionalDouble.of(wall))));
    double mm = piston.clearanceMm(valve, lift, 0);
    List<Vector3D> metal = surfaces(top, depth, pocket, lean, floor, wall);
    List<Vector3D> head = plate(valve, lift);
    double least = Double.POSITIVE_INFINITY;
    for (Vector3D p : head) {
      for (Vector3D q : metal) {
        least = Math.min(least, p.distance(q));
      }
    }
    if (mm > 0) {
      assertThat(mm).isCloseTo(least, within(0.1));
    } else {
      assertThat(least).isLessThan(0.4);
    }
  }

  private static List<Vector3D> plate(ValveHead valve, double lift) {
    Vector3D axis = new Vector3D(Math.tan(Math.toRadians(valve.leanAlongDeg())), 0, 1).normalize();
    Vector3D u = axis.orthogonal();
    Vector3D v = axis.crossProduct(u);
    List<Vector3D> points = new ArrayList<>();
    for (int k = 0; k < 120; k++) {
      double a = 2 * Math.PI * k / 120;
      for (double share : new double[] {0.8, 1}) {
        for (double over : new double[] {0, 1.2}) {
          points.add(
              axis.scalarMultiply(valve.restMm() + lift + over)
                  .add(u.scalarMultiply(share * valve.radiusMm() * Math.cos(a)))
                  .add(v.scalarMultiply(share * valve.radiusMm() * Math.sin(a))));
        }
      }
    }
    return points;
  }

  /** Crown round the pocket, its rim, wall and floor. */
  private static List<Vector3D> surfaces(
      double top, double depth, double radius, double lean, double floor, double wall) {
    double middle = top * Math.tan(Math.toRadians(lean));
    Vector3D down = new Vector3D(Math.sin(Math.toRadians(wall)), 0, Math.cos(Math.toRadians(wall)));
    Vector3D normal =
        new Vector3D(Math.sin(Math.toRadians(floor)), 0, Math.cos(Math.toRadians(floor)));
    Vector3D on = new Vector3D(middle, 0, top + depth);
    List<Vector3D> points = new ArrayList<>();
    for (int k = 0; k < 180; k++) {
      double a = 2 * Math.PI * k / 180;
      Vector3D rim =
          new Vector3D(middle + radius / down.getZ() * Math.cos(a), radius * Math.sin(a), top);
      Vector3D in = rim.subtract(new Vector3D(middle, 0, top));
      for (double out = 1; out < 1.5; out += 0.02) {
        points.add(new Vector3D(middle, 0, top).add(in.scalarMultiply(out)));
      }
      double length = on.subtract(rim).dotProduct(normal) / down.dotProduct(normal);
      for (int n = 0; n <= 40; n++) {
        points.add(rim.add(down.scalarMultiply(length * n / 40)));
      }
      Vector3D foot = rim.add(down.scalarMultiply(length));
      Vector3D middleOfFloor =
          new Vector3D(middle, 0, top)
              .add(
                  down.scalarMultiply(
                      on.subtract(new Vector3D(middle, 0, top)).dotProduct(normal)
                          / down.dotProduct(normal)));
      for (int n = 0; n <= 40; n++) {
        points.add(middleOfFloor.add(foot.subtract(middleOfFloor).scalarMultiply(n / 40.0)));
      }
    }
    return points;
  }
}
