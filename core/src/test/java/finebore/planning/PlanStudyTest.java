package finebore.planning;

import static finebore.finding.FindingCode.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.Term;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class PlanStudyTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  private static final Seat WANTED = Samples.TRUED;

  private static Valve valve() {
    return Samples.VALVE_39;
  }

  private static Job job(SeatReadings readings) {
    return Samples.job(Samples.WORN, WANTED, readings);
  }

  private static SeatPlace place(Job job) {
    return job.engine().seats().getFirst();
  }

  private static PlanStudy study(Job job) {
    return Samples.planned(job);
  }

  private static PlanStudy study(SeatReadings readings, Operation... operations) {
    Job job = job(readings);
    Plan plan = job.planOf(place(job)).withOperations(List.of(operations));
    return study(job.withPlan(place(job), plan));
  }

  private static SeatReadings read(Measure measure, double value) {
    return SeatReadings.NONE.with(measure, OptionalDouble.of(value));
  }

  private static PlanStudy study(Job job, Plan plan) {
    return study(job.withPlan(place(job), plan));
  }

  private static List<Finding> findings(PlanStudy study) {
    return PlanFindings.of(study.outcome(), Samples.practice());
  }

  private static Finding at(PlanStudy study, FindingCode code) {
    return findings(study).stream().filter(f -> f.code() == code).findFirst().orElseThrow();
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
        job(SeatReadings.NONE).withHead(Head.UNKNOWN.withCompressionRatio(OptionalDouble.of(10)));
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
            new OpenThroat(OptionalDouble.of(39.2), 0, OptionalDouble.of(16)));
    assertThat(study.finished().reading(ReadingKind.WATER).orElseThrow()).isNegative();
    assertThat(at(study, THROUGH_TO_WATER).severity()).isEqualTo(Severity.FAULT);
    assertThat(PlanFindings.blockers(findings(study))).isNotEmpty();
    Plan overruled =
        study
            .plan()
            .withOverrule(
                PlanFindings.overrule(
                    at(study, THROUGH_TO_WATER), study.plan(), "wall measured by drilling"));
    PlanStudy again = study(job(read(Measure.WALL_THROAT, 2.0)), overruled);
    assertThat(at(again, THROUGH_TO_WATER).severity()).isEqualTo(Severity.CAUTION);
    assertThat(at(again, THROUGH_TO_WATER).overruled().orElseThrow().reason())
        .isEqualTo("wall measured by drilling");
    assertThat(overruled.withReady(true).withOperations(List.of()).ready()).isFalse();
  }

  @Test
  void wallToWaterIsTheReadingLessWhatWasCut() {
    PlanStudy study =
        study(
            read(Measure.WALL_THROAT, 4.0),
            new OpenThroat(OptionalDouble.of(35.6), 0, OptionalDouble.of(16)));
    assertThat(study.finished().reading(ReadingKind.WATER).orElseThrow())
        .isCloseTo(4.0 - 0.35, within(1e-6));
  }

  @Test
  void ringsAreMeasuredAgainstSeatFloorAndNeighbour() {
    Ring ring = new Ring(43, 33, 14, 8, 0.1, "sintered");
    Operation form = new CutForm("", OPEN, new Plunge.AsPlanned());
    Operation throat = new OpenThroat(OPEN, 0, OPEN);
    PlanStudy study = study(SeatReadings.NONE, new FitRing(ring), throat, form);
    assertThat(study.finished().reading(ReadingKind.RING_WALL).orElseThrow())
        .isCloseTo((43 - 38.4) / 2, within(1e-6));
    double lowest = 7.4 + 1.3 * Math.sin(Math.toRadians(45)) + 1.4 * Math.sin(Math.toRadians(60));
    assertThat(study.finished().reading(ReadingKind.RING_FLOOR).orElseThrow())
        .isCloseTo(14 - lowest, within(1e-6));
    Job job = job(SeatReadings.NONE);
    Job both =
        job.withPlan(place(job), job.planOf(place(job)).withOperations(List.of(new FitRing(ring))))
            .withPlan(
                job.engine().seats().get(1),
                job.planOf(job.engine().seats().get(1))
                    .withOperations(List.of(new FitRing(new Ring(46, 33, 14, 8, 0.1, "")))));
    PlanStudy meeting = study(both);
    assertThat(meeting.finished().reading(ReadingKind.BRIDGE).orElseThrow())
        .isCloseTo(44 - (43 + 46) / 2.0, within(1e-9));
    assertThat(at(meeting, RINGS_MEET).extent()).isCloseTo(0.5, within(1e-9));
  }

  @Test
  void aSeatThatReachesItsRingsEdgeIsAFault() {
    Operation form = new CutForm("", OPEN, new Plunge.AsPlanned());
    // The seat is 38.4 mm outside.
    PlanStudy within =
        study(SeatReadings.NONE, new FitRing(new Ring(38.42, 33, 14, 8, 0.1, "")), form);
    assertThat(codes(within)).doesNotContain(PAST_RING);
    for (double ring : new double[] {38.4, 38.38}) {
      PlanStudy past =
          study(SeatReadings.NONE, new FitRing(new Ring(ring, 33, 14, 8, 0.1, "")), form);
      Finding fault = at(past, PAST_RING);
      assertThat(fault.severity()).isEqualTo(Severity.FAULT);
      assertThat(fault.extent()).isCloseTo((38.4 - ring) / 2, within(1e-6));
      // In place of the ring that the plan has.
      assertThat(fault.cure().orElseThrow()).isInstanceOf(Cure.ChangeOperation.class);
    }
  }

  @Test
  void aSeatThatDoesNotCleanUpSaysWhereAndHowDeep() {
    SeatReadings off = read(Measure.RUNOUT, 0.6).with(Measure.RUNOUT_CLOCK, OptionalDouble.of(4));
    PlanStudy study =
        study(
            off,
            new OpenThroat(OptionalDouble.of(36), 0, OPEN),
            new CutForm("", OPEN, new Plunge.AsPlanned()));
    Finding seat = at(study, DOES_NOT_CLEAN_UP);
    assertThat(seat.seat()).isEqualTo("I1");
    assertThat(seat.subject()).isEqualTo(Subject.operation(study.plan().idAt(1)));
    assertThat(((Term.Figure) seat.terms().get("clean")).value()).isCloseTo(7.6, within(1e-6));
    assertThat(((Term.Figure) seat.terms().get("depth")).value()).isCloseTo(7.4, within(1e-6));
    assertThat(seat.terms()).containsEntry("clock", Term.clock(4));
    assertThat(seat.extent()).isCloseTo(0.2, within(1e-6));
    // The practice, too, wants no less than clean; it would say the same again.
    Practice clean =
        Samples.practice()
            .with(Port.INTAKE, ReadingKind.PAST_CLEAN, Optional.of(Samples.range(0, 0.4)));
    assertThat(PlanFindings.of(study.outcome(), clean))
        .noneMatch(f -> f.subject().equals(Subject.reading(ReadingKind.PAST_CLEAN.key())));
    Plan cured = seat.cure().orElseThrow().applyTo(study.plan());
    PlanStudy after = study(job(off), cured);
    assertThat(findings(after)).noneMatch(f -> f.code() == DOES_NOT_CLEAN_UP);
  }

  @Test
  void aThroatTooLargeCannotBeReachedAndABiggerValveIsOffered() {
    PlanStudy study =
        study(read(Measure.THROAT_12, 37.4), new CutForm("", OPEN, new Plunge.AsPlanned()));
    Finding metal = at(study, THROAT_LARGER_ALREADY);
    assertThat(metal.terms())
        .containsEntry("wanted", Term.length(35))
        .containsEntry("throat", Term.length(37.4));
    assertThat(metal.cure().orElseThrow()).isInstanceOf(Cure.ValveDiameter.class);
  }

  @Test
  void aCutUnderThatLeansTooFarAndAHangUpAreFound() {
    PlanStudy lean = study(SeatReadings.NONE, new CutUnder(18, OPEN, 3, OPEN));
    assertThat(at(lean, LEANS_TOO_FAR).terms())
        .containsEntry("lean", Term.angle(18))
        .containsEntry("most", Term.angle(15));
    PlanStudy hangs = study(SeatReadings.NONE, new CutForm("", OPEN, new Plunge.AsPlanned()));
    double inner =
        38.4 - 2 * (1.3 * Math.cos(Math.toRadians(45)) + 1.4 * Math.cos(Math.toRadians(60)));
    assertThat(((Term.Figure) at(hangs, HANGS_UP).terms().get("throat")).value())
        .isCloseTo(inner, within(1e-6));
  }

  @Test
  void aRidgeOverTheSeatCostsLowLiftFlowUntilItIsSwept() {
    Seat bigger = WANTED.withDepthMm(8.6);
    Job job = job(SeatReadings.NONE);
    Operation form = new CutForm("", OPEN, new Plunge.AsPlanned());
    Plan ridged =
        job.planOf(place(job))
            .withWanted(new Pairing(bigger, valve()))
            .withOperations(List.of(new OpenThroat(OPEN, 0, OPEN), form));
    PlanStudy before = study(job, ridged);
    Finding ridge = at(before, RIDGE_OVER_SEAT);
    Plan swept = ridge.cure().orElseThrow().applyTo(ridged);
    PlanStudy after = study(job, swept);
    double low = before.finished().curve().orElseThrow().points().get(1).flowM3s();
    double freed = after.finished().curve().orElseThrow().points().get(1).flowM3s();
    assertThat(freed).isGreaterThan(low * 1.005);
  }

  @Test
  void cutsPastTheFireRingAreFound() {
    HeadLayout layout = new HeadLayout(1, 95, 88, 90, 25, 0, 14, 0, 0);
    Job job = job(SeatReadings.NONE);
    Job laid = job.withHead(job.head().withLayout(Optional.of(layout)));
    Plan swept =
        laid.planOf(place(laid))
            .withOperations(List.of(new SweepChamber(0, 54, OptionalDouble.of(40))));
    PlanStudy study = study(laid, swept);
    // Fire ring radius 44, valve axis 20 from the bore: 24 are left, the sweep reaches 27.
    assertThat(study.finished().reading(ReadingKind.FIRE_RING).orElseThrow())
        .isCloseTo(-3, within(1e-6));
    assertThat(at(study, PAST_FIRE_RING).extent()).isCloseTo(3, within(1e-6));
  }

  @Test
  void anotherPlanOnTheSameSeatsSaysWhatWorkingThemOutAfreshSays() {
    Job plain = job(SeatReadings.NONE);
    Job job = plain.withHead(plain.head().withCompressionRatio(OptionalDouble.of(10)));
    Job both = job.withGroup(Port.EXHAUST, job.intake());
    SeatPlace place = place(both);
    Plan deeper = both.planOf(place).withWanted(new Pairing(WANTED.withDepthMm(8.1), valve()));
    Job other = both.withPlan(place, deeper);
    SeatOutcome afresh = SeatOutcome.of(other, place, deeper);
    GroupOutcome carried = GroupOutcome.of(both, place).with(other, deeper);
    assertThat(carried.seats().getFirst().readings()).isEqualTo(afresh.readings());
    assertThat(carried.seats().getFirst().cut().job()).isEqualTo(other);
    // The exhaust seat enlarges the chamber too: 60 mm3 and more in 55 cm3.
    double alone =
        SeatOutcome.of(job.withPlan(place, deeper), place, deeper)
            .reading(ReadingKind.COMPRESSION)
            .orElseThrow();
    assertThat(afresh.reading(ReadingKind.COMPRESSION).orElseThrow()).isLessThan(alone - 0.005);
  }

  private static List<FindingCode> codes(PlanStudy study) {
    return findings(study).stream().map(Finding::code).toList();
  }

  @Test
  void aCureChangesTheWantedCutWhateverOtherOperationsLeaveBesideIt() {
    Job job = Samples.job();
    Seat wide = Samples.fourAngles(0.89).withCut(1, new Cut(45, 1.8)).withDepthMm(11);
    CutAngle above =
        new CutAngle(CutAngle.SingleTool.STONE, 20, 44, new Plunge.ToDepth(wide.depthMm() - 0.6));
    Plan plan =
        Plan.of(
            new Pairing(wide, Samples.backCutValve()),
            List.of(OpenThroat.AS_WANTED, above, CutForm.AS_WANTED));
    PlanStudy study = Samples.planned(job.withPlan(job.engine().seats().getFirst(), plan));
    assertThat(study.finished().fit().pairing().seat().sealing()).isEqualTo(2);
    Cure cure =
        PlanFindings.of(study.outcome(), Samples.practice()).stream()
            .filter(f -> f.subject().equals(Subject.reading("seatWidth")))
            .findFirst()
            .flatMap(Finding::cure)
            .orElseThrow();
    assertThat(cure.applyTo(plan).wanted().seat().cuts())
        .containsExactly(new Cut(30, 1), new Cut(45, 1.25), new Cut(60, 1.4), new Cut(75, 1.5));
    assertThat(cure.movedTo(Samples.oneSharpAngle(), wide)).isEmpty();
  }

  @Test
  void aLedgeInTheThroatIsSaidWhereItIsSeen() {
    CutForm form = new CutForm("", OPEN, new Plunge.ToDepth(7.4));
    // The throat was found at 34.9; the cutter stops within it.
    PlanStudy seen = study(SeatReadings.NONE, form, throatTo(35.02, 11));
    PlanStudy unseen = study(SeatReadings.NONE, form, throatTo(34.98, 11));
    assertThat(codes(unseen)).doesNotContain(LEDGE_IN_THROAT);
    Finding ledge = at(seen, LEDGE_IN_THROAT);
    assertThat(ledge.severity()).isEqualTo(Severity.CAUTION);
    assertThat(ledge.extent()).isCloseTo((35.02 - 34.9) / 2, within(1e-3));
    assertThat(ledge.cure().orElseThrow()).isInstanceOf(Cure.AddOperation.class);
  }

  private static PlanStudy toDepth(double depthMm) {
    Job job = job(SeatReadings.NONE);
    Plan plan = job.planOf(place(job));
    return study(
        job,
        plan.withWanted(new Pairing(WANTED.withDepthMm(depthMm), valve()))
            .withOperations(List.of(new CutForm("", OPEN, new Plunge.AsPlanned()))));
  }

  @Test
  void aSeatWantedAboveItsMetalIsAFaultThatANewRingCures() {
    // The found seat lies at 7 mm.
    PlanStudy little = toDepth(6.99);
    PlanStudy more = toDepth(6.97);
    assertThat(little.cut().lacking().areaMm2()).isBetween(0.005, 0.02);
    assertThat(codes(little)).doesNotContain(METAL_LACKING);
    Finding lacking = at(more, METAL_LACKING);
    assertThat(lacking.severity()).isEqualTo(Severity.FAULT);
    assertThat(lacking.extent()).isEqualTo(more.cut().lacking().areaMm2()).isGreaterThan(0.02);
    Cure.AddOperation ring = (Cure.AddOperation) lacking.cure().orElseThrow();
    assertThat(((FitRing) ring.operation()).ring().outsideDiameterMm()).isEqualTo(38.4 + 2 * 1.5);
  }

  @Test
  void aSeatCutInsideTheThroatNeverTouches() {
    // The throat was found at 34.9; the 45 is 1.3 wide and ends 1.84 mm smaller than it begins.
    CutForm touching = new CutForm("", OptionalDouble.of(36.8), new Plunge.UntilClean(0, false));
    CutForm inside = new CutForm("", OptionalDouble.of(34.8), new Plunge.UntilClean(0, false));
    assertThat(codes(study(SeatReadings.NONE, touching))).doesNotContain(NEVER_TOUCHES);
    PlanStudy study = study(SeatReadings.NONE, inside);
    Finding never = at(study, NEVER_TOUCHES);
    assertThat(never.severity()).isEqualTo(Severity.FAULT);
    assertThat(never.subject()).isEqualTo(Subject.operation(study.plan().idAt(0)));
    assertThat(never.terms()).containsEntry("sealing", Term.angle(45));
  }

  private static OpenThroat throatTo(double diameterMm, double depthMm) {
    return new OpenThroat(OptionalDouble.of(diameterMm), 0, OptionalDouble.of(depthMm));
  }

  @Test
  void aRingCutThroughItsFloorIsAFault() {
    double left = withRing(14).finished().reading(ReadingKind.RING_FLOOR).orElseThrow();
    assertThat(codes(withRing(14 - left + 0.02))).doesNotContain(THROUGH_RING_FLOOR);
    Finding through = at(withRing(14 - left - 0.02), THROUGH_RING_FLOOR);
    assertThat(through.severity()).isEqualTo(Severity.FAULT);
    assertThat(through.seat()).isEqualTo("I1");
  }

  private static PlanStudy withRing(double depthMm) {
    return study(
        SeatReadings.NONE,
        new FitRing(new Ring(43, 33, depthMm, 8, 0.1, "")),
        OpenThroat.AS_WANTED,
        new CutForm("", OPEN, new Plunge.ToDepth(7.4)));
  }

  @Test
  void anOperationThatCannotBeIsAFaultOfThatOperation() {
    CutForm form = new CutForm("", OPEN, new Plunge.ToDepth(7.4));
    // A sweep that starts at 40 cannot reach to 40.
    PlanStudy study = study(SeatReadings.NONE, form, sweepTo(40));
    assertThat(codes(study(SeatReadings.NONE, form, sweepTo(40.1))))
        .doesNotContain(CANNOT_BE_CARRIED_OUT);
    Finding fault = at(study, CANNOT_BE_CARRIED_OUT);
    assertThat(fault.severity()).isEqualTo(Severity.FAULT);
    assertThat(fault.subject()).isEqualTo(Subject.operation(study.plan().idAt(1)));
  }

  private static SweepChamber sweepTo(double reachMm) {
    return new SweepChamber(15, reachMm, OptionalDouble.of(40));
  }
}
