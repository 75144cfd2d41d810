package finebore.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.CutUnder;
import finebore.cutting.OpenThroat;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.found.Family;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.NewHead;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Range;
import finebore.room.Unshrouding;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.seat.ShownElement;
import finebore.units.Dimension;
import finebore.units.Unit;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits and usual values, each just inside and just outside, or to the figure. */
class LimitsTest {

  private static List<Finding> of(Job job, FindingCode code) {
    return HeadFindings.of(job, Samples.practice()).stream().filter(f -> f.code() == code).toList();
  }

  private static Job reading(Measure measure, double value) {
    Job job = Samples.job();
    return job.withHead(job.head().withReading("I1", measure, OptionalDouble.of(value)));
  }

  @Test
  void aGuideIsWornPastATenth() {
    assertThat(of(reading(Measure.GUIDE_CLEARANCE, 0.1), FindingCode.GUIDE_WORN)).isEmpty();
    Finding worn = of(reading(Measure.GUIDE_CLEARANCE, 0.103), FindingCode.GUIDE_WORN).getFirst();
    assertThat(worn.extent()).isCloseTo(0.003, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"69.96, false", "69.94, true"})
  void aHeadIsSkimmedPastHalfATenth(double now, boolean skimmed) {
    Head head =
        Head.UNKNOWN
            .withNewThicknessMm(OptionalDouble.of(70))
            .withThicknessMm(OptionalDouble.of(now));
    assertThat(!of(Samples.job().withHead(head), FindingCode.HEAD_SKIMMED).isEmpty())
        .isEqualTo(skimmed);
  }

  @ParameterizedTest
  @CsvSource({"15, 0", "15.2, 0.2"})
  void aCutUnderLeansTooFarPastFifteen(double lean, double past) {
    CutUnder under = new CutUnder(lean, OptionalDouble.empty(), 2, OptionalDouble.empty());
    Plan plan = Plan.of(Samples.pairing(), List.of(OpenThroat.AS_WANTED, under));
    Job job = Samples.job();
    SeatPlace first = job.engine().seats().getFirst();
    Optional<Finding> found =
        PlanFindings.of(Samples.planned(job.withPlan(first, plan)).outcome(), Samples.practice())
            .stream()
            .filter(f -> f.code() == FindingCode.LEANS_TOO_FAR)
            .findFirst();
    assertThat(found.isPresent()).isEqualTo(past > 0);
    found.ifPresent(
        f -> {
          assertThat(f.extent()).isCloseTo(past, within(1e-9));
          assertThat(f.terms()).containsEntry("most", Term.angle(15));
          assertThat(f.cure().orElseThrow().applyTo(plan).operations().get(1))
              .isEqualTo(new CutUnder(12.5, OptionalDouble.empty(), 2, OptionalDouble.empty()));
        });
  }

  @ParameterizedTest
  @CsvSource({
    "SEAT_ANGLE, 45, 2",
    "ROOF_ANGLE, 10, 2",
    "WALL_BOWL, 4, 0.5",
    "BOWL_DIAMETER, 38, 0.5",
    "GUIDE_CLEARANCE, 0.05, 0.02",
    "RING_FIT, 0.1, 0.02",
    "RUNOUT, 0.2, 0.1",
    "SPRING_HEIGHT, 40, 0.3",
    "THROAT_12, 36, 0.2",
    "SEAT_WIDTH, 1.6, 0.2"
  })
  void aReadingIsOutOfFamilyPastWhatAHandAndAGaugeCanBeWrongBy(
      Measure measure, double usual, double limit) {
    assertThat(outliers(measure, usual, usual + 0.99 * limit)).isEmpty();
    assertThat(outliers(measure, usual, usual + 1.01 * limit))
        .extracting(Family.Outlier::seat)
        .containsExactly("I4");
  }

  private static List<Family.Outlier> outliers(Measure measure, double usual, double odd) {
    Map<String, SeatReadings> seats = new HashMap<>();
    for (int k = 1; k <= 4; k++) {
      seats.put("I" + k, SeatReadings.NONE.with(measure, OptionalDouble.of(k == 4 ? odd : usual)));
    }
    return Family.outliers(seats);
  }

  @ParameterizedTest
  @CsvSource({"0.951, false", "0.949, true", "0, true"})
  void aCutComesShortByMoreThanHalfATenth(double shown, boolean isShort) {
    assertThat(new ShownCut(0, new Cut(45, 1), shown).isShort()).isEqualTo(isShort);
    assertThat(new ShownElement(0, new Cut(45, 1), 0, 1, shown).isShort()).isEqualTo(isShort);
  }

  @Test
  void aRangeHoldsToItsEdges() {
    Range range = Samples.range(1.0, 1.5);
    assertThat(range.holds(1.0)).isTrue();
    assertThat(range.holds(1.5 + 5e-10)).isTrue();
    assertThat(range.holds(1.5 + 2e-9)).isFalse();
    assertThat(range.excess(1.7)).isCloseTo(0.2, within(1e-12));
    assertThat(range.excess(0.7)).isCloseTo(0.3, within(1e-12));
    assertThat(range.excess(1.4)).isCloseTo(-0.1, within(1e-12));
    Range least = new Range(OptionalDouble.of(1), OptionalDouble.empty(), Basis.COMMON_PRACTICE);
    assertThat(least.excess(9)).isEqualTo(-8);
    assertThat(least.nearest(0.3)).isEqualTo(1);
  }

  /**
   * 42 mm valve, face 45 degrees 2.4 mm wide over a 15 degree cone: a 30 degree cut from 1.7 mm of
   * face goes 0.7 sin 45 = 0.49497 deep and as far in from the old inner edge, where the cone has
   * risen by tan 15 of it; the run from the new edge is (0.49497 - 0.49497 tan 15) / (tan 30 - tan
   * 15).
   */
  @Test
  void aBackCutReachesFromItsFaceToTheUnderhead() {
    double leg = 0.7 * Math.sin(Math.toRadians(45));
    double cone = Math.tan(Math.toRadians(15));
    double run = (leg - leg * cone) / (Math.tan(Math.toRadians(30)) - cone);
    Cure.BackCut cut =
        (Cure.BackCut) Cure.BackCut.leaving(Samples.plainValve(), 1.7, 30).orElseThrow();
    assertThat(cut.cut().widthMm()).isCloseTo(run / Math.cos(Math.toRadians(30)), within(1e-9));
    assertThat(cut.faceWidthMm()).isEqualTo(1.7);
    assertThat(Cure.BackCut.leaving(Samples.plainValve(), 1.7, 15)).isEmpty();
    assertThat(Cure.BackCut.leaving(Samples.plainValve(), 0.05, 15.6)).isEmpty();
  }

  @Test
  void underheadsAreFlatMidOrTulip() {
    assertThat(IntStream.of(11, 12, 22, 23).mapToObj(deg -> new Underhead(deg, 5).form()))
        .containsExactly(
            Underhead.Form.FLAT, Underhead.Form.MID, Underhead.Form.MID, Underhead.Form.TULIP);
  }

  @Test
  void usualLiftsGoToPastTheCam() {
    assertThat(TestPlan.usual(Units.MM, 3.2).liftsMm()).containsExactly(1.0, 2.0, 3.0, 4.0);
    assertThat(TestPlan.usual(Units.INCH, 3).liftsMm())
        .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
        .containsExactly(1.27, 2.54, 5.08);
    assertThat(TestPlan.usual(Units.MM, 3).depressionPa()).isCloseTo(28 * 249.08891, within(1e-9));
    TestPlan plan = Samples.test();
    assertThat(plan.withLiftsMm(List.of(60.0)).liftsMm()).hasSize(1);
    assertThatThrownBy(() -> plan.withLiftsMm(List.of(60.5))).isInstanceOf(RuleViolation.class);
    List<Double> sixty = IntStream.rangeClosed(1, 60).mapToObj(k -> k * 0.5).toList();
    assertThat(plan.withLiftsMm(sixty).liftsMm()).hasSize(60);
    List<Double> more = IntStream.rangeClosed(1, 61).mapToObj(k -> k * 0.5).toList();
    assertThatThrownBy(() -> plan.withLiftsMm(more)).isInstanceOf(RuleViolation.class);
  }

  @Test
  void aHeadNobodyMeasuredLiesByItsBore() {
    Job job = Samples.job();
    HeadLayout layout = HeadLayout.about(job.engine().withBoreMm(80));
    assertThat(layout)
        .isEqualTo(new HeadLayout(1, layout.boreSpacingMm(), 82, 90, 24, 0, 14, 0, 0));
    assertThat(layout.boreSpacingMm()).isCloseTo(88, within(1e-9));
  }

  @Test
  void aSweepFreesAValveAndStopsAtTheFireRing() {
    assertThat(Unshrouding.sweepDiameterMm(40, 8, 0.75, 42, 100)).isCloseTo(52, within(1e-12));
    assertThat(Unshrouding.sweepDiameterMm(40, 8, 0.75, 42, 24)).isCloseTo(48, within(1e-12));
    assertThat(Unshrouding.sweepDiameterMm(40, 8, 0.75, 60, 24)).isCloseTo(60, within(1e-12));
  }

  @Test
  void aNewHeadGrowsWithItsValveToTheNearestTwentieth() {
    Pairing grown = NewHead.withHead(Samples.pairing(), 45);
    double by = 45.0 / 42;
    assertThat(grown.seat().outsideDiameterMm())
        .isCloseTo(Math.round(41.25 * by * 20) / 20.0, within(1e-9));
    assertThat(grown.seat().throatDiameterMm())
        .isCloseTo(Math.round(0.89 * 42 * by * 20) / 20.0, within(1e-9));
    Pairing turned = NewHead.withSeatAngle(Samples.pairing(), 30);
    assertThat(turned.seat().cuts()).extracting(Cut::angleDeg).containsExactly(15., 30., 45., 60.);
    assertThat(turned.valve().faceAngleDeg()).isEqualTo(30);
    Seat steep = Samples.fourAngles(0.89).withCut(3, new Cut(88, 1.5));
    assertThat(NewHead.withSeatAngle(Samples.pairing().withSeat(steep), 55).seat().cuts().get(3))
        .isEqualTo(new Cut(90, 1.5));
  }

  @Test
  void aTypicalThroatIsTheMiddleOfAllReadings() {
    Job job = Samples.job().withEngine(Samples.job().engine().withCylinders(2));
    Head head =
        job.head()
            .withReading("I1", Measure.THROAT_12, OptionalDouble.of(37.0))
            .withReading("I1", Measure.THROAT_3, OptionalDouble.of(37.4))
            .withReading("I2", Measure.THROAT_12, OptionalDouble.of(37.1))
            .withReading("I2", Measure.THROAT_3, OptionalDouble.of(38.0));
    double typical = job.withHead(head).typical(finebore.job.Port.INTAKE).seat().throatDiameterMm();
    assertThat(typical).isCloseTo(37.25, within(1e-9));
  }

  /** NIST Special Publication 811, appendix B (from memory). */
  @ParameterizedTest
  @CsvSource({
    "MM, 1",
    "CM, 10",
    "INCH, 25.4",
    "THOU, 0.0254",
    "CUBIC_METRE_PER_SECOND, 1",
    "LITRE_PER_SECOND, 0.001",
    "CFM, 4.719474432e-4",
    "PASCAL_UNIT, 1",
    "KILOPASCAL, 1000",
    "INCH_OF_WATER, 249.08891",
    "HECTOPASCAL, 100",
    "INCH_OF_MERCURY, 3386.389",
    "METRE_PER_SECOND, 1",
    "FOOT_PER_SECOND, 0.3048",
    "CELSIUS, 1"
  })
  void unitsHaveTheirPublishedFactors(Unit unit, double factor) {
    assertThat(unit.toBase(3)).isCloseTo(3 * factor, within(3e-12 * factor));
    assertThat(unit.fromBase(unit.toBase(7))).isCloseTo(7, within(1e-12));
    assertThat(Unit.FAHRENHEIT.toBase(212)).isCloseTo(100, within(1e-12));
    assertThat(Unit.FAHRENHEIT.fromBase(100)).isCloseTo(212, within(1e-12));
  }

  @Test
  void unitsAreKnownByTheirNames() {
    assertThat(Unit.of(Dimension.FLOW))
        .extracting(Unit::symbol)
        .containsExactly("m3/s", "l/s", "cfm");
    assertThat(Units.of("inch")).contains(Units.INCH);
    assertThat(Units.of("mm").orElseThrow().other().key()).isEqualTo("inch");
    assertThat(Units.INCH.other()).isEqualTo(Units.MM);
    assertThat(Units.of("furlong")).isEmpty();
    assertThat(Dimension.LENGTH.unit()).isEqualTo("mm");
  }

  @ParameterizedTest
  @CsvSource({"42.2, 41.25, false", "42.2, 42.21, true"})
  void aSeatIsLargerThanItsValveAsSoonAsItIs(double head, double outside, boolean larger) {
    Valve valve = Samples.plainValve().withHeadDiameterMm(head);
    Seat seat = Samples.fourAngles(0.89).withOutsideDiameterMm(outside);
    var study = Samples.study(new Pairing(seat, valve));
    Optional<Finding> found =
        SeatFindings.of(
                "I1", finebore.job.Port.INTAKE, study.fit(), study.readings(), Samples.practice())
            .stream()
            .filter(f -> f.code() == FindingCode.SEAT_LARGER_THAN_VALVE)
            .findFirst();
    assertThat(found.isPresent()).isEqualTo(larger);
    found.ifPresent(
        f ->
            assertThat(f.cure().orElseThrow())
                .isEqualTo(new Cure.SeatOutside(head - 0.3 * 2.4 * Math.cos(Math.toRadians(45)))));
  }
}
