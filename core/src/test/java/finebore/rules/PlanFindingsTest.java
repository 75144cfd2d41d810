package finebore.rules;

import static finebore.finding.FindingCode.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.Term;
import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.FitRing;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a plan carried out on one seat: how much, where, and what cures it. */
class PlanFindingsTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Seat WORN = Samples.WORN;
  private static final Seat WANTED = Samples.TRUED;

  private static SeatPlace place(Job job) {
    return job.engine().seats().getFirst();
  }

  private static PlanStudy study(Seat found, Seat wanted, Operation... operations) {
    Job job = Samples.job(found, wanted, SeatReadings.NONE);
    Plan plan = job.planOf(place(job)).withOperations(List.of(operations));
    return Samples.planned(job.withPlan(place(job), plan));
  }

  private static List<Finding> findings(PlanStudy study) {
    return PlanFindings.of(study.outcome(), Samples.practice());
  }

  private static Optional<Finding> find(PlanStudy study, FindingCode code) {
    return findings(study).stream().filter(f -> f.code() == code).findFirst();
  }

  private static Finding one(PlanStudy study, FindingCode code) {
    return find(study, code).orElseThrow(() -> new AssertionError("not in " + findings(study)));
  }

  private static CutForm form(double depthMm) {
    return new CutForm("", OPEN, new Plunge.ToDepth(depthMm));
  }

  private static Operation added(Finding finding) {
    return switch (finding.cure().orElseThrow()) {
      case Cure.AddOperation add -> add.operation();
      case Cure.ChangeOperation change -> change.operation();
      default -> throw new AssertionError(finding.cure());
    };
  }

  /**
   * The 30 ends at 19.2 + 0.8 cos 30 = 19.8928, 0.4 above the seat's edge; the roof stands there at
   * -7 + 0.6928 tan 10. It is swept at 15 from there, as far as the step needs and half a mm more.
   */
  @Test
  void aRidgeIsSweptFromItsFootToWhereTheSweepComesUp() {
    Finding ridge = one(study(WORN, WANTED, OpenThroat.AS_WANTED, form(7.4)), RIDGE_OVER_SEAT);
    double foot = 19.2 + 0.8 * Math.cos(Math.toRadians(30));
    double height = -7 + (foot - 19.2) * Math.tan(Math.toRadians(10)) + 7.4 - 0.4;
    assertThat(ridge.extent()).isCloseTo(height, within(1e-6));
    assertThat(((Term.Figure) ridge.terms().get("at")).value()).isCloseTo(2 * foot, within(1e-6));
    double gain = Math.tan(Math.toRadians(15)) - Math.tan(Math.toRadians(10));
    SweepChamber sweep = (SweepChamber) added(ridge);
    assertThat(sweep.angleDeg()).isEqualTo(15);
    assertThat(sweep.reachDiameterMm()).isEqualTo(Math.ceil(2 * (foot + height / gain + 0.5)));
    assertThat(sweep.startDiameterMm().orElseThrow()).isCloseTo(2 * foot, within(1e-6));
  }

  /** A steep roof is swept a little steeper than it is, but never past 60 degrees. */
  @ParameterizedTest
  @CsvSource({"15, 18", "14.9, 15", "40, 43", "56.9, 59.9"})
  void aSweepIsSteeperThanItsRoof(double roofDeg, double sweepDeg) {
    Seat worn = WORN.withRoofAngleDeg(roofDeg);
    Seat wanted = WANTED.withRoofAngleDeg(roofDeg).withDepthMm(9);
    Finding ridge = one(study(worn, wanted, OpenThroat.AS_WANTED, form(9)), RIDGE_OVER_SEAT);
    assertThat(((SweepChamber) added(ridge)).angleDeg()).isCloseTo(sweepDeg, within(1e-9));
    // However long the way up, no sweep goes further than a fifth of the seat.
    double at = ((Term.Figure) ridge.terms().get("at")).value();
    double run = ((SweepChamber) added(ridge)).reachDiameterMm() - at;
    assertThat(run).isLessThanOrEqualTo(2 * 0.2 * 38.4 + 1);
  }

  /** A seat that stops a hundredth short is none the worse for what no stop is set to. */
  @ParameterizedTest
  @CsvSource({"0.0049, false", "0.0051, true"})
  void aSeatIsShortAsSoonAsAStopCanTell(double shortBy, boolean fault) {
    double clean =
        study(
                WORN,
                WANTED,
                OpenThroat.AS_WANTED,
                new CutForm("", OPEN, new Plunge.UntilClean(0, false)))
            .cut()
            .cutting()
            .steps()
            .getLast()
            .cleanUp()
            .orElseThrow()
            .sealingMm()
            .orElseThrow();
    PlanStudy study = study(WORN, WANTED, OpenThroat.AS_WANTED, form(clean - shortBy));
    assertThat(find(study, DOES_NOT_CLEAN_UP).isPresent()).isEqualTo(fault);
    find(study, DOES_NOT_CLEAN_UP)
        .ifPresent(f -> assertThat(f.extent()).isCloseTo(shortBy, within(1e-6)));
  }

  private static Optional<Finding> stone(double angleDeg, double depthMm) {
    return find(
        study(
            WORN,
            WANTED,
            OpenThroat.AS_WANTED,
            new CutAngle(CutAngle.SingleTool.STONE, angleDeg, 38.4, new Plunge.ToDepth(depthMm))),
        DOES_NOT_CLEAN_UP);
  }

  /** A stone of the seat's angle is the seat and must clean up; a top stone need not. */
  @Test
  void aStoneThatMakesTheSeatMustCleanUpToo() {
    Finding left = stone(45, 6.9).orElseThrow();
    assertThat(left.extent()).isCloseTo(0.1, within(0.02));
    assertThat(((CutAngle) changed(left)).plunge()).isEqualTo(new Plunge.UntilClean(0, false));
    assertThat(((CutAngle) changed(left)).edgeDiameterMm()).isEqualTo(38.4);
    assertThat(stone(45, 7.1)).isEmpty();
    assertThat(stone(45.29, 6.9)).isPresent();
    assertThat(stone(45.31, 6.9)).isEmpty();
    assertThat(stone(44.71, 6.9)).isPresent();
    assertThat(stone(44.69, 6.9)).isEmpty();
    // The last that carries the seat counts: a form that cleans up mends a stone that did not.
    assertThat(
            find(
                study(
                    WORN,
                    WANTED,
                    OpenThroat.AS_WANTED,
                    new CutAngle(CutAngle.SingleTool.STONE, 45, 38.4, new Plunge.ToDepth(6.9)),
                    form(7.4)),
                DOES_NOT_CLEAN_UP))
        .isEmpty();
  }

  private static Operation changed(Finding finding) {
    return ((Cure.ChangeOperation) finding.cure().orElseThrow()).operation();
  }

  /**
   * A new 45 over an old 40 from the same edge at 7: set to 6.95 it comes through the old face
   * where 0.05 = x (1 - tan 40), from 0.311 inward to its end at 0.919; set to 6.8 nowhere.
   */
  @Test
  void whatShowsOfAnUncleanSeatIsSaid() {
    Seat flat = WORN.withCut(0, new Cut(40, 2.4));
    Finding some = one(study(flat, WANTED, throat(35.2), form(6.95)), DOES_NOT_CLEAN_UP);
    Term.Phrase shows = (Term.Phrase) some.terms().get("shows");
    assertThat(shows.message().code()).isEqualTo("shows.only");
    double from = 0.05 / (1 - Math.tan(Math.toRadians(40)));
    assertThat(((Term.Figure) shows.message().terms().get("shown")).value())
        .isCloseTo(1.3 - from * Math.sqrt(2), within(1e-6));
    Finding none = one(study(flat, WANTED, throat(35.2), form(6.8)), DOES_NOT_CLEAN_UP);
    assertThat(((Term.Phrase) none.terms().get("shows")).message().code())
        .isEqualTo("shows.nothing");
  }

  private static OpenThroat throat(double mm) {
    return new OpenThroat(OptionalDouble.of(mm), 0, OPEN);
  }

  /** A new ring keeps what the practice wants outside the seat, and two mm under its cuts. */
  @Test
  void aNewRingHoldsTheWholeSeat() {
    PlanStudy high = study(WORN, WANTED.withDepthMm(6.5), form(6.5));
    FitRing fit = (FitRing) added(one(high, METAL_LACKING));
    double lowest = 6.5 + 1.3 * Math.sqrt(0.5) + 1.4 * Math.sqrt(0.75);
    assertThat(fit.ring().outsideDiameterMm()).isCloseTo(38.4 + 3, within(1e-9));
    assertThat(fit.ring().insideDiameterMm()).isCloseTo(34, within(1e-9));
    assertThat(fit.ring().floorMm()).isCloseTo(lowest + 2, within(1e-6));
    assertThat(fit.ring().heightMm()).isCloseTo(fit.ring().floorMm() - 6.5 + 1, within(1e-9));
    assertThat(fit.ring().fitMm()).isEqualTo(0.1);
    Practice thick =
        Samples.practice()
            .with(Port.INTAKE, ReadingKind.RING_WALL, Optional.of(Samples.range(2.2, 5)));
    Finding wanted =
        PlanFindings.of(high.outcome(), thick).stream()
            .filter(f -> f.code() == METAL_LACKING)
            .findFirst()
            .orElseThrow();
    assertThat(((FitRing) added(wanted)).ring().outsideDiameterMm())
        .isCloseTo(38.4 + 4.4, within(1e-9));
    // An old ring's floor, fit and material go on.
    PlanStudy ringed =
        study(
            WORN,
            WANTED.withDepthMm(5.5),
            new FitRing(new Ring(43, 33, 16, 8, 0.07, "iron")),
            form(5.5));
    Ring next = ((FitRing) added(one(ringed, METAL_LACKING))).ring();
    assertThat(next.floorMm()).isEqualTo(16);
    assertThat(next.fitMm()).isEqualTo(0.07);
    assertThat(next.material()).isEqualTo("iron");
  }

  /** A throat that is larger than wanted by more than half a tenth cannot be made smaller. */
  @Test
  void aThroatIsTooLargeAlreadyByMoreThanHalfATenth() {
    Seat wide = WORN.withThroatDiameter(35.6).withDepthMm(6.4);
    Finding large =
        one(study(wide, WANTED.withThroatDiameter(34.2), form(7.4)), THROAT_LARGER_ALREADY);
    assertThat(large.extent()).isCloseTo(1.4, within(1e-6));
    // 35.6 is 0.90, the most the practice wants, of 39.56: the next tenth up.
    assertThat(((Cure.ValveDiameter) large.cure().orElseThrow()).mm()).isEqualTo(39.6);
    Practice open =
        Samples.practice().with(Port.INTAKE, ReadingKind.THROAT_RATIO, Optional.empty());
    PlanStudy study = study(wide, WANTED.withThroatDiameter(34.2), form(7.4));
    assertThat(
            PlanFindings.of(study.outcome(), open).stream()
                .filter(f -> f.code() == THROAT_LARGER_ALREADY)
                .findFirst()
                .orElseThrow()
                .cure())
        .isEmpty();
  }

  /** Cuts that came in whole and were blended away were meant to go; cuts the throat took, not. */
  @Test
  void whatABlendTookDoesNotComeShort() {
    PlanStudy square = study(WORN, WANTED, OpenThroat.AS_WANTED, form(7.4));
    assertThat(find(square, CUTS_COME_SHORT)).isEmpty();
    PlanStudy blended =
        study(WORN, WANTED, OpenThroat.AS_WANTED, form(7.4), new Blend(Blend.Side.PORT, 0.2, 3));
    ShownCut sixty = blended.finished().fit().seat().shown().get(2);
    assertThat(sixty.isShort()).isTrue();
    assertThat(find(blended, CUTS_COME_SHORT)).isEmpty();
    PlanStudy taken = study(WORN, WANTED, throat(35.9), form(7.4));
    Finding lost = one(taken, CUTS_COME_SHORT);
    double shown = taken.finished().fit().seat().shown().get(2).shownMm();
    assertThat(lost.extent()).isCloseTo(1.4 - shown, within(1e-9));
    // 35.9 is 92 % of 39: the valve is the cure, not a narrower cut.
    assertThat(lost.cure().orElseThrow()).isInstanceOf(Cure.LargerHead.class);
    Practice wide =
        Samples.practice()
            .with(Port.INTAKE, ReadingKind.THROAT_RATIO, Optional.of(Samples.range(0.8, 0.95)));
    Cure narrower =
        PlanFindings.of(taken.outcome(), wide).stream()
            .filter(f -> f.code() == CUTS_COME_SHORT)
            .findFirst()
            .flatMap(Finding::cure)
            .orElseThrow();
    assertThat(narrower.applyTo(taken.plan()).wanted().seat().cuts().get(2).widthMm())
        .isCloseTo(shown, within(1e-9));
  }

  /** An overrule is of one fault of one thing at one seat, to the extent it was accepted. */
  @Test
  void anOverruleHoldsForItsOwnFaultAndExtentAlone() {
    PlanStudy study = study(WORN, WANTED, OpenThroat.AS_WANTED, form(6.9));
    Finding fault = one(study, DOES_NOT_CLEAN_UP);
    assertThat(PlanFindings.blockers(findings(study))).contains(fault);
    Overrule overrule = PlanFindings.overrule(fault, study.plan(), "old seat, race only");
    assertThat(overrule.extent()).isEqualTo(fault.extent());
    assertThat(state(study, overrule)).isEqualTo(Overrule.State.HOLDS);
    Finding accepted = one(with(study, overrule), DOES_NOT_CLEAN_UP);
    assertThat(accepted.severity()).isEqualTo(Severity.CAUTION);
    assertThat(accepted.overruled()).contains(overrule);
    assertThat(PlanFindings.blockers(findings(with(study, overrule))))
        .noneMatch(f -> f.code() == DOES_NOT_CLEAN_UP);
    Overrule less =
        new Overrule(
            overrule.code(),
            overrule.seat(),
            overrule.subject(),
            overrule.extent() - 0.01,
            overrule.operation(),
            "less");
    assertThat(state(study, less)).isEqualTo(Overrule.State.WORSE);
    assertThat(one(with(study, less), DOES_NOT_CLEAN_UP).severity()).isEqualTo(Severity.FAULT);
    Overrule elsewhere =
        new Overrule(
            overrule.code(),
            "I2",
            overrule.subject(),
            overrule.extent(),
            overrule.operation(),
            "other seat");
    assertThat(state(study, elsewhere)).isEqualTo(Overrule.State.GONE);
    assertThat(one(with(study, elsewhere), DOES_NOT_CLEAN_UP).severity()).isEqualTo(Severity.FAULT);
    Overrule changed =
        new Overrule(
            overrule.code(),
            overrule.seat(),
            overrule.subject(),
            overrule.extent(),
            Optional.of(form(6.8)),
            "set otherwise since");
    assertThat(state(study, changed)).isEqualTo(Overrule.State.CHANGED);
    // A caution needs no overrule, and one of it changes nothing.
    Finding caution = one(study, OUT_OF_RANGE);
    assertThat(caution.severity()).isEqualTo(Severity.CAUTION);
    Overrule idle = PlanFindings.overrule(caution, study.plan(), "as it is");
    assertThat(one(with(study, idle), OUT_OF_RANGE).overruled()).isEmpty();
  }

  private static Overrule.State state(PlanStudy study, Overrule overrule) {
    return PlanFindings.state(overrule, findings(study), study.plan());
  }

  private static PlanStudy with(PlanStudy study, Overrule overrule) {
    Job job = study.outcome().cut().job();
    Plan plan = study.plan().withOverrule(overrule);
    return Samples.planned(job.withPlan(place(job), plan));
  }
}
