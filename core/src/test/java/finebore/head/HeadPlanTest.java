package finebore.head;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.found.Measure;
import finebore.head.HeadPlan.Spot;
import finebore.head.HeadPlan.ValvePlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.UsualPlace;
import finebore.room.Around;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
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
      assertThat(two.get(0).axis().distanceTo(two.get(1).axis())).isCloseTo(44, within(1e-9));
      assertThat(two.get(0).axis().distanceTo(bore)).isCloseTo(23, within(1e-9));
      assertThat(two.get(1).axis().distanceTo(bore)).isCloseTo(25, within(1e-9));
      // The exhaust lies on its own side.
      assertThat(two.get(1).centre().y()).isGreaterThan(two.get(0).centre().y());
    }
  }

  @Test
  void headsStandInRowsAndTiltsAreKept() {
    HeadPlan plan = HeadPlan.of(job());
    assertThat(plan.bores().get(1).centre().x()).isEqualTo(100);
    assertThat(plan.bores().get(2).centre().x()).isZero();
    // One and a half bores of 86 under the other head.
    assertThat(plan.bores().get(2).centre().y()).isEqualTo(-129);
    assertThat(plan.bores().get(3).centre().x()).isEqualTo(100);
    assertThat(plan.bores().get(3).centre().y()).isEqualTo(-129);
    assertThat(plan.bores().get(3).plug().x()).isEqualTo(125);
    assertThat(plan.bores().get(3).plug().y()).isEqualTo(-124);
    assertThat(plan.bores().get(3).fireRingMm()).isEqualTo(90);
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

  private static Job walled() {
    Job job = job();
    ChamberOutline traced =
        new ChamberOutline(
            1,
            List.of(
                new Corner(-30, -25), new Corner(30, -25), new Corner(12, 28), new Corner(-9, 27)));
    return job.withHead(
        job.head()
            .withReading("I2", Measure.AXIS_ALONG, OptionalDouble.of(-3))
            .withReading("I2", Measure.AXIS_ACROSS, OptionalDouble.of(-22))
            .withReading("I2", Measure.CHAMBER_DEPTH, OptionalDouble.of(9))
            .withReading("I2", Measure.WALL_12, OptionalDouble.of(4))
            .withReading("I2", Measure.WALL_3, OptionalDouble.of(3))
            .withReading("I2", Measure.WALL_6, OptionalDouble.of(2))
            .withReading("I2", Measure.WALL_9, OptionalDouble.of(3))
            .withChamber(1, Optional.of(traced)));
  }

  /** A traced chamber is drawn as traced, moved to its own bore; one half measured is taken. */
  @Test
  void aTracedChamberIsDrawnWhereItsBoreIs() {
    HeadPlan plan = HeadPlan.of(walled());
    assertThat(plan.bores().get(0).chamberMeasured()).isTrue();
    assertThat(plan.bores().get(0).chamber())
        .containsExactly(new Spot(-30, -25), new Spot(30, -25), new Spot(12, 28), new Spot(-9, 27));
    // Only the intake's wall was read there: what lies round the exhaust nobody knows.
    assertThat(plan.bores().get(1).chamberMeasured()).isFalse();
    assertThat(plan.bores().get(2).chamberMeasured()).isFalse();
  }

  /** What is taken where nothing was measured: 2 mm round heads as planned, 3 mm round the plug. */
  @Test
  void aChamberNobodyMeasuredTakesInHeadsAndPlug() {
    HeadPlan plan = HeadPlan.of(job());
    HeadPlan.Bore bore = plan.bores().getFirst();
    double furthest =
        bore.chamber().stream().mapToDouble(s -> s.distanceTo(bore.plug())).min().orElseThrow();
    assertThat(furthest).isCloseTo(14 / 2.0 + 3, within(0.05));
    ValvePlace intake = plan.valves().getFirst();
    // Across the lean its rim is as far from its middle as it is level; 2 mm round it.
    double lean = Math.toRadians(intake.tiltDeg());
    double low =
        bore.chamber().stream().mapToDouble(s -> s.y()).min().orElseThrow() - intake.centre().y();
    assertThat(-low)
        .isCloseTo(intake.headMm() / 2 * Math.cos(lean) + UsualPlace.APART_MM, within(0.05));
    assertThat(intake.rim().stream().mapToDouble(Spot::x).max().orElseThrow())
        .isCloseTo(intake.centre().x() + intake.headMm() / 2, within(0.03));
  }

  /** Shut, a leaning head lies aside of where its axis meets the face, and is narrower across. */
  @Test
  void aLeaningHeadIsDrawnWhereItLies() {
    Job job = job();
    ValvePlace intake = HeadPlan.of(job).valves().getFirst();
    double lean = Math.toRadians(10);
    double out =
        job.planOf(intake.place()).wanted().valve().marginMm()
            - job.foundSeat(intake.place()).seat().depthMm();
    assertThat(intake.centre().y())
        .isCloseTo(intake.axis().y() + out * Math.sin(lean), within(1e-9));
    assertThat(intake.centre().x()).isCloseTo(intake.axis().x(), within(1e-9));
    double across =
        intake.rim().stream().mapToDouble(Spot::y).max().orElseThrow() - intake.centre().y();
    assertThat(across).isCloseTo(intake.headMm() / 2 * Math.cos(lean), within(1e-9));
  }

  /** 12 lies toward the exhausts, 3 along the head. */
  @Test
  void aLineRoundAnAxisGoesByTheClock() {
    List<Spot> line = HeadPlan.round(new Spot(5, 7), d -> d + 1.0);
    assertThat(line).hasSize(Around.DIRECTIONS);
    assertThat(line.getFirst()).isEqualTo(new Spot(5, 8));
    int quarter = Around.DIRECTIONS / 4;
    assertThat(line.get(quarter).x()).isCloseTo(5 + quarter + 1, within(1e-9));
    assertThat(line.get(quarter).y()).isCloseTo(7, within(1e-9));
  }

  @Test
  void aValveIsFreedByTheTradesFigure() {
    // 0.8 in valve radius, 0.650 in deep, 0.75: 1.2875 in; common practice, no source.
    assertThat(Unshrouding.radius(0.8, 0.650, 0.75)).isCloseTo(1.2875, within(1e-12));
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
