package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.TakeWallBack;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.room.Around;
import finebore.room.Room;
import finebore.room.WallLimit;
import finebore.room.WallLimit.By;
import finebore.rules.PlanFindings;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WallLimitsTest {

  private static final SeatPlace I1 = Samples.job().engine().seats().getFirst();

  /** The 42 mm valve 20 mm off the middle of a large bore, its wall 22.5 mm from its axis. */
  private static Job job(double plugAlong, double plugAcross) {
    Job job = read(read(Samples.job(), Measure.AXIS_ALONG, 0), Measure.AXIS_ACROSS, -20);
    job = read(job, Measure.CHAMBER_DEPTH, 9);
    for (Measure wall : Measure.CHAMBER_WALL) {
      job = read(job, wall, 1.5);
    }
    return job.withHead(
        job.head()
            .withLayout(
                Optional.of(new HeadLayout(1, 200, 140, 90, plugAlong, plugAcross, 14, 0, 0))));
  }

  private static Job read(Job job, Measure measure, double value) {
    return job.withHead(job.head().withReading("I1", measure, OptionalDouble.of(value)));
  }

  private static List<WallLimit> limits(Job job) {
    Room room = SeatRoom.found(job, I1).orElseThrow();
    return WallLimits.of(job, I1, room);
  }

  private static int at(double hour) {
    return (int) Math.round(hour * Around.DIRECTIONS / 12);
  }

  @Test
  void withoutAReadingOnlyTheFireRingLessItsMarginStops() {
    assertThat(limits(job(0, -60))).hasSize(72);
    WallLimit south = limits(job(60, 60)).get(36);
    assertThat(south.by()).isEqualTo(By.FIRE_RING);
    assertThat(south.mm()).isCloseTo(70 - 1 - 20, within(1e-12));
    assertThat(limits(job(60, 60)).get(0).mm()).isCloseTo(70 - 1 + 20, within(1e-12));
  }

  @Test
  void metalToTheWaterStopsHalfTheWayToTheNextHourRead() {
    // The shop leaves 3 mm before the water.
    Job job = read(job(60, 60), Measure.WATER_6, 8);
    List<WallLimit> limits = limits(job);
    assertThat(limits.get(at(6))).isEqualTo(new WallLimit(22.5 + 8 - 3, By.WATER));
    assertThat(limits.get(at(6.5)).by()).isEqualTo(By.WATER);
    assertThat(limits.get(at(5.5)).by()).isEqualTo(By.WATER);
    assertThat(limits.get(at(7)).by()).isEqualTo(By.FIRE_RING);
    assertThat(limits.get(at(5)).by()).isEqualTo(By.FIRE_RING);
    // Past midnight of the clock, and where less is left than is to stay: not a step further.
    Job thin = read(job(60, 60), Measure.WATER_12, 2);
    assertThat(limits(thin).get(at(11.5))).isEqualTo(new WallLimit(22.5, By.WATER));
    assertThat(limits(thin).get(at(0.5))).isEqualTo(new WallLimit(22.5, By.WATER));
  }

  @Test
  void aPlugBehindTheWallStopsItAtTheMetalRoundItsThread() {
    // Straight to the 3 o'clock side, 40 mm from the axis: 7 of thread and 2 of metal.
    List<WallLimit> limits = limits(job(40, -20));
    assertThat(limits.get(at(3)).by()).isEqualTo(By.PLUG);
    assertThat(limits.get(at(3)).mm()).isCloseTo(40 - 9, within(1e-12));
    // 9 of 40 is sin 13 degrees: ten degrees aside is on it, fifteen is not.
    assertThat(limits.get(at(3) + 2).by()).isEqualTo(By.PLUG);
    assertThat(limits.get(at(3) + 3).by()).isEqualTo(By.FIRE_RING);
    assertThat(limits.get(at(9)).by()).isEqualTo(By.FIRE_RING);
    // Thread that has come through the wall: not a step further. In the chamber: no limit.
    assertThat(limits(job(25, -20)).get(at(3))).isEqualTo(new WallLimit(22.5, By.PLUG));
    assertThat(limits(job(20, -20)).get(at(3)).by()).isEqualTo(By.FIRE_RING);
  }

  @Test
  void aPlugThatNobodyMeasuredStopsNothing() {
    Job job = job(40, -20);
    Job unmeasured = job.withHead(job.head().withLayout(Optional.empty()));
    assertThat(limits(unmeasured)).extracting(WallLimit::by).containsOnly(By.FIRE_RING);
  }

  @ParameterizedTest
  @CsvSource({
    "27.4, WALL_INTO_WATER, false",
    "27.6, WALL_INTO_WATER, true",
    "30.9, WALL_INTO_PLUG, false",
    "31.1, WALL_INTO_PLUG, true"
  })
  void aWallTakenPastItIsAFaultOfItsOperation(double wallMm, FindingCode code, boolean is) {
    Job job = read(job(40, -20), Measure.WATER_6, 8);
    var plan = job.planOf(I1).withOperations(List.of(new TakeWallBack(2, 7, wallMm)));
    List<Finding> found =
        PlanFindings.of(SeatOutcome.of(job, I1, plan), Samples.practice()).stream()
            .filter(f -> f.code() == code)
            .toList();
    assertThat(found).hasSize(is ? 1 : 0);
    if (is) {
      assertThat(found.getFirst().blocks()).isTrue();
      assertThat(found.getFirst().extent()).isCloseTo(0.1, within(1e-9));
      assertThat(found.getFirst().subject().isOperation(plan.idAt(0))).isTrue();
    }
    // On the other side of the clock it takes nothing there.
    var other = job.planOf(I1).withOperations(List.of(new TakeWallBack(8, 1, wallMm)));
    assertThat(PlanFindings.of(SeatOutcome.of(job, I1, other), Samples.practice()))
        .noneMatch(f -> f.code() == code);
  }

  @Test
  void anHandPullsAWallNoFurtherThanAnyOfThem() {
    Job job = read(job(40, -20), Measure.WATER_6, 8);
    Room room = SeatRoom.found(job, I1).orElseThrow();
    var pulled = WallPull.on(job.planOf(I1), job, I1, room, 6, 35).operations().getLast();
    assertThat(((TakeWallBack) pulled).wallMm()).isEqualTo(27.5);
    pulled = WallPull.on(job.planOf(I1), job, I1, room, 3, 35).operations().getLast();
    assertThat(((TakeWallBack) pulled).wallMm()).isEqualTo(31);
  }

  /** From (0, -20) the plug at (28, 8) lies to the half past one, 39.6 mm away. */
  @Test
  void aPlugIsMetWhereItLies() {
    List<WallLimit> limits = limits(job(28, 8));
    assertThat(limits.get(at(1.5)).by()).isEqualTo(By.PLUG);
    assertThat(limits.get(at(1.5)).mm()).isCloseTo(28 * Math.sqrt(2) - 9, within(1e-9));
    assertThat(limits.get(at(4.5)).by()).isEqualTo(By.FIRE_RING);
    assertThat(limits.get(at(7.5)).by()).isEqualTo(By.FIRE_RING);
    assertThat(limits.get(at(10.5)).by()).isEqualTo(By.FIRE_RING);
    // Its middle has to lie behind the wall: at 22.5 it does not, a little further it does.
    assertThat(limits(job(22.49, -20)).get(at(3)).by()).isEqualTo(By.FIRE_RING);
    assertThat(limits(job(22.51, -20)).get(at(3)).by()).isEqualTo(By.PLUG);
  }

  private static RoomAtLift seen(Job job) {
    var fit = SeatOutcome.of(job, I1, job.planOf(I1)).cut().fit();
    return RoomAtLift.of(job, I1, SeatRoom.found(job, I1).orElseThrow(), fit, 10.5).orElseThrow();
  }

  @Test
  void whatIsProposedGoesAllRoundWhereNothingStops() {
    TakeWallBack wanted = seen(job(200, 200)).wanted().orElseThrow();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      assertThat(wanted.isAt(Around.hour(d))).isTrue();
    }
    // To the tenth, and as far as the direction that needs most.
    double most =
        seen(job(200, 200)).back().stream()
            .mapToDouble(b -> b.nowMm() + b.takeMm())
            .max()
            .orElseThrow();
    assertThat(wanted.wallMm()).isEqualTo(Math.floor(10 * most) / 10);
    assertThat(10 * wanted.wallMm()).isEqualTo(Math.rint(10 * wanted.wallMm()));
  }

  /** Thin metal at 3 and 9 parts the wall: the exhaust side, the long one, has more to give. */
  @Test
  void whatIsProposedKeepsToOneSideOfWhereNothingMayGo() {
    Job job = read(read(job(200, 200), Measure.WATER_3, 1), Measure.WATER_9, 1);
    RoomAtLift seen = seen(job);
    TakeWallBack wanted = seen.wanted().orElseThrow();
    assertThat(wanted.isAt(0)).isTrue();
    assertThat(wanted.isAt(6)).isFalse();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      if (wanted.isAt(Around.hour(d))) {
        assertThat(seen.back().get(d).limit().by()).as("%d", d).isEqualTo(By.FIRE_RING);
        assertThat(wanted.wallMm()).isLessThanOrEqualTo(seen.back().get(d).limitMm());
      }
    }
    // Metal all round: nothing to take.
    Job shut = job;
    for (Measure water : Measure.WATER) {
      shut = read(shut, water, 3);
    }
    assertThat(seen(shut).wanted()).isEmpty();
  }

  @Test
  void aHandBeginsAnHourToEitherSideAndThenMovesWhatItBegan() {
    Job job = job(200, 200);
    Room room = SeatRoom.found(job, I1).orElseThrow();
    var plan = WallPull.on(job.planOf(I1).withOperations(List.of()), job, I1, room, 11.72, 24.37);
    assertThat(plan.operations()).containsExactly(new TakeWallBack(10.7, 0.7, 24.3));
    assertThat(WallPull.on(plan, job, I1, room, 0.5, 26).operations())
        .containsExactly(new TakeWallBack(10.7, 0.7, 26));
    assertThat(WallPull.on(plan, job, I1, room, 3, 25).operations())
        .containsExactly(new TakeWallBack(10.7, 0.7, 24.3), new TakeWallBack(2, 4, 25));
    // The last of two that reach there is the one under the hand.
    var two = plan.withOperations(List.of(new TakeWallBack(5, 7, 23), new TakeWallBack(6, 8, 24)));
    assertThat(WallPull.on(two, job, I1, room, 6.5, 25).operations())
        .containsExactly(new TakeWallBack(5, 7, 23), new TakeWallBack(6, 8, 25));
    assertThat(WallPull.on(plan.withOperations(List.of()), job, I1, room, 0.3, 30).operations())
        .containsExactly(new TakeWallBack(11.3, 1.3, 30));
  }
}
