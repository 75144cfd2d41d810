package finebore.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Pairing;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class PlanStudyTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  private static final Seat WORN =
      new Seat(List.of(new Cut(45, 2.2)), 0, 38.4, 7, 34.9, 4, 35.2, 13, 10);

  private static final Seat WANTED =
      new Seat(
          List.of(new Cut(30, 0.8), new Cut(45, 1.3), new Cut(60, 1.4)),
          1,
          38.4,
          7.4,
          35.0,
          3,
          36,
          13,
          10);

  private static Valve valve() {
    return new Valve(39, 1.4, 45, 2.1, List.of(new Cut(30, 1)), new Underhead(14, 9), 7, 0);
  }

  private static Job job(SeatReadings readings) {
    Job job = Samples.job();
    var group =
        job.intake()
            .withFound(new Pairing(WORN, valve()))
            .withPlanned(new Pairing(WANTED, valve()));
    return job.withGroup(Port.INTAKE, group).withHead(job.head().withReadings("I1", readings));
  }

  private static SeatPlace place(Job job) {
    return job.engine().seats().getFirst();
  }

  private static PlanStudy study(Job job) {
    return PlanStudy.of(job, place(job), job.planOf(place(job)), Optional.empty());
  }

  private static PlanStudy study(SeatReadings readings, Operation... operations) {
    Job job = job(readings);
    Plan plan = job.planOf(place(job)).withOperations(List.of(operations));
    return study(job.withPlan(place(job), plan));
  }

  private static SeatReadings read(Measure measure, double value) {
    return SeatReadings.NONE.with(measure, OptionalDouble.of(value));
  }

  private static List<Finding> findings(PlanStudy study) {
    return PlanFindings.of(study, Samples.practice(), UnitSystem.METRIC);
  }

  private static Finding at(PlanStudy study, String where) {
    return findings(study).stream().filter(f -> f.where().equals(where)).findFirst().orElseThrow();
  }

  @Test
  void theValveSinksBySoMuchAndTheSpringWantsASpacer() {
    PlanStudy study = study(job(SeatReadings.NONE));
    // Same seat diameter, 0.4 mm deeper.
    assertThat(study.finished().reading(ReadingKind.SINK).orElseThrow())
        .isCloseTo(0.4, within(1e-6));
    assertThat(study.finished().reading(ReadingKind.SPACER).orElseThrow())
        .isCloseTo(0.4, within(1e-6));
    // Clearance 12, lift 10.5, and the retainer rises with the stem.
    assertThat(study.finished().reading(ReadingKind.RETAINER).orElseThrow())
        .isCloseTo(12 + 0.4 - 10.5, within(1e-6));
    assertThat(study.finished().reading(ReadingKind.CLEAN_UP).orElseThrow())
        .isCloseTo(7.0, within(1e-6));
    assertThat(study.finished().reading(ReadingKind.PAST_CLEAN).orElseThrow())
        .isCloseTo(0.4, within(1e-6));
  }

  @Test
  void theChamberGrowsByWhatTheValveSinksAndTheRatioFalls() {
    Job job =
        job(SeatReadings.NONE)
            .withHead(Head.UNKNOWN.with(Head.Figure.COMPRESSION, OptionalDouble.of(10)));
    PlanStudy study = study(job);
    double change = study.finished().reading(ReadingKind.CHAMBER).orElseThrow();
    // At least the valve's own disc times its sink; the cuts round it add a little.
    double disc = Math.PI / 4 * 39 * 39 * 0.4;
    assertThat(change).isBetween(disc, disc * 1.2);
    double swept = Math.PI / 4 * 86 * 86 * 86;
    double space = swept / 9 + change;
    assertThat(study.finished().reading(ReadingKind.COMPRESSION).orElseThrow())
        .isCloseTo((swept + space) / space, within(1e-6));
  }

  @Test
  void aBreakThroughIsShownBlocksAndCanBeOverruledOnlyWithAReason() {
    PlanStudy study =
        study(
            read(Measure.WALL_THROAT, 2.0),
            new Operation.OpenThroat(OptionalDouble.of(39.2), 0, OptionalDouble.of(16)));
    assertThat(study.finished().reading(ReadingKind.WATER).orElseThrow()).isNegative();
    assertThat(at(study, "water").severity()).isEqualTo(Finding.Severity.FAULT);
    assertThat(PlanFindings.blockers(findings(study))).isNotEmpty();
    Plan overruled = study.plan().withOverrule(new Overrule("water", "wall measured by drilling"));
    PlanStudy again =
        PlanStudy.of(
            job(read(Measure.WALL_THROAT, 2.0)), study.place(), overruled, Optional.empty());
    assertThat(at(again, "water").severity()).isEqualTo(Finding.Severity.CAUTION);
    assertThat(at(again, "water").why()).contains("Overruled: wall measured by drilling");
    assertThat(overruled.withReady(true).withOperations(List.of()).ready()).isFalse();
  }

  @Test
  void wallToWaterIsTheReadingLessWhatWasCut() {
    PlanStudy study =
        study(
            read(Measure.WALL_THROAT, 4.0),
            new Operation.OpenThroat(OptionalDouble.of(35.6), 0, OptionalDouble.of(16)));
    assertThat(study.finished().reading(ReadingKind.WATER).orElseThrow())
        .isCloseTo(4.0 - 0.35, within(1e-6));
  }

  @Test
  void ringsAreMeasuredAgainstSeatFloorAndNeighbour() {
    Ring ring = new Ring(43, 33, 14, 8, 0.1, "sintered");
    Operation form = new Operation.CutForm("", OPEN, new Plunge.AsPlanned());
    Operation throat = new Operation.OpenThroat(OPEN, 0, OPEN);
    PlanStudy study = study(SeatReadings.NONE, new Operation.FitRing(ring), throat, form);
    assertThat(study.finished().reading(ReadingKind.RING_WALL).orElseThrow())
        .isCloseTo((43 - 38.4) / 2, within(1e-6));
    double lowest = 7.4 + 1.3 * Math.sin(Math.toRadians(45)) + 1.4 * Math.sin(Math.toRadians(60));
    assertThat(study.finished().reading(ReadingKind.RING_FLOOR).orElseThrow())
        .isCloseTo(14 - lowest, within(1e-6));
    Job job = job(SeatReadings.NONE);
    Job both =
        job.withPlan(
                place(job),
                job.planOf(place(job)).withOperations(List.of(new Operation.FitRing(ring))))
            .withPlan(
                job.engine().seats().get(1),
                job.planOf(job.engine().seats().get(1))
                    .withOperations(
                        List.of(new Operation.FitRing(new Ring(46, 33, 14, 8, 0.1, "")))));
    PlanStudy meeting = study(both);
    assertThat(meeting.finished().reading(ReadingKind.BRIDGE).orElseThrow())
        .isCloseTo(44 - (43 + 46) / 2.0, within(1e-9));
    assertThat(at(meeting, "neighbour ring").why()).contains("keep the exhaust ring whole");
  }

  @Test
  void aSeatThatDoesNotCleanUpSaysWhereAndHowDeep() {
    SeatReadings off = read(Measure.RUNOUT, 0.6).with(Measure.RUNOUT_CLOCK, OptionalDouble.of(4));
    PlanStudy study =
        study(
            off,
            new Operation.OpenThroat(OptionalDouble.of(36), 0, OPEN),
            new Operation.CutForm("", OPEN, new Plunge.AsPlanned()));
    Finding seat = at(study, "seat");
    assertThat(seat.what()).contains("goes clean at 7.60 mm").contains("stops at 7.40 mm");
    assertThat(seat.what()).contains("4 o'clock");
    Plan cured = seat.cure().orElseThrow().applyTo(study.plan());
    PlanStudy after = PlanStudy.of(job(off), study.place(), cured, Optional.empty());
    assertThat(findings(after)).noneMatch(f -> f.where().equals("seat"));
  }

  @Test
  void aThroatTooLargeCannotBeReachedAndABiggerValveIsOffered() {
    PlanStudy study =
        study(
            read(Measure.THROAT_12, 37.4), new Operation.CutForm("", OPEN, new Plunge.AsPlanned()));
    Finding metal = at(study, "metal");
    assertThat(metal.what()).contains("35.00 mm, cannot be reached: it is 37.40 mm");
    assertThat(metal.cure().orElseThrow()).isInstanceOf(Cure.ValveDiameter.class);
  }

  @Test
  void aCutUnderThatLeansTooFarAndAHangUpAreFound() {
    PlanStudy lean = study(SeatReadings.NONE, new Operation.CutUnder(18, OPEN, 3, 0));
    assertThat(at(lean, "cut under the seat").what()).contains("18.0°, more than 15°");
    PlanStudy hangs =
        study(SeatReadings.NONE, new Operation.CutForm("", OPEN, new Plunge.AsPlanned()));
    double inner =
        38.4 - 2 * (1.3 * Math.cos(Math.toRadians(45)) + 1.4 * Math.cos(Math.toRadians(60)));
    assertThat(at(hangs, "throat").what())
        .contains("open it to " + UnitSystem.METRIC.lengthText(inner) + " first");
  }

  @Test
  void aRidgeOverTheSeatCostsLowLiftFlowUntilItIsSwept() {
    Seat bigger = WANTED.withDepth(8.6);
    Job job = job(SeatReadings.NONE);
    Operation form = new Operation.CutForm("", OPEN, new Plunge.AsPlanned());
    Plan ridged =
        job.planOf(place(job))
            .withWanted(new Pairing(bigger, valve()))
            .withOperations(List.of(new Operation.OpenThroat(OPEN, 0, OPEN), form));
    PlanStudy before = PlanStudy.of(job, place(job), ridged, Optional.empty());
    Finding ridge = at(before, "ridge over the seat");
    Plan swept = ridge.cure().orElseThrow().applyTo(ridged);
    PlanStudy after = PlanStudy.of(job, place(job), swept, Optional.empty());
    double low = before.finished().curve().orElseThrow().points().get(1).flowM3s();
    double freed = after.finished().curve().orElseThrow().points().get(1).flowM3s();
    assertThat(freed).isGreaterThan(low * 1.005);
  }

  @Test
  void cutsPastTheFireRingAreFound() {
    HeadLayout layout = new HeadLayout(1, 95, 88, 90, 25, 0, 14, 0, 0);
    Job job = job(SeatReadings.NONE);
    Job laid = job.withHead(job.head().withLayout(layout));
    Plan swept =
        laid.planOf(place(laid))
            .withOperations(List.of(new Operation.SweepChamber(0, 54, OptionalDouble.of(40))));
    PlanStudy study = PlanStudy.of(laid, place(laid), swept, Optional.empty());
    // Fire ring radius 44, valve axis 20 from the bore: 24 are left, the sweep reaches 27.
    assertThat(study.finished().reading(ReadingKind.FIRE_RING).orElseThrow())
        .isCloseTo(-3, within(1e-6));
    assertThat(at(study, "fire ring").what()).contains("3.00 mm past");
  }
}
