package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.TakeWallBack;
import finebore.room.Around;
import finebore.room.Shroud;
import finebore.room.WallBack;
import finebore.room.WallLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Which way round the clock a wall is taken back: six directions an hour, from 12. */
class RoomAtLiftTest {

  /** A wall at 22 mm that is free from 20 on, nothing in its way before 30. */
  private static final WallBack FREE = wall(22, 20, 30);

  private final List<WallBack> walls = new ArrayList<>();

  RoomAtLiftTest() {
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      walls.add(FREE);
    }
  }

  private static WallBack wall(double now, double free, double limit) {
    return new WallBack(now, free, free, new WallLimit(limit, WallLimit.By.FIRE_RING));
  }

  private void from(int first, int last, WallBack wall) {
    for (int d = first; d <= last; d++) {
      walls.set(Math.floorMod(d, Around.DIRECTIONS), wall);
    }
  }

  private Optional<TakeWallBack> wanted() {
    return new RoomAtLift(21, -5, new Shroud(List.of(), 1), walls, OptionalDouble.empty()).wanted();
  }

  private void assertWanted(double from, double to, double wall) {
    assertThat(wanted()).contains(new TakeWallBack(from, to, wall));
  }

  @Test
  void aWallThatIsFreeStays() {
    assertThat(wanted()).isEmpty();
  }

  @Test
  void fromTheFirstDirectionToTheLastAsFarAsTheFarthest() {
    from(60, 66, wall(22, 24, 30));
    from(62, 62, wall(22, 25, 30));
    assertWanted(10, 11, 25);
  }

  @Test
  void overTwelve() {
    from(-3, 3, wall(22, 25, 30));
    assertWanted(11.5, 0.5, 25);
  }

  @Test
  void hoursAndMillimetresAreTakenToTenthsThatHaveItAllAndPassNoLimit() {
    // 13/6 and 20/6 hours.
    from(13, 20, wall(22, 24.28, 30));
    assertWanted(2.1, 3.4, 24.2);
  }

  @Test
  void theShortestWayRoundThatHasBothOfTwo() {
    from(6, 9, wall(22, 25, 30));
    from(30, 33, wall(22, 24, 30));
    assertWanted(1, 5.5, 25);
    from(6, 9, FREE);
    from(69, 71, wall(22, 25, 30));
    assertWanted(11.5, 5.5, 25);
  }

  @Test
  void whatIsLeftBetweenThemIsTheWidestEvenOverTwelve() {
    from(2, 4, wall(22, 25, 30));
    from(30, 33, wall(22, 24, 30));
    from(66, 68, wall(22, 24, 30));
    // Between: 26 directions, 33, and 6 over twelve.
    assertWanted(11, 5.5, 25);
  }

  @Test
  void aWallThatMayNotMovePartsThemAndTheSideThatGivesMoreIsTaken() {
    from(6, 9, wall(22, 25, 30));
    from(20, 20, wall(22, 26, 22));
    from(30, 36, wall(22, 24, 30));
    assertWanted(5, 6, 24);
    from(6, 9, wall(22, 26, 30));
    assertWanted(1, 1.5, 26);
    // One that holds beside their way parts nothing.
    from(20, 20, FREE);
    from(50, 50, wall(22, 26, 22));
    assertWanted(1, 6, 26);
  }

  @Test
  void aWallThatMayNotMoveIsNotGoneRoundTheLongWay() {
    from(6, 12, wall(22, 25, 30));
    from(9, 9, wall(22, 25, 22));
    from(10, 12, wall(22, 26, 30));
    // Three of 4 mm against three of 3; 10/6 hours.
    assertWanted(1.6, 2, 26);
  }

  @Test
  void lessThanAHairIsLeftAlone() {
    from(12, 18, wall(22, 22.049, 30));
    assertThat(wanted()).isEmpty();
    from(12, 18, wall(22, 22.06, 30));
    from(13, 13, wall(22, 22.2, 30));
    assertWanted(2, 3, 22.2);
  }

  @Test
  void neverPastTheNearestLimitOnTheWay() {
    from(60, 66, wall(22, 25, 30));
    from(63, 63, wall(22, 25, 24.37));
    assertWanted(10, 11, 24.3);
    // Beside the way it stops nothing.
    from(63, 63, wall(22, 25, 30));
    from(67, 67, wall(22, 20, 23));
    assertWanted(10, 11, 25);
  }

  @Test
  void allRound() {
    from(0, 71, wall(22, 25, 30));
    TakeWallBack all = wanted().orElseThrow();
    assertThat(all.fromClock()).isEqualTo(all.toClock());
    assertThat(all.wallMm()).isEqualTo(25);
  }

  @Test
  void oneDirectionAtAWholeHourIsNotAllRound() {
    from(12, 12, wall(22, 25, 30));
    TakeWallBack one = wanted().orElseThrow();
    assertThat(one).isEqualTo(new TakeWallBack(2, 2.1, 25));
    assertThat(one.isAt(2)).isTrue();
    assertThat(one.isAt(7)).isFalse();
    assertThat(one.isAt(2.5)).isFalse();
  }
}
