package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.found.Measure;
import finebore.job.Head;
import finebore.job.Head.Figure;
import finebore.job.Job;
import finebore.practice.Finding.Severity;
import finebore.study.ReadingKind;
import finebore.units.UnitSystem;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class FoundFindingsTest {

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

  private static List<Finding> at(Job job, String where) {
    return FoundFindings.of(job, THIN).stream().filter(f -> f.where().equals(where)).toList();
  }

  @Test
  void aHeadNobodyMeasuredHasNone() {
    assertThat(FoundFindings.of(four(), THIN)).isEmpty();
  }

  @Test
  void skimmedTooThinAndThickerThanNewAreSaid() {
    Head head =
        Head.UNKNOWN
            .with(Figure.NEW_THICKNESS, OptionalDouble.of(69.85))
            .with(Figure.THICKNESS, OptionalDouble.of(69.0))
            .with(Figure.LEAST_THICKNESS, OptionalDouble.of(69.2));
    List<Finding> thin = at(four().withHead(head), FoundFindings.HEAD);
    assertThat(thin.getFirst().severity()).isEqualTo(Severity.FAULT);
    assertThat(thin.getFirst().what()).contains("0.20 mm thinner than its least thickness");
    assertThat(thin.getLast().what()).contains("skimmed by 0.85 mm");
    Head thick = head.with(Figure.THICKNESS, OptionalDouble.of(70.1));
    assertThat(at(four().withHead(thick), FoundFindings.HEAD).getFirst().what())
        .isEqualTo("The head measures 70.10 mm, thicker than new at 69.85 mm.");
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
    assertThat(odd).hasSize(1);
    assertThat(odd.getFirst().what())
        .isEqualTo("Throat is 38.40 to 38.42 mm, the others of its kind 37.40 mm: out of family.");
    assertThat(at(job, "I1")).isEmpty();
  }

  @Test
  void aSingleReadingOutOfFamilyIsNamed() {
    Job job = four();
    for (int k = 1; k <= 4; k++) {
      job = with(job, "E" + k, Measure.SEAT_WIDTH, k == 2 ? 3.1 : 2.2);
    }
    assertThat(at(job, "E2"))
        .extracting(Finding::what)
        .anyMatch(w -> w.startsWith("Seat width is 3.10 mm, the others of its kind 2.20 mm"));
  }

  @Test
  void wornGuidesThinWallsAndContradictionsAreSaidOfTheirSeat() {
    Job job = with(four(), "I2", Measure.GUIDE_CLEARANCE, 0.14);
    assertThat(at(job, "I2").getFirst().what()).isEqualTo("Guide clearance is 0.14 mm.");
    Job wall = with(four(), "I4", Measure.WALL_BOWL, 1.9);
    assertThat(at(wall, "I4").getFirst().what())
        .isEqualTo("Wall at bowl is 1.90 mm, less than 2.30 mm before anything is cut.");
    Job throat = with(four(), "I1", Measure.THROAT_12, 44);
    assertThat(at(throat, "I1").getFirst().what()).contains("not smaller than");
  }

  @Test
  void readingsAreWrittenInTheirKind() {
    assertThat(FoundFindings.text(Measure.SEAT_WIDTH, 2.2, UnitSystem.INCH)).isEqualTo("0.087 in");
    assertThat(FoundFindings.text(Measure.SEAT_ANGLE, 44.5, UnitSystem.METRIC)).isEqualTo("44.5°");
    assertThat(FoundFindings.text(Measure.RUNOUT_CLOCK, 2, UnitSystem.METRIC))
        .isEqualTo("2 o'clock");
  }
}
