package finebore.rules;

import static finebore.finding.FindingCode.*;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.study.SeatFit;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Each finding of a valve on a seat just inside and just outside its limit. */
class SeatFindingsTest {

  private static List<Finding> findings(Pairing pairing) {
    SeatStudy study = Samples.study(pairing);
    return SeatFindings.of("I1", Port.INTAKE, study.fit(), study.readings(), Samples.practice());
  }

  private static List<FindingCode> codes(Pairing pairing) {
    return findings(pairing).stream().map(Finding::code).toList();
  }

  private static Finding one(Pairing pairing, FindingCode code, String subject) {
    return findings(pairing).stream()
        .filter(f -> f.code() == code && (subject.isEmpty() || f.subject().id().equals(subject)))
        .findFirst()
        .orElseThrow(() -> new AssertionError("not among:\n" + findings(pairing)));
  }

  private static double after(Pairing pairing, Finding finding, ReadingKind kind) {
    Pairing cured = finding.cure().orElseThrow().applyTo(pairing);
    return Samples.study(cured).reading(kind).orElseThrow();
  }

  private static Pairing seat(Seat seat) {
    return Samples.pairing().withSeat(seat);
  }

  private static Pairing valve(Valve valve) {
    return Samples.pairing().withValve(valve);
  }

  private static Pairing throat(double mm) {
    Seat seat = Samples.fourAngles(0.89).withThroatDiameter(mm);
    return seat(seat.withBowl(new Bowl(Math.max(mm, seat.bowlDiameterMm()), 20)));
  }

  private static Pairing outside(double mm) {
    return seat(Samples.fourAngles(0.89).withOutsideDiameterMm(mm));
  }

  private static Pairing cut(int index, double angle, double width) {
    return seat(Samples.fourAngles(0.87).withCut(index, new Cut(angle, width)));
  }

  /** What is found, a pairing just inside its limit, and one just outside. */
  static Stream<Arguments> limits() {
    Valve plain = Samples.plainValve();
    Valve back = Samples.backCutValve();
    // The sealing cut begins at 41.25; the lowest cut ends here.
    double across =
        1.2 * Math.cos(Math.toRadians(45))
            + 1.4 * Math.cos(Math.toRadians(60))
            + 1.5 * Math.cos(Math.toRadians(75));
    double end = 41.25 - 2 * across;
    return Stream.of(
        Arguments.of(SEAT_LARGER_THAN_VALVE, "", outside(41.99), outside(42.06)),
        Arguments.of(SQUARE_STEP, "", throat(end - 0.05), throat(end - 0.5)),
        Arguments.of(CUTS_COME_SHORT, "", throat(end + 0.02), throat(end + 0.9)),
        // A 30 of 1 mm rises half a millimetre and runs out at the head face.
        Arguments.of(
            CUT_ABOVE_COMES_SHORT,
            "",
            seat(Samples.fourAngles(0.89).withDepthMm(0.48)),
            seat(Samples.fourAngles(0.89).withDepthMm(0.47))),
        Arguments.of(NO_BACK_CUT, "", valve(back), valve(plain)),
        Arguments.of(OUT_OF_RANGE, "throatRatio", throat(0.899 * 42), throat(0.901 * 42)),
        Arguments.of(OUT_OF_RANGE, "throatRatio", throat(0.8701 * 42), throat(0.869 * 42)),
        Arguments.of(OUT_OF_RANGE, "seatWidth", cut(1, 45, 1.499), cut(1, 45, 1.501)),
        Arguments.of(OUT_OF_RANGE, "seatWidth", cut(1, 45, 1.001), cut(1, 45, 0.999)),
        Arguments.of(
            OUT_OF_RANGE,
            "faceWidth",
            valve(back.withFaceWidthMm(1.999)),
            valve(back.withFaceWidthMm(2.001))),
        Arguments.of(
            OUT_OF_RANGE,
            "margin",
            valve(back.withMarginMm(1.001)),
            valve(back.withMarginMm(0.99))),
        Arguments.of(OUT_OF_RANGE, "lastCutAngle", cut(3, 77, 1.5), cut(3, 77.5, 1.5)),
        Arguments.of(OUT_OF_RANGE, "overhang", outside(41.79), outside(41.81)),
        Arguments.of(
            THROAT_WITHIN_STEM,
            "",
            valve(back.withStemDiameterMm(12)),
            new Pairing(
                Seat.of(List.of(new Cut(45, 2)), 0, 15, 10, 11.9, 3, 12.2, 14, 0),
                new Valve(16, 1.2, 45, 1.0, List.of(), new Underhead(15, 2), 12, 0))),
        Arguments.of(
            SEAT_BELOW_BOWL,
            "",
            seat(Samples.fourAngles(0.89).withBowl(new Bowl(37.4, 4.4))),
            seat(Samples.fourAngles(0.89).withBowl(new Bowl(37.4, 2)))));
  }

  @ParameterizedTest
  @MethodSource("limits")
  void isFoundOutsideItsLimitAndNotInside(
      FindingCode code, String subject, Pairing inside, Pairing outside) {
    assertThat(findings(inside))
        .noneMatch(
            f -> f.code() == code && (subject.isEmpty() || f.subject().id().equals(subject)));
    Finding found = one(outside, code, subject);
    assertThat(found.seat()).isEqualTo("I1");
    assertThat(found.basis()).isNotNull();
  }

  @Test
  void aSeatAsThePracticeWantsItHasNoCautions() {
    assertThat(findings(seat(Samples.fourAngles(0.8934).withOutsideDiameterMm(41.4))))
        .noneMatch(f -> f.severity() != Severity.NOTE);
  }

  @Test
  void aLargeThroatNamesTheCutsItTookAndTheValveThatBringsItBack() {
    Pairing pairing = seat(Samples.fourAngles(0.93));
    Finding lost = one(pairing, CUTS_COME_SHORT, "");
    assertThat(lost.terms().get("ratio"))
        .isEqualTo(Term.share(seat(Samples.fourAngles(0.93)).seat().throatDiameterMm() / 42));
    Term.Each cuts = (Term.Each) lost.terms().get("cuts");
    assertThat(cuts.terms())
        .extracting(t -> ((Term.Phrase) t).message().code())
        .containsExactly("cut.left", "cut.neverShows");
    assertThat(lost.cure().orElseThrow()).isInstanceOf(Cure.LargerHead.class);
    assertThat(after(pairing, lost, ReadingKind.THROAT_RATIO)).isBetween(0.89, 0.9001);
  }

  @Test
  void aSmallThroatIsOpenedToTheRange() {
    Pairing pairing = seat(Samples.fourAngles(0.83));
    Finding small = one(pairing, OUT_OF_RANGE, "throatRatio");
    assertThat(after(pairing, small, ReadingKind.THROAT_RATIO)).isCloseTo(0.87, within(1e-9));
    assertThat(one(pairing, SQUARE_STEP, "").cure().orElseThrow())
        .isInstanceOf(Cure.OtherThroat.class);
  }

  @Test
  void aContactOffTheMiddleGetsTheSeatThatCentresIt() {
    Pairing pairing =
        seat(Samples.fourAngles(0.86).withOutsideDiameterMm(40.2)).withValve(Samples.plainValve());
    Finding off = one(pairing, OUT_OF_RANGE, "contactCentre");
    assertThat(off.cure().orElseThrow()).isInstanceOf(Cure.SeatOutside.class);
    assertThat(after(pairing, off, ReadingKind.CONTACT_CENTRE)).isCloseTo(0.5, within(0.02));
  }

  @Test
  void aWideFaceGetsTheBackCutThatLeavesTheWantedOne() {
    Pairing pairing = valve(Samples.plainValve());
    Finding wide = one(pairing, OUT_OF_RANGE, "faceWidth");
    assertThat(after(pairing, wide, ReadingKind.FACE_WIDTH)).isCloseTo(1.7, within(1e-9));
    assertThat(after(pairing, wide, ReadingKind.BACK_CUT)).isCloseTo(30, within(1e-9));
    Finding none = one(pairing, NO_BACK_CUT, "");
    assertThat(none.severity()).isEqualTo(Severity.NOTE);
    assertThat(none.cure()).isPresent();
  }

  @Test
  void theBackCutMeetsTheUnderheadWhereItWas() {
    Valve plain = Samples.plainValve();
    Pairing cured = Cure.BackCut.leaving(plain, 1.7, 30).orElseThrow().applyTo(valve(plain));
    Cut cut = cured.valve().backCuts().getFirst();
    double a = Math.sqrt(0.5);
    double r = 21 - 1.7 * a - cut.projectedMm();
    double z = -1.7 * a - cut.heightMm();
    double oldR = 21 - 2.4 * a;
    double oldZ = -2.4 * a;
    assertThat(z).isCloseTo(oldZ - (oldR - r) * Math.tan(Math.toRadians(15)), within(1e-9));
    assertThat(Cure.BackCut.leaving(plain.withUnderhead(new Underhead(35, 5)), 1.7, 30)).isEmpty();
  }

  @Test
  void widthsAndAnglesOutOfRangeAreCured() {
    Pairing wide = seat(Samples.fourAngles(0.86).withCut(1, new Cut(45, 2.1)));
    assertThat(after(wide, one(wide, OUT_OF_RANGE, "seatWidth"), ReadingKind.SEAT_WIDTH))
        .isCloseTo(1.25, within(1e-9));
    Pairing steep = seat(Samples.fourAngles(0.87).withCut(3, new Cut(80, 1.5)));
    assertThat(after(steep, one(steep, OUT_OF_RANGE, "lastCutAngle"), ReadingKind.LAST_CUT))
        .isEqualTo(77);
    Seat four = Samples.fourAngles(0.88);
    List<Cut> fewer = new ArrayList<>(four.cuts());
    fewer.remove(2);
    Pairing rough = seat(four.withCuts(fewer, 1));
    assertThat(after(rough, one(rough, OUT_OF_RANGE, "angleStep"), ReadingKind.ANGLE_STEP))
        .isLessThanOrEqualTo(20);
  }

  @Test
  void faultsOfGeometryComeFirst() {
    Pairing big = outside(42.4);
    Finding first = findings(big).getFirst();
    assertThat(first.severity()).isEqualTo(Severity.FAULT);
    assertThat(first.code()).isEqualTo(SEAT_LARGER_THAN_VALVE);
    assertThat(first.terms())
        .containsEntry("outside", Term.length(42.4))
        .containsEntry("valve", Term.length(42));
    Pairing through = valve(Samples.backCutValve().withHeadDiameterMm(36));
    Finding falls = one(through, VALVE_FALLS_THROUGH, "");
    assertThat(after(through, falls, ReadingKind.THROAT_RATIO)).isCloseTo(0.885, within(1e-9));
    Pairing wrong =
        new Pairing(
            Samples.oneSharpAngle().withCuts(List.of(new Cut(45, 2.0)), 0), Samples.plainValve());
    assertThat(one(wrong, TOUCHES_ELSEWHERE, "").severity()).isEqualTo(Severity.FAULT);
  }

  @Test
  void aContactPastTheFaceIsMeasuredAlongIt() {
    Pairing past = seat(Samples.fourAngles(0.85).withOutsideDiameterMm(39.6));
    SeatFit fit = Samples.study(past).fit();
    assertThat(codes(past)).contains(CONTACT_PAST_FACE);
    assertThat(one(past, CONTACT_PAST_FACE, "").extent()).isPositive();
    assertThat(fit.seated()).isPresent();
  }

  @Test
  void aFindingIsAboutOneThing() {
    assertThat(one(cut(1, 45, 1.6), OUT_OF_RANGE, "seatWidth").subject())
        .isEqualTo(Subject.reading("seatWidth"));
  }

  private static double figure(Finding finding, String term) {
    return ((Term.Figure) finding.terms().get(term)).value();
  }

  /** Where the lowest of four cuts from 41.25 ends, diameter. */
  private static double lowestCutEnds() {
    return 41.25
        - 2
            * (1.2 * Math.cos(Math.toRadians(45))
                + 1.4 * Math.cos(Math.toRadians(60))
                + 1.5 * Math.cos(Math.toRadians(75)));
  }

  @Test
  void aSquareStepIsAsLongAsTheThroatIsTooSmall() {
    double end = lowestCutEnds();
    Finding step = one(throat(end - 0.5), SQUARE_STEP, "");
    assertThat(step.extent()).isCloseTo(0.25, within(1e-6));
    assertThat(figure(step, "step")).isCloseTo(0.25, within(1e-6));
    assertThat(figure(step, "end")).isCloseTo(end, within(1e-6));
    assertThat(figure(step, "throat")).isCloseTo(end - 0.5, within(1e-9));
    assertThat(((Cure.OtherThroat) step.cure().orElseThrow()).mm()).isCloseTo(end, within(1e-6));
  }

  /** A 30 of 1 mm rises half a millimetre: from 0.3 deep it shows 0.6 of it, from 0 nothing. */
  @Test
  void aTopCutIsShortByWhatRunsOutOfMetal() {
    Finding some = one(seat(Samples.fourAngles(0.89).withDepthMm(0.3)), CUT_ABOVE_COMES_SHORT, "");
    assertThat(some.extent()).isCloseTo(0.4, within(1e-6));
    assertThat(((Term.Phrase) some.terms().get("cut")).message().code()).isEqualTo("cut.runsOut");
    Finding none = one(seat(Samples.fourAngles(0.89).withDepthMm(0)), CUT_ABOVE_COMES_SHORT, "");
    assertThat(none.extent()).isCloseTo(1, within(1e-6));
    assertThat(((Term.Phrase) none.terms().get("cut")).message().code())
        .isEqualTo("cut.neverTouches");
  }

  /** Cuts of 45, 60 and 75 are 0.849, 1.212 and 1.449 high, together 3.510. */
  @Test
  void aSeatReachesBelowItsBowlBySoMuch() {
    double high =
        1.2 * Math.sin(Math.toRadians(45))
            + 1.4 * Math.sin(Math.toRadians(60))
            + 1.5 * Math.sin(Math.toRadians(75));
    Finding below =
        one(seat(Samples.fourAngles(0.89).withBowl(new Bowl(37.4, 2))), SEAT_BELOW_BOWL, "");
    assertThat(figure(below, "cuts")).isBetween(high, high + 0.51);
    assertThat(below.extent()).isCloseTo(figure(below, "cuts") - 2, within(1e-9));
    // As deep as the bowl is no deeper, and a bowl as wide as the seat is none.
    double cuts = figure(below, "cuts");
    assertThat(codes(seat(Samples.fourAngles(0.89).withBowl(new Bowl(37.4, cuts)))))
        .doesNotContain(SEAT_BELOW_BOWL);
    Finding wide =
        one(seat(Samples.fourAngles(0.89).withBowl(new Bowl(41.25, 9))), SEAT_BELOW_BOWL, "");
    assertThat(wide.extent()).isZero();
    assertThat(codes(seat(Samples.fourAngles(0.89).withBowl(new Bowl(41.2, 9)))))
        .doesNotContain(SEAT_BELOW_BOWL);
  }

  @Test
  void aContactRunsPastTheFaceBySoMuch() {
    Pairing past = seat(Samples.fourAngles(0.85).withOutsideDiameterMm(39.6));
    double over = -Samples.study(past).fit().seated().orElseThrow().contact().fromInnerEdgeMm();
    Finding found = one(past, CONTACT_PAST_FACE, "");
    assertThat(found.extent()).isCloseTo(over, within(1e-9));
    assertThat(figure(found, "past")).isCloseTo(over, within(1e-9));
    assertThat(after(past, found, ReadingKind.CONTACT_CENTRE)).isCloseTo(0.5, within(0.02));
  }

  @Test
  void aValveThatTouchesElsewhereTouchesThereByItsShare() {
    Pairing wrong =
        new Pairing(
            Samples.oneSharpAngle().withCuts(List.of(new Cut(45, 2.0)), 0), Samples.plainValve());
    Finding found = one(wrong, TOUCHES_ELSEWHERE, "");
    double share = Samples.study(wrong).fit().seated().orElseThrow().contact().intendedShare();
    assertThat(share).isLessThan(0.5);
    assertThat(found.extent()).isCloseTo(1 - share, within(1e-9));
    assertThat(found.terms()).containsEntry("sealing", Term.angle(45));
  }

  /**
   * Above its range and below it, each with its limit; a retainer that meets the seal is a fault.
   */
  @Test
  void aReadingSaysWhichLimitItIsPast() {
    Finding high = one(cut(1, 45, 1.8), OUT_OF_RANGE, "seatWidth");
    assertThat(((Term.Phrase) high.terms().get("limit")).message().code())
        .isEqualTo("limit.atMost");
    assertThat(((Term.Phrase) high.terms().get("why")).message().code())
        .isEqualTo("outOfRange.seatWidth.above");
    assertThat(high.extent()).isCloseTo(0.3, within(1e-9));
    Finding low = one(cut(1, 45, 0.8), OUT_OF_RANGE, "seatWidth");
    assertThat(((Term.Phrase) low.terms().get("limit")).message().code())
        .isEqualTo("limit.atLeast");
    assertThat(((Term.Phrase) low.terms().get("why")).message().code())
        .isEqualTo("outOfRange.seatWidth.below");
    assertThat(low.extent()).isCloseTo(0.2, within(1e-9));
    for (double room : new double[] {0.5, 0.0, -0.2}) {
      SeatStudy study = Samples.study(Samples.pairing());
      Finding retainer =
          SeatFindings.of(
                  "I1",
                  Port.INTAKE,
                  study.fit(),
                  List.of(new Reading(ReadingKind.RETAINER, room)),
                  Samples.practice())
              .stream()
              .filter(f -> f.subject().id().equals(ReadingKind.RETAINER.key()))
              .findFirst()
              .orElseThrow();
      assertThat(retainer.severity()).isEqualTo(room > 0 ? Severity.CAUTION : Severity.FAULT);
    }
  }

  /** Half way between two angles, half as wide as the lower one, but never under half a mm. */
  @ParameterizedTest
  @CsvSource({"1.5, 0.75", "0.8, 0.5", "1.0, 0.5"})
  void aCutBetweenIsHalfAsWideAsTheOneBelowIt(double lowerMm, double betweenMm) {
    Seat rough =
        Samples.fourAngles(0.86)
            .withCuts(List.of(new Cut(30, 1), new Cut(45, 1.2), new Cut(72, lowerMm)), 1);
    Finding step = one(seat(rough), OUT_OF_RANGE, "angleStep");
    Cure.AddCut cure = (Cure.AddCut) step.cure().orElseThrow();
    assertThat(cure.index()).isEqualTo(2);
    assertThat(cure.cut().angleDeg()).isEqualTo(59);
    assertThat(cure.cut().widthMm()).isCloseTo(betweenMm, within(1e-9));
  }
}
