package finebore.rules;

import static finebore.finding.FindingCode.*;
import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.job.Head;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each finding of a head as found, just inside and just outside its limit. */
class HeadFindingsTest {

  private static final Practice THIN =
      new Practice(
          "thin",
          "Thin",
          "For tests.",
          Map.of(ReadingKind.WATER, Samples.range(2.3, 40)),
          Map.of());

  private static Job four() {
    Job job = Samples.job();
    return job.withEngine(job.engine().withCylinders(4));
  }

  private static Job with(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  private static List<Finding> at(Job job, String seat) {
    return HeadFindings.of(job, THIN).stream().filter(f -> f.seat().equals(seat)).toList();
  }

  private static List<FindingCode> codes(Job job, String seat) {
    return at(job, seat).stream().map(Finding::code).toList();
  }

  @Test
  void aHeadNobodyMeasuredHasNone() {
    assertThat(HeadFindings.of(four(), THIN)).isEmpty();
  }

  @Test
  void aPracticeThatIsNotHereIsAFaultOfTheHead() {
    List<Finding> found = HeadFindings.of(four(), Practice.notInstalled("hills"));
    assertThat(found).extracting(Finding::code).containsExactly(PRACTICE_NOT_INSTALLED);
    assertThat(found.getFirst().severity()).isEqualTo(Severity.FAULT);
    assertThat(found.getFirst().terms()).containsEntry("practice", Term.quote("hills"));
  }

  @Test
  void skimmedTooThinAndThickerThanNewAreSaid() {
    Head head =
        Head.UNKNOWN
            .withNewThicknessMm(OptionalDouble.of(69.85))
            .withThicknessMm(OptionalDouble.of(69.0))
            .withLeastThicknessMm(OptionalDouble.of(69.2));
    List<Finding> thin = at(four().withHead(head), "");
    assertThat(thin).extracting(Finding::code).containsExactly(HEAD_TOO_THIN, HEAD_SKIMMED);
    assertThat(thin.getFirst().severity()).isEqualTo(Severity.FAULT);
    assertThat(((Term.Figure) thin.getFirst().terms().get("by")).value()).isBetween(0.1999, 0.2001);
    assertThat(((Term.Figure) thin.getLast().terms().get("by")).value()).isBetween(0.8499, 0.8501);
    Head thick = head.withThicknessMm(OptionalDouble.of(70.1));
    assertThat(codes(four().withHead(thick), "")).containsExactly(HEAD_THICKER_THAN_NEW);
    Head least = head.withThicknessMm(OptionalDouble.of(69.2));
    assertThat(codes(four().withHead(least), "")).containsExactly(HEAD_SKIMMED);
  }

  @Test
  void throatsOutOfFamilyAreSaidOnce() {
    Job job = four();
    for (int k = 1; k <= 4; k++) {
      double throat = k == 3 ? 38.4 : 37.4;
      for (Measure measure : List.of(Measure.THROAT_12, Measure.THROAT_3)) {
        job = with(job, "I" + k, measure, throat + (measure == Measure.THROAT_3 ? 0.02 : 0));
      }
    }
    List<Finding> odd = at(job, "I3");
    assertThat(odd).extracting(Finding::code).containsExactly(THROATS_OUT_OF_FAMILY);
    assertThat(odd.getFirst().terms())
        .containsEntry("least", Term.length(38.4))
        .containsEntry("most", Term.length(38.42));
    assertThat(at(job, "I1")).isEmpty();
  }

  /** A gauge may be wrong by 0.2 mm on a seat width: what lies closer is no doubt. */
  @ParameterizedTest
  @CsvSource({"2.39, false", "2.41, true", "2.01, false", "1.99, true"})
  void aSingleReadingOutOfFamilyIsNamed(double width, boolean odd) {
    Job job = four();
    for (int k = 1; k <= 4; k++) {
      job = with(job, "E" + k, Measure.SEAT_WIDTH, k == 2 ? width : 2.2);
    }
    assertThat(codes(job, "E2").contains(OUT_OF_FAMILY)).isEqualTo(odd);
    assertThat(codes(job, "E1")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "I2, GUIDE_CLEARANCE, 0.099, GUIDE_WORN, false",
    "I2, GUIDE_CLEARANCE, 0.14, GUIDE_WORN, true",
    "I4, WALL_BOWL, 2.31, THIN_WALL, false",
    "I4, WALL_BOWL, 2.29, THIN_WALL, true",
    "I1, THROAT_12, 41.0, READINGS_CONTRADICT, false",
    "I1, THROAT_12, 41.3, READINGS_CONTRADICT, true",
  })
  void whatIsWrongIsSaidOfItsSeat(
      String seat, Measure measure, double value, FindingCode code, boolean found) {
    Job job = with(four(), seat, measure, value);
    assertThat(codes(job, seat).contains(code)).isEqualTo(found);
    for (String other : List.of("I1", "I2", "I3", "I4", "E1", "E2", "E3", "E4")) {
      if (!other.equals(seat)) {
        assertThat(codes(job, other)).doesNotContain(code);
      }
    }
    if (found && code != READINGS_CONTRADICT) {
      assertThat(at(job, seat).getFirst().subject()).isEqualTo(Subject.measure(measure));
    }
  }

  @Test
  void valvesThatStandInEachOtherOrPastTheBoreAreFaults() {
    Job job = with(Samples.job(), "I1", Measure.VALVE_HEAD, 42);
    // 44 mm apart, heads of 42: just clear; at 41.9 apart they overlap.
    assertThat(codes(job, "I1")).isEmpty();
    Job near = job.withEngine(job.engine().withValveSpacingMm(OptionalDouble.of(41.9)));
    assertThat(codes(near, "I1")).contains(HEADS_OVERLAP);
    // 20 from the bore axis with a head of 42: 41 of the 43 mm of the bore's radius.
    Job past =
        job.withGroup(
            finebore.job.Port.INTAKE, job.intake().withAxisFromBoreMm(OptionalDouble.of(22.1)));
    assertThat(codes(past, "I1")).contains(HEAD_PAST_BORE);
    Job just =
        job.withGroup(
            finebore.job.Port.INTAKE, job.intake().withAxisFromBoreMm(OptionalDouble.of(21.9)));
    assertThat(codes(just, "I1")).doesNotContain(HEAD_PAST_BORE);
  }
}
