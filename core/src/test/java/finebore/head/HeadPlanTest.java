package finebore.head;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.head.HeadPlan.Spot;
import finebore.head.HeadPlan.ValvePlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.room.Unshrouding;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class HeadPlanTest {

  private static Job job() {
    Job job = Samples.job();
    HeadLayout layout = new HeadLayout(2, 100, 90, 80, 25, 5, 14, 10, -12);
    return job.withGroup(Port.INTAKE, job.intake().withAxisFromBoreMm(OptionalDouble.of(23)))
        .withGroup(Port.EXHAUST, job.exhaust().withAxisFromBoreMm(OptionalDouble.of(25)))
        .withEngine(job.engine().withCylinders(4))
        .withHead(job.head().withLayout(Optional.of(layout)));
  }

  @Test
  void valvesLieAsFarApartAndFromTheBoreAsMeasured() {
    Job job = job();
    HeadPlan plan = HeadPlan.of(job);
    assertThat(plan.bores()).hasSize(4);
    for (int cylinder = 1; cylinder <= 4; cylinder++) {
      int number = cylinder;
      List<ValvePlace> two =
          plan.valves().stream().filter(v -> v.place().cylinder() == number).toList();
      HeadPlan.Spot bore = plan.bores().get(cylinder - 1).centre();
      assertThat(two.get(0).centre().distanceTo(two.get(1).centre())).isCloseTo(44, within(1e-9));
      assertThat(two.get(0).centre().distanceTo(bore)).isCloseTo(23, within(1e-9));
      assertThat(two.get(1).centre().distanceTo(bore)).isCloseTo(25, within(1e-9));
      // The exhaust lies on its own side.
      assertThat(two.get(1).centre().y()).isGreaterThan(two.get(0).centre().y());
    }
  }

  @Test
  void headsStandInRowsAndTiltsAreKept() {
    HeadPlan plan = HeadPlan.of(job());
    assertThat(plan.bores().get(1).centre().x()).isEqualTo(100);
    assertThat(plan.bores().get(2).centre().x()).isZero();
    assertThat(plan.bores().get(2).centre().y()).isLessThan(-90);
    assertThat(plan.valves().get(0).tiltDeg()).isEqualTo(10);
    assertThat(plan.valves().get(1).tiltDeg()).isEqualTo(-12);
  }

  @Test
  void anUnmeasuredHeadIsLaidOutFromItsBore() {
    Job job = Samples.job();
    assertThat(job.layout().fireRingMm()).isGreaterThan(job.engine().boreMm());
    Job two = job.withEngine(job.engine().withIntakesPerCylinder(2).withExhaustsPerCylinder(2));
    assertThat(HeadPlan.of(two).valves()).hasSize(4);
    assertThat(HeadPlan.of(two).valves().stream().map(ValvePlace::centre).distinct()).hasSize(4);
  }

  @Test
  void aValveIsFreedByTheTradesFigure() {
    // 0.8 in valve radius, 0.650 in deep, 0.75: 1.2875 in; common practice, no source.
    assertThat(Unshrouding.radius(0.8, 0.650, Unshrouding.LONG_SIDE))
        .isCloseTo(1.2875, within(1e-12));
  }

  @Test
  void anOutlineThatCrossesItselfIsNoReasonToFail() {
    // Two lobes that meet in one place, and a square over both of them.
    List<Spot> bow = List.of(new Spot(0, 0), new Spot(10, 10), new Spot(10, 0), new Spot(0, 10));
    List<Spot> square = List.of(new Spot(-1, 4), new Spot(-1, 6), new Spot(11, 6), new Spot(11, 4));
    assertThat(HeadPlan.together(List.of(bow, square))).isPresent();
    assertThat(HeadPlan.together(List.of(bow))).isEmpty();
  }
}
