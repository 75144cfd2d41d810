package finebore.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import finebore.room.Room.Nearest;
import finebore.room.Shroud.State;
import finebore.space.ValveHead;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Walls round a valve: areas against closed forms, and what must hold of any of them. */
class ShroudTest {

  private static final double EDGE = 20;

  /** A level head beside it, as thick as nothing. */
  private static ValveHead shut(double along, double across, double head, double top) {
    return new ValveHead(along, across, 0, 0, head / 2, top, 0);
  }

  private static Room open(double along, double across, double bore) {
    return new Room(along, across, 0, 0, bore, Optional.empty(), List.of(), PortSide.INTAKE);
  }

  private static Room walled(double... fromAxis) {
    return walled(PortSide.INTAKE, fromAxis);
  }

  private static Room walled(PortSide side, double... fromAxis) {
    Map<Double, Double> wall = new TreeMap<>();
    for (int k = 0; k < fromAxis.length; k++) {
      wall.put(12.0 * k / fromAxis.length, fromAxis[k]);
    }
    return new Room(3, -14, 0, 0, 86, ChamberWall.of(wall, 9), List.of(), side);
  }

  private static double areaMm2(Room room, double edge, double height) {
    double sum = 0;
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      sum += room.gap(d, edge, height).perRadianMm2() * 2 * Math.PI / Around.DIRECTIONS;
    }
    return sum;
  }

  /** In polar form the area between two closed lines is half the integral of their squares. */
  @ParameterizedTest
  @CsvSource({"0, 0", "12, 0", "-9, 15", "0, -22"})
  void inARoundBoreTheWayOutIsTheBoreLessTheHead(double along, double across) {
    Room room = open(along, across, 86);
    assertThat(areaMm2(room, EDGE, 2))
        .isCloseTo(Math.PI * (43 * 43 - EDGE * EDGE), within(0.001 * Math.PI * 43 * 43));
  }

  /** Against a fine sum over a plain disc beside a straight wall, drawn without this code. */
  @Test
  void besideAStraightWallItIsTheSumOfItsStrips() {
    double away = 24;
    Map<Double, Double> wall = new TreeMap<>();
    for (int k = 0; k < 24; k++) {
      double toward = Math.cos(2 * Math.PI * k / 24 - Math.PI / 2);
      wall.put(k / 2.0, toward > 0.25 ? away / toward : 96.0);
    }
    Room room = new Room(0, 0, 0, 0, 4000, ChamberWall.of(wall, 30), List.of(), PortSide.INTAKE);
    for (int d : new int[] {12, 15, 18, 21, 24}) {
      double toward = Math.cos(Around.angleRad(d) - Math.PI / 2);
      double strips = 0;
      double to = away / toward;
      for (int n = 0; n < 10_000; n++) {
        strips += (EDGE + (n + 0.5) * (to - EDGE) / 10_000) * (to - EDGE) / 10_000;
      }
      assertThat(room.gap(d, EDGE, -5).perRadianMm2()).isCloseTo(strips, within(1e-6 * strips));
      assertThat(room.gap(d, EDGE, -5).what()).isEqualTo(Nearest.CHAMBER);
    }
  }

  @Test
  void overTheHeadFaceTheWayToTheWallsEdgeIsASlope() {
    Room room = walled(23, 23, 23, 23);
    assertThat(room.gap(0, EDGE, -1).distanceMm()).isCloseTo(3, within(1e-12));
    assertThat(room.gap(0, EDGE, 4).distanceMm()).isCloseTo(5, within(1e-12));
    assertThat(room.gap(0, EDGE, 4).perRadianMm2()).isCloseTo(5 * 21.5, within(1e-9));
    // Below its foot it is a slope as well.
    assertThat(room.gap(0, EDGE, -13).distanceMm()).isCloseTo(5, within(1e-12));
  }

  @Test
  void aShutNeighbourIsAWallUpToItsEdge() {
    Room alone = open(-20, 0, 4000);
    Room beside =
        new Room(
            -20, 0, 0, 0, 4000, Optional.empty(), List.of(shut(22, 0, 34, -8)), PortSide.INTAKE);
    int east = Around.DIRECTIONS / 4;
    assertThat(beside.gap(east, EDGE, -8).outwardMm()).isCloseTo(42 - 17 - EDGE, within(1e-12));
    assertThat(beside.gap(east, EDGE, -8).what()).isEqualTo(Nearest.NEIGHBOUR);
    assertThat(beside.gap(east, EDGE, 4).distanceMm()).isCloseTo(13, within(1e-12));
    assertThat(beside.gap(3 * east, EDGE, -8)).isEqualTo(alone.gap(3 * east, EDGE, -8));
  }

  @Test
  void aWallAtTheEdgeShutsItsDirectionsAndOneFarOffNone() {
    Shroud far = Shroud.of(walled(80, 80, 80, 80), EDGE, -2, 500);
    assertThat(far.degrees(State.FREE)).isEqualTo(360);
    assertThat(far.share()).isGreaterThan(0.999);
    Shroud half = Shroud.of(walled(20, 20, 80, 80, 80, 80, 20, 20), EDGE, -2, 500);
    assertThat(half.degrees(State.SHUT)).isBetween(90.0, 270.0);
    assertThat(half.share()).isBetween(0.3, 0.7);
    assertThat(half.degrees(State.FREE) + half.degrees(State.TIGHT) + half.degrees(State.SHUT))
        .isEqualTo(360);
    // The long side of an intake is the one toward the exhausts: shut, it costs more there.
    Shroud other =
        Shroud.of(walled(PortSide.EXHAUST, 20, 20, 80, 80, 80, 80, 20, 20), EDGE, -2, 500);
    assertThat(half.share()).isLessThan(other.share());
  }

  @Test
  void takingWallAwayNeverCosts() {
    Random random = new Random(3);
    for (int n = 0; n < 300; n++) {
      double[] wall = random.doubles(8, EDGE - 1, EDGE + 12).toArray();
      double[] back = wall.clone();
      back[random.nextInt(8)] += random.nextDouble() * 3;
      double lift = random.nextDouble() * 14 - 6;
      double gate = 50 + random.nextDouble() * 700;
      assertThat(Shroud.of(walled(back), EDGE, lift, gate).share())
          .isGreaterThanOrEqualTo(Shroud.of(walled(wall), EDGE, lift, gate).share());
    }
  }

  @Test
  void mirroredHeadsAgree() {
    Random random = new Random(4);
    for (int n = 0; n < 100; n++) {
      double[] gaps = random.doubles(8, EDGE, EDGE + 9).toArray();
      Map<Double, Double> wall = new TreeMap<>();
      Map<Double, Double> mirrored = new TreeMap<>();
      for (int k = 0; k < 8; k++) {
        wall.put(1.5 * k, gaps[k]);
        mirrored.put(1.5 * ((8 - k) % 8), gaps[k]);
      }
      double lean = random.nextDouble() * 12 - 6;
      Room here =
          new Room(
              7,
              -12,
              lean,
              5,
              90,
              ChamberWall.of(wall, 8),
              List.of(shut(5, 25, 30, -7)),
              PortSide.EXHAUST);
      Room there =
          new Room(
              -7,
              -12,
              -lean,
              5,
              90,
              ChamberWall.of(mirrored, 8),
              List.of(shut(-5, 25, 30, -7)),
              PortSide.EXHAUST);
      assertThat(Shroud.of(there, EDGE, 3, 400).share())
          .isCloseTo(Shroud.of(here, EDGE, 3, 400).share(), within(1e-12));
    }
  }

  @Test
  void aLargerFixtureShroudsLess() {
    Room room = open(0, -21, 82);
    double small = Shroud.of(room, EDGE, 8, 600).share();
    double large = Shroud.of(room.inBore(104), EDGE, 8, 600).share();
    assertThat(small).isLessThan(large - 0.01);
  }

  /** A head that leans away from its wall as it opens gets free of it. */
  @Test
  void aLeanTakesTheHeadAside() {
    Room upright = new Room(0, -20, 0, 0, 84, Optional.empty(), List.of(), PortSide.INTAKE);
    Room canted = new Room(0, -20, 0, 15, 84, Optional.empty(), List.of(), PortSide.INTAKE);
    int south = Around.DIRECTIONS / 2;
    assertThat(upright.gap(south, EDGE, 10).outwardMm()).isCloseTo(2, within(1e-12));
    assertThat(canted.gap(south, EDGE, 10).outwardMm())
        .isCloseTo(
            42 - (20 - 10 * Math.sin(Math.toRadians(15)) + EDGE * Math.cos(Math.toRadians(15))),
            within(1e-12));
    assertThat(upright.head(EDGE, -8, 0).leastToBoreMm(84, 12)).isCloseTo(2, within(1e-9));
    assertThat(canted.head(EDGE, 0, 0).leastToBoreMm(84, 12)).isGreaterThan(2);
  }

  @Test
  void headsThatMeetOnTheWayAreSeen() {
    ValveHead beside = shut(0, 21.5, 34, -8);
    Room toward = new Room(0, -20, 0, 20, 200, Optional.empty(), List.of(beside), PortSide.INTAKE);
    ValveHead head = toward.head(EDGE, -8, 0);
    double shut = toward.leastToNeighbourMm(head, 0).orElseThrow();
    // It goes over the other before it gets there, but comes nearer first.
    assertThat(toward.leastToNeighbourMm(head, 13).orElseThrow()).isLessThan(shut - 0.3);
    Room close = new Room(0, -11, 0, 20, 200, Optional.empty(), List.of(beside), PortSide.INTAKE);
    assertThat(close.leastToNeighbourMm(close.head(EDGE, -8, 1.5), 13).orElseThrow()).isNegative();
    assertThat(open(0, 0, 80).leastToNeighbourMm(head, 10)).isEmpty();
  }

  @Test
  void theWallIsTakenBackToWhereItCostsNothingButNotPastTheLimit() {
    Room room = walled(22, 22, 22, 22);
    List<WallBack> back =
        WallBack.of(
            room,
            EDGE,
            -1,
            500,
            IntStream.range(0, Around.DIRECTIONS)
                .mapToObj(d -> new WallLimit(room.toCircleFromAxis(d, 38), WallLimit.By.FIRE_RING))
                .toList());
    WallBack north = back.getFirst();
    assertThat(north.nowMm()).isEqualTo(22);
    // Seen from the axis the fire ring is as far as the bore's centre is and its radius.
    assertThat(north.limitMm()).isCloseTo(Math.sqrt(38 * 38 - 9) + 14, within(1e-9));
    assertThat(north.ruleMm()).isCloseTo(EDGE + 9 * 0.72, within(1e-9));
    Room freed = walled(north.freeMm(), north.freeMm(), north.freeMm(), north.freeMm());
    assertThat(Shroud.of(freed, EDGE, -1, 500).parts().getFirst().passes())
        .isCloseTo(Shroud.FREE_SHARE, within(1e-9));
    WallBack south = back.get(Around.DIRECTIONS / 2);
    assertThat(south.isHeld()).isTrue();
    assertThat(south.takeMm()).isCloseTo(Math.max(0, south.limitMm() - 22), within(1e-12));
    assertThat(north.isHeld()).isFalse();
    assertThat(north.takeMm()).isCloseTo(north.freeMm() - 22, within(1e-12));
  }

  @Test
  void betweenItsHoursAWallIsAStraightLineOfDistance() {
    ChamberWall wall = ChamberWall.of(Map.of(0.0, 22.0, 3.0, 25.0, 6.0, 30.0, 9.0, 26.0), 8).get();
    assertThat(wall.atMm(0)).isEqualTo(22);
    assertThat(wall.atMm(Around.DIRECTIONS / 8)).isCloseTo(23.5, within(1e-12));
    // Past the last hour on to the first.
    assertThat(wall.atMm(7 * Around.DIRECTIONS / 8)).isCloseTo(24, within(1e-12));
    assertThat(ChamberWall.of(Map.of(0.0, 22.0, 3.0, 25.0, 6.0, 30.0), 8)).isEmpty();
  }

  @Test
  void statesHaveTheirLimits() {
    assertThat(new Shroud.Part(Room.Gap.FREE, 0.99).state()).isEqualTo(Shroud.State.FREE);
    assertThat(new Shroud.Part(Room.Gap.FREE, 0.9899).state()).isEqualTo(Shroud.State.TIGHT);
    assertThat(new Shroud.Part(Room.Gap.FREE, 0.05).state()).isEqualTo(Shroud.State.TIGHT);
    assertThat(new Shroud.Part(Room.Gap.FREE, 0.0499).state()).isEqualTo(Shroud.State.SHUT);
  }

  /** The long side lies away from where the port comes from, wherever that is. */
  @Test
  void eachSideHasItsOwnDischarge() {
    assertThat(PortSide.INTAKE.discharge(Around.angleRad(0))).isEqualTo(0.72);
    assertThat(PortSide.INTAKE.discharge(Around.angleRad(36))).isEqualTo(0.65);
    assertThat(PortSide.EXHAUST.discharge(Around.angleRad(36))).isEqualTo(0.72);
    assertThat(PortSide.EXHAUST.discharge(Around.angleRad(0))).isEqualTo(0.65);
    PortSide at8 = new PortSide(8, true, 0.75, 0.6);
    assertThat(at8.longClock()).isEqualTo(2);
    // Two o'clock is the twelfth direction; a quarter of the clock to each side they meet.
    assertThat(at8.discharge(Around.angleRad(12))).isEqualTo(0.75);
    assertThat(at8.discharge(Around.angleRad(48))).isEqualTo(0.6);
    assertThat(at8.discharge(Around.angleRad(12 + 18))).isEqualTo((0.75 + 0.6) / 2);
    assertThat(at8.discharge(Around.angleRad(12 - 17))).isEqualTo(0.75);
    assertThat(at8.discharge(Around.angleRad(12 - 19))).isEqualTo(0.6);
    assertThat(Shroud.passes(100, 0)).isZero();
    assertThat(Shroud.passes(100, Double.POSITIVE_INFINITY)).isEqualTo(1);
    // What counts as free leaves just so much.
    double gap = Shroud.freePerRadianMm2(500, 0.72);
    assertThat(Shroud.passes(0.72 * 500 / (2 * Math.PI), gap))
        .isCloseTo(Shroud.FREE_SHARE, within(1e-12));
  }

  @Test
  void aWallTakenBackStandsFurtherAtEveryHour() {
    ChamberWall wall =
        ChamberWall.of(Map.of(0.0, 20.0, 3.0, 22.0, 6.0, 21.0, 9.0, 25.0), 9).orElseThrow();
    ChamberWall back = wall.takenBack(0.5);
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      assertThat(back.atMm(d)).isCloseTo(wall.atMm(d) + 0.5, within(1e-12));
      assertThat(back.depthAtMm(d)).isEqualTo(9);
    }
    assertThat(wall.atMm(63)).isCloseTo(22.5, within(1e-12));
    assertThat(ChamberWall.of(Map.of(0.0, 20.0, 3.0, 22.0, 6.0, 21.0), 9)).isEmpty();
    assertThatExceptionOfType(IllegalArgumentException.class)
        .isThrownBy(() -> new ChamberWall(new TreeMap<>(Map.of(0.0, 20.0)), 9));
    assertThatExceptionOfType(IllegalArgumentException.class)
        .isThrownBy(() -> new ChamberWall(wall.fromAxisMm(), new TreeMap<>()));
  }
}
