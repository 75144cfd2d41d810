package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.bench.BenchReading;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.FixtureEffect;
import finebore.calibration.NextTest;
import finebore.calibration.PredictionConfidence;
import finebore.cutting.SweepChamber;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.flow.Calibration;
import finebore.flow.Loss;
import finebore.found.Measure;
import finebore.head.TakeBack;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.room.ChamberWall;
import finebore.room.Room;
import finebore.rules.HeadFindings;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The room of a job's seats, and what it does to their flow. */
class SeatRoomTest {

  /** One cylinder of 86 mm, its 42 mm intake 1.8 mm off the wall. */
  private static final Job JOB =
      Samples.job()
          .withEngine(
              new Engine(1, 1, 1, 86, 86, 6500, OptionalDouble.empty(), OptionalDouble.empty()));

  private static final SeatPlace I1 = JOB.engine().seats().getFirst();
  private static final Job PLACED = at(JOB, "I1", 0, -20.2);

  private static Job at(Job job, String seat, double along, double across) {
    return with(with(job, seat, Measure.AXIS_ALONG, along), seat, Measure.AXIS_ACROSS, across);
  }

  private static Job with(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  private static Job walled(Job job, double gapMm) {
    for (Measure wall : Measure.CHAMBER_WALL) {
      job = with(job, "I1", wall, gapMm);
    }
    return with(job, "I1", Measure.CHAMBER_DEPTH, 9);
  }

  private static double flow(Job job, double liftMm) {
    return study(job).fit().areaAt(liftMm, study(job).setting()).mm2();
  }

  private static SeatStudy study(Job job) {
    return PlanStudy.asFound(job, I1, Calibration.SEAT_ALONE);
  }

  @Test
  void aDepthByTheClockGoesStraightFromHourToHourAndStandsForTheOneOfAll() {
    Job walled = walled(PLACED, 3);
    ChamberWall flat = SeatRoom.found(walled, I1).flatMap(Room::chamber).orElseThrow();
    assertThat(flat.depthAtMm(0)).isEqualTo(9);
    assertThat(flat.depthAtMm(50)).isEqualTo(9);
    assertThat(flat.meanDepthMm()).isEqualTo(9);

    Job by = with(with(walled, "I1", Measure.DEPTH_12, 4), "I1", Measure.DEPTH_6, 10);
    ChamberWall wall = SeatRoom.found(by, I1).flatMap(Room::chamber).orElseThrow();
    assertThat(wall.depthAtMm(0)).isEqualTo(4);
    assertThat(wall.depthAtMm(36)).isEqualTo(10);
    assertThat(wall.depthAtMm(18)).isCloseTo(7, within(1e-12));
    assertThat(wall.depthAtMm(60)).isCloseTo(6, within(1e-12));
    assertThat(wall.meanDepthMm()).isCloseTo(7, within(1e-12));

    Job half = with(by, "I1", Measure.DEPTH_330, 8.5);
    ChamberWall turned = SeatRoom.found(half, I1).flatMap(Room::chamber).orElseThrow();
    assertThat(turned.depthAtMm(21)).isEqualTo(8.5);
    assertThat(turned.depthAtMm(54)).isCloseTo(7, within(1e-12));
    assertThat(Measure.DEPTHS_BY_CLOCK.get(7)).isEqualTo(Measure.DEPTH_330);
  }

  @Test
  void aShallowWallIsNotInTheWayOfAValveBelowIt() {
    // The head's edge, 9 deep on its seat, is still above the face at 3 mm of lift.
    Job deep = walled(PLACED, 0.4);
    Job shallow = deep;
    for (Measure depth : Measure.DEPTHS_BY_CLOCK) {
      shallow = with(shallow, "I1", depth, 0.5);
    }
    assertThat(flow(shallow, 3)).isGreaterThan(flow(deep, 3) * 1.01);
  }

  @Test
  void whatNobodyMeasuredIsNotThere() {
    assertThat(SeatRoom.found(JOB, I1)).isEmpty();
    Job none = JOB.withIntake(JOB.intake().withAxisFromBoreMm(OptionalDouble.empty()));
    Job half = with(none, "I1", Measure.AXIS_ALONG, 0);
    assertThat(SeatRoom.found(half, I1)).isEmpty();
    assertThat(flow(half, 9)).isEqualTo(flow(JOB, 9));
    Room room = SeatRoom.found(PLACED, I1).orElseThrow();
    assertThat(room.chamber()).isEmpty();
    assertThat(room.neighbours()).isEmpty();
    Job three =
        with(
            with(with(PLACED, "I1", Measure.WALL_12, 2), "I1", Measure.WALL_3, 2),
            "I1",
            Measure.WALL_6,
            2);
    assertThat(SeatRoom.found(three, I1).orElseThrow().chamber()).isEmpty();
    Job four = with(three, "I1", Measure.WALL_9, 2.5);
    // From the axis: half the found valve and its gap.
    assertThat(SeatRoom.found(four, I1).orElseThrow().chamber().orElseThrow().atMm(54))
        .isCloseTo(JOB.foundValve(I1).headDiameterMm() / 2 + 2.5, within(1e-12));
  }

  /**
   * A gap is measured with the valve on its seat, where a leaning one is not at its axis' place.
   */
  @Test
  void aLeaningValveIsMeasuredWhereItSits() {
    Job tight = walled(PLACED, 1.2);
    Job leaning =
        tight.withHead(
            tight
                .head()
                .withLayout(Optional.of(new HeadLayout(1, 100, 90, 90, 20, 0, 14, 15, -15))));
    Room room = SeatRoom.found(leaning, I1).orElseThrow();
    double edge = leaning.foundValve(I1).headDiameterMm() / 2;
    // The edge that is seen, by which a caliper is held.
    double seen = -leaning.foundSeat(I1).seat().depthMm() + leaning.foundValve(I1).marginMm();
    for (int direction : new int[] {0, 9, 18, 27, 36}) {
      assertThat(room.gap(direction, edge, seen).outwardMm())
          .as("direction %d", direction)
          .isCloseTo(1.2, within(1e-8));
    }
  }

  @Test
  void aWallFarOffChangesNothingToSpeakOf() {
    Job far = at(JOB.withEngine(JOB.engine().withBoreMm(400)), "I1", 0, 0);
    assertThat(flow(far, 9)).isCloseTo(flow(JOB, 9), within(1e-4 * flow(JOB, 9)));
  }

  @Test
  void aBoreCloseByCostsMoreTheHigherTheLift() {
    double low = 1 - flow(PLACED, 1) / flow(JOB, 1);
    double high = 1 - flow(PLACED, 9) / flow(JOB, 9);
    assertThat(low).isBetween(0.0, 0.01);
    assertThat(high).isBetween(0.02, 0.25);
    var losses = study(PLACED).lossesAt(9);
    assertThat(losses.effectiveAreaMm2()).isCloseTo(flow(PLACED, 9), within(1e-9));
    assertThat(losses.parts().stream().filter(l -> l.cause() == Loss.Cause.WALL))
        .hasSize(1)
        .allSatisfy(l -> assertThat(l.share()).isPositive());
    assertThat(losses.parts().stream().mapToDouble(Loss::share).sum()).isCloseTo(1, within(1e-9));
    assertThat(study(JOB).lossesAt(9).parts()).noneMatch(l -> l.cause() == Loss.Cause.WALL);
  }

  @Test
  void aBiggerValveNearAWallCanLose() {
    Job tight = walled(PLACED, 0.6);
    double before = flow(tight, 9);
    // The wall stands where it was; the gaps were measured from the valve that was found.
    Room room = SeatRoom.found(tight, I1).orElseThrow();
    SeatStudy study = study(tight);
    var bigger =
        finebore.study.SeatFit.of(study.seat(), study.pairing().valve().withHeadDiameterMm(43.2));
    assertThat(bigger.areaAt(9, study.setting().withRoom(Optional.of(room))).mm2())
        .isLessThan(before);
  }

  @Test
  void aSweptChamberStandsBackInThePlan() {
    Job tight = walled(PLACED, 1);
    var plan = tight.planOf(I1);
    var swept = plan.withOperations(List.of(new SweepChamber(15, 52, OptionalDouble.empty())));
    assertThat(SeatRoom.planned(tight, I1, plan)).isEqualTo(SeatRoom.found(tight, I1));
    assertThat(SeatRoom.planned(tight, I1, swept).orElseThrow().chamber().orElseThrow().atMm(0))
        .isEqualTo(26);
    assertThat(SeatRoom.found(tight, I1).orElseThrow().chamber().orElseThrow().atMm(0))
        .isCloseTo(22, within(1e-12));
  }

  /** As few as four hours, as many as every half hour, each where its clock has it. */
  @Test
  void wallsAreReadAtUpToTwentyFourHours() {
    Job all = PLACED;
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k++) {
      all = with(all, "I1", Measure.CHAMBER_WALL.get(k), 2 + 0.1 * k);
    }
    ChamberWall wall = SeatRoom.found(all, I1).orElseThrow().chamber().orElseThrow();
    assertThat(wall.fromAxisMm()).hasSize(24);
    double edge = JOB.foundValve(I1).headDiameterMm() / 2;
    // Half hours are three directions apart; half past eight is the 17th.
    assertThat(Measure.CHAMBER_WALL.get(17)).isEqualTo(Measure.WALL_830);
    assertThat(wall.atMm(51)).isCloseTo(edge + 3.7, within(1e-12));
    assertThat(wall.atMm(52)).isCloseTo(edge + 3.7 + 0.1 / 3, within(1e-12));
    assertThat(Measure.CHAMBER_WALL.stream().filter(m -> m.rows() == Measure.Rows.ALWAYS))
        .hasSize(8);
  }

  /** Leaning valves lie further apart on their seats; their distance is told at the face. */
  @Test
  void theDistanceOfLeaningAxesIsHeldAtTheFace() {
    Job job = at(at(JOB, "I1", 0, -20), "E1", 0, 21);
    job = job.withEngine(job.engine().withValveSpacingMm(OptionalDouble.of(41.2)));
    job =
        job.withHead(
            job.head().withLayout(Optional.of(new HeadLayout(1, 100, 90, 90, 20, 0, 14, 25, -25))));
    assertThat(disagreements(job)).isEmpty();
    Job off = job.withEngine(job.engine().withValveSpacingMm(OptionalDouble.of(41.6)));
    assertThat(disagreements(off)).isNotEmpty();
  }

  private static List<Finding> disagreements(Job job) {
    return HeadFindings.of(job, Samples.practice()).stream()
        .filter(f -> f.code() == FindingCode.PLACES_DISAGREE)
        .filter(f -> f.subject().equals(Subject.measure(Measure.AXIS_ALONG)))
        .toList();
  }

  /** A lean of its own that is its kind's changes nothing; another one does. */
  @Test
  void aSeatsOwnLeanStandsBeforeItsKinds() {
    Job leaning =
        PLACED.withHead(
            PLACED
                .head()
                .withLayout(Optional.of(new HeadLayout(1, 100, 90, 90, 20, 0, 14, 9, -9))));
    Job same = with(with(leaning, "I1", Measure.LEAN_ACROSS, 9), "I1", Measure.LEAN_ALONG, 0);
    for (double lift : new double[] {1, 5, 9}) {
      assertThat(flow(same, lift)).isCloseTo(flow(leaning, lift), within(1e-9));
    }
    Job canted = with(leaning, "I1", Measure.LEAN_ALONG, 6);
    assertThat(SeatRoom.found(canted, I1).orElseThrow().leanAlongDeg()).isEqualTo(6);
    assertThat(flow(canted, 9)).isNotEqualTo(flow(leaning, 9));
    Job mirrored =
        with(with(leaning, "I1", Measure.LEAN_ALONG, -6), "I1", Measure.AXIS_ALONG, -0.0);
    assertThat(flow(mirrored, 9)).isCloseTo(flow(canted, 9), within(1e-9));
  }

  /** The fixture is the wall of a test: on a larger one the same head reads more. */
  @Test
  void aLargerFixtureReadsMore() {
    FlowTest test =
        NextTest.of(PLACED, I1, TestedState.AS_FOUND, "a", PredictionConfidence.UNCALIBRATED);
    FlowTest large =
        NextTest.withPrediction(
            PLACED,
            test.withSetUp(test.setUp().withBoreMm(OptionalDouble.of(110))),
            PredictionConfidence.UNCALIBRATED);
    assertThat(test.setUp().boreMm()).hasValue(86);
    assertThat(large.predicted().getLast().flowM3s())
        .isGreaterThan(1.01 * test.predicted().getLast().flowM3s());
    assertThat(large.predicted().getFirst().flowM3s())
        .isCloseTo(
            test.predicted().getFirst().flowM3s(),
            within(0.01 * test.predicted().getFirst().flowM3s()));
  }

  @Test
  void whatAnotherFixtureIsWorthIsTold() {
    FlowTest test =
        NextTest.of(PLACED, I1, TestedState.AS_FOUND, "a", PredictionConfidence.UNCALIBRATED)
            .with(LiftReadings.of(1, List.of(BenchReading.flow(0.006))))
            .with(LiftReadings.of(9, List.of(BenchReading.flow(0.05))));
    FlowTest large = test.withSetUp(test.setUp().withBoreMm(OptionalDouble.of(110)));
    FixtureEffect effect = FixtureEffect.of(PLACED, test, large).orElseThrow();
    assertThat(effect.lowShare()).isBetween(0.0, 0.01);
    assertThat(effect.highShare()).isBetween(0.01, 0.2);
    assertThat(effect.highLiftMm()).isEqualTo(9);
    // The other way round it is the other way.
    FixtureEffect back = FixtureEffect.of(PLACED, large, test).orElseThrow();
    assertThat((1 + back.highShare()) * (1 + effect.highShare())).isCloseTo(1, within(1e-9));
    assertThat(FixtureEffect.of(PLACED, test, test)).isEmpty();
    assertThat(FixtureEffect.of(JOB, test, large)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1.31, false", "1.29, true", "2.29, false", "2.31, true"})
  void twoWaysThatDisagreeAreNamed(double gap, boolean named) {
    Job job = with(PLACED, "I1", Measure.GAP_TO_BORE, gap);
    assertThat(findings(job, FindingCode.PLACES_DISAGREE)).hasSize(named ? 1 : 0);
  }

  @Test
  void distancesOfAxesAreHeldAgainstTheirPlaces() {
    Job both = at(PLACED, "E1", 0, 20);
    Job said = both.withEngine(both.engine().withValveSpacingMm(OptionalDouble.of(40.6)));
    assertThat(findings(said, FindingCode.PLACES_DISAGREE)).isEmpty();
    Job wrong = both.withEngine(both.engine().withValveSpacingMm(OptionalDouble.of(40.8)));
    assertThat(findings(wrong, FindingCode.PLACES_DISAGREE)).hasSize(2);
    assertThat(findings(at(PLACED, "E1", 0, 10), FindingCode.HEADS_OVERLAP)).isNotEmpty();
  }

  @Test
  void aValvePastTheFireRingIsAFault() {
    Head head =
        PLACED.head().withLayout(Optional.of(new HeadLayout(1, 100, 88, 90, 20, 0, 14, 0, 0)));
    assertThat(findings(PLACED.withHead(head), FindingCode.VALVE_PAST_FIRE_RING)).isEmpty();
    Job out = at(PLACED.withHead(head), "I1", 3, -24);
    assertThat(findings(out, FindingCode.VALVE_PAST_FIRE_RING))
        .singleElement()
        .satisfies(f -> assertThat(f.seat()).isEqualTo("I1"));
  }

  private static List<Finding> findings(Job job, FindingCode code) {
    return HeadFindings.of(job, Samples.practice()).stream().filter(f -> f.code() == code).toList();
  }

  /** A round wall taken back is a ring: its volume is that of the prism. */
  @Test
  void whatGoesIsThePrismBetweenTheWalls() {
    Job job = walled(at(JOB, "I1", 0, 0), 1.5);
    job = job.withHead(job.head().withCompressionRatio(OptionalDouble.of(10)));
    TakeBack back = TakeBack.of(job, I1, 9).orElseThrow();
    double from = back.seats().getFirst().back().getFirst().nowMm();
    double sum = 0;
    for (var wall : back.seats().getFirst().back()) {
      double to = TakeBack.targetMm(wall);
      sum += (to * to - from * from) / 2 * 2 * Math.PI / 72;
    }
    assertThat(sum).isGreaterThan(100);
    // A polygon of 72 corners, and long and short side meet in a step.
    assertThat(back.volumeMm3()).isCloseTo(9 * sum, within(0.01 * 9 * sum));
    double swept = Math.PI / 4 * 86 * 86 * job.engine().strokeMm();
    assertThat(back.ratioAfter().orElseThrow())
        .isCloseTo(1 + swept / (swept / 9 + back.volumeMm3()), within(1e-12));
    assertThat(TakeBack.of(JOB, I1, 9)).isEmpty();
  }
}
