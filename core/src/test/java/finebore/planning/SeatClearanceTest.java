package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.CutForm;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.practice.Finding;
import finebore.rules.PlanFindings;
import finebore.space.ValveHead;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class SeatClearanceTest {

  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static OptionalDouble some(double value) {
    return OptionalDouble.of(value);
  }

  private static final Job JOB =
      Samples.job()
          .withEngine(
              Samples.job().engine().withPistons(new Pistons(some(145), some(0.2), some(1.0))))
          .withIntake(
              Samples.job()
                  .intake()
                  .withPistonSide(new PistonSide(some(108), some(0), some(5), NONE, NONE)))
          .withExhaust(
              Samples.job()
                  .exhaust()
                  .withPistonSide(new PistonSide(some(110), some(0), some(5), NONE, NONE)));

  private static final SeatPlace I1 = JOB.engine().seats().get(0);
  private static final SeatPlace E1 = JOB.engine().seats().get(1);

  private static SeatClearance piston(Job job) {
    return SeatClearance.toPiston(CutStudy.of(job, I1, job.planOf(I1))).orElseThrow();
  }

  private static Job read(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, some(value)));
  }

  private static Job deeper(Job job, double mm) {
    Plan plan = job.planOf(I1);
    double depth = plan.wanted().seat().depthMm() + mm;
    return job.withPlan(
        I1, plan.withOperations(List.of(new CutForm("", NONE, new Plunge.ToDepth(depth)))));
  }

  @Test
  void nothingIsToldWhileAnythingIsMissing() {
    assertThat(SeatClearance.of(CutStudy.of(Samples.job(), I1, Samples.job().planOf(I1))))
        .isEmpty();
    Job noRod = JOB.withEngine(JOB.engine().withPistons(new Pistons(NONE, some(0), some(1))));
    assertThat(SeatClearance.toPiston(CutStudy.of(noRod, I1, noRod.planOf(I1)))).isEmpty();
    Job shortRod =
        JOB.withEngine(JOB.engine().withPistons(new Pistons(some(43), some(0), some(1))));
    assertThat(SeatClearance.toPiston(CutStudy.of(shortRod, I1, shortRod.planOf(I1)))).isEmpty();
    Job noCentre = JOB.withIntake(JOB.intake().withPistonSide(PistonSide.UNKNOWN));
    assertThat(SeatClearance.toPiston(CutStudy.of(noCentre, I1, noCentre.planOf(I1)))).isEmpty();
  }

  /** By hand: crown and pocket less what the valve stands out, at the degree that is named. */
  @Test
  void smallestIsWhatStandsBetweenThemAtItsDegree() {
    SeatClearance clearance = piston(JOB);
    double deg = clearance.planned().least().crankDeg();
    assertThat(deg).isBetween(2.0, 25.0);
    double rod = 145;
    double aside = 43 * Math.sin(Math.toRadians(deg));
    double down =
        43 * (1 - Math.cos(Math.toRadians(deg))) + rod - Math.sqrt(rod * rod - aside * aside);
    double part = (deg - (108 - 135)) / 270;
    double x = 2 * part;
    double lift = 10.5 * x * x * x * (10 - 15 * x + 6 * x * x);
    double rest = CutStudy.of(JOB, I1, JOB.planOf(I1)).fit().restMm().orElseThrow();
    assertThat(clearance.planned().least().mm())
        .isCloseTo(1.2 + down + 5 - (rest + 1.2 + lift), within(1e-6));
    assertThat(clearance.planned().points())
        .allMatch(p -> p.mm() >= clearance.planned().least().mm());
  }

  @Test
  void exhaustIsNearestBeforeTopAndIntakeAfterIt() {
    double exhaust =
        SeatClearance.toPiston(CutStudy.of(JOB, E1, JOB.planOf(E1)))
            .orElseThrow()
            .planned()
            .least()
            .crankDeg();
    assertThat(exhaust).isBetween(-25.0, -2.0);
  }

  @Test
  void aSkimTakesAndADeeperCutGivesTheSame() {
    SeatClearance clearance = piston(JOB);
    assertThat(clearance.skimMm()).isCloseTo(-0.1, within(1e-4));
    assertThat(clearance.deeperMm()).isCloseTo(0.1, within(1e-4));
    Job sunk = deeper(JOB, 0.4);
    assertThat(piston(sunk).planned().least().mm())
        .isCloseTo(clearance.planned().least().mm() + 0.4, within(0.01));
    assertThat(piston(sunk).found()).isEqualTo(clearance.found());
  }

  @Test
  void whatWasMeasuredDecidesAndOnlyTheChangeIsEstimated() {
    Job measured = read(deeper(JOB, 0.4), "I1", Measure.PISTON_CLEARANCE, 2.35);
    SeatClearance clearance = piston(measured);
    double change = clearance.planned().least().mm() - clearance.found().least().mm();
    assertThat(change).isCloseTo(0.4, within(0.01));
    assertThat(clearance.decidingMm()).isCloseTo(2.35 + change, within(1e-12));
    assertThat(SeatOutcome.of(measured, I1, measured.planOf(I1)).reading(ReadingKind.PISTON))
        .hasValue(clearance.decidingMm());
    // It is of its own seat.
    assertThat(
            SeatClearance.toPiston(CutStudy.of(measured, E1, measured.planOf(E1)))
                .orElseThrow()
                .measuredMm())
        .isEmpty();
  }

  @Test
  void aValveThatMeetsThePistonIsAFault() {
    double least = piston(JOB).planned().least().mm();
    assertThat(codes(read(JOB, "I1", Measure.PISTON_CLEARANCE, 0.01)))
        .doesNotContain(FindingCode.HITS_PISTON);
    assertThat(codes(read(JOB, "I1", Measure.PISTON_CLEARANCE, 0)))
        .contains(FindingCode.HITS_PISTON);
    Job shallow =
        JOB.withEngine(
            JOB.engine().withPistons(JOB.engine().pistons().withDeckMm(some(0.2 - least - 0.05))));
    assertThat(codes(shallow)).contains(FindingCode.HITS_PISTON);
  }

  private static List<FindingCode> codes(Job job) {
    return PlanFindings.of(SeatOutcome.of(job, I1, job.planOf(I1)), Samples.practice()).stream()
        .map(Finding::code)
        .toList();
  }

  private static Job placed(double across) {
    Job job = read(JOB, "I1", Measure.AXIS_ALONG, 0);
    job = read(job, "I1", Measure.AXIS_ACROSS, -21.5);
    job = read(job, "E1", Measure.AXIS_ALONG, 0);
    return read(job, "E1", Measure.AXIS_ACROSS, across);
  }

  @Test
  void uprightNeighboursKeepTheGapOfTheirRimsAtLeast() {
    Job job = placed(22);
    SeatClearance clearance =
        SeatClearance.toValve(CutStudy.of(job, I1, job.planOf(I1))).orElseThrow();
    assertThat(clearance.other()).hasValue("E1");
    assertThat(clearance.planned().least().mm()).isCloseTo(43.5 - 42, within(1e-3));
    // A skim moves both.
    assertThat(clearance.skimMm()).isZero();
  }

  @Test
  void valvesThatAreNeverOpenTogetherDoNotMeet() {
    Job late =
        placed(22)
            .withIntake(
                JOB.intake().withPistonSide(JOB.intake().pistonSide().withCamCentreDeg(some(170))))
            .withExhaust(
                JOB.exhaust()
                    .withPistonSide(JOB.exhaust().pistonSide().withCamCentreDeg(some(170))));
    assertThat(SeatClearance.toValve(CutStudy.of(late, I1, late.planOf(I1)))).isEmpty();
    assertThat(SeatClearance.toValve(CutStudy.of(JOB, I1, JOB.planOf(I1)))).isEmpty();
  }

  /** Leaning toward each other they close in as they open; each seat's own lean counts. */
  @Test
  void valvesThatLeanTogetherCloseInAsTheyOpen() {
    Job leaning =
        read(read(placed(30), "I1", Measure.LEAN_ACROSS, 18), "E1", Measure.LEAN_ACROSS, -18);
    SeatClearance clearance =
        SeatClearance.toValve(CutStudy.of(leaning, I1, leaning.planOf(I1))).orElseThrow();
    double rest = CutStudy.of(leaning, I1, leaning.planOf(I1)).fit().restMm().orElseThrow();
    double shut =
        new ValveHead(0, -21.5, 0, 18, 21, rest, 1.2)
            .clearanceMm(0, new ValveHead(0, 30, 0, -18, 21, -10, 1.2), 0);
    double least = clearance.planned().least().mm();
    assertThat(least).isBetween(shut - 1.5, shut - 0.1);
    // Leaning apart they are nearest while shut.
    Job apart =
        read(read(placed(30), "I1", Measure.LEAN_ACROSS, -18), "E1", Measure.LEAN_ACROSS, 18);
    assertThat(
            SeatClearance.toValve(CutStudy.of(apart, I1, apart.planOf(I1)))
                .orElseThrow()
                .planned()
                .least()
                .mm())
        .isLessThan(least - 8);
    assertThat(codes(read(leaning, "I1", Measure.VALVE_CLEARANCE, 0)))
        .contains(FindingCode.VALVES_HIT);
    assertThat(codes(read(leaning, "I1", Measure.VALVE_CLEARANCE, 3)))
        .doesNotContain(FindingCode.VALVES_HIT);
  }
}
