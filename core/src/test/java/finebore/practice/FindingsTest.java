package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.job.Pairing;
import finebore.job.Port;
import finebore.practice.Finding.Severity;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import finebore.units.UnitSystem;
import finebore.valve.Underhead;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

class FindingsTest {

  private static List<Finding> findings(Pairing pairing, UnitSystem units) {
    SeatStudy study = SeatStudy.of(Samples.job(), Port.INTAKE, pairing);
    return Findings.of(study, Samples.practice(), Port.INTAKE, units);
  }

  private static List<Finding> findings(Pairing pairing) {
    return findings(pairing, UnitSystem.METRIC);
  }

  private static Finding one(Pairing pairing, Predicate<Finding> which) {
    return findings(pairing).stream()
        .filter(which)
        .findFirst()
        .orElseThrow(() -> new AssertionError("not among:\n" + findings(pairing)));
  }

  private static double after(Pairing pairing, Finding finding, ReadingKind kind) {
    Pairing cured = finding.cure().orElseThrow().applyTo(pairing);
    return SeatStudy.of(Samples.job(), Port.INTAKE, cured).reading(kind).orElseThrow();
  }

  private static Predicate<Finding> says(String words) {
    return f -> f.what().contains(words);
  }

  private static Pairing seat(Seat seat) {
    return Samples.pairing().withSeat(seat);
  }

  @Test
  void aSeatAsThePracticeWantsItHasNoCautions() {
    Pairing good = seat(Samples.fourAngles(0.8934).withOutsideDiameter(41.4));
    assertThat(findings(good)).noneMatch(f -> f.severity() != Severity.NOTE);
  }

  @Test
  void aLargeThroatNamesTheCutsItTookAndTheValveThatBringsItBack() {
    Pairing pairing = seat(Samples.fourAngles(0.93));
    Finding lost = one(pairing, says("the 75 never shows"));
    assertThat(lost.what())
        .isEqualTo(
            "The throat is 93.0 % of the valve: the 60 has 0.49 mm left of 1.40 mm and the 75 never shows.");
    assertThat(lost.why()).contains("low and mid-lift flow suffer");
    assertThat(lost.cure().orElseThrow().words(UnitSystem.METRIC)).isEqualTo("a 43.40 mm valve");
    assertThat(after(pairing, lost, ReadingKind.THROAT_RATIO)).isBetween(0.89, 0.9001);
  }

  @Test
  void aSmallThroatIsOpenedToTheRange() {
    Pairing pairing = seat(Samples.fourAngles(0.83));
    Finding small = one(pairing, says("Throat / valve is 83.0 %"));
    assertThat(after(pairing, small, ReadingKind.THROAT_RATIO)).isCloseTo(0.87, within(1e-9));
    Finding step = one(pairing, says("square step of"));
    assertThat(step.cure().orElseThrow()).isInstanceOf(Cure.Throat.class);
  }

  @Test
  void aContactOffTheMiddleGetsTheSeatThatCentresIt() {
    Pairing pairing =
        seat(Samples.fourAngles(0.86).withOutsideDiameter(40.2)).withValve(Samples.plainValve());
    Finding off = one(pairing, says("Contact on face is"));
    assertThat(off.cure().orElseThrow()).isInstanceOf(Cure.SeatOutside.class);
    assertThat(after(pairing, off, ReadingKind.CONTACT_CENTRE)).isCloseTo(0.5, within(0.02));
  }

  @Test
  void aWideFaceGetsTheBackCutThatLeavesTheWantedOne() {
    Pairing pairing = Samples.pairing().withValve(Samples.plainValve());
    Finding wide = one(pairing, says("Face width is 2.40 mm"));
    assertThat(after(pairing, wide, ReadingKind.FACE_WIDTH)).isCloseTo(1.7, within(1e-9));
    assertThat(after(pairing, wide, ReadingKind.BACK_CUT)).isCloseTo(30, within(1e-9));
  }

  @Test
  void theBackCutMeetsTheUnderheadWhereItWas() {
    var plain = Samples.plainValve();
    Pairing cured =
        Cure.BackCut.leaving(plain, 1.7, 30)
            .orElseThrow()
            .applyTo(Samples.pairing().withValve(plain));
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
    assertThat(after(wide, one(wide, says("Seat width is 2.10 mm")), ReadingKind.SEAT_WIDTH))
        .isCloseTo(1.25, within(1e-9));
    Pairing steep = seat(Samples.fourAngles(0.87).withCut(3, new Cut(80, 1.5)));
    assertThat(after(steep, one(steep, says("Last cut is 80°")), ReadingKind.LAST_CUT))
        .isEqualTo(77);
    Pairing rough = seat(Samples.fourAngles(0.88).withoutCut(2));
    assertThat(after(rough, one(rough, says("Largest step is 30°")), ReadingKind.ANGLE_STEP))
        .isLessThanOrEqualTo(20);
  }

  @Test
  void faultsOfGeometryComeFirst() {
    Pairing big = seat(Samples.fourAngles(0.89).withOutsideDiameter(42.4));
    assertThat(findings(big).getFirst().severity()).isEqualTo(Severity.FAULT);
    assertThat(findings(big).getFirst().what())
        .contains("The seat's outside, 42.40 mm, is larger than the valve, 42.00 mm");
    Pairing through = Samples.pairing().withValve(Samples.backCutValve().withHeadDiameter(36));
    Finding falls = one(through, says("goes through the throat"));
    assertThat(after(through, falls, ReadingKind.THROAT_RATIO)).isCloseTo(0.885, within(1e-9));
    Pairing wrong = new Pairing(Samples.oneSharpAngle().withoutCut(1), Samples.plainValve());
    assertThat(
            one(wrong, says("touches on the shoulder over the throat, not on the 45")).severity())
        .isEqualTo(Severity.FAULT);
  }

  @Test
  void speaksTheJobsUnits() {
    assertThat(findings(seat(Samples.fourAngles(0.93)), UnitSystem.INCH))
        .anyMatch(f -> f.what().contains("the 60 has 0.019 in left of 0.055 in"));
  }

  @Test
  void everyFindingNamesItsBasis() {
    for (double throat : new double[] {0.8, 0.89, 0.93}) {
      assertThat(findings(seat(Samples.fourAngles(throat)).withValve(Samples.plainValve())))
          .isNotEmpty()
          .allSatisfy(f -> assertThat(f.basis()).isIn("geometry", "common practice, no source"));
    }
  }

  @Test
  void missingBackCutIsANoteWithACure() {
    Finding note = one(Samples.pairing().withValve(Samples.plainValve()), says("no back cut"));
    assertThat(note.severity()).isEqualTo(Severity.NOTE);
    assertThat(note.cure()).isPresent();
  }

  @Test
  void rangesHoldTheirEnds() {
    Range range = Samples.range(0.87, 0.9);
    assertThat(range.holds(0.87)).isTrue();
    assertThat(range.holds(0.9 + 1e-12)).isTrue();
    assertThat(range.holds(0.91)).isFalse();
    assertThatThrownBy(() -> Samples.range(2, 1))
        .hasMessageContaining("must not end before it begins");
  }
}
